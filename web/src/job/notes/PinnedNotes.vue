<script setup lang="ts">
import type { Slot } from '@dauer/core/layout';
import { notesAt, type PinnedNote, whyNotNoted } from '@dauer/core/readiness';
import { NOTE } from '@dauer/core/wording';
import { computed, nextTick, ref } from 'vue';
import { useSession } from '../../app/session.ts';
import { dayText } from '../../fittings/dates.ts';
import { useOpenJob } from '../openJob.ts';
import PinForm from './PinForm.vue';
import PointedPicture from './PointedPicture.vue';

/** What somebody pinned where it is wanted now: at a step, at a unit, or for the vehicle as a whole; and the way to pin another. */
const props = defineProps<{ slotOf: Slot | null; step?: { readonly cardId: string; readonly stepId: string } | null; level?: 2 | 3 }>();
const job = useOpenJob();
const session = useSession();
const notes = computed<PinnedNote[]>(() => {
  const here = notesAt(job.history, { slot: props.slotOf, step: props.step ?? null });
  // At a step, what is pinned to every unit like this is wanted as well.
  return props.step ? [...here, ...notesAt(job.history, { slot: props.slotOf, step: null })] : here;
});
/** Where there is something to say beside the words: who, when, how often it helped. */
const about = (p: PinnedNote): string =>
  [nameOf(p), dayText(p.note.happenedAt), p.otherSide ? NOTE.otherSide : '', NOTE.useful(p.useful)].filter(Boolean).join(', ');
const nameOf = (p: PinnedNote): string => job.who(p.note.authorId);
const may = (p: PinnedNote, kind: 'useful' | 'wrong'): boolean => {
  const tell = { noteId: p.note.id, kind, note: 'a reason', authorId: session.person?.id ?? '' };
  return job.isOpen && whyNotNoted(job.history, tell, session.may('lead') ? 'lead' : 'technician') === null;
};
const pinning = ref(false);
const opener = ref<HTMLButtonElement | null>(null);
async function shut(): Promise<void> {
  pinning.value = false;
  await nextTick();
  opener.value?.focus();
}
const striking = ref<string | null>(null);
const why = ref('');
function strike(p: PinnedNote): void {
  if (why.value.trim().length < 3) return;
  job.add('noteTells', { noteId: p.note.id, kind: 'wrong', note: why.value.trim() });
  striking.value = null;
  why.value = '';
}
const seen = ref<string | null>(null);
</script>

<template>
  <div v-if="notes.length > 0 || job.isOpen" class="notes">
    <component :is="`h${level ?? 3}`" v-if="notes.length > 0">{{ NOTE.title }}</component>
    <div v-for="p in notes" :key="p.note.id" class="note">
      <p>
        “{{ p.note.words }}”
        <span class="second small">{{ about(p) }}</span>
      </p>
      <PointedPicture v-if="p.note.hash && seen === p.note.id" :hash="p.note.hash" :arrow="p.note.arrow" :label="p.note.words" />
      <form v-if="striking === p.note.id" class="why" @submit.prevent="strike(p)">
        <v-text-field v-model="why" v-focus density="compact" :label="NOTE.why" maxlength="300" />
        <v-btn class="act slim" type="submit" :disabled="why.trim().length < 3">{{ NOTE.strike }}</v-btn>
        <v-btn class="act slim" @click="striking = null">{{ NOTE.not }}</v-btn>
      </form>
      <p v-else class="does small">
        <button v-if="p.note.hash" type="button" class="link" @click="seen = seen === p.note.id ? null : p.note.id">
          {{ NOTE.picture }}
        </button>
        <button
          v-if="may(p, 'useful')"
          type="button"
          class="link"
          @click="job.add('noteTells', { noteId: p.note.id, kind: 'useful', note: '' })"
        >
          {{ NOTE.helped }}
        </button>
        <button v-if="may(p, 'wrong')" type="button" class="link" @click="striking = p.note.id">{{ NOTE.wrong }}</button>
      </p>
    </div>
    <PinForm v-if="pinning" :slot-of="slotOf" :step="step ?? null" @close="shut" />
    <button v-else-if="job.isOpen" ref="opener" type="button" class="link small pin" @click="pinning = true">{{ NOTE.pin }}</button>
  </div>
</template>

<style scoped>
.notes {
  display: grid;
  gap: var(--space-2);
  align-content: start;
}
.note {
  display: grid;
  gap: var(--space-1);
}
.does {
  display: flex;
  gap: var(--space-3);
}
.why {
  display: grid;
  gap: var(--space-2);
  grid-template-columns: minmax(0, 1fr) auto auto;
  align-items: start;
}
.pin {
  justify-self: start;
}
@media (max-width: 1180px) {
  .why {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
