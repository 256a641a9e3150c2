<script setup lang="ts">
import { JOB_TAKES_IN } from '@dauer/core/wording';
import { majorOf, moneyText } from '@dauer/core/quantity';
import { KIND_OF_JOB } from '@dauer/core/history';
import { type Corner, CORNER_NAME, cornersOf, placeName, slotById } from '@dauer/core/layout';
import type { Job } from '@dauer/core/ledger';
import { computed, ref, watch } from 'vue';
import { ApiProblem, call, sentenceOf } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useOpenJob } from '../../job/openJob.ts';
import PictureRow from '../../job/PictureRow.vue';
import { dayText } from '../../fittings/dates.ts';
import { useSession } from '../../app/session.ts';
import ArrivalSection from './ArrivalSection.vue';
import CameWithSection from './CameWithSection.vue';
import CounterSection from './CounterSection.vue';
import EarlierSection from './EarlierSection.vue';
import IntakeSection from './IntakeSection.vue';
import LayoutSection from './LayoutSection.vue';
import LimitsSection from './LimitsSection.vue';
import RecordSection from './RecordSection.vue';
import StaleConflict from '../../fittings/StaleConflict.vue';
import VehicleSection from './VehicleSection.vue';
import WorksOn from './WorksOn.vue';
import { FINISHES, FINISH_ITEMS, JOB_KINDS, sumOf } from './words.ts';
import ReturnedFrom from './ReturnedFrom.vue';
import DayField from '../../fittings/DayField.vue';

