import { expect } from 'chai';
import { asks, waits, waitsLong, whenQuiet } from '../src/app/waiting.ts';

const ms = (n: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, n));

describe('waiting', () => {
  it('is told from half a second on, until the last one waits no more; what came twice is counted once', async () => {
    const quick = waits();
    quick();
    const [one, other] = [waits(), waits()];
    expect(waitsLong.value).to.equal(false);
    one();
    one();
    await ms(600);
    expect(waitsLong.value).to.equal(true);
    other();
    expect(waitsLong.value).to.equal(false);
    await ms(600);
    expect(waitsLong.value).to.equal(false);
  });

  it('something waits until the server is asked nothing, and no longer than it may; what was done is not done again', async () => {
    const done: string[] = [];
    whenQuiet(() => done.push('at once'), 50);
    const [one, other] = [asks(), asks()];
    whenQuiet(() => done.push('quiet'), 5000);
    one();
    one();
    expect(done).to.deep.equal(['at once']);
    other();
    expect(done).to.deep.equal(['at once', 'quiet']);
    const slow = asks();
    whenQuiet(() => done.push('late'), 30);
    await ms(80);
    slow();
    expect(done).to.deep.equal(['at once', 'quiet', 'late']);
  });
});
