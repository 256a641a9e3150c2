<script setup lang="ts">
import type { BeddingPlan } from '@dauer/core/ledger';
import { beddingOf } from '@dauer/core/readiness';
import { mayMove } from '@dauer/core/views';
import { PROOF_REFUSAL } from '@dauer/core/wording';
import { useEventListener, useNow } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useSpeech } from '../../app/speech.ts';
import { dayText } from '../../fittings/dates.ts';
import { useOpenJob } from '../../job/openJob.ts';
import BeddingForm from './BeddingForm.vue';

/** New linings bedded in by the product's own steps: counted off stop by stop, with how long it runs free between two. */
defineProps<{ writable: boolean }>();
const job = useOpenJob();
const state = computed(() => beddingOf(job.state.history));
const entering = ref(false);
/** What was driven by before, on this vehicle: offered, so that nobody types it twice. */
const before = computed<BeddingPlan | null>(
  () => job.state.history.active(job.state.records.beddingPlans).findLast((p) => p.jobId !== job.records.job.id) ?? null,
);
const drives = computed(() => mayMove(job.state)?.level === 'road_test');
const step = computed(() => (state.value?.now == null ? null : (state.value.steps[state.value.now] ?? null)));
const now = useNow({ interval: 250 });
const cooling = computed(() => {
  const until = state.value?.coolUntil;
  return until ? Math.max(0, Math.ceil((Date.parse(until) - now.value.getTime()) / 1000)) : 0;
});
const { on: aloud, can, say } = useSpeech();
watch(cooling, (s, was) => {
  if (s === 0 && was > 0 && step.value) say(`Next. ${step.value.fromKmh} to ${step.value.toKmh}.`);
});
function keep(plan: Pick<BeddingPlan, 'product' | 'steps' | 'source'>): void {
  job.add('beddingPlans', { product: plan.product, steps: [...plan.steps], source: plan.source });
  entering.value = false;
}
function stopped(): void {
  const s = state.value;
  if (!s || s.now === null || !step.value || !drives.value) return;
  job.add('beddingStops', { planId: s.plan.id, step: s.now });
  say(`Stop ${step.value.done + 1}. Free for ${step.value.coolS} seconds.`);
}
function back(): void {
  if (state.value?.last) job.takeBack(state.value.last);
}
const here = ref<HTMLElement | null>(null);
useEventListener(here, 'keydown', (event: KeyboardEvent) => {
  if (event.target !== here.value || (event.code !== 'Space' && event.key !== 'Enter') || event.repeat) return;
  event.preventDefault();
  stopped();
});
const clock = (s: number): string => `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
</script>

<template>
  <section aria-labelledby="bedding-title">
    <h2 id="bedding-title" class="line">Bedding in</h2>
    <template v-if="state">
      <p class="second small">
        {{ state.plan.product }}{{ state.plan.source ? `, ${state.plan.source}` : '' }}. What is not driven here is after-care.
        <span v-if="state.tooSoon > 0">{{ state.tooSoon }} of the stops came before it had run free.</span>
      </p>
      <ol class="steps">
        <li v-for="(s, i) in state.steps" :key="i" :aria-current="i === state.now ? 'step' : undefined">
          <span class="fig">{{ s.done }} of {{ s.stops }}</span>
          <span>
            from {{ s.fromKmh }} to {{ s.toKmh }} km/h, {{ s.coolS === 0 ? 'one after the other' : `${clock(s.coolS)} free between two` }}
          </span>
        </li>
      </ol>
      <div v-if="writable && step" ref="here" class="count" tabindex="0" role="group" aria-label="Stops of bedding in">
        <b class="big fig">{{ step.done + 1 }}</b>
        <span class="plate-font">{{ step.fromKmh }} → {{ step.toKmh }} km/h</span>
        <span class="second" role="timer">{{ cooling > 0 ? `runs free, ${clock(cooling)}` : 'may stop' }}</span>
        <v-btn class="act" :disabled="!drives" @click="stopped">
          Stopped
          <kbd>Space</kbd>
        </v-btn>
        <button v-if="state.last" class="link" type="button" @click="back">Take the last one back</button>
        <button v-if="can" class="link" type="button" :aria-pressed="aloud" @click="aloud = !aloud">
          {{ aloud ? 'Said aloud' : 'Say it aloud' }}
        </button>
      </div>
      <p v-if="writable && step && !drives" class="second small">{{ PROOF_REFUSAL.doNotMove }}</p>
      <p v-if="!step" class="second">Bedded in: {{ state.total }} stops, the last of its steps is driven.</p>
    </template>
    <p v-else class="second small">New linings on what they run on: by the product’s own steps, as far as the shop drives them.</p>
    <template v-if="writable && !entering">
      <v-btn v-if="!state" class="act" @click="entering = true">Enter its steps</v-btn>
      <button v-else class="link" type="button" @click="entering = true">other steps</button>
      <v-btn v-if="!state && before" class="act" @click="keep(before)">As on {{ dayText(before.happenedAt) }}: {{ before.product }}</v-btn>
    </template>
    <BeddingForm v-if="entering" :from="state?.plan ?? before" @keep="keep" @close="entering = false" />
  </section>
</template>

<style scoped>
section {
  margin-top: var(--space-4);
}
.steps li {
  display: flex;
  gap: var(--space-3);
  padding: var(--space-1) var(--space-2);
}
.steps li[aria-current] {
  background: var(--blue-tint);
}
.count {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4);
  align-items: center;
  border: var(--line-hair) solid var(--ink);
  background: var(--plate);
  padding: var(--space-3);
  margin: var(--space-3) 0;
}
.big {
  font-size: 44px;
  line-height: 1;
}
kbd {
  margin-left: 6px;
  font: 400 var(--type-least)/var(--leading-tight) var(--figure-font);
}
</style>
