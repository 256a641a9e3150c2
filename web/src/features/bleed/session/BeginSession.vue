<script setup lang="ts">
import { FACTOR, planOfLayout, reservoirFacts, reservoirOf } from '@dauer/core/hydraulics';
import { placeLock } from '@dauer/core/job';
import { placeName, slotById } from '@dauer/core/layout';
import { type BleedMethod, type BleedTick, PRESSING } from '@dauer/core/ledger';
import { readTold } from '@dauer/core/quantity';
import { bearsStroke, bleedGates, blocksBleeding, isContaminated, makersOrder, ticksOwed, unfitFor, usualStroke } from '@dauer/core/stages';
import { BLEED_METHODS, BLEED_TICK, circuitName, gateWords, METHOD_NAME, UNFIT } from '@dauer/core/wording';
import { computed, ref, watch } from 'vue';
import ChoiceRow from '../../../fittings/ChoiceRow.vue';
import { refusalOf } from '../../../fittings/refusal.ts';
import { useOpenJob } from '../../../job/openJob.ts';

/** What a session begins with: which reservoir, how fluid is moved, what it holds, and that it stands full of the fluid that goes in. */
const props = defineProps<{ circuits: readonly number[]; main: boolean }>();
const job = useOpenJob();
const open = ref(false);
const fluid = computed(
  () =>
    job.history
      .active(job.history.records.fluidServices)
      .filter((f) => f.jobId === job.records.job.id)
      .at(-1) ?? null,
);
/** Circuits by the reservoir that feeds them. */
const tanks = computed(() => {
  const { layout } = job.history.records;
  const groups = new Map<string, { readonly name: string; readonly fullMl: number; readonly safeMl: number; circuits: number[] }>();
  for (const c of props.circuits) {
    const tank = reservoirOf(layout, c);
    if (!tank) continue;
    const had = groups.get(tank.id);
    if (had) had.circuits.push(c);
    else {
      const { fullMl, lowestSafeMl } = reservoirFacts(layout, tank);
      groups.set(tank.id, { name: placeName(tank), fullMl, safeMl: lowestSafeMl, circuits: [c] });
    }
  }
  return [...groups].map(([id, g]) => ({ id, ...g }));
});
const tankId = ref<string | null>(null);
const tank = computed(() => tanks.value.find((t) => t.id === tankId.value) ?? tanks.value[0] ?? null);
const method = ref<BleedMethod>('vacuum');
const lock = computed(() => {
  const first = planOfLayout(job.history.records.layout, { circuits: tank.value?.circuits ?? [] }).bleeders[0];
  return first ? placeLock(job.state, first.id) : null;
});
const gates = computed(() =>
  bleedGates({
    ...{ history: job.history, proofStatus: job.state.context.proofStatus },
    ...{ circuits: tank.value?.circuits ?? [], method: method.value, today: job.today },
  }),
);
const blocks = computed(() => gates.value.filter(blocksBleeding));
const minds = computed(() => gates.value.filter((g) => !blocksBleeding(g)));
const facts = computed(() => BLEED_METHODS[method.value]);
const methods = computed(() =>
  (Object.entries(METHOD_NAME) as [BleedMethod, string][]).map(([value, label]) => ({
    ...{ value, label },
    off: offFor(value),
  })),
);
/** Why a method is not to be chosen now: what it presses is open, or it is unfit for what this vehicle has. */
function offFor(value: BleedMethod): string | null {
  if (PRESSING.includes(value) && lock.value) return lock.value.why;
  const unfit = unfitFor(job.history, value, tank.value?.circuits ?? []);
  return unfit && UNFIT[unfit];
}
const full = ref('');
const safe = ref('');
const each = ref('');
watch(
  [tank, method],
  () => {
    full.value = String(Math.round(tank.value?.fullMl ?? 0));
    safe.value = String(Math.round(tank.value?.safeMl ?? 0));
    each.value = tank.value ? String(usualStroke(method.value, tank.value)) : '';
  },
  { immediate: true },
);
/** What was told so far of what is owed before the first bleeder. */
const ticked = ref<BleedTick[]>([]);
const owed = computed(() => ticksOwed(gates.value));
/** Bleeders by a maker's order; null where they go by their way. */
const ordered = ref<string[] | null>(null);
const source = ref('');
const bleeders = computed(() => {
  const factor = isContaminated(job.history, tank.value?.circuits ?? []) ? FACTOR.contaminated : FACTOR.clear;
  const more = { circuits: tank.value?.circuits ?? [], factor, ordered: ordered.value ?? [] };
  return planOfLayout(job.history.records.layout, more).bleeders;
});
const nameAt = (id: string): string => {
  const slot = slotById(job.history.records.layout, id);
  return slot ? placeName(slot) : '';
};
function byMaker(yes: boolean): void {
  const before = makersOrder(job.history);
  const here = bleeders.value.map((b) => b.id);
  ordered.value = yes
    ? [...(before?.ordered ?? []).filter((id) => here.includes(id)), ...here.filter((id) => !before?.ordered.includes(id))]
    : null;
  source.value = yes ? (before?.source ?? '') : '';
}
/** What was told once of a vehicle is proposed again. */
watch(open, (is) => is && makersOrder(job.history) !== null && byMaker(true));
function sooner(id: string): void {
  const list = [...(ordered.value ?? [])];
  const i = list.indexOf(id);
  if (i > 0) list.splice(i - 1, 2, id, list[i - 1] ?? id);
  ordered.value = list;
}
const read = (text: string): number => readTold('bled', text, 'mL').canonical;
const wrong = (text: string): string => refusalOf(() => read(text));
const small = computed(
  () =>
    [full, safe, each].every((f) => wrong(f.value) === '') &&
    !bearsStroke({ fullMl: read(full.value), safeMl: read(safe.value), strokeMl: read(each.value) }),
);
const able = computed(
  () =>
    blocks.value.length === 0 &&
    owed.value.every((t) => ticked.value.includes(t)) &&
    (ordered.value === null || source.value.trim().length >= 3) &&
    fluid.value !== null &&
    [full, safe, each].every((f) => wrong(f.value) === '') &&
    !small.value,
);
function begin(): void {
  const [of, t] = [fluid.value, tank.value];
  if (!able.value || !of || !t) return;
  job.add('bleedSessions', {
    ...{ circuits: t.circuits, method: method.value, product: of.product, fluidClass: of.fluidClass },
    ...{ fullMl: read(full.value), safeMl: read(safe.value), strokeMl: read(each.value) },
    prepared: owed.value,
    ...{ ordered: ordered.value, orderSource: ordered.value === null ? null : source.value.trim() },
  });
}
</script>