/** What was said and seen at the desk: complaint, wish, scope, promise, distance, and the layout as a list. */
const job = useOpenJob();
const session = useSession();
const writable = computed(() => job.writable);
const file = computed(() => job.state.records ?? null);
type Draft = Pick<Job, 'kind' | 'complaint' | 'wants' | 'fluidKnown' | 'finish'> & {
  authorised: string;
  returnOf: string | null;
  scopeIn: string[];
  scopeOut: string[];
  promised: string;
  scopeCorners: Corner[];
  version: number;
};
const draft = ref<Draft | null>(null);
const theirs = ref<Job | null>(null);
const { run, busy, problem } = useRequest();
const isSaved = ref(false);
const fromJob = (j: Job): Draft => ({
  kind: j.kind,
  complaint: j.complaint,
  wants: j.wants,
  fluidKnown: j.fluidKnown,
  promised: j.promised ?? '',
  finish: j.finish,
  authorised: j.authorisedMinor === null ? '' : moneyText(majorOf(j.authorisedMinor, session.shop.currency), null),
  scopeCorners: [...j.scopeCorners],
  returnOf: j.returnOf ?? null,
  scopeIn: [...j.scopeIn],
  scopeOut: [...j.scopeOut],
  version: j.version,
});
watch(
  () => file.value?.job,
  (now, before) => {
    // What was changed elsewhere is taken over, unless something is typed here.
    if (!now || now.id !== before?.id || !draft.value || !before || sameAs(draft.value, before)) draft.value = now ? fromJob(now) : null;
  },
  { immediate: true },
);
const sameAs = (d: Draft, j: Job): boolean => JSON.stringify({ ...d, version: 0 }) === JSON.stringify({ ...fromJob(j), version: 0 });
const changed = computed(
  () =>
    draft.value !== null &&
    file.value !== null &&
    JSON.stringify({ ...draft.value, version: 0 }) !== JSON.stringify({ ...fromJob(file.value.job), version: 0 }),
);
function toggle(c: Corner): void {
  const d = draft.value;
  if (d) d.scopeCorners = d.scopeCorners.includes(c) ? d.scopeCorners.filter((x) => x !== c) : [...d.scopeCorners, c];
}
async function save(): Promise<void> {
  const d = draft.value;
  const id = file.value?.job.id;
  if (!d || !id) return;
  problem.value = '';
  const authorised = sumOf(d.authorised, session.shop.currency);
  if (!authorised.ok) {
    problem.value = authorised.why;
    return;
  }
  await run(
    async () => {
      const { authorised: _typed, ...fields } = d;
      const body = { ...fields, promised: d.promised || null, authorisedMinor: authorised.sum };
      const saved = await call('changeJob', { params: { jobId: id }, body });
      draft.value = fromJob(saved);
      theirs.value = null;
      isSaved.value = true;
      await job.refresh();
    },
    (error) => {
      if (error instanceof ApiProblem && error.is('stale')) theirs.value = (error.problem?.current as Job | undefined) ?? null;
    },
  );
}
const byHand = computed(() => {
  const f = file.value;
  if (!f) return [];
  const named = (id: string, on: boolean) => {
    const slot = slotById(f.layout, id);
    return slot ? [{ id, on, name: placeName(slot) }] : [];
  };
  return [...f.job.scopeIn.flatMap((id) => named(id, true)), ...f.job.scopeOut.flatMap((id) => named(id, false))];
});
/** The jobs that it may come back from. */
const returns = computed(() => [
  { value: null, title: 'No job of ours: something else' },
  ...(file.value?.pastJobs ?? []).flatMap((p) =>
    p.releasedAt === null ? [] : [{ value: p.id, title: `${dayText(p.releasedAt)}${p.complaint ? `, ${p.complaint}` : ''}` }],
  ),
]);
const backFrom = (d: Draft): string => returns.value.find((r) => r.value === d.returnOf)?.title ?? '';
const rows = computed(() => {
  const mine = draft.value;
  if (!mine || !theirs.value) return [];
  const other = fromJob(theirs.value);
  const corners = (list: readonly Corner[]): string => list.map((c) => CORNER_NAME[c].toLowerCase()).join(', ');
  return [
    { what: 'Kind of job', mine: mine.kind, theirs: other.kind },
    { what: 'Comes back from', mine: backFrom(mine), theirs: backFrom(other) },
    { what: 'Complaint', mine: mine.complaint, theirs: other.complaint },
    { what: 'Wants', mine: mine.wants, theirs: other.wants },
    { what: 'Fluid', mine: mine.fluidKnown, theirs: other.fluidKnown },
    { what: 'Finish', mine: FINISHES[mine.finish], theirs: FINISHES[other.finish] },
    { what: 'Authorised', mine: mine.authorised, theirs: other.authorised },
    { what: 'Promised', mine: dayText(mine.promised), theirs: dayText(other.promised) },
    { what: 'Taken in', mine: corners(mine.scopeCorners), theirs: corners(other.scopeCorners) },
  ];
});
/** What I typed goes over what is on record now. */
function overwrite(): void {
  if (draft.value && theirs.value) draft.value.version = theirs.value.version;
  void save();
}
function takeTheirs(): void {
  if (theirs.value) draft.value = fromJob(theirs.value);
  theirs.value = null;
  problem.value = '';
  void job.refresh();
}
const owner = ref<{ name: string; contact: string; erasedAt: string | null } | null>(null);
const ownerProblem = ref('');
async function showOwner(): Promise<void> {
  try {
    owner.value = file.value ? await call('owner', { params: { id: file.value.vehicle.id } }) : null;
    if (!owner.value) ownerProblem.value = 'No owner is on record.';
  } catch (error) {
    ownerProblem.value = sentenceOf(error);
  }
}
</script>

