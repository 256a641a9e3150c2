<script setup lang="ts">
import { type CautionStep, observationKey } from '@dauer/core/catalogue';
import { type Corner, CORNER_NAME } from '@dauer/core/layout';
import type { CauseLook, Observation } from '@dauer/core/ledger';
import { looksOf, type PlacedCheck, type PlacedSign } from '@dauer/core/stages';
import {
  answersToWords,
  askedGroups,
  askedOf,
  controlPicked,
  likelyPlaces,
  percentText,
  type Prediction,
  type ToTrace,
  toTrace,
  usualAt,
} from '@dauer/core/views';
import { computed, ref, shallowRef, watch } from 'vue';
import CautionPlates from '../../job/CautionPlates.vue';
import LockBanner from '../../job/LockBanner.vue';
import { useOpenJob } from '../../job/openJob.ts';
import { dayText } from '../../fittings/dates.ts';
import BenchLoop from './BenchLoop.vue';
import CausesPanel from './CausesPanel.vue';
import CheckAnswers from './CheckAnswers.vue';
import EarlierAnswers from './EarlierAnswers.vue';
import PedalPanel from './PedalPanel.vue';
import TriAnswer from './TriAnswer.vue';
import { useSteady } from './useSteady.ts';
import { useWeighing } from './useWeighing.ts';
import WheelQuestions from './WheelQuestions.vue';

/** Complaint and observations: seen, not seen, not checked; what may be at fault stands above them. */
const job = useOpenJob();
const find = ref('');
/** Nobody is there to help: no check that needs two. */
const alone = ref(false);
const toWeigh = computed<ToTrace | null>(() => toTrace(job.state, alone.value));
const weighing = useWeighing(toWeigh);
// What is answered in the lists stays under the finger, whatever the causes above them come to.
const lists = ref<HTMLElement | null>(null);
useSteady(
  lists,
  computed(() => [weighing.value, job.state]),
);
/** What keeps every check that is driven off the list, in words. */
const danger = computed(() => {
  const now = weighing.value;
  const fault = now && now.result.danger !== null ? now.input.network.faults[now.result.danger] : undefined;
  const likely = now?.result.causes.find((c) => c.fault === now.result.danger)?.probability ?? 0;
  return fault ? `${fault.kind.name.toLowerCase()}, ${fault.where}, stands at ${percentText(likely)}` : '';
});
watch(weighing, (now) => {
  const layout = job.records.layout;
  job.likelihood = now && layout ? likelyPlaces(now.input, layout, now.result) : new Map();
});
const looks = computed<ReadonlyMap<string, CauseLook>>(() => looksOf(job.history));
const list = computed(() =>
  toWeigh.value && job.state ? askedOf(toWeigh.value, job.state.context.answers).filter((o) => answersToWords(o, find.value ?? '')) : [],
);
/** The pedal or lever that is picked on the map: it is asked about alone. */
const control = computed(() => controlPicked(job.state.records.layout, job.picked));
const groups = computed(() => {
  const all = askedGroups(job.state.records.layout, list.value);
  const own = control.value === null ? [] : all.filter((g) => g.control === control.value?.slotId);
  return own.length > 0 ? own : all;
});
const corners = computed(() => job.state.records.job.scopeCorners);
/** The wheel that is picked on the map. */
const picked = computed(() => {
  const corner = job.state.records.layout.slots.find((s) => s.id === job.picked)?.corner ?? null;
  return corner !== null && corners.value.includes(corner) ? corner : null;
});
const stateOf = (code: string, corner: Corner | null): Observation['state'] =>
  job.state.context.answers.get(observationKey(code, corner))?.state ?? 'not_checked';
const writable = computed(() => job.writable);
function answer(code: string, corner: Corner | null, state: Observation['state']): void {
  if (stateOf(code, corner) !== state || toWeigh.value?.evidence.earlier.has(observationKey(code, corner)))
    job.add('observations', { code, corner, state });
}
const answerSign = (sign: PlacedSign, state: Observation['state']): void => answer(sign.code, sign.corner, state);
const look = (said: readonly Prediction[]): void => said.forEach((s) => job.add('causeLooks', s));
/** Cautions of the stage, and of the check that stands first: they change with it, not with an answer. */
const first = shallowRef<PlacedCheck | null>(null);
const steps = computed((): CautionStep[] => {
  const hazards = first.value?.kind.hazards ?? [];
  return [
    'trace',
    ...(hazards.includes('opens') ? (['bleed'] as const) : []),
    ...(hazards.includes('drives') ? (['road_test'] as const) : []),
  ];
});
const checked = computed(() => [...(job.state.context.answers.values() ?? [])].filter((o) => o.state !== 'not_checked').length);
const open = computed(() => job.state.obligations.filter((o) => o.stage === 'trace' && o.state === 'open'));
const stillText = computed(() => {
  const next = open.value
    .slice(0, 3)
    .map((o) => o.what.toLowerCase())
    .join(', ');
  const more = open.value.length > 3 ? ` and ${open.value.length - 3} more` : '';
  return `${checked.value} answered${next ? `; still to do: ${next}${more}` : ''}`;
});
</script>

