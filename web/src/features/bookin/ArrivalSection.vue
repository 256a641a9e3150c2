<script setup lang="ts">
import { type Arrival, type ArrivalRow, arrivalsOf } from '@dauer/core/history';
import { type Corner, CORNER_NAME, placeName } from '@dauer/core/layout';
import type { PartEventKind } from '@dauer/core/ledger';
import { computed } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import PlaceFold from './PlaceFold.vue';

/** Not everything arrives complete: of each place whether it is there, loose in a box, missing, or not known; by place, wheel or whole. */
const props = defineProps<{ writable: boolean }>();
const job = useOpenJob();
const rows = computed(() => arrivalsOf(job.history));
const NAME: Readonly<Record<Arrival, string>> = { there: 'There', loose: 'Loose, in a box', missing: 'Missing', unknown: 'Not known' };
const ARRIVALS = Object.keys(NAME) as readonly Arrival[];
const EVENT: Readonly<Record<Exclude<Arrival, 'there'>, PartEventKind>> = {
  loose: 'came_loose',
  missing: 'came_missing',
  unknown: 'came_unknown',
};
const corners = computed(() => [...new Set(rows.value.map((r) => r.slot.corner))]);
const nameOf = (c: Corner | null): string => (c ? CORNER_NAME[c] : 'The middle');
const at = (corner: Corner | null): ArrivalRow[] => rows.value.filter((r) => r.slot.corner === corner);
/** What all of several places came as; null where they differ. */
const common = (list: readonly ArrivalRow[]): Arrival | null => {
  const [first, ...others] = new Set(list.map((r) => r.arrival));
  return others.length === 0 ? (first ?? null) : null;
};
/** What did not come whole, in a line. */
const says = computed(() => {
  const count = (a: Arrival): number => rows.value.filter((r) => r.arrival === a).length;
  const parts = (['loose', 'missing', 'unknown'] as const).flatMap((a) => (count(a) > 0 ? [`${count(a)} ${NAME[a].toLowerCase()}`] : []));
  return parts.length === 0 ? 'all of it is there' : parts.join(' · ');
});
const saysOf = (list: readonly ArrivalRow[]): string =>
  list
    .filter((r) => r.arrival !== 'there')
    .map((r) => `${r.slot.name.toLowerCase()} ${NAME[r.arrival].toLowerCase()}`)
    .join(' · ') || 'all there';
const open = (list: readonly ArrivalRow[]): boolean => props.writable && list.some((r) => !r.settled);
function say(list: readonly ArrivalRow[], arrival: Arrival): void {
  for (const r of list) {
    if (r.settled || r.arrival === arrival) continue;
    if (r.came) job.takeBack(r.came.id);
    if (arrival === 'there') continue;
    job.add('partEvents', {
      ...{ partId: r.partId, kind: EVENT[arrival], slotId: r.slot.id, note: '', lot: null, lineOn: false, temporary: false, part: null },
    });
  }
}
</script>

<template>
  <section>
    <div class="headline">
      <h2>How it came</h2>
      <span class="second">{{ says }}</span>
    </div>
    <div class="row">
      <span class="plate-font">All of it</span>
      <v-btn-group class="choice" role="group" aria-label="All of it came">
        <v-btn v-for="a in ARRIVALS" :key="a" :aria-pressed="common(rows) === a" :disabled="!open(rows)" @click="say(rows, a)">
          {{ NAME[a] }}
        </v-btn>
      </v-btn-group>
    </div>
    <PlaceFold v-for="c in corners" :key="nameOf(c)" :name="nameOf(c)" :says="saysOf(at(c))">
      <div class="row">
        <span>All of it here</span>
        <v-btn-group class="choice" role="group" :aria-label="`All of it came: ${nameOf(c).toLowerCase()}`">
          <v-btn v-for="a in ARRIVALS" :key="a" :aria-pressed="common(at(c)) === a" :disabled="!open(at(c))" @click="say(at(c), a)">
            {{ NAME[a] }}
          </v-btn>
        </v-btn-group>
      </div>
      <div v-for="r in at(c)" :key="r.slot.id" class="row">
        <span>
          {{ r.slot.name }}
          <span v-if="r.settled" class="second small">worked on: it stands</span>
        </span>
        <v-btn-group class="choice" role="group" :aria-label="`${placeName(r.slot)} came`">
          <v-btn v-for="a in ARRIVALS" :key="a" :aria-pressed="r.arrival === a" :disabled="!open([r])" @click="say([r], a)">
            {{ NAME[a] }}
          </v-btn>
        </v-btn-group>
      </div>
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
.row {
  display: grid;
  grid-template-columns: 220px 1fr;
  gap: var(--space-3);
  align-items: center;
  padding: var(--space-1) 0;
}
.choice {
  flex-wrap: wrap;
  justify-self: start;
}
@media (max-width: 720px) {
  .row {
    grid-template-columns: 1fr;
    gap: 2px;
  }
}
</style>
