<script setup lang="ts">
import { type Corner, CORNER_NAME } from '@dauer/core/layout';
import type { Observation } from '@dauer/core/ledger';
import type { AskedOf } from '@dauer/core/views';
import { computed } from 'vue';
import TriAnswer from './TriAnswer.vue';
import TriStateButton from './TriStateButton.vue';

/** What is seen at each wheel: all wheels beside each other, or one that is picked on the map, answered in one tap. */
const props = defineProps<{
  items: readonly AskedOf[];
  corners: readonly Corner[];
  picked: Corner | null;
  writable: boolean;
  stateOf: (code: string, corner: Corner) => Observation['state'];
}>();
const emit = defineEmits<{ answer: [code: string, corner: Corner, state: Observation['state']] }>();
const NEXT: Record<Observation['state'], Observation['state']> = { not_checked: 'seen', seen: 'not_seen', not_seen: 'not_checked' };
const WORD = { seen: 'Seen', not_seen: 'Not seen', not_checked: 'Not checked' } as const;
/** Of the wheel that is picked. */
const here = computed(() => props.items.filter((o) => props.picked !== null && o.corners.includes(props.picked)));
const tap = (code: string, corner: Corner): void => emit('answer', code, corner, NEXT[props.stateOf(code, corner)]);
</script>

<template>
  <p v-if="corners.length === 0" class="second">No corner is taken in by this job.</p>
  <ul v-else-if="picked" class="one">
    <li v-for="o in here" :key="o.code">
      <span class="text">{{ o.text }}</span>
      <TriAnswer
        :label="`${o.text}, ${CORNER_NAME[picked]}`"
        :state="stateOf(o.code, picked)"
        :writable="writable"
        @answer="(s) => picked && emit('answer', o.code, picked, s)"
      />
    </li>
  </ul>
  <div v-else class="scroll">
    <table aria-label="Observations at each wheel">
      <thead>
        <tr>
          <td />
          <th v-for="c in corners" :key="c" scope="col">{{ CORNER_NAME[c] }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="o in items" :key="o.code">
          <th scope="row">{{ o.text }}</th>
          <td v-for="c in corners" :key="c">
            <TriStateButton
              v-if="o.corners.includes(c)"
              class="cell"
              :class="{ not_checked: stateOf(o.code, c) === 'not_checked' }"
              :way="stateOf(o.code, c)"
              :on="true"
              :writable="writable"
              :aria-label="`${o.text}, ${CORNER_NAME[c]}: ${stateOf(o.code, c).replace('_', ' ')}`"
              @click="tap(o.code, c)"
            >
              {{ WORD[stateOf(o.code, c)] }}
            </TriStateButton>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.one {
  columns: 2;
  column-gap: var(--space-6);
}
.one li {
  display: flex;
  align-items: center;
  gap: var(--space-2);
  border-bottom: var(--line-hair) solid var(--hair);
  min-height: 52px;
  break-inside: avoid;
}
.text {
  flex: 1;
  line-height: var(--leading-tight);
}
.cell {
  width: 100%;
  min-width: 96px;
}
.cell.not_checked {
  color: var(--blue);
  border-bottom-color: var(--hair);
}
td {
  padding: var(--space-1) var(--space-2) var(--space-1) 0;
}
tbody th {
  border-bottom: var(--line-hair) solid var(--hair);
  font: 400 var(--type-body)/var(--leading-tight) var(--text-font);
  color: var(--ink);
}
@media (max-width: 1180px) {
  .one {
    columns: 1;
  }
}
@media (max-width: 560px) {
  .one li {
    flex-wrap: wrap;
    padding: 6px 0;
  }
  .text {
    flex: 1 1 100%;
  }
}
</style>