<template>
  <div class="head">
    <h1 class="complaint">{{ job.state.records.job.complaint || 'No complaint: a round of the vehicle' }}</h1>
    <span class="grow" />
    <span class="second told">as told at Book in, {{ dayText(job.state.records.job.openedAt ?? '') }}</span>
  </div>
  <LockBanner />
  <CautionPlates :steps="steps" />
  <CausesPanel
    :now="weighing"
    :writable="writable"
    :looks="looks"
    :usual="(slotId, option) => usualAt(job.state, slotId, option)"
    @answer="answerSign"
    @look="look"
    @first="(check) => (first = check)"
  >
    <template #cause="{ faults }">
      <span class="links">
        <template v-for="f in faults" :key="f.id">
          <RouterLink v-if="f.slot" :to="{ path: `/jobs/${job.records.job.id}/gauge`, query: { pick: f.slot.id } }">
            Gauge {{ faults.length > 1 ? f.where : 'it' }}
          </RouterLink>
        </template>
      </span>
    </template>
    <template #after>
      <label class="tick small">
        <input v-model="alone" type="checkbox" />
        I am alone: no check that needs a helper
      </label>
      <p v-if="danger" class="problem small">Nothing is driven: {{ danger }}.</p>
      <p v-if="(weighing?.input.evidence.foreign.length ?? 0) > 0" class="second small">
        {{ weighing?.input.evidence.foreign.length === 1 ? 'One answer is' : `${weighing?.input.evidence.foreign.length} answers are` }}
        about what this vehicle does not have, and left out; the rest is weighed.
      </p>
      <p v-if="(weighing?.input.evidence.leverless.length ?? 0) > 0" class="second small">
        {{
          weighing?.input.evidence.leverless.length === 1 ? 'One answer names' : `${weighing?.input.evidence.leverless.length} answers name`
        }}
        no lever or reservoir, and this vehicle has several: say at which it was. Until then it is left out.
      </p>
      <p class="second small links">
        <RouterLink class="go" to="/tracing">How well tracing did</RouterLink>
        <RouterLink class="go" to="/practice">Practice on a made-up vehicle</RouterLink>
      </p>
    </template>
    <template #under>
      <BenchLoop v-if="weighing" :now="weighing" :looks="looks" @look="look" />
      <EarlierAnswers v-if="weighing && weighing.input.evidence.earlier.size > 0" :input="weighing.input" />
      <CheckAnswers v-if="weighing" :input="weighing.input" :writable="writable" :state-of="stateOf" @answer="answerSign" />
      <PedalPanel v-if="job.state.context.hydraulic" />
    </template>
  </CausesPanel>
  <div class="tools">
    <v-text-field v-model="find" class="find" label="Find, in your own words" clearable @click:clear="find = ''" />
    <span class="second still">
      {{ stillText }}
    </span>
  </div>
  <div ref="lists" class="groups">
    <section v-for="{ key, group: g, title, control: at, items } in groups" :key="key" class="group" :class="{ wheels: g === 'wheel' }">
      <div class="grouphead">
        <h2>{{ g === 'wheel' && picked ? `At the ${CORNER_NAME[picked].toLowerCase()} wheel` : title }}</h2>
        <button v-if="g === 'wheel' && picked" class="link small" type="button" @click="job.picked = null">All wheels</button>
        <button v-else-if="control && at === control.slotId" class="link small" type="button" @click="job.picked = null">Everything</button>
        <span v-else-if="g === 'wheel' && corners.length > 1" class="second small">pick a part on the map for its wheel alone</span>
      </div>
      <WheelQuestions
        v-if="g === 'wheel'"
        :items="items"
        :corners="corners"
        :picked="picked"
        :writable="writable"
        :state-of="stateOf"
        @answer="answer"
      />
      <ul v-else>
        <li v-for="o in items" :key="o.code">
          <span class="text">{{ o.short }}</span>
          <TriAnswer :label="o.text" :state="stateOf(o.code, null)" :writable="writable" @answer="(s) => answer(o.code, null, s)" />
        </li>
      </ul>
    </section>
    <p v-if="groups.length === 0" class="second">Nothing on the list reads like “{{ find }}”.</p>
  </div>
</template>

<style scoped>
/* What the owner said may be long: it stands in the size of a title. */
.complaint {
  font-size: var(--type-title);
  line-height: var(--leading);
}
.told {
  white-space: nowrap;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) 20px;
  margin-top: 10px;
}
.tools {
  display: flex;
  gap: var(--space-4);
  align-items: center;
  margin: var(--space-2) 0;
  flex-wrap: wrap;
}
.find {
  flex: 0 1 260px;
}
.still {
  flex: 1 1 260px;
}
.groups {
  columns: 2;
  column-gap: var(--space-6);
}
.group {
  break-inside: avoid;
  margin-bottom: var(--space-4);
}
.wheels {
  column-span: all;
}
.grouphead {
  display: flex;
  gap: var(--space-1) var(--space-4);
  align-items: baseline;
  justify-content: space-between;
  border-bottom: var(--line-hair) solid var(--slate);
  padding-bottom: 6px;
}
li {
  display: flex;
  align-items: center;
  gap: var(--space-2);
  border-bottom: var(--line-hair) solid var(--hair);
  min-height: 52px;
}
.text {
  flex: 1;
  line-height: var(--leading-tight);
}
@media (max-width: 1180px) {
  .groups {
    columns: 1;
  }
}
@media (max-width: 560px) {
  li {
    flex-wrap: wrap;
    padding: 6px 0;
  }
  .text {
    flex: 1 1 100%;
  }
  .head {
    flex-wrap: wrap;
    gap: 0 var(--space-3);
  }
}
</style>
