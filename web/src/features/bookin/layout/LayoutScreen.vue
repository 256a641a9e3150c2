<script setup lang="ts">
import { compareLayouts, type Layout, placeName } from '@dauer/core/layout';
import { useSessionStorage } from '@vueuse/core';
import { v7 } from 'uuid';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { ApiProblem, call } from '../../../app/client.ts';
import { useRequest } from '../../../app/request.ts';
import { useJob } from '../../../job/job.ts';
import LayoutEditor from './LayoutEditor.vue';

/** The layout of a vehicle that is in the shop: put right, or converted. What is drawn stays on this device until it is kept. */
const job = useJob();
const route = useRoute();
const router = useRouter();
const jobId = String(route.params['jobId'] ?? '');
void job.load(jobId);
const sketched = useSessionStorage<string>(`dauer.layout.${jobId}`, '');
interface Draft {
  readonly base: Layout;
  layout: Layout;
  revision: 'correction' | 'conversion';
  why: string;
}
const draft = ref<Draft | null>(null);
/** What somebody else put on record meanwhile. */
const theirs = ref<Layout | null>(null);
const looking = ref<'mine' | 'theirs'>('mine');
const { run, busy, problem } = useRequest();
const lit = ref<readonly string[]>([]);
const editor = ref<InstanceType<typeof LayoutEditor> | null>(null);
const from = (base: Layout): Draft => ({ base, layout: structuredClone(base), revision: 'correction', why: '' });
watch(
  () => job.records?.layout,
  (now) => {
    if (!now || draft.value || job.records?.job.id !== jobId) return;
    draft.value = sketched.value ? (JSON.parse(sketched.value) as Draft) : from(now);
  },
  { immediate: true },
);
watch(draft, (d) => (sketched.value = d && changed.value ? JSON.stringify(d) : ''), { deep: true });
const difference = computed(() => (draft.value ? compareLayouts(draft.value.base, draft.value.layout) : null));
const changed = computed(() => {
  const d = difference.value;
  const sides = draft.value?.base.drive !== draft.value?.layout.drive;
  return d !== null && (d.added.length + d.removed.length + d.changed.length + d.connections > 0 || sides);
});
const issues = computed(() => {
  const d = difference.value;
  if (!d) return [];
  const names = (word: string, list: readonly Parameters<typeof placeName>[0][]): string[] =>
    list.length > 0 ? [`${word}: ${list.map(placeName).join(', ')}`] : [];
  return [
    ...names('Added', d.added),
    ...names('Taken out', d.removed),
    ...names('Changed', d.changed),
    ...(d.connections > 0 ? [d.connections === 1 ? 'One connection differs' : `${d.connections} connections differ`] : []),
  ];
});
async function keep(): Promise<void> {
  const d = draft.value;
  if (!d) return;
  problem.value = '';
  lit.value = [];
  await run(
    async () => {
      const layout = { ...d.layout, id: v7() };
      await call('reviseLayout', { params: { jobId }, body: { layout, replaces: d.base.id, revision: d.revision, why: d.why } });
      sketched.value = '';
      draft.value = null;
      await job.refresh();
      await router.push(`/jobs/${jobId}/bookin`);
    },
    (error) => {
      if (!(error instanceof ApiProblem)) return;
      const current = error.problem?.current as (Layout & { readonly slotIds?: readonly string[] }) | undefined;
      if (error.is('stale') && current) theirs.value = current;
      if (error.is('layout_records')) lit.value = current?.slotIds ?? [];
    },
  );
}
/** What I drew goes over what is on record now. */
function overTheirs(): void {
  if (draft.value && theirs.value) draft.value = { ...draft.value, base: theirs.value };
  theirs.value = null;
  looking.value = 'mine';
  void keep();
}
function takeTheirs(): void {
  if (theirs.value) draft.value = from(theirs.value);
  theirs.value = null;
  looking.value = 'mine';
  problem.value = '';
  void job.refresh();
}
function leave(): void {
  sketched.value = '';
  draft.value = null;
  void router.push(`/jobs/${jobId}/bookin`);
}
</script>

<template>
  <main class="screen">
    <div class="head">
      <h1>Layout of {{ job.records?.vehicle.name ?? '…' }}</h1>
      <span v-if="job.records" class="second">{{ job.records.vehicle.tag }}</span>
    </div>
    <p v-if="job.problem && !job.records" class="problem" role="alert">{{ job.problem }}</p>
    <template v-if="draft">
      <div v-if="theirs" class="problem stale" role="alert">
        <p>{{ problem }}</p>
        <div class="acts">
          <v-btn-group class="choice" role="group" aria-label="Which drawing to look at">
            <v-btn :aria-pressed="looking === 'mine'" @click="looking = 'mine'">Mine</v-btn>
            <v-btn :aria-pressed="looking === 'theirs'" @click="looking = 'theirs'">On record</v-btn>
          </v-btn-group>
          <v-btn class="act" @click="overTheirs">Keep mine</v-btn>
          <v-btn class="act" @click="takeTheirs">Take what is on record</v-btn>
        </div>
      </div>
      <LayoutEditor v-if="theirs && looking === 'theirs'" :model-value="theirs" class="gap" />
      <LayoutEditor v-else ref="editor" v-model="draft.layout" :lit="lit" class="gap" />
      <section v-if="changed" class="gap">
        <h2 class="line">What changes</h2>
        <ul>
          <li v-for="t in issues" :key="t">{{ t }}</li>
        </ul>
        <div class="choose" role="radiogroup" aria-label="Since when it is so">
          <button
            type="button"
            role="radio"
            class="way"
            :aria-checked="draft.revision === 'correction'"
            @click="draft.revision = 'correction'"
          >
            <b class="plate-font">It was always so</b>
            <span class="second small">A correction: what is added was there all along, what is taken out never was.</span>
          </button>
          <button
            type="button"
            role="radio"
            class="way"
            :aria-checked="draft.revision === 'conversion'"
            @click="draft.revision = 'conversion'"
          >
            <b class="plate-font">From now on</b>
            <span class="second small">
              A conversion: what is added is still to be fitted; what goes is taken off and keeps its history.
            </span>
          </button>
        </div>
        <v-text-field v-model="draft.why" label="Why" maxlength="300" class="why" />
      </section>
      <p v-if="problem && !theirs" class="problem gap" role="alert">{{ problem }}</p>
      <div class="acts ends">
        <v-btn
          class="act main"
          :disabled="busy || !changed || draft.why.trim().length < 3 || (editor?.faults.length ?? 0) > 0"
          @click="keep"
        >
          Keep this layout
        </v-btn>
        <v-btn class="act" @click="leave">Leave it as it was</v-btn>
        <span v-if="changed && (editor?.faults.length ?? 0) > 0" class="second small">First mend what cannot be right.</span>
        <span v-else-if="changed && draft.why.trim().length < 3" class="second small">Say why in a few words.</span>
      </div>
    </template>
  </main>
</template>

<style scoped>
.gap {
  margin-top: 20px;
}
.stale {
  margin-top: var(--space-4);
}
.choose {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: var(--space-3);
  margin: var(--space-3) 0 var(--space-4);
}
.way {
  display: grid;
  text-align: left;
  padding: var(--space-2) 14px;
  background: var(--plate);
  border: var(--line-hair) solid var(--blue);
  border-radius: var(--corner);
  color: var(--blue);
  cursor: pointer;
}
.way b {
  font-size: var(--type-caption);
}
.way[aria-checked='true'] {
  background: var(--blue-tint);
  color: var(--ink);
  box-shadow: inset 0 -3px 0 var(--blue);
}
.why {
  max-width: 640px;
}
</style>
