<script setup lang="ts">
import { placeName, slotById } from '@dauer/core/layout';
import type { Picture, PictureOf } from '@dauer/core/ledger';
import { DomainError } from '@dauer/core/quantity';
import { computed, onBeforeUnmount, ref } from 'vue';
import { dayText } from '../fittings/dates.ts';
import WithNote from '../fittings/WithNote.vue';
import { useOpenJob } from './openJob.ts';
import { useOutbox } from './outbox/store.ts';
import { imageUrl, prepareImage } from './pictures.ts';
import RedactDialog from './RedactDialog.vue';
import { useSession } from '../app/session.ts';

/** Pictures of one thing in a row, and the way to take another. */
const props = defineProps<{ of: PictureOf; slotId?: string | null; findingId?: string | null; label?: string }>();
const job = useOpenJob();
const outbox = useOutbox();
const session = useSession();
const problem = ref('');
const busy = ref(false);
/** Words that go with the next picture. */
const note = ref('');
const shown = ref<Picture | null>(null);
const redacting = ref<Picture | null>(null);
const broken = ref(new Set<string>());
const pictures = computed(() => {
  const s = job.state;
  const all = s.history
    .active(s.records.pictures)
    .filter((p) =>
      props.findingId ? p.findingId === props.findingId : props.slotId ? p.slotId === props.slotId : p.of === props.of && p.slotId === null,
    );
  return [...all].reverse();
});
const urls = new Map<string, string>();
/** An image that has not gone out yet is shown from this device. */
function source(p: Picture, thumb: boolean): string {
  const here = outbox.images.get(p.hash);
  if (!here) return imageUrl(p.hash, thumb);
  const known = urls.get(p.hash) ?? URL.createObjectURL(new Blob([here.bytes.slice()], { type: 'image/jpeg' }));
  urls.set(p.hash, known);
  return known;
}
onBeforeUnmount(() => urls.forEach((u) => URL.revokeObjectURL(u)));
const nameOf = (p: Picture): string => {
  const slot = slotById(job.state.records.layout, p.slotId ?? '');
  const what = {
    vehicle: 'The vehicle',
    came_with: 'What came with it',
    place: slot ? placeName(slot) : 'A place',
    paper: 'A paper',
    finding: 'A finding',
  }[p.of];
  return `${what}, ${dayText(p.happenedAt)}`;
};
async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const files = [...(input.files ?? [])];
  problem.value = '';
  busy.value = true;
  for (const file of files) {
    try {
      const image = await prepareImage(file);
      await outbox.keepImage(image);
      job.add('pictures', {
        hash: image.hash,
        of: props.of,
        slotId: props.slotId ?? null,
        findingId: props.findingId ?? null,
        note: note.value.trim(),
      });
    } catch (error) {
      problem.value = error instanceof DomainError ? error.message : String(error);
    }
  }
  busy.value = false;
  note.value = '';
  input.value = '';
}
function blacked(): void {
  if (redacting.value) broken.value.add(redacting.value.hash);
  redacting.value = null;
  shown.value = null;
}
const takenBack = (p: Picture): void => {
  job.takeBack(p.id);
  shown.value = null;
};
</script>

<template>
  <div class="pictures">
    <button v-for="p in pictures" :key="p.id" class="thumb" type="button" :aria-label="nameOf(p)" @click="shown = p">
      <span v-if="broken.has(p.hash)" class="second small">not here yet, or blacked out</span>
      <img v-else :src="source(p, true)" alt="" @error="broken.add(p.hash)" />
    </button>
    <label v-if="job.writable" class="act slim add" :class="{ busy }">
      {{ busy ? 'Making it smaller …' : (label ?? 'Take a picture') }}
      <input class="sr" type="file" accept="image/*" multiple :disabled="busy" @change="take" />
    </label>
    <WithNote v-if="job.writable" v-model="note" :of="label ?? 'the next picture'" />
    <p v-if="problem" class="problem small" role="alert">{{ problem }}</p>
    <v-dialog aria-labelledby="picture-row-title" :model-value="shown !== null" max-width="960" @update:model-value="shown = null">
      <div v-if="shown" class="dialog">
        <h2 id="picture-row-title">{{ nameOf(shown) }}</h2>
        <img class="whole" :src="source(shown, false)" :alt="nameOf(shown)" />
        <p v-if="shown.note">{{ shown.note }}</p>
        <p class="second small">Taken by {{ job.by(shown) }}</p>
        <div class="acts">
          <v-btn v-if="session.may('lead')" class="act" @click="redacting = shown">Black it out …</v-btn>
          <v-btn v-if="job.writable" class="act" @click="takenBack(shown)">Take it back</v-btn>
          <v-btn class="act main" @click="shown = null">Close</v-btn>
        </div>
      </div>
    </v-dialog>
    <RedactDialog v-if="redacting" :corrects="redacting.id" field="image" :text="nameOf(redacting)" @close="blacked" />
  </div>
</template>

<style scoped>
.pictures {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: center;
}
.thumb {
  width: 96px;
  height: 72px;
  padding: 0;
  border: var(--line-hair) solid var(--slate);
  border-radius: var(--corner);
  background: var(--plate);
  cursor: pointer;
  overflow: hidden;
}
.thumb img {
  width: 100%;
  height: 100%;
  object-fit: cover;
  display: block;
}
.add {
  position: relative;
}
.add:focus-within {
  outline: var(--line-chosen) solid var(--blue);
  outline-offset: 2px;
}
.busy {
  color: var(--ink2);
}
.whole {
  display: block;
  max-width: 100%;
  max-height: 70vh;
  margin: 0 auto var(--space-2);
}
.problem {
  width: 100%;
}
</style>
