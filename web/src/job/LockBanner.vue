<script setup lang="ts">
import { isLockPassed } from '@dauer/core/job';
import { controlsOf } from '@dauer/core/layout';
import { boardOn, isCharged } from '@dauer/core/readiness';
import { STILL_FREE, STORED } from '@dauer/core/wording';
import { computed } from 'vue';
import { useOpenJob } from './openJob.ts';

/** What must not be pressed now, which unit makes it so, and whether a lead may pass it. */
const job = useOpenJob();
const locks = computed(() => {
  const s = job.state;
  if (s.released) return [];
  return s.context.proofStatus.locks.map((l) => {
    const passed = l.passable && isLockPassed(s, l.control);
    const who = passed
      ? 'Passed by a lead with a reason.'
      : l.passable
        ? 'A lead may pass it with a reason.'
        : 'A piston can come out, or fluid: nobody passes this.';
    return { l, who };
  });
});
const needsBoard = (l: (typeof locks.value)[number]['l']): boolean =>
  job.writable && !l.passable && boardOn(l.control, job.state.context.proofStatus.places) === null;
/** Nothing is opened while a spring or a tank waits behind it. */
const charged = computed(() => !job.state.released && isCharged(job.state.history));
const control = computed(() => controlsOf(job.state.records.layout)[0] ?? null);
function madeSafe(): void {
  if (control.value) job.add('putIns', { slotId: control.value.slotId, what: 'made_safe', note: '' });
}
</script>

<template>
  <div v-if="charged || locks.length > 0" class="locks" role="status">
    <p v-if="charged" class="lock">
      <b class="plate-font">Stored energy</b>
      <span>{{ STORED.charged }}</span>
      <button v-if="job.writable && control" class="link small" type="button" @click="madeSafe">
        The tanks are drained, the springs caged
      </button>
    </p>
    <p v-for="({ l, who }, i) in locks" :key="l.control.slotId" class="lock">
      <b class="plate-font">{{ l.control.name }} locked</b>
      <span>{{ l.why }}</span>
      <span class="second small">{{ who }} {{ i === 0 ? STILL_FREE : '' }}</span>
      <button
        v-if="needsBoard(l)"
        class="link small"
        type="button"
        @click="job.add('putIns', { slotId: l.control.slotId, what: 'board', note: '' })"
      >
        A board lies on the {{ l.control.name.toLowerCase() }}
      </button>
      <RouterLink v-if="i === 0 && !l.passable" class="link small" :to="`/jobs/${job.state.records.job.id}/board`">
        Print what goes on it
      </RouterLink>
      <button class="link small" type="button" @click="job.playing = { step: 'press', slotId: l.control.slotId }">If I press now</button>
    </p>
  </div>
</template>

<style scoped>
.locks {
  margin: var(--space-2) 0;
  border: var(--line-head) solid var(--ink);
  background: var(--plate);
  border-radius: var(--corner);
}
.lock {
  display: flex;
  gap: var(--space-1) var(--space-3);
  flex-wrap: wrap;
  align-items: baseline;
  padding: var(--space-2) var(--space-3);
}
.lock + .lock {
  border-top: var(--line-hair) solid var(--hair);
}
b {
  font-size: var(--type-tab);
  line-height: var(--leading);
}
</style>
