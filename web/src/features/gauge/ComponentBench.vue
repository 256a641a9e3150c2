<script setup lang="ts">
import {
  counterpart, display, fixed, type Judged, judgeSet, meaningOf, measurementsOn, type MeasurementId, type Phase, PHASE_WORD, placeName, runoutOf, type Surface,
} from '@dauer/core';
import { computed, onBeforeUnmount, ref } from 'vue';
import { useJob } from '../../app/job.ts';
import { onLetter } from '../../app/keys.ts';
import { useSession } from '../../app/session.ts';
import CaptureBar from '../../fittings/CaptureBar.vue';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import WearRule from '../../fittings/WearRule.vue';
import AxleSides from './AxleSides.vue';
import DrumField from './DrumField.vue';
import FindingsPanel from './FindingsPanel.vue';
import PadField from './PadField.vue';
import PadPatterns from './PadPatterns.vue';
import RotorRing from './RotorRing.vue';
import SweepChart from './SweepChart.vue';
import { useCapture } from './useCapture.ts';

/** The bench for one component: drawn as what is being measured, judged below, said in words beside. */
const job = useJob();
const session = useSession();
const component = computed(() => job.component);
const measurements = computed(() => (component.value ? measurementsOn(component.value.slot.kind) : []));
const firstOpen = component.value?.required.find((r) => !r.done)?.measurement.id ?? measurements.value[0]?.id ?? 'eye';
const tab = ref<MeasurementId | 'eye'>(firstOpen);
const measurement = computed(() => measurements.value.find((m) => m.id === tab.value) ?? null);
const phase = ref<Phase>(job.phase);
const capture = useCapture(component, measurement, phase);
const { unit, message, asked, at, standing, positions, taken, index } = capture;
const bar = ref<InstanceType<typeof CaptureBar> | null>(null);
const choosing = ref(false);
const liveText = ref('');

const writable = computed(() => session.may('technician') && job.state?.released === false && component.value?.empty === false);
const decimals = computed(() => component.value?.judged.find((j) => j.characteristic.takenFrom === tab.value)?.reduced.decimals ?? 2);
const runout = computed(() => (tab.value === 'rotor_runout' ? runoutOf(taken.value) : null));
/** Figures to show: of the set in hand first, of every other measurement the newest that stands. */
const judged = computed<Judged[]>(() => {
  const all = component.value?.judged ?? [];
  const own = capture.set.value && job.state ? judgeSet(job.state.book, capture.set.value, job.today) : null;
  const list = all.flatMap((j) => (own && j.characteristic.takenFrom === tab.value ? [] : [j]));
  return [...(own ?? []), ...list].sort((a, b) => Number(b.characteristic.takenFrom === tab.value) - Number(a.characteristic.takenFrom === tab.value));
});
const inTab = computed(() => judged.value.filter((j) => j.characteristic.takenFrom === tab.value));
const others = computed(() => judged.value.filter((j) => j.characteristic.takenFrom !== tab.value));
const meaning = computed(() => meaningOf(judged.value, component.value?.runout ?? null, (component.value?.required ?? []).filter((r) => !r.done && r.phase === phase.value).map((r) => r.measurement.name)));
const main = computed(() => inTab.value[0] ?? null);
const limitAt = computed(() => (main.value && (main.value.bound.kind === 'upper' || main.value.bound.kind === 'lower') ? main.value.bound.at : null));
const count = (id: MeasurementId): string => {
  const r = component.value?.required.find((x) => x.measurement.id === id && x.phase === phase.value);
  return r ? `${r.taken}` : '';
};
const standingText = computed(() => {
  const t = standing.value;
  return t ? display(t.value, 'length', t.reading.resolution, unit.value, t.reading.fraction) : null;
});
const otherUnit = computed(() => (standing.value ? capture.inUnit(standing.value, unit.value === 'mm' ? 'in' : 'mm') : unit.value === 'mm' ? 'in with u' : 'mm with u'));
const dots = computed(() => positions.value.map((p, i) => ({ key: `${i}`, taken: capture.isTaken(p), now: i === index.value })));
const other = computed(() => (component.value && job.state ? (counterpart(job.state.file.layout, component.value.slot) ?? null) : null));

