import { expect } from 'chai';
import { ref } from 'vue';
import { untilSent } from '../src/job/untilSent.ts';

const PATIENCE_MS = 60;
const later = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

describe('what is asked next waits for what was entered before', () => {
  it('waits longer than its patience while one after the other gets there', async () => {
    const waiting = ref(4);
    const sent = untilSent(waiting, PATIENCE_MS);
    while (waiting.value > 0) {
      await later(PATIENCE_MS / 2);
      waiting.value -= 1;
    }
    expect(await sent).to.equal(true);
  });
  it('gives up where none gets there, and where the rest of them stays', async () => {
    const waiting = ref(2);
    expect(await untilSent(waiting, PATIENCE_MS)).to.equal(false);
    const sent = untilSent(waiting, PATIENCE_MS);
    await later(PATIENCE_MS / 2);
    waiting.value = 1;
    expect(await sent).to.equal(false);
  });
  it('does not wait where nothing waits', async () => {
    expect(await untilSent(ref(0), 60_000)).to.equal(true);
  });
});
