<script setup lang="ts">
import type { StepState } from '@dauer/core/readiness';
import { WORK_PLACE_NAME } from '@dauer/core/wording';
import { ref } from 'vue';
import { useFoot } from '../../../fittings/useFoot.ts';

/** The foot of the bench: which step, where it is done, what comes after it, and done under the thumb. */
defineProps<{ at: StepState; number: number; of: number; after: StepState | null; able: boolean; writable: boolean; byRecord: boolean }>();
const emit = defineEmits<{ done: []; move: [by: number]; notHere: [] }>();
const here = ref<HTMLElement | null>(null);
useFoot(here);
</script>

<template>
  <div ref="here" class="footbar bar" role="region" aria-label="This step">
    <div>
      <b class="plate-font title">Step {{ number }} of {{ of }}</b>
      <span class="beside">
        {{ WORK_PLACE_NAME[at.step.at] }}{{ at.step.second ? ', with a second person' : ''
        }}{{ at.step.minutes > 0 ? `, ${at.step.minutes} min` : '' }}
      </span>
    </div>
    <div class="next">
      <b v-if="after" class="plate-font title">Next: {{ after.step.words }}</b>
      <b v-else class="plate-font title">Nothing after it</b>
      <span class="beside">
        <kbd>←</kbd>
        <kbd>→</kbd>
        another step, a foot switch is Enter
      </span>
    </div>
    <div v-if="writable" class="acts">
      <v-btn class="act" :disabled="number <= 1" aria-label="The step before" @click="emit('move', -1)">Back</v-btn>
      <v-btn class="act" :disabled="number >= of" aria-label="The step after" @click="emit('move', 1)">Further</v-btn>
      <v-btn v-if="at.status === 'open'" class="act" @click="emit('notHere')">
        Not here
        <kbd>x</kbd>
      </v-btn>
      <v-btn v-if="at.status === 'open' && !byRecord" class="act main" :disabled="!able" @click="emit('done')">
        Done
        <kbd>Enter</kbd>
      </v-btn>
      <v-btn v-else-if="at.status !== 'open'" class="act main" :disabled="number >= of" @click="emit('move', 1)">
        Further
        <kbd>Enter</kbd>
      </v-btn>
    </div>
  </div>
</template>

<style scoped>
.bar {
  grid-template-columns: calc(var(--map) - var(--space-5)) minmax(0, 1fr) auto;
}
.title {
  display: block;
  font-size: var(--type-title);
  line-height: 26px;
  color: var(--bar-figure);
}
.next .title {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.beside {
  font-size: var(--type-second);
  color: var(--bar-text2);
}
.acts {
  gap: var(--space-2);
}
kbd {
  margin-left: 6px;
  font: 400 var(--type-least)/var(--leading-tight) var(--figure-font);
}
@media (max-width: 1180px) {
  .bar {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .next {
    display: none;
  }
  .acts {
    grid-column: 1 / -1;
    flex-wrap: wrap;
  }
  .acts :deep(.main) {
    flex: 1 1 auto;
  }
}
</style>
