<script setup lang="ts">
import { convert, CORNER_NAME, CORNERS, type Corner, groupThousands, type Job, parseQuantity, placeName, Refusal } from '@dauer/core';
import { computed, ref, watch } from 'vue';
import { ApiProblem, call, sentenceOf } from '../../app/client.ts';
import { useJob } from '../../app/job.ts';
import { useSession } from '../../app/session.ts';
import { JOB_KINDS } from './words.ts';

/** What was said and seen at the desk: complaint, wish, scope, promise, distance, and the layout as a list. */
const job = useJob();
const session = useSession();
const writable = computed(() => session.may('technician') && job.state?.released === false);
const file = computed(() => job.state?.file ?? null);
type Draft = Pick<Job, 'kind' | 'complaint' | 'wants' | 'fluidKnown'> & { promised: string; scopeCorners: Corner[]; version: number };
const draft = ref<Draft | null>(null);
const theirs = ref<Job | null>(null);
const problem = ref('');
const kept = ref(false);
const fromJob = (j: Job): Draft => ({
  kind: j.kind,
  complaint: j.complaint,
  wants: j.wants,
  fluidKnown: j.fluidKnown,
  promised: j.promised ?? '',
  scopeCorners: [...j.scopeCorners],
  version: j.version,
});
watch(
  () => file.value?.job.id,
  () => {
    draft.value = file.value ? fromJob(file.value.job) : null;
  },
  { immediate: true },
);
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
  try {
    const saved = await call('changeJob', { params: { jobId: id }, body: { ...d, promised: d.promised || null } });
    draft.value = fromJob(saved);
    theirs.value = null;
    kept.value = true;
    await job.refresh();
  } catch (error) {
    problem.value = sentenceOf(error);
    if (error instanceof ApiProblem && error.code === 'stale') theirs.value = (error.problem?.current as Job | undefined) ?? null;
  }
}
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
const counter = ref('');
const counterProblem = ref('');
const unit = computed(() => (file.value?.vehicle.distanceUnit === 'mi' ? 'mi' : 'km'));
const counters = computed(() => [...(file.value?.counters ?? [])].sort((a, b) => (a.happenedAt < b.happenedAt ? 1 : -1)));
function readCounter(): void {
  try {
    parseQuantity(counter.value, 'distance_run', unit.value);
  } catch (error) {
    counterProblem.value = error instanceof Refusal ? error.message : String(error);
    return;
  }
  counterProblem.value = '';
  job.add('counters', { typed: counter.value, unit: unit.value });
  counter.value = '';
}
const owner = ref<{ name: string; contact: string } | null>(null);
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
    <div class="head">
      <h1>{{ file.vehicle.name }}</h1>
      <span class="second">
        {{ file.vehicle.year }} {{ file.vehicle.make }} {{ file.vehicle.model }} {{ file.vehicle.variant }}; {{ file.vehicle.use }},
        {{ file.vehicle.climate }}, stored {{ file.vehicle.storage }}
      </span>
    </div>
    <form class="desk" @submit.prevent="save">
      <div class="fields">
        <v-select v-model="draft.kind" label="Kind of job" :items="JOB_KINDS" :readonly="!writable" />
        <v-text-field v-model="draft.promised" label="Promised for" type="date" :readonly="!writable" />
        <v-text-field v-model="draft.fluidKnown" label="What is known of the fluid" :readonly="!writable" />
      </div>
      <div class="two">
        <v-textarea v-model="draft.complaint" label="Complaint, in the owner’s words" :readonly="!writable" />
        <v-textarea v-model="draft.wants" label="What the owner wants" :readonly="!writable" />
      </div>
      <div class="scope">
        <span class="second">Taken in</span>
        <span class="choice" role="group" aria-label="Corners taken in">
          <button
            v-for="c in CORNERS"
            :key="c"
            type="button"
            :aria-pressed="draft.scopeCorners.includes(c)"
            :disabled="!writable"
            @click="toggle(c)"
          >
            {{ CORNER_NAME[c] }}
          </button>
        </span>
      </div>
      <div v-if="theirs" class="problem" role="alert">
        <p>{{ problem }}</p>
        <table>
          <thead>
            <tr>
              <td />
              <th>Yours</th>
              <th>On record</th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <th>Complaint</th>
              <td>{{ draft.complaint }}</td>
              <td>{{ theirs.complaint }}</td>
            </tr>
            <tr>
              <th>Wants</th>
              <td>{{ draft.wants }}</td>
              <td>{{ theirs.wants }}</td>
            </tr>
            <tr>
              <th>Promised</th>
              <td>{{ draft.promised }}</td>
              <td>{{ theirs.promised }}</td>
            </tr>
            <tr>
              <th>Taken in</th>
              <td>{{ draft.scopeCorners.join(', ') }}</td>
              <td>{{ theirs.scopeCorners.join(', ') }}</td>
            </tr>
          </tbody>
        </table>
        <div class="acts">
          <button class="act" type="button" @click="overwrite">Keep mine</button>
          <button class="act" type="button" @click="takeTheirs">Take what is on record</button>
        </div>
      </div>
      <p v-else-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div v-if="writable" class="acts">
        <button class="act" :class="{ main: changed }" type="submit" :disabled="!changed">Keep changes</button>
        <span v-if="kept && !changed" class="second small" role="status">Kept.</span>
      </div>
    </form>
    <section v-if="file.vehicle.distanceUnit !== 'none'">
      <h2>Distance on the counter</h2>
      <form v-if="writable" class="row" @submit.prevent="readCounter">
        <v-text-field
          v-model="counter"
          :label="`Counter now (${unit})`"
          placeholder="41,960"
          :error-messages="counterProblem"
          inputmode="decimal"
        />
        <button class="act" type="submit" :disabled="counter.trim() === ''">Note it</button>
      </form>
      <ul>
        <li v-for="c in counters" :key="c.id">
          <span class="fig">{{ groupThousands(convert(c.km, 'distance_run', unit)) }} {{ unit }}</span>
          <span class="second small">on {{ c.happenedAt.slice(0, 10) }}, {{ job.who(c.authorId) }}</span>
        </li>
      </ul>
      <p v-if="counters.length === 0" class="second">Not read yet. Wear rates need it.</p>
    </section>
    <section>
      <h2>Owner</h2>
      <p v-if="owner">{{ owner.name }}, {{ owner.contact }}</p>
      <p v-else-if="ownerProblem" class="second">{{ ownerProblem }}</p>
      <button v-else-if="session.may('technician')" class="link" type="button" @click="showOwner">Show the owner’s contact</button>
    </section>
    <section>
      <h2>The layout</h2>
      <p class="second small">
        {{ file.layout.slots.length }} places, {{ file.layout.connections.length }} connections. Drawn on the left; pick one to see it.
      </p>
      <ul class="slots">
        <li v-for="s in file.layout.slots" :key="s.id">
          <button class="link" type="button" @click="job.picked = s.id">{{ placeName(s) }}</button>
          <span class="second small">
            {{ [s.style, s.boreMm ? `${s.boreMm} mm` : null, s.lengthMm ? `${s.lengthMm} mm long` : null].filter(Boolean).join(', ') }}
          </span>
        </li>
      </ul>
    </section>
    <section v-if="file.pastJobs.length > 0">
      <h2>Earlier jobs here</h2>
      <ul>
        <li v-for="p in file.pastJobs" :key="p.id">
          <RouterLink :to="`/jobs/${p.id}/sheet`">{{ p.openedAt.slice(0, 10) }}</RouterLink>
          {{ p.complaint || p.kind }}
          <span class="second small">{{ p.releasedAt ? 'handed back' : 'open' }}</span>
        </li>
      </ul>
    </section>
  </template>
</template>

<style scoped>
.desk {
  margin-top: 16px;
}
section {
  margin-top: 20px;
}
h2 {
  border-bottom: 1px solid var(--slate);
  padding-bottom: 6px;
  margin-bottom: 8px;
}
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 16px;
  margin: 16px 0;
}
.scope,
.acts {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
  margin-top: 12px;
}
.row {
  display: flex;
  gap: 12px;
  max-width: 460px;
  margin-bottom: 8px;
}
.row .act {
  min-height: 48px;
}
.slots {
  columns: 240px;
}
li {
  padding: 2px 0;
}
.problem {
  margin-top: 12px;
}
</style>
