import { toTrace, type ToTrace, type Weighing } from '@dauer/core';
import { wrap } from 'comlink';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { useJob } from '../../app/job.ts';
import type { Sums } from '../../workers/sums.ts';

/** The causes of what is seen on the open job, weighed beside the page whenever something is answered. */
export function useWeighing() {
  const job = useJob();
  const given = computed<ToTrace | null>(() => (job.state ? toTrace(job.state) : null));
  const weighing = shallowRef<{ readonly given: ToTrace; readonly result: Weighing } | null>(null);
  const busy = ref(false);
  const worker = new Worker(new URL('../../workers/sums.ts', import.meta.url), { type: 'module' });
  const beside = wrap<Sums>(worker);
  onBeforeUnmount(() => worker.terminate());
  let asked = '';
  watch(
    given,
    async (now) => {
      if (!now) return;
      const { network, evidence, checks } = now;
      // Only what matters to the sums goes over, and only when it is another thing than before.
      const plain = {
        network: {
          faults: network.faults.map(({ id, prior }) => ({ id, prior })),
          observations: network.observations.map(({ id, leak, strengths }) => ({ id, leak, strengths })),
        },
        evidence: { observations: evidence.observations, certain: evidence.certain },
        checks: checks.map(({ id, minutes, observations }) => ({ id, minutes, observations })),
      };
      const text = JSON.stringify(plain);
      if (text === asked) return;
      asked = text;
      busy.value = true;
      const { network: n, evidence: e, checks: c } = JSON.parse(text) as typeof plain;
      const result = await beside.weigh(n, e, c);
      if (text !== asked) return;
      weighing.value = { given: now, result };
      busy.value = false;
    },
    { immediate: true },
  );
  return { weighing, busy };
}
