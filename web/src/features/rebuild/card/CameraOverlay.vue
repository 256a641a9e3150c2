<script setup lang="ts">
import { placeName, type Slot } from '@dauer/core/layout';
import { DomainError } from '@dauer/core/quantity';
import { CAMERA } from '@dauer/core/wording';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { useOpenJob } from '../../../job/openJob.ts';
import { useOutbox } from '../../../job/outbox/store.ts';
import PictureChoice from '../../../job/PictureChoice.vue';
import { imageUrl, prepareImage } from '../../../job/pictures.ts';

/** The finished side, mirrored and half transparent, over what the camera sees of this one: what is unlike is seen at once. */
const props = defineProps<{ slotOf: Slot; other: Slot; writable: boolean }>();
const emit = defineEmits<{ close: [] }>();
const job = useOpenJob();
const outbox = useOutbox();
const video = ref<HTMLVideoElement | null>(null);
/** The newest picture of the other side lies over it, one that comes while this is open too, until somebody picks. */
const pictures = computed(() =>
  job.history.active(job.history.records.pictures).filter((p) => p.slotId === props.other.id && !outbox.images.has(p.hash)),
);
const picked = ref<string | null>();
const hash = computed({
  get: () => (picked.value === undefined ? (pictures.value.at(-1)?.hash ?? null) : picked.value),
  set: (of: string | null) => (picked.value = of),
});
const [HALF, FULL] = [50, 100];
const share = ref(HALF);
const problem = ref('');
const busy = ref(false);
const inBook = ref(false);
/** Whether the camera gives a picture yet. */
const seen = ref(false);
let stream: MediaStream | null = null;
onMounted(async () => {
  if (!window.isSecureContext || !('mediaDevices' in navigator)) {
    problem.value = CAMERA.insecure;
    return;
  }
  try {
    stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' }, audio: false });
  } catch (error) {
    problem.value = error instanceof DOMException && error.name === 'NotAllowedError' ? CAMERA.refused : CAMERA.none;
    return;
  }
  if (!video.value) return stop();
  video.value.srcObject = stream;
  await video.value.play().catch(() => undefined);
});
function stop(): void {
  for (const track of stream?.getTracks() ?? []) track.stop();
  stream = null;
}
onBeforeUnmount(stop);
/** What the camera sees now becomes a picture of this side. */
async function take(): Promise<void> {
  const from = video.value;
  if (!from) return;
  busy.value = true;
  inBook.value = false;
  try {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [from.videoWidth, from.videoHeight];
    canvas.getContext('2d')?.drawImage(from, 0, 0);
    const frame = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg'));
    if (!frame) throw new DomainError('no_canvas', CAMERA.none);
    const image = await prepareImage(frame);
    await outbox.keepImage(image);
    job.add('pictures', { hash: image.hash, of: 'place', slotId: props.slotOf.id, findingId: null, note: CAMERA.note(props.other) });
    inBook.value = true;
  } catch (error) {
    problem.value = error instanceof DomainError ? error.message : String(error);
  }
  busy.value = false;
}
</script>

<template>
  <v-dialog :model-value="true" aria-labelledby="camera-title" max-width="900" @update:model-value="busy || emit('close')">
    <div class="dialog">
      <h2 id="camera-title">{{ CAMERA.title(other, slotOf) }}</h2>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <p v-if="hash === null" class="second">{{ CAMERA.noPicture(other) }}</p>
      <div v-show="problem === ''" class="frame">
        <video ref="video" muted playsinline :aria-label="CAMERA.sees(slotOf)" @loadeddata="seen = true" />
        <img v-if="hash" :src="imageUrl(hash)" :alt="CAMERA.over(other)" :style="{ opacity: share / FULL }" />
      </div>
      <v-slider v-if="hash && problem === ''" v-model="share" :min="0" :max="FULL" :step="5" hide-details :label="CAMERA.share" />
      <PictureChoice v-model="hash" :slot-id="other.id" />
      <p class="second" role="status">{{ inBook ? CAMERA.inBook(slotOf) : '' }}</p>
      <div class="acts">
        <v-btn v-if="writable && seen" class="act" :loading="busy" @click="take">{{ CAMERA.take(placeName(slotOf)) }}</v-btn>
        <v-btn class="act main" :disabled="busy" @click="emit('close')">{{ CAMERA.close }}</v-btn>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.frame {
  position: relative;
  background: var(--ink);
  line-height: 0;
}
video {
  width: 100%;
  max-height: 60vh;
  object-fit: contain;
}
img {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  object-fit: contain;
  transform: scaleX(-1);
}
.acts {
  gap: var(--space-2);
  margin-top: var(--space-3);
}
</style>
