import type { JobHistory } from '@dauer/core/history';
import type { JobState } from '@dauer/core/job';
import type { JobRecords } from '@dauer/core/ledger';
import { storeToRefs } from 'pinia';
import { computed, inject, type InjectionKey, provide, reactive, type ShallowRef, shallowRef, watch } from 'vue';
import { useJob } from './job.ts';

type JobStore = ReturnType<typeof useJob>;

/** What is open of a job, whole. */
interface Whole {
  readonly state: JobState;
  readonly records: JobRecords;
  readonly history: JobHistory;
}

const wholeOf = ({ state, records, history }: JobStore): Whole | null => (state && records && history ? { state, records, history } : null);

/** The job of a frame: the store with its state, records and history, which are never null there. */
function openJobOf(store: JobStore, whole: ShallowRef<Whole>) {
  const { add, together, takeBack, takeIn, load, refresh, who, by } = store;
  return reactive({
    ...storeToRefs(store),
    ...{ add, together, takeBack, takeIn, load, refresh, who, by },
    state: computed(() => whole.value.state),
    records: computed(() => whole.value.records),
    history: computed(() => whole.value.history),
  });
}

type OpenJob = ReturnType<typeof openJobOf>;
const OPEN_JOB: InjectionKey<OpenJob> = Symbol('open job');

/**
 * Gives the job that is open to everything below. While another one is being opened what is below sees the last that was
 * whole, until its frame is gone.
 * @throws Error where no job is open
 */
export function provideOpenJob(): OpenJob {
  const store = useJob();
  const first = wholeOf(store);
  if (!first) throw new Error('a frame of a job was drawn without one');
  const whole = shallowRef(first);
  watch(
    () => wholeOf(store),
    (now) => {
      if (now) whole.value = now;
    },
    { flush: 'sync' },
  );
  const job = openJobOf(store, whole);
  provide(OPEN_JOB, job);
  return job;
}

/** The job that is open, below the frame that opened it. @throws Error anywhere else */
export function useOpenJob(): OpenJob {
  const job = inject(OPEN_JOB, null);
  if (!job) throw new Error('no job is open here');
  return job;
}
