<script setup lang="ts">
import { readTagCode } from '@dauer/core/supply';
import { frameLoop, QRCanvas, type QRCamera, rearCamera } from 'qr/dom.js';
import { onBeforeUnmount, onMounted, ref } from 'vue';

/** The camera, looking for the code of a tag. Nothing of its picture is kept or sent. */
const emit = defineEmits<{ seen: [code: string]; close: [] }>();
const video = ref<HTMLVideoElement | null>(null);
const problem = ref('');
let camera: QRCamera | null = null;
let stop: (() => void) | null = null;
let looking = false;
/** Looks at one frame at a time; a frame that shows no code says nothing. */
async function look(canvas: QRCanvas): Promise<void> {
  if (looking) return;
  looking = true;
  const found = await camera?.readFrame(canvas).catch(() => undefined);
  looking = false;
  const text = typeof found === 'string' ? found : found?.find((x) => typeof x === 'string');
  if (typeof text !== 'string') return;
  if (readTagCode(text) === null) problem.value = 'This is no tag of the shop.';
  else emit('seen', text);
}
onMounted(async () => {
  const player = video.value;
  if (!player) return;
  try {
    camera = await rearCamera(player);
  } catch {
    problem.value = 'The camera cannot be used here. Type the tag into Search instead.';
    return;
  }
  const canvas = new QRCanvas();
  stop = frameLoop(() => void look(canvas));
});
onBeforeUnmount(() => {
  stop?.();
  camera?.stop();
});
</script>

<template>
  <v-dialog aria-labelledby="scan-title" :model-value="true" max-width="520" @update:model-value="emit('close')">
    <div class="dialog col">
      <h2 id="scan-title">Hold a tag before the camera</h2>
      <video ref="video" class="seen" muted playsinline aria-label="What the camera sees" />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts"><v-btn class="act" @click="emit('close')">Close</v-btn></div>
    </div>
  </v-dialog>
</template>

<style scoped>
.seen {
  width: 100%;
  aspect-ratio: 4 / 3;
  object-fit: cover;
  background: var(--bar);
}
</style>
