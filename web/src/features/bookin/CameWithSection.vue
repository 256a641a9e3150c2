<script setup lang="ts">
import { placeName, slotById } from '@dauer/core/layout';
import type { CameWith } from '@dauer/core/ledger';
import { compareCameWith } from '@dauer/core/stages';
import { computed, ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import PictureRow from '../../job/PictureRow.vue';

/** Parts that came with it, laid out and held against what the layout needs: what is there, what is missing, what does not fit. */
defineProps<{ writable: boolean }>();
const job = useOpenJob();
const FITS = { fits: 'Fits', does_not_fit: 'Does not fit', not_tried: 'Not tried' } as const;
const state = computed(() => compareCameWith(job.state.history));
const blank = () => ({
  name: '',
  slotId: null as string | null,
  partNumber: '',
  count: '1',
  fits: 'not_tried' as CameWith['fits'],
  note: '',
});
const f = ref(blank());
const open = ref(false);
const places = computed(() =>
  job.state.records.layout.slots.filter((s) => s.kind !== 'piston').map((s) => ({ value: s.id, title: placeName(s) })),
);
const placeOf = (id: string | null): string => {
  const slot = slotById(job.state.records.layout, id ?? '');
  return slot ? placeName(slot).toLowerCase() : 'no place named';
};
const count = computed(() => Number(f.value.count));
const countFault = computed(() =>
  Number.isInteger(count.value) && count.value >= 1 && count.value <= 999 ? '' : 'A whole number from 1.',
);
function layOut(): void {
  const slot = slotById(job.state.records.layout, f.value.slotId ?? '');
  job.add('cameWith', {
    name: f.value.name.trim(),
    kind: slot?.kind ?? null,
    slotId: f.value.slotId,
    partNumber: f.value.partNumber.trim() || null,
    count: count.value,
    fits: f.value.fits,
    note: f.value.note,
  });
  f.value = blank();
}
/** Tried by now: the entry is corrected, and what was said first stays on record. */
function tried(c: CameWith, fits: CameWith['fits']): void {
  const { name, kind, slotId, partNumber, count: n, note } = c;
  job.takeBack(c.id);
  job.add('cameWith', { name, kind, slotId, partNumber, count: n, fits, note });
}
</script>

<template>
  <section>
    <h2 class="line">What came with it</h2>
    <PictureRow of="came_with" label="Picture of what was laid out" />
    <ul v-if="state && state.there.length > 0" class="list">
      <li v-for="c in state.there" :key="c.id">
        <span class="what">
          <b v-if="c.count > 1" class="fig">{{ c.count }} ×</b>
          {{ c.name }}
          <span class="second small">
            {{ [c.partNumber ? `no. ${c.partNumber}` : '', `for ${placeOf(c.slotId)}`, c.note].filter(Boolean).join(', ') }}
          </span>
        </span>
        <v-btn-group v-if="writable" class="choice" role="group" :aria-label="`Whether ${c.name} fits`">
          <v-btn v-for="(word, k) in FITS" :key="k" :aria-pressed="c.fits === k" @click="c.fits === k || tried(c, k)">
            {{ word }}
          </v-btn>
        </v-btn-group>
        <span v-else>{{ FITS[c.fits] }}</span>
        <button v-if="writable" class="link small" type="button" @click="job.takeBack(c.id)">Take back</button>
      </li>
    </ul>
    <p v-else class="second">Nothing laid out.</p>
    <p v-if="state && state.doesNotFit.length > 0">
      <b class="plate-font">Does not fit:</b>
      {{ state.doesNotFit.map((c) => c.name).join(', ') }}
    </p>
    <p v-if="state && state.missing.length > 0">
      <b class="plate-font">Missing, and nothing came for it:</b>
      {{ state.missing.map((s) => placeName(s).toLowerCase()).join(', ') }}
    </p>
    <form v-if="writable && open" class="form" @submit.prevent="layOut">
      <div class="fields">
        <v-text-field v-model="f.name" v-focus label="What it is" maxlength="120" />
        <v-autocomplete v-model="f.slotId" label="For which place" :items="places" clearable />
        <v-text-field v-model="f.partNumber" label="Number on it" maxlength="60" />
        <v-text-field v-model="f.count" label="How many" inputmode="numeric" :error-messages="countFault" />
        <v-text-field v-model="f.note" label="Remark" maxlength="500" />
      </div>
      <div class="acts">
        <v-btn-group class="choice" role="group" aria-label="Whether it fits">
          <v-btn v-for="(word, k) in FITS" :key="k" :aria-pressed="f.fits === k" @click="f.fits = k">{{ word }}</v-btn>
        </v-btn-group>
        <v-btn class="act main" type="submit" :disabled="f.name.trim() === '' || countFault !== ''">Lay it out</v-btn>
        <v-btn class="act" @click="open = false">Done</v-btn>
      </div>
    </form>
    <v-btn v-else-if="writable" class="act slim" @click="open = true">Lay out a part</v-btn>
  </section>
</template>

<style scoped>
section {
  margin-top: 20px;
}
.list {
  margin: var(--space-2) 0;
}
li {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  flex-wrap: wrap;
  padding: var(--space-1) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.what {
  flex: 1;
  min-width: 220px;
}
.form {
  margin-top: var(--space-4);
}
.acts {
  margin-top: var(--space-3);
}
</style>
