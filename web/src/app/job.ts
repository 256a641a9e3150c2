import type { EventFamily, Recorded, Sent } from '@dauer/contract';
import { type Component, deriveJob, type JobFile, type JobState, proposedPhase, type Phase } from '@dauer/core';
import { useIntervalFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { v7 } from 'uuid';
import { computed, ref, shallowRef } from 'vue';
import { call, sentenceOf } from './client.ts';
import { onChangeOf } from './live.ts';
import { useOutbox } from './outbox.ts';
import { withRecord, withWaiting } from './optimistic.ts';
import { useSession } from './session.ts';

type Body<F extends EventFamily> = Omit<Sent<F>, 'id' | 'happenedAt' | 'device'> & { readonly id?: string };

/** The job that is open on this screen, with everything derived from it. */
export const useJob = defineStore('job', () => {
  const outbox = useOutbox();
  const session = useSession();
  const file = shallowRef<JobFile | null>(null);
  const problem = ref<string | null>(null);
  const picked = ref<string | null>(null);
  const today = ref(new Date().toISOString());
  useIntervalFn(() => {
    today.value = new Date().toISOString();
  }, 60000);

  /** How many events went into the book since this page was opened. */
  let written = 0;
  outbox.whenStored((item, record) => {
    written += 1;
    if (file.value?.job.id === item.jobId) file.value = withRecord(file.value, item.family, record as Recorded<EventFamily>);
    if (item.family === 'partEvents') void refresh();
  });

  const state = computed<JobState | null>(() => (file.value ? deriveJob(withWaiting(file.value, outbox.items), today.value) : null));
  const component = computed<Component | null>(() => state.value?.components.find((c) => c.slot.id === picked.value) ?? null);
  const phase = computed<Phase>(() => (state.value && component.value ? proposedPhase(state.value.book, component.value) : 'as_found'));

  async function load(jobId: string): Promise<void> {
    if (file.value?.job.id !== jobId) {
      file.value = null;
      picked.value = null;
    }
    problem.value = null;
    try {
      const before = written;
      const read = await call('job', { params: { jobId } });
      // Something went in while the job was being read: it may be in neither.
      file.value = before === written ? read : await call('job', { params: { jobId } });
    } catch (error) {
      problem.value = sentenceOf(error);
    }
  }
  async function refresh(): Promise<void> {
    if (file.value) await load(file.value.job.id);
  }
  onChangeOf(
    () => file.value?.job.id ?? null,
    () => void refresh(),
  );
  /** Adds an event: kept here first, then sent. Returns its id. */
  function add<F extends EventFamily>(family: F, body: Body<F>): string {
    if (!file.value || !session.person) throw new Error('no job is open');
    const id = body.id ?? v7();
    const whole = { ...body, id, happenedAt: new Date().toISOString(), device: DEVICE } as Sent<F>;
    void outbox.keep({
      jobId: file.value.job.id,
      authorId: session.person.id,
      authorName: session.person.name,
      family,
      body: whole as Sent<EventFamily>,
      aside: null,
    });
    return id;
  }
  function takeBack(id: string): void {
    add('takeBacks', { corrects: id });
  }
  function who(id: string): string {
    return file.value?.people.find((p) => p.id === id)?.name ?? session.person?.name ?? '';
  }
  return { file, state, problem, picked, component, phase, today, load, refresh, add, takeBack, who };
});

const KEY = 'dauer.device';
/** A name for this device, so that records say where they were made. */
const DEVICE = (() => {
  const known = localStorage.getItem(KEY);
  if (known) return known;
  const made = `device ${v7().slice(-4)}`;
  localStorage.setItem(KEY, made);
  return made;
})();
