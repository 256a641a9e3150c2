import { useMutation } from '@pinia/colada';
import { computed, ref } from 'vue';
import { sentenceOf } from './client.ts';

type Ask = () => Promise<unknown>;

/**
 * What a form asks of the server: one request at a time, so that two presses are one; and why it was refused, in a sentence.
 * What is thrown before anything is sent, a figure that cannot be read, is said in the same place.
 */
export function useRequest() {
  const problem = ref('');
  const { mutateAsync, asyncStatus } = useMutation({ mutation: (ask: Ask) => ask() });
  const busy = computed(() => asyncStatus.value === 'loading');
  /** @param refused what else is done where it was refused */
  async function run(ask: Ask, refused: (error: unknown) => unknown = () => undefined): Promise<void> {
    if (busy.value) return;
    problem.value = '';
    try {
      await mutateAsync(ask);
    } catch (error) {
      problem.value = sentenceOf(error);
      await refused(error);
    }
  }
  return { run, busy, problem };
}
