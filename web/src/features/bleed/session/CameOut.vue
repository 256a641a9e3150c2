<script setup lang="ts">
import type { SessionBleeder } from '@dauer/core/stages';
import { computed } from 'vue';

/** What came out, a tick a stroke in its colour, with the air under it. */
const props = defineProps<{ bleeder: SessionBleeder }>();
const airy = computed(() => props.bleeder.strokes.flatMap((s, i) => (s.air === 'none' ? [] : [i + 1])));
</script>

<template>
  <div>
    <h3>What came out</h3>
    <div class="strip" role="img" :aria-label="`${bleeder.strokes.length} strokes${airy.length > 0 ? `, air at ${airy.join(', ')}` : ''}`">
      <span v-for="(s, i) in bleeder.strokes" :key="i" class="one">
        <span class="tick" :class="s.colour" />
        <span class="air" :class="{ has: s.air !== 'none', foam: s.air === 'foam' }" />
      </span>
      <span class="second small">
        {{ bleeder.strokes.length === 0 ? 'nothing yet' : airy.length > 0 ? `air at ${airy.join(', ')}` : 'no air' }}
      </span>
    </div>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1);
  align-items: flex-start;
  min-height: var(--touch);
}
.one {
  display: grid;
  justify-items: center;
  gap: 3px;
}
.tick {
  width: 15px;
  height: 25px;
}
.dark {
  background: var(--fluid-dark);
}
.amber {
  background: var(--fluid-amber);
}
.clear {
  background: var(--fluid-clear);
}
.air {
  width: 9px;
  height: 9px;
}
.has {
  border: var(--line-drawn) solid var(--ink);
  border-radius: 50%;
}
.foam {
  background: var(--ink);
}
</style>
