import { type ToTrace, type Weighing } from '@dauer/core';
import { wrap } from 'comlink';
import { onBeforeUnmount, type Ref, shallowRef, watch } from 'vue';
import type { Sums } from '../../workers/sums.ts';

export interface WeighedNow {
  readonly given: ToTrace;
  readonly result: Weighing;
}

/** The causes of what is known, weighed beside the page whenever something is answered; null before the first time. */
export function useWeighing(given: Ref<ToTrace | null>) {
  const weighing = shallowRef<WeighedNow | null>(null);
  const worker = new Worker(new URL('../../workers/sums.ts', import.meta.url), { type: 'module' });
  const beside = wrap<Sums>(worker);
  onBeforeUnmount(() => worker.terminate());
  let asked = '';
  watch(
    given,
    async (now) => {
      if (!now) return;
      const { network, evidence, checks, complaint } = now;
      // Only what matters to the sums goes over, and only when it is another thing than before.
      const plain = {
        network: {
          faults: network.faults.map(({ id, prior }) => ({ id, prior })),
          observations: network.observations.map(({ id, leak, strengths }) => ({ id, leak, strengths })),
        },
        evidence: { observations: evidence.observations, certain: evidence.certain },
        checks: checks.map(({ id, minutes, observations }) => ({ id, minutes, observations })),
        complaint,
      };
      const text = JSON.stringify(plain);
      if (text === asked) {
        if (weighing.value) weighing.value = { given: now, result: weighing.value.result };
        return;
      }
      asked = text;
      const sent = JSON.parse(text) as typeof plain;
      const result = await beside.weigh(sent.network, sent.evidence, sent.checks, sent.complaint);
      if (text === asked) weighing.value = { given: now, result };
    },
    { immediate: true },
  );
  return weighing;
}
