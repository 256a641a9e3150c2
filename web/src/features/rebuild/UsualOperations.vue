<script setup lang="ts">
import type { Component } from '@dauer/core/judging';
import { placeName } from '@dauer/core/layout';
import { computed } from 'vue';
import { hoursText } from '../../fittings/dates.ts';

/** Operations that usually follow from what was decided, to be put on the list one by one or together. */
const props = defineProps<{
  proposals: readonly { readonly c: Component; readonly t: { readonly title: string; readonly attendedMinutes: number } }[];
}>();
const emit = defineEmits<{ plan: [slotId: string, title: string, minutes: number] }>();
const total = computed(() => props.proposals.reduce((sum, p) => sum + p.t.attendedMinutes, 0));
function put(list: typeof props.proposals): void {
  for (const { c, t } of list) emit('plan', c.slot.id, t.title, t.attendedMinutes);
}
</script>

<template>
  <div class="proposals">
    <div class="top">
      <h3>Usual for what was decided</h3>
      <span class="grow" />
      <v-btn class="act slim" @click="put(proposals)">
        {{ proposals.length === 1 ? 'Put it on the list' : `Put all ${proposals.length} on the list` }}
        <span>{{ hoursText(total) }}</span>
      </v-btn>
    </div>
    <ul v-if="proposals.length > 1">
      <li v-for="p in proposals" :key="p.c.slot.id">
        <span class="where plate-font">{{ placeName(p.c.slot) }}</span>
        <span class="what">{{ p.t.title }}</span>
        <span class="fig min">{{ p.t.attendedMinutes }} min</span>
        <v-btn class="act slim" :aria-label="`Put on the list: ${placeName(p.c.slot)}, ${p.t.title}`" @click="put([p])">Add</v-btn>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.proposals {
  margin: var(--space-4) 0 var(--space-2);
}
.top {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  border-bottom: var(--line-hair) solid var(--slate);
  padding-bottom: 6px;
}
.grow {
  flex: 1;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 210px) minmax(0, 1fr) auto auto;
  gap: var(--space-3);
  align-items: center;
  padding: var(--space-1) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.where {
  font-size: var(--type-tag);
}
.what {
  color: var(--ink2);
}
.min {
  text-align: right;
}
@media (max-width: 720px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto auto;
  }
  .where {
    grid-column: 1 / -1;
  }
}
</style>
