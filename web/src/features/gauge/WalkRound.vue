<script setup lang="ts">
import { upperFirst } from '@dauer/core/quantity';
import { GAUGE_KIND_NAME } from '@dauer/core/catalogue';
import { CORNER_NAME } from '@dauer/core/layout';
import { type Stop, walkRound } from '@dauer/core/views';
import { computed, ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import { goTo, skipped } from '../../job/wanted.ts';

/** One walk round: everything that is owed, in the order that takes the least time. */
const job = useOpenJob();
const walk = computed(() => walkRound(job.state, new Set(skipped.value)));
const opened = ref(false);
const minutes = (s: number): string => `${Math.max(1, Math.round(s / 60))} min`;
const key = (s: Stop): string => `${s.slotId}|${s.measurement}`;
function skip(s: Stop): void {
  skipped.value = skipped.value.includes(key(s)) ? skipped.value.filter((x) => x !== key(s)) : [...skipped.value, key(s)];
}
const says = computed(() => {
  const w = walk.value;
  if (!w) return '';
  const list = w.secondsUnordered > w.seconds ? `; in the order of the list it would be ${minutes(w.secondsUnordered)}` : '';
  return `${w.stops.length} to take in about ${minutes(w.seconds)}, ${w.gaugeChanges} changes of gauge${list}.`;
});
/** Within its leg the wheel need not be said again. */
function shortOf(s: Stop): string {
  const bare = s.corner && !s.skipped ? s.place.replace(`${CORNER_NAME[s.corner]} `, '') : s.place;
  return `${upperFirst(bare)}, ${s.name.toLowerCase()}`;
}
const first = computed(() => walk.value?.stops[0] ?? null);
/** A heading where the wheel changes. */
const legs = computed(() => {
  const out: { name: string; stops: Stop[] }[] = [];
  for (const s of walk.value?.stops ?? []) {
    const name = s.skipped ? 'Skipped, at the end' : s.corner ? CORNER_NAME[s.corner] : 'The rest of the vehicle';
    const last = out.at(-1);
    if (last?.name === name) last.stops.push(s);
    else out.push({ name, stops: [s] });
  }
  return out;
});
</script>

<template>
  <section v-if="walk && walk.stops.length > 0" class="walk">
    <div class="top">
      <h2>One walk round</h2>
      <p class="second">{{ says }}</p>
      <v-btn v-if="first" class="act main" @click="goTo(first)">Begin: {{ first.place }}, {{ first.name.toLowerCase() }}</v-btn>
      <button class="link" type="button" :aria-expanded="opened" @click="opened = !opened">
        {{ opened ? 'Fold the route' : 'The route' }}
      </button>
    </div>
    <div v-if="opened" class="legs">
      <div v-for="(leg, i) in legs" :key="i">
        <h3>{{ leg.name }}</h3>
        <ol>
          <li v-for="s in leg.stops" :key="key(s)">
            <button type="button" class="link" @click="goTo(s)">{{ shortOf(s) }}</button>
            <span class="second small">
              {{ GAUGE_KIND_NAME[s.gauge] }}, {{ s.positions === 1 ? 'one figure' : `${s.positions} figures` }}
            </span>
            <button type="button" class="link" @click="skip(s)">{{ s.skipped ? 'In its turn' : 'Skip' }}</button>
          </li>
        </ol>
      </div>
    </div>
  </section>
</template>

<style scoped>
.walk {
  margin-top: var(--space-3);
  border-bottom: var(--line-hair) solid var(--slate);
  padding-bottom: var(--space-3);
}
.top {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) 20px;
  align-items: center;
}
.top p {
  flex: 1 1 320px;
}
.legs {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(380px, 1fr));
  gap: var(--space-3) var(--space-6);
  margin-top: var(--space-3);
}
li .link {
  text-align: left;
}
li .second {
  margin-left: auto;
}
li {
  display: flex;
  justify-content: space-between;
  gap: var(--space-3);
  align-items: center;
  min-height: var(--touch);
  border-bottom: var(--line-hair) solid var(--hair);
}
@media (max-width: 860px) {
  .legs {
    grid-template-columns: 1fr;
  }
}
</style>
