<script setup lang="ts">
import type { HandbackSheet } from '@dauer/core/ledger';
import { groupThousands } from '@dauer/core/quantity';
import { OWNER_SAYS } from '@dauer/core/wording';
import { PICTURE } from '@dauer/contract';
import { computed } from 'vue';
import { dayText } from '../../fittings/dates.ts';
import PairTable from '../../fittings/PairTable.vue';
import StrikeButton from './StrikeButton.vue';

/** What whoever drives takes home: what was wrong, what was done, what to watch and when to come back, in plain words. */
const props = defineProps<{ sheet: HandbackSheet; releasedAt: string | null; striking: boolean }>();
const emit = defineEmits<{ strike: [line: string, text: string] }>();
/** So many pairs stand on the one side of paper. */
const MOST_PAIRS = 8;
const page = computed(() => props.sheet.owner);
const lists = computed(() =>
  page.value
    ? [
        { key: 'wrong', title: OWNER_SAYS.wrong, lines: page.value.wrong, none: OWNER_SAYS.nothingWrong, after: page.value.why },
        { key: 'done', title: OWNER_SAYS.done, lines: page.value.done, none: OWNER_SAYS.nothingDone, after: '' },
      ]
    : [],
);
const imageOf = (hash: string): string => `${PICTURE.path.replace(':hash', hash)}?thumb=1`;
</script>

<template>
  <div v-if="page" class="owner">
    <p class="second">{{ releasedAt === null ? OWNER_SAYS.notYet : OWNER_SAYS.since(dayText(releasedAt)) }}</p>
    <section>
      <h2 class="line">{{ OWNER_SAYS.came }}</h2>
      <p>{{ OWNER_SAYS.complaint(sheet.complaint, sheet.complaintAnswer) }}</p>
    </section>
    <section v-for="l in lists" :key="l.key">
      <h2 class="line">{{ l.title }}</h2>
      <ul v-if="l.lines.length > 0">
        <li v-for="(w, i) in l.lines" :key="i">
          {{ w }}
          <StrikeButton v-if="striking" @strike="emit('strike', `owner.${l.key}.${i}`, w)" />
        </li>
      </ul>
      <p v-else class="second">{{ l.none }}</p>
      <p v-if="l.after">{{ l.after }}</p>
    </section>
    <section v-if="sheet.pairs && sheet.pairs.length > 0">
      <h2 class="line">{{ OWNER_SAYS.pairs }}</h2>
      <PairTable :pairs="sheet.pairs.slice(0, MOST_PAIRS)" />
    </section>
    <section v-if="page.pictures.length > 0" class="pictures">
      <figure v-for="p in page.pictures" :key="p.place">
        <img :src="imageOf(p.before)" :alt="`${p.place}, ${OWNER_SAYS.before.toLowerCase()}`" />
        <img :src="imageOf(p.after)" :alt="`${p.place}, ${OWNER_SAYS.after.toLowerCase()}`" />
        <figcaption class="second small">{{ OWNER_SAYS.seen(p.place) }}</figcaption>
      </figure>
    </section>
    <section>
      <h2 class="line">{{ OWNER_SAYS.watch }}</h2>
      <ul v-if="page.watch.length > 0">
        <li v-for="(w, i) in page.watch" :key="i">
          {{ w }}
          <StrikeButton v-if="striking" @strike="emit('strike', `owner.watch.${i}`, w)" />
        </li>
      </ul>
      <p v-else class="second">{{ OWNER_SAYS.nothingToWatch }}</p>
      <p v-if="page.habit">{{ page.habit }}</p>
    </section>
    <section>
      <h2 class="line">{{ OWNER_SAYS.back }}</h2>
      <ul v-if="page.back.length > 0">
        <li v-for="(b, i) in page.back" :key="i">
          <b>{{ dayText(b.on) }}{{ b.km === null ? '' : OWNER_SAYS.orAfter(groupThousands(b.km)) }}</b>
          {{ b.what }}
          <StrikeButton v-if="striking" @strike="emit('strike', `owner.back.${i}.what`, b.what)" />
        </li>
      </ul>
      <p v-else class="second">{{ OWNER_SAYS.noDate }}</p>
    </section>
    <p class="second small foot">{{ OWNER_SAYS.foot }}</p>
  </div>
</template>

<style scoped>
section {
  margin-top: var(--space-4);
  break-inside: avoid-page;
}
li {
  padding: var(--space-1) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.pictures {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4);
}
figure {
  margin: 0;
}
img {
  max-width: 200px;
  margin-right: var(--space-2);
}
.foot {
  margin-top: var(--space-5);
}
</style>
