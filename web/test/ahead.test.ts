import { expect } from 'chai';
import { Ahead } from '../src/app/ahead.ts';

const ms = (n: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, n));

describe('an answer asked for ahead', () => {
  it('is given once, to whoever takes it first', async () => {
    const ahead = new Ahead<string>(1000);
    expect(ahead.take()).to.equal(null);
    ahead.put(Promise.resolve('eight in the shop'));
    expect(await ahead.take()).to.equal('eight in the shop');
    expect(ahead.take()).to.equal(null);
  });
  it('is not given once it is no longer new, and a newer one is not forgotten with it', async () => {
    const ahead = new Ahead<string>(30);
    ahead.put(Promise.resolve('old'));
    await ms(15);
    ahead.put(Promise.resolve('newer'));
    await ms(20);
    expect(await ahead.take()).to.equal('newer');
    ahead.put(Promise.resolve('old'));
    await ms(40);
    expect(ahead.take()).to.equal(null);
  });
  it('that was refused says so to whoever takes it, and to nobody where nobody does', async () => {
    const unheard: unknown[] = [];
    const hear = (reason: unknown): unknown => unheard.push(reason);
    process.on('unhandledRejection', hear);
    const ahead = new Ahead<string>(20);
    ahead.put(Promise.reject(new Error('away')));
    await ms(40);
    expect([ahead.take(), unheard]).to.deep.equal([null, []]);
    ahead.put(Promise.reject(new Error('away')));
    const why = await ahead.take()?.catch((e: unknown) => (e instanceof Error ? e.message : ''));
    expect(why).to.equal('away');
    process.off('unhandledRejection', hear);
  });
});