<template>
  <template v-if="file && draft">
    <div class="head facts">
      <h1>{{ file.vehicle.name }}</h1>
      <span class="second">booked in {{ dayText(file.job.openedAt) }} by {{ job.who(file.job.openedBy) }}</span>
      <span v-if="file.imported" class="second small">
        history: taken in by {{ job.who(file.imported.importedBy) }} on {{ dayText(file.imported.importedAt) }} from
        {{ file.imported.source }}
      </span>
    </div>
    <ReturnedFrom class="returned" />
    <form class="desk" @submit.prevent="save">
      <div class="fields">
        <v-select v-model="draft.kind" label="Kind of job" :items="JOB_KINDS" :readonly="!writable" />
        <v-select
          v-if="file.pastJobs.some((p) => p.releasedAt !== null)"
          v-model="draft.returnOf"
          label="Comes back from"
          :items="returns"
          :readonly="!writable"
        />
        <DayField
          v-model="draft.promised"
          :ahead="draft.promised !== (file.job.promised ?? '')"
          label="Promised for"
          :readonly="!writable"
        />
        <v-text-field v-model="draft.fluidKnown" label="What is known of the fluid" :readonly="!writable" />
        <v-select v-model="draft.finish" label="Finish agreed" :items="FINISH_ITEMS" :readonly="!writable" />
        <v-text-field v-model="draft.authorised" label="Sum authorised" inputmode="decimal" :readonly="!writable" />
      </div>
      <div class="vehiclepictures"><PictureRow of="vehicle" label="Picture of the vehicle" /></div>
      <div class="two">
        <v-textarea v-model="draft.complaint" label="Complaint, in the owner’s words" :readonly="!writable" />
        <v-textarea v-model="draft.wants" label="What the owner wants" :readonly="!writable" />
      </div>
      <p class="second small">{{ JOB_TAKES_IN[draft.kind] }} A component picked on the map is taken in or left out by hand.</p>
      <div class="scope">
        <span class="second">Taken in</span>
        <v-btn-group v-if="KIND_OF_JOB[draft.kind].corners" class="choice" role="group" aria-label="Corners taken in">
          <v-btn
            v-for="c in cornersOf(file.layout)"
            :key="c"
            :aria-pressed="draft.scopeCorners.includes(c)"
            :disabled="!writable"
            @click="toggle(c)"
          >
            {{ CORNER_NAME[c] }}
          </v-btn>
        </v-btn-group>
      </div>
      <p v-if="byHand.length > 0" class="hand">
        <span v-for="h in byHand" :key="h.id">
          <b class="plate-font">{{ h.name }}</b>
          {{ h.on ? 'taken in' : 'left out' }} by hand
          <button v-if="writable" class="link small" type="button" @click="job.takeIn(h.id, !h.on)">
            {{ h.on ? 'leave it out' : 'take it in' }}
          </button>
        </span>
      </p>
      <StaleConflict v-if="theirs" :problem="problem" :rows="rows" @mine="overwrite" @theirs="takeTheirs" />
      <p v-else-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div v-if="writable" class="acts">
        <v-btn class="act" :class="{ main: changed }" type="submit" :disabled="busy || !changed">Keep changes</v-btn>
        <span v-if="isSaved && !changed" class="second small" role="status">Kept.</span>
      </div>
    </form>
    <CounterSection v-if="file.vehicle.distanceUnit !== 'none'" :writable="writable" />
    <ArrivalSection :writable="writable" />
    <IntakeSection :writable="writable" />
    <CameWithSection :writable="writable" />
    <EarlierSection :writable="writable" />
    <VehicleSection :vehicle="file.vehicle" :writable="writable" />
    <section>
      <h2 class="line">Owner</h2>
      <WorksOn v-if="session.may('technician')" :job-id="file.job.id" />
      <p v-if="owner?.erasedAt" class="second">Blanked on {{ dayText(owner.erasedAt) }}.</p>
      <p v-else-if="owner">{{ owner.name }}, {{ owner.contact }}</p>
      <p v-else-if="ownerProblem" class="second">{{ ownerProblem }}</p>
      <button v-else-if="session.may('technician')" class="link" type="button" @click="showOwner">Show the owner’s contact</button>
    </section>
    <LayoutSection v-if="job.state" :state="job.state" :writable="writable" />
    <LimitsSection />
    <RecordSection v-if="session.may('lead') && !job.state.voided" />
    <section v-if="file.pastJobs.length > 0">
      <h2 class="line">Earlier jobs here</h2>
      <ul>
        <li v-for="p in file.pastJobs" :key="p.id">
          <RouterLink :to="`/jobs/${p.id}/sheet`">{{ dayText(p.openedAt) }}</RouterLink>
          {{ p.complaint || p.kind }}
          <span class="second small">{{ p.releasedAt ? 'handed back' : 'open' }}</span>
        </li>
      </ul>
    </section>
  </template>
</template>

<style scoped>
/* The name stays in one line; what is told beside it goes below where there is no room. */
.facts {
  flex-wrap: wrap;
  gap: 2px var(--space-4);
  padding: 6px 0;
}
/* Between the figures of the desk and the words. */
.vehiclepictures {
  margin-top: var(--space-4);
}
.desk {
  margin-top: var(--space-4);
}
section {
  margin-top: 20px;
}
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: var(--space-4);
  margin: var(--space-4) 0;
}
.scope,
.acts {
  margin-top: var(--space-3);
}
.hand {
  display: flex;
  gap: 6px 20px;
  flex-wrap: wrap;
  margin-top: var(--space-2);
}
li {
  padding: 2px 0;
}
.problem {
  margin-top: var(--space-3);
}
</style>
