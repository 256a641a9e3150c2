<script setup lang="ts">
import type { Completeness } from '@dauer/core/estimate';
import { CORNER_NAME } from '@dauer/core/layout';
import { ORDER_THING_NAME } from '@dauer/core/wording';
import { computed } from 'vue';
import { useOpenJob } from '../../../job/openJob.ts';

/** Small things that a second order is made for: looked at and needed or not, wheel by wheel, before the first order. */
const props = defineProps<{ looks: readonly Completeness[]; writable: boolean }>();
const job = useOpenJob();
const corners = computed(() => [...new Set(props.looks.map((l) => l.corner))]);
const open = computed(() => props.looks.filter((l) => l.state === 'nobody'));
const cornerName = (c: Completeness['corner']): string => (c === null ? 'The middle' : CORNER_NAME[c]);
const at = (corner: Completeness['corner']): readonly Completeness[] => props.looks.filter((l) => l.corner === corner);
const FROM = { decision: 'as decided', intake: 'as tried at intake', look: '' } as const;
const WORD = { needed: 'needed', not_needed: 'not needed', left: 'left without a look', nobody: '' } as const;
function say(l: Completeness, answer: 'needed' | 'not_needed'): void {
  job.add('orderLooks', { corner: l.corner, thing: l.thing, answer });
}
function leave(): void {
  const list = open.value;
  job.together(`Ordered without a look: ${list.length} things`, () =>
    list.forEach((l) => job.add('orderLooks', { corner: l.corner, thing: l.thing, answer: 'left' })),
  );
}
</script>

<template>
  <details class="looks" :open="open.length > 0" aria-label="Looked at before the order">
    <summary>
      <b class="plate-font">Looked at before the order</b>
      <span class="second">{{ open.length === 0 ? 'everything' : `${open.length} that nobody looked at` }}</span>
    </summary>
    <p class="second small">The costly order is the second one. Say of each whether it is needed, or leave the rest by name.</p>
    <div class="grid">
      <div v-for="c in corners" :key="c ?? 'middle'" class="corner" role="group" :aria-label="cornerName(c)">
        <b class="plate-font">{{ cornerName(c) }}</b>
        <div v-for="l in at(c)" :key="l.thing" class="thing">
          <span :class="{ second: l.state !== 'nobody' }">{{ ORDER_THING_NAME[l.thing] }}</span>
          <span v-if="l.state !== 'nobody' && l.from !== 'look'" class="second small">
            {{ WORD[l.state] }}, {{ l.from ? FROM[l.from] : '' }}
          </span>
          <span v-else-if="writable" class="pair">
            <button
              type="button"
              class="act slim"
              :aria-pressed="l.state === 'needed'"
              :aria-label="`${ORDER_THING_NAME[l.thing]}, ${cornerName(c).toLowerCase()}: needed`"
              @click="say(l, 'needed')"
            >
              Needed
            </button>
            <button
              type="button"
              class="act slim"
              :aria-pressed="l.state === 'not_needed'"
              :aria-label="`${ORDER_THING_NAME[l.thing]}, ${cornerName(c).toLowerCase()}: not needed`"
              @click="say(l, 'not_needed')"
            >
              Not needed
            </button>
            <span v-if="l.state === 'left'" class="second small">left</span>
          </span>
          <span v-else class="second small">{{ WORD[l.state] || 'nobody looked' }}</span>
        </div>
      </div>
    </div>
    <p v-if="writable && open.length > 0">
      <v-btn class="act" @click="leave">Leave the other {{ open.length }} by name</v-btn>
    </p>
  </details>
</template>

<style scoped>
.looks {
  padding: var(--space-2) 0;
}
.looks summary {
  cursor: pointer;
  min-height: var(--touch);
  display: flex;
  gap: var(--space-3);
  align-items: center;
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(340px, 1fr));
  gap: var(--space-3) var(--space-5);
  padding: var(--space-2) 0;
}
.thing {
  display: flex;
  gap: var(--space-2);
  align-items: center;
  justify-content: space-between;
  min-height: var(--touch);
  border-bottom: var(--line-hair) solid var(--hair);
}
.pair {
  display: flex;
  gap: var(--space-1);
  align-items: center;
}
@media (max-width: 560px) {
  .grid {
    grid-template-columns: minmax(0, 1fr);
  }
  .thing {
    flex-wrap: wrap;
    padding-bottom: var(--space-1);
  }
}
</style>
