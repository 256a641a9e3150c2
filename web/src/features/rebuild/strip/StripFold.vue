<script setup lang="ts">
import { placeName, type Slot } from '@dauer/core/layout';
import { stripOf, stripPattern } from '@dauer/core/readiness';
import { STRIP_FIELD } from '@dauer/core/wording';
import { computed, ref } from 'vue';
import { useOpenJob } from '../../../job/openJob.ts';
import StripPanel from './StripPanel.vue';

/** Beside a unit: how many pieces came off it, and the way to them. */
const props = defineProps<{ slotOf: Slot; writable: boolean }>();
const job = useOpenJob();
const strip = computed(() => stripOf(job.history, props.slotOf));
const open = ref(false);
const useful = computed(() => props.writable || strip.value.pieces.length > 0 || stripPattern(job.history, props.slotOf) !== null);
</script>

<template>
  <div v-if="useful" class="fold">
    <p class="small">
      <button
        type="button"
        class="link"
        :aria-expanded="open"
        :aria-label="`${open ? STRIP_FIELD.close : STRIP_FIELD.open}: ${placeName(slotOf).toLowerCase()}`"
        @click="open = !open"
      >
        {{ open ? STRIP_FIELD.close : STRIP_FIELD.open }}
      </button>
      <span v-if="strip.pieces.length > 0" class="second">{{ STRIP_FIELD.marked(strip.pieces.length, strip.open.length) }}</span>
    </p>
    <StripPanel v-if="open" :slot-of="slotOf" :writable="writable" />
  </div>
</template>

<style scoped>
.fold {
  flex: 1 1 100%;
}
.second {
  margin-left: var(--space-2);
}
</style>
