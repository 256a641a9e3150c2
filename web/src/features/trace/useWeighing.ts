import type { Diagnosis } from '@dauer/core/inference';
import { plainChecks, plainNetwork, type ToTrace } from '@dauer/core/views';
import { type Ref, shallowRef, toRaw, watch } from 'vue';
import { useSums } from '../../workers/useSums.ts';

export interface WeighedNow {
  readonly input: ToTrace;
  readonly result: Diagnosis;
}

/** The causes of what is known, weighed beside the page whenever something is answered; null before the first time. */
export function useWeighing(input: Ref<ToTrace | null>) {
  const weighing = shallowRef<WeighedNow | null>(null);
  const beside = useSums();
  let lastSent = '';
  let sent: ToTrace['network'] | null = null;
  watch(
    input,
    async (now) => {
      if (!now) return;
      const { network, evidence, checks, complaint } = now;
      // Only what matters to the sums goes over, and only when it is another thing than before.
      const plain = {
        evidence: { observations: evidence.observations, certain: evidence.certain },
        checks: plainChecks(checks),
        complaint,
      };
      const text = JSON.stringify(plain);
      if (text === lastSent && network === sent) {
        if (weighing.value) weighing.value = { input: now, result: weighing.value.result };
        return;
      }
      lastSent = text;
      if (network !== sent) {
        sent = network;
        await beside.setNetwork(plainNetwork(toRaw(network)));
      }
      const copy = JSON.parse(text) as typeof plain;
      const result = await beside.weigh(copy.evidence, copy.checks, copy.complaint);
      if (text === lastSent && network === sent) weighing.value = { input: now, result };
    },
    { immediate: true },
  );
  return weighing;
}