function take(text: string): void {
  if (text.trim() === '') {
    capture.move(1);
    return;
  }
  if (capture.take(text)) {
    bar.value?.clear();
    liveText.value = '';
  }
}
const off = onLetter('KeyG', () => { choosing.value = true; });
onBeforeUnmount(off);
const SURFACES: readonly { value: Surface; label: string }[] = [{ value: 'clean', label: 'Clean' }, { value: 'wiped', label: 'Wiped' }, { value: 'dirty', label: 'Dirty' }];
const PHASES = computed<{ value: Phase; label: string }[]>(() => (['as_found', 'after_machining', 'as_fitted'] as const).map((value) => ({ value, label: PHASE_WORD[value].charAt(0).toUpperCase() + PHASE_WORD[value].slice(1) })));
const gaugeItems = computed(() => [...capture.gauges.value.filter((g) => g.kind !== 'torque_wrench').map((g) => ({ title: `${g.tag}  ${g.name}, reads to ${g.resolution} mm`, value: g.gaugeId })), { title: 'No gauge named (generic accuracy)', value: 'none' }]);
function chooseGauge(id: string): void {
  if (measurement.value) capture.chosenGauges.value = { ...capture.chosenGauges.value, [measurement.value.id]: id };
  choosing.value = false;
}
</script>

<template>
  <div v-if="component" class="bench">
    <div class="head title">
      <h1>{{ placeName(component.slot) }}</h1>
      <div class="tabs" role="tablist" :aria-label="`What is gauged on the ${component.slot.name.toLowerCase()}`">
        <button v-for="m in measurements" :key="m.id" type="button" role="tab" :aria-selected="tab === m.id" @click="tab = m.id">{{ m.name }} <span class="fig">{{ count(m.id) }}</span></button>
        <button type="button" role="tab" :aria-selected="tab === 'eye'" @click="tab = 'eye'">By eye <span class="fig">{{ component.findings.length }}</span></button>
      </div>
      <span class="grow" />
      <div v-if="measurement" class="choice unitswitch" role="group" aria-label="Unit"><button v-for="u in ['mm', 'in'] as const" :key="u" type="button" :aria-pressed="unit === u" @click="unit = u">{{ u }}</button></div>
    </div>

    <FindingsPanel v-if="tab === 'eye'" :component="component" />
    <template v-else-if="measurement">
      <div class="setup">
        <ChoiceRow v-model="phase" :options="PHASES" label="Phase" />
        <ChoiceRow v-model="capture.surface.value" :options="SURFACES" label="Surface" :disabled="capture.set.value !== null" />
        <button v-if="capture.set.value && writable" class="act slim" type="button" @click="capture.afresh.value = true; index = 0">Take all again</button>
      </div>
      <p v-if="component.empty" class="problem">This place is empty: there is nothing here to gauge. What was taken of the part that was here stands in its life.</p>
      <p v-if="asked" class="problem ask" role="alert"><span>{{ asked.text }}</span> <button class="act slim" type="button" @click="asked = null; capture.move(1)">It is right</button> <button class="act slim" type="button" @click="capture.takeBack()">Take it back</button></p>
      <div class="drawing">
        <RotorRing v-if="tab === 'rotor_thickness'" :positions="positions" :taken="taken" :now="index" :decimals="decimals" :variation="inTab.find((j) => j.characteristic.id === 'rotor_thickness_variation')?.reduced.value.toFixed(decimals) ?? null" :live="liveText || null" @go="(i) => (index = i)" />
        <SweepChart v-else-if="tab === 'rotor_runout'" :positions="positions" :taken="taken" :runout="runout" :limit="limitAt" :now="index" :past="main?.verdict === 'past'" @go="(i) => (index = i)" />
        <DrumField v-else-if="tab === 'drum_diameter'" :positions="positions" :taken="taken" :now="index" :decimals="decimals" @go="(i) => (index = i)" />
        <PadField v-else :positions="positions" :taken="taken" :now="index" :decimals="decimals" @go="(i) => (index = i)" />
        <section class="means plate">
          <h3>What this means</h3>
          <p><b class="plate-font">Found</b> {{ meaning.found }}</p><p><b class="plate-font">Means</b> {{ meaning.means }}</p><p><b class="plate-font">Next</b> {{ meaning.next }}</p>
          <PadPatterns v-if="tab === 'pad_lining'" :taken="taken" :slot-id="component.slot.id" />
          <RouterLink v-if="judged.some((j) => j.verdict === 'past')" class="act main" :to="`/jobs/${job.state?.file.job.id}/decide`">Decide about this axle</RouterLink>
        </section>
      </div>
      <p v-if="taken.length === 0" class="how second">{{ measurement.how }}</p>
      <WearRule v-for="j in inTab" :key="j.characteristic.id" :judged="j" :inch="unit === 'in'" :readings="j.characteristic.id === j.characteristic.takenFrom && tab !== 'rotor_runout' ? taken.map((t) => t.value) : undefined" :live="standing && j.characteristic.id === j.characteristic.takenFrom && tab !== 'rotor_runout' ? standing.value : null" />
      <WearRule v-for="j in others" :key="`o${j.characteristic.id}`" :judged="j" :inch="unit === 'in'" />
      <AxleSides v-if="other" :measurement="measurement.id" :slot-id="component.slot.id" :other-id="other.id" @pick="(id) => (job.picked = id)" />
    </template>

    <CaptureBar
      v-if="writable && measurement && at" ref="bar" :position="at.name" :what="`${measurement.name}, ${placeName(component.slot).toLowerCase()}, ${PHASE_WORD[phase]}`" :unit="unit" :other="otherUnit" :standing="standingText" :dots="dots"
      :gauge="capture.gaugeName.value" :gauge-note="capture.gaugeNote.value" :message="message" :note="main ? `${fixed(main.reduced.value, decimals)} mm governs, ${main.reduced.taken} of ${positions.length} taken` : 'Type the figure, Enter takes it'"
      @take="take" @back="capture.takeBack()" @move="capture.move" @unit="capture.switchUnit()" @gauge="choosing = true" @typed="(t) => { liveText = t; message = null; }"
    />
    <v-dialog v-model="choosing" max-width="520"><div class="dialog"><h2>Which gauge</h2><div class="gauges"><button v-for="g in gaugeItems" :key="g.value" class="act" type="button" @click="chooseGauge(g.value)">{{ g.title }}</button></div><div class="acts"><RouterLink class="link" to="/gauges">The rack</RouterLink><button class="act" type="button" @click="choosing = false">Close</button></div></div></v-dialog>
  </div>
