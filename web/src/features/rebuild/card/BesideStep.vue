<script setup lang="ts">
import { counterpart, placeName } from '@dauer/core/layout';
import { cardAt, type CardState, cardState, runOf, type StepState, stripOf, stripPattern } from '@dauer/core/readiness';
import { CAMERA, STRIP, STRIP_FIELD } from '@dauer/core/wording';
import { computed, defineAsyncComponent, ref } from 'vue';
import { timeNow } from '../../../app/client.ts';
import { dayText } from '../../../fittings/dates.ts';
import { useOpenJob } from '../../../job/openJob.ts';
import PinnedNotes from '../../../job/notes/PinnedNotes.vue';
import PictureRow from '../../../job/PictureRow.vue';
import StripBoard from '../strip/StripBoard.vue';

/** Beside a step: what was told of it at the other side, pictures, and what is owed before the card closes. */
const props = defineProps<{ state: CardState; at: StepState }>();
const emit = defineEmits<{ pick: [stepId: string]; strip: [] }>();
const job = useOpenJob();
/** The same step at the other side, with what was told of it there: shown first. */
const other = computed(() => counterpart(job.history.records.layout, props.state.slot) ?? null);
const mirrored = computed(() => {
  const run = other.value && cardAt(job.history, other.value.id, runOf(props.state.run));
  const state = run && cardState(job.history, run, timeNow().at);
  const step = state?.steps.find((s) => s.step.id === props.at.step.id);
  return step && (step.tell?.note || step.status === 'not_here') ? step.tell : null;
});
const otherPictures = computed(() => job.history.active(job.history.records.pictures).filter((p) => p.slotId === other.value?.id).length);
const CameraOverlay = defineAsyncComponent(() => import('./CameraOverlay.vue'));
/** The other side is laid over what the camera sees. */
const laying = ref(false);
/** What came off here, played backwards as it goes together; before that the other side as it came apart. */
const strip = computed(() => stripOf(job.history, props.state.slot));
const pattern = computed(() => stripPattern(job.history, props.state.slot));
const comesApart = computed(() => ['before lifting', 'strip'].includes(props.at.step.group));
const leftOpen = computed(() => props.state.steps.filter((s) => s.step.obliged && s.status === 'open' && s !== props.at));
</script>

<template>
  <aside class="beside" aria-label="Beside this step">
    <template v-if="other && at.step.unlike">
      <h3>Unlike by design</h3>
      <p>{{ at.step.unlike }}</p>
    </template>
    <template v-if="other && (mirrored || otherPictures > 0)">
      <h3>{{ at.step.unlike ? `${placeName(other)}: there, not here` : `${placeName(other)}, first` }}</h3>
      <p v-if="mirrored">
        “{{ mirrored.note }}”
        <span class="second small">{{ job.by(mirrored) }}, {{ dayText(mirrored.happenedAt) }}</span>
      </p>
      <PictureRow v-if="otherPictures > 0" of="place" :slot-id="other.id" :label="`Pictures of the ${placeName(other).toLowerCase()}`" />
    </template>
    <PinnedNotes :slot-of="state.slot" :step="{ cardId: state.run.cardId, stepId: at.step.id }" />
    <template v-if="pattern && (comesApart || strip.pieces.length === 0)">
      <h3>{{ STRIP.pattern(pattern.of, pattern) }}</h3>
      <StripBoard :slot-of="state.slot" :pieces="pattern.pieces" :label="STRIP.pattern(pattern.of, pattern)" />
      <p class="second small">{{ pattern.pieces.map((p) => `${p.number} ${p.mark.what}`).join(' · ') }}</p>
    </template>
    <template v-else-if="strip.pieces.length > 0">
      <h3>{{ STRIP.title }}</h3>
      <StripBoard :slot-of="state.slot" :pieces="strip.pieces" :lit="strip.next?.mark.id ?? null" :label="STRIP.title" />
      <p class="second small">{{ strip.next ? STRIP.first(strip.next.number) : STRIP.done }}</p>
    </template>
    <button type="button" class="link small to" @click="emit('strip')">{{ STRIP_FIELD.open }}</button>
    <template v-if="other">
      <button type="button" class="link small to" @click="laying = true">{{ CAMERA.open }}</button>
      <CameraOverlay v-if="laying" :slot-of="state.slot" :other="other" :writable="job.writable" @close="laying = false" />
    </template>
    <h3>Pictures</h3>
    <PictureRow of="place" :slot-id="state.slot.id" label="Take a picture" />
    <template v-if="leftOpen.length > 0">
      <h3>Before this closes</h3>
      <ul class="left">
        <li v-for="s in leftOpen.slice(0, 6)" :key="s.step.id">
          <button type="button" class="link small" @click="emit('pick', s.step.id)">{{ s.step.words }}</button>
        </li>
        <li v-if="leftOpen.length > 6" class="second small">and {{ leftOpen.length - 6 }} more</li>
      </ul>
    </template>
  </aside>
</template>

<style scoped>
.beside {
  display: grid;
  gap: var(--space-2);
  align-content: start;
}
.beside h3 {
  border-bottom: var(--line-hair) solid var(--ink);
}
.to {
  justify-self: start;
}
.left {
  display: grid;
}
.left .link {
  text-align: left;
}
</style>
