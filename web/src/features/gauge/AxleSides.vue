<script setup lang="ts">
import type { MeasurementId } from '@dauer/core/catalogue';
import { swapSides } from '@dauer/core/history';
import type { Component, Judged } from '@dauer/core/judging';
import { PHASE_WORD } from '@dauer/core/wording';
import { placeName } from '@dauer/core/layout';
import type { Phase } from '@dauer/core/ledger';
import { fixed } from '@dauer/core/quantity';
import { computed, ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import VerdictMark from '../../fittings/VerdictMark.vue';

/** Left and right of an axle, side by side, and what each figure was at former visits: they are always judged together. */
const props = defineProps<{ measurement: MeasurementId; phase: Phase; slotId: string; otherId: string }>();
const emit = defineEmits<{ pick: [slotId: string] }>();
const job = useOpenJob();
const at = (id: string): Component | null => job.state.components.find((c) => c.slot.id === id) ?? null;
const sides = computed(() =>
  [at(props.slotId), at(props.otherId)]
    .filter((c): c is Component => c !== null)
    .sort((a, b) => (a.slot.corner ?? '').localeCompare(b.slot.corner ?? '')),
);
const ids = computed(() => [
  ...new Set(
    sides.value.flatMap((c) => c.judged.filter((j) => j.characteristic.takenFrom === props.measurement).map((j) => j.characteristic.id)),
  ),
]);
const of = (c: Component, id: string): Judged | null => c.judged.find((j) => j.characteristic.id === id) ?? null;
const nameOf = (id: string): string =>
  sides.value.flatMap((c) => c.judged).find((j) => j.characteristic.id === id)?.characteristic.short ?? id;
const apart = (id: string): string => {
  const [a, b] = sides.value.map((c) => of(c, id));
  return a && b ? `${fixed(Math.abs(a.reduced.value - b.reduced.value), Math.max(a.reduced.decimals, b.reduced.decimals))} mm apart` : '';
};
const writable = computed(() => job.writable);
const asking = ref(false);
/** The moves that would put the figures of this job on the other side. */
const swap = computed(() => {
  const [a, b] = sides.value;
  return a && b ? swapSides(job.history, a.slot.id, b.slot.id, props.measurement, props.phase) : [];
});
function swapNow(): void {
  for (const m of swap.value) job.add('setMoves', { ...m, corrects: m.setId });
  asking.value = false;
}
const former = (c: Component, id: string) => {
  const { history } = job;
  return history.sets
    .filter((s) => s.partId === c.part?.id && s.jobId !== history.records.job.id && s.measurement === props.measurement)
    .flatMap((s) => {
      const r = history.reduced(s).find((x) => x.characteristic === id);
      return r ? [{ on: s.happenedAt.slice(0, 7), phase: PHASE_WORD[s.phase], figure: fixed(r.value, r.decimals) }] : [];
    });
};
</script>

<template>
  <section v-if="ids.length > 0" class="sides">
    <div class="top">
      <h2>Both sides of the axle</h2>
      <template v-if="writable && swap.length > 0">
        <v-btn v-if="!asking" class="act slim" @click="asking = true">Swap left and right</v-btn>
        <template v-else>
          <span class="second small">Were these taken on the other side? Nothing is lost; swapping again puts them back.</span>
          <v-btn class="act slim main" @click="swapNow">Swap them</v-btn>
          <v-btn class="act slim" @click="asking = false">Leave them</v-btn>
        </template>
      </template>
    </div>
    <div class="scroll">
      <table>
        <thead>
          <tr>
            <td />
            <th v-for="c in sides" :key="c.slot.id" scope="col">
              <button v-if="c.slot.id !== slotId" class="link" type="button" @click="emit('pick', c.slot.id)">
                {{ placeName(c.slot) }}
              </button>
              <template v-else>{{ placeName(c.slot) }}</template>
            </th>
            <td />
          </tr>
        </thead>
        <tbody>
          <tr v-for="id in ids" :key="id">
            <th scope="row">{{ nameOf(id) }}</th>
            <td v-for="c in sides" :key="c.slot.id">
              <template v-if="of(c, id)">
                <VerdictMark :verdict="of(c, id)?.verdict ?? 'not_gauged'" :size="14" />
                <span class="fig fig-b">{{ fixed(of(c, id)?.reduced.value ?? 0, of(c, id)?.reduced.decimals ?? 2) }}</span>
                <span class="second small">{{ PHASE_WORD[of(c, id)?.phase ?? 'as_found'] }}</span>
              </template>
              <span v-else class="second">not gauged</span>
              <div v-for="f in former(c, id)" :key="f.on" class="second small">
                <span class="fig">{{ f.figure }}</span>
                in {{ f.on }}, {{ f.phase }}
              </div>
            </td>
            <td class="fig second small">{{ apart(id) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.sides {
  margin-top: var(--space-4);
  max-width: 820px;
}
th .link {
  font: inherit;
}
th[scope='row'] {
  border-bottom: var(--line-hair) solid var(--hair);
}
</style>
