<script setup lang="ts">
import { GAUGE_UNIT } from '@dauer/core/catalogue';
import { comparedAt, type Compared, type LineState, patternAt, rightRefusal, WHOLE } from '@dauer/core/supply';
import type { ArrivalResult, GaugeVersion } from '@dauer/core/ledger';
import { toResult, figure } from '@dauer/core/quantity';
import { roundedUp, tellsApart } from '@dauer/core/metrology';
import { stepRefusal } from '@dauer/core/views';
import { ARRIVAL_NAME, knownWords } from '@dauer/core/wording';
import { useLocalStorage } from '@vueuse/core';
import { computed, ref } from 'vue';
import CaptureBar from '../../../fittings/CaptureBar.vue';
import DayField from '../../../fittings/DayField.vue';
import GaugeChooser from '../../../fittings/GaugeChooser.vue';
import { useOpenJob } from '../../../job/openJob.ts';
import PictureRow from '../../../job/PictureRow.vue';
import type { Orders } from './useOrders.ts';

/** The old part is the gauge for the new one: figure by figure, by the capture bar, and what it comes to. */
const props = defineProps<{ state: LineState; orders: Orders }>();
const emit = defineEmits<{ close: [] }>();
const job = useOpenJob();
const place = ref<string | null>(props.state.line.places[0] ?? null);
const whole = computed(() => WHOLE.includes(props.state.line.supply));
const article = computed(() => job.records.articles.find((a) => a.id === props.state.line.articleId) ?? null);
const old = computed(() => (place.value === null ? null : patternAt(job.history, props.state.line, place.value)));
const list = computed<readonly Compared[]>(() =>
  place.value === null || !whole.value ? [] : comparedAt(job.history, place.value, old.value, props.state.line.id, article.value),
);
type Side = 'old' | 'fresh';
interface Cell {
  readonly fact: Compared['fact'];
  readonly side: Side;
}
/** Cells that take a figure, in the order in which they are taken: of the old one where nobody has it yet, then of the new one. */
const cells = computed<Cell[]>(() =>
  list.value.flatMap((c) =>
    c.fact.form === 'length' || c.fact.form === 'count'
      ? [...(c.old === null ? [{ fact: c.fact, side: 'old' as const }] : []), { fact: c.fact, side: 'fresh' as const }]
      : [],
  ),
);
const at = ref<{ fact: string; side: Side } | null>(null);
const cell = computed<Cell | null>(
  () =>
    cells.value.find((c) => c.fact.id === at.value?.fact && c.side === at.value.side) ??
    cells.value.find((c) => known(c) === null) ??
    cells.value[0] ??
    null,
);
function known(c: Cell) {
  const of = list.value.find((x) => x.fact.id === c.fact.id);
  return (c.side === 'old' ? of?.old : of?.fresh) ?? null;
}
function move(by: number): void {
  const i = cells.value.findIndex((c) => c.fact.id === cell.value?.fact.id && c.side === cell.value.side);
  const next = cells.value[Math.min(cells.value.length - 1, Math.max(0, i + by))];
  if (next) at.value = { fact: next.fact.id, side: next.side };
}
const bar = ref<InstanceType<typeof CaptureBar> | null>(null);
const message = ref<string | null>(null);
const unit = ref<'mm' | 'in'>('mm');
/** Which gauge is used for what arrives stands beside those of the measurements. */
const stored = useLocalStorage<Record<string, string>>('dauer.gauges', {});
const chosen = computed({
  get: () => stored.value['arrival'] ?? 'none',
  set: (id: string) => (stored.value = { ...stored.value, arrival: id }),
});
const choosing = ref(false);
const gauges = computed<GaugeVersion[]>(() => [
  ...new Map(job.records.gauges.filter((g) => GAUGE_UNIT[g.kind] === 'mm').map((g) => [g.gaugeId, g])).values(),
]);
const gauge = computed(() => gauges.value.find((g) => g.gaugeId === chosen.value) ?? null);
function tell(fact: string, side: Side, typed: string, inUnit: 'mm' | 'in' | null): boolean {
  const read = toResult(() =>
    job.add('partFacts', {
      ...{ fact, slotId: place.value, partId: side === 'old' ? old.value : null, lineId: side === 'fresh' ? props.state.line.id : null },
      ...{ typed, unit: inUnit, gaugeVersionId: inUnit === null ? null : (gauge.value?.id ?? null) },
    }),
  );
  message.value = read.ok ? null : read.refusal.message;
  return read.ok;
}
function take(text: string): void {
  const c = cell.value;
  if (!c) return;
  if (text.trim() === '') {
    move(1);
    return;
  }
  if (!tell(c.fact.id, c.side, text.trim(), c.fact.form === 'length' ? unit.value : null)) return;
  bar.value?.clear();
  move(1);
}
function takeBack(): void {
  const c = cell.value;
  const id = c ? known(c)?.id : null;
  if (id) job.takeBack(id);
}
const words = ref<Record<string, string>>({});
function sayWords(fact: string, side: Side): void {
  const key = `${fact}:${side}`;
  const typed = (words.value[key] ?? '').trim();
  if (typed !== '' && tell(fact, side, typed, null)) words.value = { ...words.value, [key]: '' };
}
const SIDES = [
  { side: 'old', title: 'Old' },
  { side: 'fresh', title: 'New' },
] as const;
const sideOf = (c: Compared, side: Side) => (side === 'old' ? c.old : c.fresh);
const mark = (c: Compared): string => (c.alike === null ? '' : c.alike ? 'alike' : 'unlike');
const note = ref('');
const by = ref('');
const count = computed(() =>
  props.state.line.places.length > 1 && props.state.line.count >= props.state.line.places.length ? 1 : props.state.toCheck,
);
const why = (result: ArrivalResult): string | null =>
  stepRefusal(job.state, {
    ...{ lineId: props.state.line.id, kind: 'checked', count: count.value, day: by.value || null, result },
    ...{ slotId: place.value, note: note.value },
  })?.words ?? null;
