<script setup lang="ts">
import { closingWords, sealingWords, wayInWords } from '@dauer/core/wording';
import { type Corner, CORNER_NAME, type Slot } from '@dauer/core/layout';
import { type OnlyNow, onlyNow, onlyNowAtWheel, onlyNowInboard, onlyNowInside } from '@dauer/core/views';
import { computed } from 'vue';
import { useOpenJob } from './openJob.ts';

/** Before a step closes an access: what can only be done now, with minutes each. One tap does it, or leaves it by name. */
const props = defineProps<{ place?: Slot; wheel?: Corner; unit?: Slot; inboard?: Slot }>();
const job = useOpenJob();
const all = computed<OnlyNow[]>(() => {
  if (props.wheel) return onlyNowAtWheel(job.state, props.wheel);
  if (props.inboard) return onlyNowInboard(job.state, props.inboard);
  if (props.unit) return onlyNowInside(job.state, props.unit);
  return props.place ? onlyNow(job.state, props.place) : [];
});
const owed = computed(() => all.value.filter((x) => !x.wanted && x.left === null));
const wanted = computed(() => all.value.filter((x) => x.wanted && x.left === null));
const left = computed(() => all.value.filter((x) => x.left !== null));
const before = computed(() => {
  if (props.wheel) return `Before the ${CORNER_NAME[props.wheel].toLowerCase()} wheel goes on`;
  if (props.inboard) return wayInWords(props.inboard);
  if (props.unit) return sealingWords(props.unit);
  return props.place ? closingWords(props.place) : '';
});
const minutes = computed(() => owed.value.reduce((sum, x) => sum + x.minutes, 0));
const leftWords = (n: number): string => `${n} left undone`;
const pathOf = (x: OnlyNow) => ({ path: `/jobs/${job.records.job.id}/${x.stage}`, query: { pick: x.slot.id } });
function leave(list: readonly OnlyNow[]): void {
  const closedBy = (props.place ?? props.unit ?? props.inboard)?.id ?? null;
  job.together(leftWords(list.length), () =>
    list.forEach((x) => job.add('leftItems', { closedBy, slotId: x.slot.id, item: x.key, what: x.what })),
  );
}
</script>

<template>
  <div v-if="all.length > 0" class="now" role="note">
    <b class="plate-font">
      {{ owed.length > 0 ? `${before}: ${owed.length} to do, about ${minutes} min` : `${before}: nothing is owed` }}
    </b>
    <ul>
      <li v-for="x in owed" :key="x.key">
        <RouterLink class="go" :to="pathOf(x)">{{ x.what }}</RouterLink>
        <span class="second small fig">{{ x.minutes }} min</span>
        <button class="link" type="button" :aria-label="`Leave: ${x.what}`" @click="leave([x])">leave it</button>
      </li>
    </ul>
    <template v-if="wanted.length > 0">
      <p class="second small">Can only be taken now, though nobody owes it:</p>
      <ul>
        <li v-for="x in wanted" :key="x.key">
          <RouterLink class="go" :to="pathOf(x)">{{ x.what }}</RouterLink>
          <span class="second small fig">{{ x.minutes }} min</span>
          <button class="link" type="button" :aria-label="`Leave: ${x.what}`" @click="leave([x])">leave it</button>
        </li>
      </ul>
    </template>
    <v-btn v-if="owed.length + wanted.length > 1" class="act slim" @click="leave([...owed, ...wanted])">
      Leave all {{ owed.length + wanted.length }} undone
    </v-btn>
    <ul v-if="left.length > 0" class="left">
      <li v-for="x in left" :key="x.key" class="second small">
        {{ x.what }}: left by {{ x.left ? job.by(x.left) : '' }}
        <button class="link" type="button" :aria-label="`Take up again: ${x.what}`" @click="x.left && job.takeBack(x.left.id)">
          take it up again
        </button>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.now {
  flex: 1 1 100%;
  border: var(--line-drawn) solid var(--ink);
  border-radius: var(--corner);
  padding: var(--space-2) var(--space-3);
}
b {
  font-size: var(--type-caption);
}
li {
  display: flex;
  gap: var(--space-3);
  align-items: baseline;
  min-height: 32px;
  padding-block: 2px;
}
li > :not(.go) {
  flex: none;
}
li > .go {
  flex: 1 1 auto;
}
.left {
  margin-top: 6px;
  border-top: var(--line-hair) solid var(--hair);
  padding-top: var(--space-1);
}
</style>
