import { expect } from 'chai';
import { waits, waitsLong } from '../src/app/waiting.ts';

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
});