const unlike = computed(() => rightRefusal(list.value).unlike.length > 0);
async function check(result: ArrivalResult): Promise<void> {
  await props.orders.step(props.state, 'checked', {
    ...{ count: count.value, result, slotId: place.value, day: by.value || null, note: note.value.trim() },
  });
  if (props.orders.problem.value !== '') return;
  note.value = '';
  by.value = '';
  at.value = null;
  const looked = props.state.steps.filter((x) => x.kind === 'checked').map((x) => x.slotId);
  const next = props.state.line.places.find((p) => !looked.includes(p));
  if (props.state.toCheck === 0) emit('close');
  else if (next !== undefined) place.value = next;
}
const RESULTS: readonly ArrivalResult[] = ['right', 'wrong', 'damaged', 'not_for_build'];
const other = computed(() => {
  const c = cell.value;
  return c?.side === 'old' ? 'of the old one' : 'of the new one';
});
</script>

<template>
  <section class="check" :aria-label="`Held against the old one: ${state.line.name}`">
    <div v-if="state.line.places.length > 1" class="acts" role="group" aria-label="Which place">
      <v-btn v-for="p in state.line.places" :key="p" class="act slim" :aria-pressed="place === p" @click="place = p">
        {{ orders.nameOf(p) }}
      </v-btn>
    </div>
    <table v-if="list.length > 0" class="facts">
      <thead>
        <tr>
          <th scope="col">What</th>
          <th v-for="x in SIDES" :key="x.side" scope="col">{{ x.title }}</th>
          <th scope="col">May differ by</th>
          <th scope="col"><span class="sr">Alike or not</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="c in list" :key="c.fact.id" :class="{ differs: c.alike === false }">
          <th scope="row">{{ c.fact.name }}</th>
          <td v-for="x in SIDES" :key="x.side">
            <template v-if="c.fact.id === 'outline' && x.side === 'old'"></template>
            <template v-else-if="c.fact.form === 'choice'">
              <span v-if="x.side === 'old' && c.old">{{ knownWords(c.fact, c.old) }}</span>
              <span v-else class="pair">
                <button
                  v-for="(title, id) in c.fact.choices"
                  :key="id"
                  type="button"
                  class="act slim"
                  :aria-label="`${c.fact.name}, ${x.title.toLowerCase()}: ${title}`"
                  :aria-pressed="sideOf(c, x.side)?.typed === id"
                  @click="tell(c.fact.id, x.side, String(id), null)"
                >
                  {{ title }}
                </button>
              </span>
            </template>
            <template v-else-if="c.fact.form === 'words'">
              <span v-if="sideOf(c, x.side)">{{ sideOf(c, x.side)?.typed }}</span>
              <form v-else class="pair" @submit.prevent="sayWords(c.fact.id, x.side)">
                <v-text-field
                  v-model="words[`${c.fact.id}:${x.side}`]"
                  density="compact"
                  :label="`${c.fact.name}, ${x.title.toLowerCase()}`"
                  @blur="sayWords(c.fact.id, x.side)"
                />
              </form>
            </template>
            <button
              v-else
              type="button"
              class="figure fig"
              :class="{ here: cell?.fact.id === c.fact.id && cell.side === x.side }"
              :disabled="x.side === 'old' && c.old !== null && c.old.id === null"
              :aria-label="`${c.fact.name}, ${x.title.toLowerCase()}`"
              @click="at = { fact: c.fact.id, side: x.side }"
            >
              {{ sideOf(c, x.side) ? knownWords(c.fact, sideOf(c, x.side)!) : '–' }}
            </button>
          </td>
          <td class="second small">
            {{ c.fact.form === 'length' ? `${figure(c.fact.tolerance)} mm${c.fact.worn ? ', for wear' : ''}` : '' }}
          </td>
          <td class="mark">{{ mark(c) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-else class="second">Count what came, and look whether it is what was ordered, whole and undamaged.</p>
    <div class="result">
      <v-text-field v-model="note" :label="unlike ? 'What differs, in words' : 'What was looked at, or what is wrong'" />
      <DayField v-model="by" ahead label="Goes back by" />
    </div>
    <PictureRow v-if="place" of="place" :slot-id="place" :writable="true" />
    <div class="acts">
      <v-btn
        v-for="r in RESULTS"
        :key="r"
        class="act"
        :class="{ main: r === 'right' && why(r) === null }"
        :loading="orders.busy.value"
        :disabled="why(r) !== null"
        @click="check(r)"
      >
        {{ ARRIVAL_NAME[r] }}
      </v-btn>
      <v-btn class="act" @click="emit('close')">Later</v-btn>
    </div>
    <p v-if="why('right')" class="small" :class="{ bad: unlike }" role="status">{{ why('right') }}</p>
    <CaptureBar
      v-if="cell"
      ref="bar"
      :position="cell.fact.name"
      :what="`${state.line.name}, ${other}`"
      :unit="cell.fact.form === 'length' ? unit : ''"
      :other="cell.fact.form === 'length' ? `${unit === 'mm' ? 'in' : 'mm'} with u` : ''"
      :standing="known(cell) ? knownWords(cell.fact, known(cell)!) : null"
      :dots="cells.map((c, i) => ({ key: `${i}`, taken: known(c) !== null, now: c === cell }))"
      :gauge="gauge ? `${gauge.tag} ${gauge.name}` : 'No gauge named'"
      :gauge-note="gauge ? `tells ${figure(roundedUp(tellsApart(gauge)))} mm apart` : 'generic accuracy'"
      :message="message"
      :note="cell.side === 'old' ? 'First of the old one, then of the new one.' : 'Of the new one, as it came.'"
      :scale="{ values: [], live: null, decimals: 2 }"
      @take="take"
      @back="takeBack"
      @move="move"
      @unit="unit = unit === 'mm' ? 'in' : 'mm'"
      @gauge="choosing = true"
      @typed="message = null"
    />
    <GaugeChooser
      v-model="choosing"
      :gauges="gauges"
      @choose="
        (id) => {
          chosen = id;
          choosing = false;
        }
      "
    />
  </section>
</template>

<style scoped>
.check {
  grid-column: 1 / -1;
  padding: var(--space-3) 0 112px;
  border-top: var(--line-hair) solid var(--hair);
}
.facts {
  width: 100%;
  border-collapse: collapse;
}
.facts th,
.facts td {
  text-align: left;
  padding: var(--space-1) var(--space-2) var(--space-1) 0;
  border-bottom: var(--line-hair) solid var(--hair);
  vertical-align: middle;
}
.facts thead th {
  font: 600 var(--type-second)/18px var(--plate-font);
  color: var(--ink2);
}
.facts tbody th {
  font-weight: 400;
}
.pair {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1);
}
.figure {
  min-width: 96px;
  min-height: var(--touch);
  text-align: left;
  padding: 0 var(--space-2);
  background: none;
  color: var(--ink);
  border: var(--line-hair) solid var(--blue);
  border-radius: var(--corner);
  cursor: pointer;
}
.figure[disabled] {
  border-color: transparent;
  cursor: default;
}
.figure.here {
  border-width: var(--line-chosen);
  background: var(--blue-tint);
}
.differs .mark,
.bad {
  color: var(--past);
  font-weight: 700;
}
.result {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  padding-top: var(--space-3);
}
.result > :deep(.v-input) {
  flex: 1 1 240px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  padding: var(--space-2) 0;
}
</style>
