<script setup lang="ts">
import { MEASUREMENTS } from '@dauer/core/catalogue';
import { moveTo, type Stray, strayRecords } from '@dauer/core/history';
import { placeName, type Slot } from '@dauer/core/layout';
import { familyOf } from '@dauer/core/ledger';
import { computed, ref } from 'vue';
import { dayText, timeText } from '../fittings/dates.ts';
import { useOpenJob } from './openJob.ts';

/** What came in at a place that was taken out of the layout meanwhile: in sight until it is moved or taken back. */
const job = useOpenJob();
const moving = ref<string | null>(null);
const strays = computed(() => (job.state.released ? [] : strayRecords(job.history)));
const figuresOf = ({ set }: Stray): string =>
  set
    ? job.history
        .taken(set)
        .map((t) => t.reading.typed)
        .join('  ')
    : '';
const whatOf = ({ set, family }: Stray): string => (set ? MEASUREMENTS[set.measurement].name : familyOf(family).label);
const placesFor = ({ set }: Stray): Slot[] =>
  set ? job.state.records.layout.slots.filter((s) => MEASUREMENTS[set.measurement].on.includes(s.kind)) : [];
function move({ set }: Stray, slotId: string): void {
  if (!set) return;
  job.add('setMoves', { ...moveTo(job.history, set, slotId), corrects: set.id });
  moving.value = null;
}
</script>

<template>
  <section v-if="strays.length > 0" class="strays no-print" aria-labelledby="strays">
    <h2 id="strays">At places that are gone</h2>
    <p>
      Taken while cut off, at a place that somebody took out of the layout meanwhile. It is in the book and judged nowhere: say where it
      belongs, or take it back. The vehicle is not handed back before.
    </p>
    <ul>
      <li v-for="s in strays" :key="s.record.id">
        <div class="what">
          <b class="plate-font">{{ whatOf(s) }}, {{ s.at.name.toLowerCase() }}</b>
          <span class="second small">{{ job.by(s.record) }}, {{ dayText(s.record.happenedAt) }} {{ timeText(s.record.happenedAt) }}</span>
        </div>
        <span v-if="figuresOf(s)" class="fig figures">{{ figuresOf(s) }}</span>
        <span v-if="job.writable" class="acts">
          <template v-if="moving === s.record.id">
            <span class="second">It was taken at the</span>
            <v-btn v-for="p in placesFor(s)" :key="p.id" class="act slim" @click="move(s, p.id)">{{ placeName(p) }}</v-btn>
            <v-btn class="act slim" @click="moving = null">Leave it</v-btn>
          </template>
          <template v-else>
            <v-btn v-if="placesFor(s).length > 0" class="act slim" @click="moving = s.record.id">
              Move the {{ whatOf(s).toLowerCase() }}
            </v-btn>
            <v-btn class="act slim" @click="job.takeBack(s.record.id)">Take the {{ whatOf(s).toLowerCase() }} back</v-btn>
          </template>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.strays {
  margin-top: var(--space-2);
  border: var(--line-drawn) solid var(--ink);
  border-radius: var(--corner);
  background: var(--plate);
  padding: var(--space-3) var(--space-4);
}
.strays > p {
  margin: var(--space-1) 0 var(--space-2);
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-4);
  align-items: center;
  min-height: var(--tall);
  border-top: var(--line-hair) solid var(--hair);
  padding: 6px 0;
}
.what {
  display: grid;
  flex: 1 1 240px;
}
.figures {
  overflow-wrap: anywhere;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: center;
}
</style>
