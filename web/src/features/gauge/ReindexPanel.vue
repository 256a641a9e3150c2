<script setup lang="ts">
import { studsWords } from '@dauer/core/wording';
import { type Component, onStuds } from '@dauer/core/judging';
import { fixed } from '@dauer/core/quantity';
import { computed, ref, watch } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';

/** Hub against rotor: sweep, turn the rotor on its studs, sweep again, and the position that runs truest. */
const props = defineProps<{ component: Component; limit: number | null; writable: boolean }>();
const emit = defineEmits<{ sweep: [turn: number, studs: number] }>();
const job = useOpenJob();
const known = computed(() => job.history.sets.findLast((s) => s.slotId === props.component.slot.id && s.studs !== null)?.studs ?? null);
const typed = ref(String(known.value ?? 5));
watch(known, (n) => {
  if (n !== null) typed.value = String(n);
});
const studs = computed(() => (/^\d{1,2}$/.test(typed.value.trim()) ? Number(typed.value.trim()) : 0));
const found = computed(() =>
  onStuds(job.history, props.component.slot.id, props.component.part?.id ?? null, studs.value, props.limit ?? 0.1),
);
const mm = (v: number | undefined): string => fixed(v ?? 0, 2);
const words = computed(() => (found.value ? studsWords(found.value) : null));
const worst = computed(() => Math.max(...(found.value?.result?.predicted ?? [0.01]), props.limit ?? 0));
</script>

<template>
  <section v-if="found?.first" class="working">
    <h2>Hub or rotor?</h2>
    <div class="row">
      <label>
        Studs
        <input v-model="typed" inputmode="numeric" size="3" aria-label="Studs of the hub" />
      </label>
      <p v-if="found.refused" class="problem">{{ found.refused.message }}</p>
      <template v-else-if="!found.second">
        <p>
          The sweep alone cannot tell. Take the rotor off, turn it
          <b>{{ found.turn === 1 ? 'one stud' : `${found.turn} studs` }}</b>
          on in the direction in which studs are counted, and sweep again from the same stud of the hub. Only where no screw or dowel ties
          it to one position.
        </p>
        <v-btn v-if="writable" class="act" @click="emit('sweep', found.turn, studs)">It is turned: sweep again</v-btn>
      </template>
    </div>
    <template v-if="found.result">
      <p class="advice">{{ words?.advice }}</p>
      <div class="row">
        <svg class="bars" :viewBox="`0 0 ${found.result.predicted.length * 56 + 8} 96`" role="img" aria-label="Wobble in each position">
          <path v-if="limit" :d="`M0 ${70 - (limit / worst) * 54}H400`" class="limit" />
          <g v-for="(p, j) in found.result.predicted" :key="j" :class="{ best: j === found.result.best }">
            <rect :x="j * 56 + 12" :y="70 - (p / worst) * 54" width="36" :height="(p / worst) * 54" />
            <text :x="j * 56 + 30" :y="66 - (p / worst) * 54" text-anchor="middle" class="bf">{{ mm(p) }}</text>
            <text :x="j * 56 + 30" y="88" text-anchor="middle" class="bn">{{ j === 0 ? 'as it sat' : `+${j}` }}</text>
          </g>
        </svg>
        <p class="second small">{{ words?.apart }}</p>
        <p v-if="found.proof" class="proof">{{ words?.proof }}</p>
        <v-btn v-else-if="writable" class="act" @click="emit('sweep', found.result.best, studs)">
          {{ found.result.best === 0 ? 'It is back: sweep to prove' : `It sits ${found.result.best} on: sweep to prove` }}
        </v-btn>
      </div>
    </template>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  gap: var(--space-3) 20px;
  align-items: center;
  flex-wrap: wrap;
}
.row p {
  flex: 1 1 280px;
  font-size: var(--type-paragraph);
  line-height: 21px;
}
label {
  display: flex;
  gap: var(--space-2);
  align-items: center;
  font-size: var(--type-paragraph);
}
input {
  width: var(--tall);
  min-height: var(--touch);
  padding: 0 var(--space-2);
  font: 400 var(--type-caption) var(--figure-font);
  border: var(--line-hair) solid var(--blue);
  border-radius: var(--corner);
  background: var(--plate);
  color: var(--ink);
}
.advice {
  font-size: var(--type-caption);
  line-height: 26px;
  margin: 6px 0;
}
.bars {
  height: 96px;
}
.bars rect {
  fill: var(--plate);
  stroke: var(--ink);
}
.best rect {
  fill: var(--ink);
}
.limit {
  stroke: var(--ink);
  stroke-width: 1.5;
}
.bf {
  font: 400 var(--type-least) var(--figure-font);
  fill: var(--ink);
}
.best .bf {
  font-weight: 700;
}
.bn {
  font: 600 var(--type-second) var(--plate-font);
  fill: var(--ink2);
}
.row .proof {
  flex: 0 1 auto;
}
</style>
