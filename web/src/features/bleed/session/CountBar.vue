<script setup lang="ts">
import type { BleedPull } from '@dauer/core/ledger';
import { fixed } from '@dauer/core/quantity';
import type { SessionBleeder, SessionState } from '@dauer/core/stages';
import { METHOD_NAME } from '@dauer/core/wording';
import { ref } from 'vue';
import { useFoot } from '../../../fittings/useFoot.ts';

/** The count at the foot of a session: which stroke, what came so far, and the next one under the thumb. */
defineProps<{ state: SessionState; at: SessionBleeder; counts: boolean }>();
const emit = defineEmits<{ stroke: [air: BleedPull['air']]; fill: []; back: [] }>();
const here = ref<HTMLElement | null>(null);
useFoot(here);
</script>

<template>
  <div ref="here" class="footbar bar" role="region" aria-label="The count">
    <div>
      <b class="plate-font title">{{ at.strokes.length === 0 ? 'No stroke yet' : `Stroke ${at.strokes.length}` }}</b>
      <span class="beside">
        {{ METHOD_NAME[state.session.method].toLowerCase() }}, about {{ fixed(state.stroke.ml, 1) }} mL a stroke{{
          state.stroke.corrected ? ', by the level' : ', a guess'
        }}
      </span>
    </div>
    <div>
      <span class="big fig">{{ Math.round(at.freshMl) }}</span>
      <span class="beside">mL of {{ Math.round(at.exchangeMl) }}</span>
    </div>
    <div v-if="counts" class="acts">
      <v-btn v-if="state.last && state.last.kind !== 'took_over'" class="act" @click="emit('back')">Take back</v-btn>
      <v-btn v-if="!state.stops" class="act" @click="emit('stroke', 'bubbles')">
        With air
        <kbd>a</kbd>
      </v-btn>
      <v-btn class="act main" @click="state.stops ? emit('fill') : emit('stroke', 'none')">
        {{ state.stops ? 'Fill it up' : 'Stroke' }}
        <kbd>{{ state.stops ? 'r' : 'Space' }}</kbd>
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
.beside {
  font-size: var(--type-second);
  color: var(--bar-text2);
}
.big {
  font-size: 44px;
  line-height: 1;
  color: var(--bar-figure);
  margin-right: var(--space-2);
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
  .acts {
    grid-column: 1 / -1;
    flex-wrap: wrap;
  }
}
</style>