<template>
  <div class="begin">
    <v-btn v-if="!open" class="act" :class="{ main }" @click="open = true">Bleed it live</v-btn>
    <form v-else class="form" @submit.prevent="begin">
      <h3>Before the first bleeder</h3>
      <p v-if="fluid === null" class="problem">Say above what goes in: a session knows its fluid.</p>
      <ChoiceRow
        v-if="tanks.length > 1"
        :model-value="tank?.id ?? null"
        :options="tanks.map((t) => ({ value: t.id, label: `${t.name}: ${t.circuits.map(circuitName).join(', ')}` }))"
        label="Which reservoir"
        @update:model-value="(id: string) => (tankId = id)"
      />
      <ChoiceRow v-model="method" :options="methods" label="How it is moved" />
      <details class="how">
        <summary>How it goes, and where it deceives</summary>
        <p class="second small">{{ facts.gear.join('; ') }}.</p>
        <ol>
          <li v-for="s in facts.steps" :key="s">{{ s }}</li>
        </ol>
        <p v-for="t in facts.traps" :key="t" class="trap">{{ t }}</p>
      </details>
      <p v-for="(g, i) in blocks" :key="`b${i}`" class="problem">{{ gateWords(g) }}</p>
      <ul v-if="minds.length > 0" class="minds" aria-label="Before the first bleeder">
        <li v-for="(g, i) in minds" :key="`m${i}`">{{ gateWords(g) }}</li>
      </ul>
      <div class="figures">
        <v-text-field v-model="full" label="Holds to the mark, mL" inputmode="decimal" :error-messages="wrong(full)" />
        <v-text-field v-model="safe" label="Lowest safe mark, mL" inputmode="decimal" :error-messages="wrong(safe)" />
        <v-text-field v-model="each" label="One stroke or pull, mL" inputmode="decimal" :error-messages="wrong(each)" />
      </div>
      <p v-if="small" class="problem">One stroke would take this reservoir below its safe mark: draw less at a time.</p>
      <v-checkbox
        v-for="t in owed"
        :key="t"
        :model-value="ticked.includes(t)"
        :label="BLEED_TICK[t](fluid?.product ?? '')"
        @update:model-value="(yes) => (ticked = yes ? [...ticked, t] : ticked.filter((x) => x !== t))"
      />
      <v-checkbox
        :model-value="ordered !== null"
        label="By the maker’s order, not by the way of the fluid"
        @update:model-value="(yes) => byMaker(yes === true)"
      />
      <template v-if="ordered !== null">
        <ol class="order" aria-label="The maker’s order">
          <li v-for="(id, i) in ordered" :key="id">
            <span class="fig">{{ i + 1 }}</span>
            <span class="name">{{ nameAt(id) }}</span>
            <v-btn v-if="i > 0" class="act slim" :aria-label="`${nameAt(id)}: sooner`" @click="sooner(id)">Sooner</v-btn>
          </li>
        </ol>
        <v-text-field v-model="source" label="Where that order stands" placeholder="Workshop manual, page" />
      </template>
      <div class="acts">
        <v-btn class="act main" type="submit" :disabled="!able">Begin</v-btn>
        <v-btn class="act" @click="open = false">Not yet</v-btn>
      </div>
    </form>
  </div>
</template>

<style scoped>
.begin {
  margin: var(--space-3) 0;
}
.form {
  display: grid;
  gap: var(--space-3);
  border: var(--line-hair) solid var(--ink);
  padding: var(--space-3);
  background: var(--plate);
}
.figures {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: var(--space-3);
}
.minds {
  list-style: square inside;
  margin-bottom: var(--space-2);
}
.order .name {
  flex: 1;
}
.order li {
  display: flex;
  align-items: center;
  gap: var(--space-3);
  max-width: 420px;
  min-height: var(--touch);
}
.how ol {
  list-style: decimal inside;
}
.trap {
  border-left: var(--line-chosen) solid var(--ink);
  padding-left: var(--space-2);
}
.acts {
  gap: var(--space-2);
}
@media (max-width: 720px) {
  .figures {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
