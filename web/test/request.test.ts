import { PiniaColada } from '@pinia/colada';
import { expect } from 'chai';
import { createPinia } from 'pinia';
import { createApp, effectScope } from 'vue';
import { useRequest } from '../src/app/request.ts';

/** A promise that is settled from outside. */
function held<T>(): { readonly promise: Promise<T>; settle: (value: T) => void; refuse: (error: Error) => void } {
  let [settle, refuse] = [(_: T): void => undefined, (_: Error): void => undefined];
  const promise = new Promise<T>((resolve, reject) => ([settle, refuse] = [resolve, reject]));
  return { promise, settle, refuse };
}

describe('what a form asks of the server', () => {
  const request = () => {
    const app = createApp({ render: () => null });
    app.use(createPinia()).use(PiniaColada);
    return app.runWithContext(() => effectScope().run(() => useRequest())!);
  };

  it('is asked once, however often somebody presses meanwhile', async () => {
    const form = request();
    const answer = held<void>();
    let times = 0;
    const press = (): Promise<void> =>
      form.run(() => {
        times += 1;
        return answer.promise;
      });
    const presses = [press(), press(), press()];
    expect(form.busy.value).to.equal(true);
    answer.settle();
    await Promise.all(presses);
    expect([times, form.busy.value, form.problem.value]).to.deep.equal([1, false, '']);
    await press();
    expect(times, 'and again once it is answered').to.equal(2);
  });

  it('says why it was refused, and no longer once it is asked again', async () => {
    const form = request();
    const seen: unknown[] = [];
    const error = new Error('The tag is on another gauge.');
    await form.run(
      () => Promise.reject(error),
      (e) => seen.push(e),
    );
    expect([form.problem.value, seen]).to.deep.equal(['The tag is on another gauge.', [error]]);
    const answer = held<void>();
    const again = form.run(() => answer.promise);
    expect(form.problem.value).to.equal('');
    answer.settle();
    await again;
    expect([form.problem.value, form.busy.value]).to.deep.equal(['', false]);
  });

  it('says what cannot be read before anything is sent in the same place', async () => {
    const form = request();
    await form.run(async () => {
      throw new RangeError('“12,8x” is no figure.');
    });
    expect(form.problem.value).to.equal('“12,8x” is no figure.');
    expect(form.busy.value).to.equal(false);
  });
});
