<script setup lang="ts">
import { INTAKE_STATE_NAME, THING_NAME } from '@dauer/core/wording';
import { type Corner, CORNER_NAME } from '@dauer/core/layout';
import type { IntakeState } from '@dauer/core/ledger';
import { FORETELLS, type IntakeRow, intakeRows, STATES_OF } from '@dauer/core/stages';
import { computed, reactive } from 'vue';
import WithNote from '../../fittings/WithNote.vue';
import { useOpenJob } from '../../job/openJob.ts';
import PlaceFold from './PlaceFold.vue';

/** Fasteners foretell the bill: unions, bleeders, hoses, screws, adjusters and springs are tried before anything is ordered. */
defineProps<{ writable: boolean }>();
const job = useOpenJob();
const rows = computed(() => intakeRows(job.state.records.layout, job.state.history.active(job.state.records.intakeLooks)));
const left = computed(() => rows.value.filter((r) => r.look === null).length);
const bad = computed(() => rows.value.filter((r) => r.look && FORETELLS.includes(r.look.state)));
const groups = computed(() => {
  const corners = [...new Set(rows.value.map((r) => r.corner))];
  return corners.map((corner) => ({ corner, name: nameOf(corner), rows: rows.value.filter((r) => r.corner === corner) }));
});
const nameOf = (c: Corner | null): string => (c ? CORNER_NAME[c] : 'The middle');
/** Words that go with the next look at a thing. */
const notes = reactive<Record<string, string>>({});
const keyOf = (r: IntakeRow): string => `${r.corner ?? ''}:${r.thing}`;
function look(row: IntakeRow, state: IntakeState): void {
  const note = (notes[keyOf(row)] ?? '').trim();
  if (row.look?.state === state && note === '') job.takeBack(row.look.id);
  else job.add('intakeLooks', { corner: row.corner, thing: row.thing, state, note });
  notes[keyOf(row)] = '';
}
const saysOf = (list: readonly IntakeRow[]): string => {
  const bad = list.filter((r) => r.look && r.look.state !== 'sound' && r.look.state !== 'none_here');
  return [
    `${list.filter((r) => r.look !== null).length} of ${list.length}`,
    ...bad.map((r) => `${THING_NAME[r.thing].toLowerCase()} ${r.look?.state ?? ''}`),
  ].join(' · ');
};
/** What is left of a place is sound: one tap for a wheel without surprises. */
function allSound(corner: Corner | null): void {
  for (const r of rows.value) if (r.corner === corner && r.look === null) look(r, 'sound');
}
</script>

<template>
  <section>
    <div class="headline">
      <h2>Before anything is ordered</h2>
      <span class="second">{{ left === 0 ? 'everything looked at' : `${left} not looked at yet` }}</span>
    </div>
    <p v-if="bad.length > 0" class="foretell">
      <b class="plate-font">Soak now:</b>
      {{ bad.map((r) => `${nameOf(r.corner).toLowerCase()} ${THING_NAME[r.thing].toLowerCase()} ${r.look?.state}`).join(', ') }}. A line may
      break: say so in the estimate.
    </p>
    <PlaceFold
      v-for="g in groups"
      :key="g.name"
      :name="g.name"
      :says="saysOf(g.rows)"
      :open="g.rows.some((r) => r.look !== null && r.look.state !== 'sound')"
    >
      <div v-for="r in g.rows" :key="r.thing" class="row">
        <span class="thing">
          {{ THING_NAME[r.thing] }}
          <span v-if="r.look?.note" class="second small">{{ r.look.note }}</span>
        </span>
        <div class="say">
          <v-btn-group class="choice" role="group" :aria-label="`${g.name} ${THING_NAME[r.thing].toLowerCase()}`">
            <v-btn v-for="s in STATES_OF[r.thing]" :key="s" :aria-pressed="r.look?.state === s" :disabled="!writable" @click="look(r, s)">
              {{ INTAKE_STATE_NAME[s] }}
            </v-btn>
          </v-btn-group>
          <WithNote v-if="writable" v-model="notes[keyOf(r)]" :of="`${g.name} ${THING_NAME[r.thing].toLowerCase()}`" />
        </div>
      </div>
      <v-btn v-if="writable && g.rows.some((r) => r.look === null)" class="act slim all" @click="allSound(g.corner)">
        The rest here is sound
      </v-btn>
    </PlaceFold>
  </section>
</template>

<style scoped>
section {
  margin-top: 20px;
}
.headline {
  display: flex;
  gap: var(--space-4);
  align-items: baseline;
  border-bottom: var(--line-hair) solid var(--slate);
  padding-bottom: 6px;
  margin-bottom: var(--space-2);
}
.foretell {
  margin-bottom: var(--space-2);
}
.row {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: var(--space-3);
  align-items: center;
  padding: var(--space-1) 0;
}
.say {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: center;
}
.choice {
  flex-wrap: wrap;
  justify-self: start;
}
.all {
  margin: var(--space-2) 0;
}
@media (max-width: 720px) {
  .row {
    grid-template-columns: 1fr;
    gap: 2px;
  }
}
</style>