</template>

<style scoped>
.title { gap: 16px; flex-wrap: wrap; }
.title h1 { white-space: nowrap; }
.tabs { display: flex; align-self: stretch; }
.tabs button { min-height: 47px; padding: 4px 12px 1px; border: 0; border-bottom: 3px solid transparent; background: none; color: var(--blue); font: 600 19px/22px var(--plate-font); cursor: pointer; }
.tabs button[aria-selected='true'] { background: var(--blue-tint); color: var(--ink); border-bottom-color: var(--blue); }
.tabs .fig { font-size: 14px; }
.unitswitch button[aria-pressed='true'] { background: var(--blue); color: var(--on-blue); }
.setup { display: flex; gap: 12px; flex-wrap: wrap; margin: 8px 0; }
.drawing { display: grid; grid-template-columns: minmax(0, 1fr) 250px; gap: 24px; align-items: start; margin: 4px 0 8px; }
.means { padding: 12px 16px 16px; border-top: 2px solid var(--ink); font-size: 15px; line-height: 20px; }
.means p { margin-top: 8px; } .means b { margin-right: 4px; font-size: 16px; } .means .act { margin-top: 14px; width: 100%; }
.how { font-size: 15px; line-height: 21px; margin: 4px 0 12px; max-width: 70ch; }
.ask { display: flex; gap: 12px; align-items: center; flex-wrap: wrap; }
.gauges { display: grid; gap: 8px; } .gauges .act { justify-content: flex-start; font: 400 16px/22px var(--text-font); text-align: left; }
@media (max-width: 1080px) { .drawing { grid-template-columns: 1fr; } }
@media (max-width: 860px) { .bench { padding-bottom: 150px; } .title { padding: 8px 0 0; gap: 4px; } }
</style>
