<script setup lang="ts">
import { type Stage, STAGE_NAME, STAGES } from '@dauer/core/catalogue';
import { cornersTakenIn } from '@dauer/core/history';
import { controlsOf, type Corner } from '@dauer/core/layout';
import { fixed } from '@dauer/core/quantity';
import { playsOf } from '@dauer/core/readiness';
import { computed, defineAsyncComponent, onBeforeUnmount, ref, watch, watchEffect } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import BrakeMap from '../fittings/map/BrakeMap.vue';
import { OVERLAYS, type OverlayKind, overlayOf } from '../fittings/map/overlays.ts';
import JobColumns from './JobColumns.vue';
import MapStrip from '../fittings/MapStrip.vue';
import { whenText } from '../fittings/dates.ts';
import StageRule from '../fittings/StageRule.vue';
import VerdictMark from '../fittings/VerdictMark.vue';
import ReleasedBanner from '../job/ReleasedBanner.vue';
import ComponentPlate from '../job/ComponentPlate.vue';
import { useOpenJob } from '../job/openJob.ts';
import ParkedBanner from '../job/ParkedBanner.vue';
import StrayRecords from '../job/StrayRecords.vue';
import PressPreview from '../job/PressPreview.vue';
import { onLetter } from '../app/keys.ts';
import { titled } from '../app/title.ts';

/** A job on its way through the stages: the map beside the stage in hand. */
defineProps<{ jobId: string }>();
const job = useOpenJob();
const route = useRoute();
const router = useRouter();
const map = ref<InstanceType<typeof BrakeMap> | null>(null);
const SCREENS = {
  bookin: defineAsyncComponent(() => import('../features/bookin/BookInStage.vue')),
  trace: defineAsyncComponent(() => import('../features/trace/TraceStage.vue')),
  gauge: defineAsyncComponent(() => import('../features/gauge/GaugeStage.vue')),
  decide: defineAsyncComponent(() => import('../features/decide/DecideStage.vue')),
  rebuild: defineAsyncComponent(() => import('../features/rebuild/RebuildStage.vue')),
  bleed: defineAsyncComponent(() => import('../features/bleed/BleedStage.vue')),
  prove: defineAsyncComponent(() => import('../features/prove/ProveStage.vue')),
} as const;

const stage = computed<Stage>(() => STAGES.find((s) => s === route.params['stage']) ?? job.state.stage ?? 'prove');
const screen = computed(() => SCREENS[stage.value]);
watchEffect(() => titled(`${job.state.records.vehicle.tag} ${STAGE_NAME[stage.value]}`));
const counts = computed(() =>
  (['past', 'cant_tell', 'watch', 'no_limit', 'holds', 'not_gauged'] as const).flatMap((v) =>
    job.state.counts[v] > 0 ? [{ v, n: job.state.counts[v] }] : [],
  ),
);
/** The governing figure of each wheel, where one was taken. */
const figures = computed(
  () =>
    new Map<Corner, string>(
      job.state.components.flatMap((c) => {
        const main = c.judged.find((j) => j.characteristic.role === 'size');
        return c.slot.corner && main ? [[c.slot.corner, fixed(main.reduced.value, main.reduced.decimals)] as const] : [];
      }),
    ),
);

const corners = computed(() => cornersTakenIn(job.state.records.job, job.state.records.layout));
/** Which overlay a stage begins with; another is chosen by hand until the stage is left. */
const OVERLAY_OF: Readonly<Record<Stage, OverlayKind>> = {
  bookin: 'verdict',
  trace: 'suspicion',
  gauge: 'verdict',
  decide: 'verdict',
  rebuild: 'assembly',
  bleed: 'assembly',
  prove: 'assembly',
};
const chosen = ref<OverlayKind | null>(null);
watch(stage, () => (chosen.value = null));
const overlay = computed(() => chosen.value ?? OVERLAY_OF[stage.value]);
const marks = computed(() => overlayOf(overlay.value, job.state, job.likelihood));

watch(
  () => route.query['pick'],
  (slot) => {
    if (typeof slot === 'string') job.picked = slot;
  },
  { immediate: true },
);
const off = onLetter('KeyM', () => map.value?.focus());
onBeforeUnmount(off);
/** Before a pedal step it plays by itself, when something would move that must not. */
watch(
  [stage, () => job.state.records.job.id],
  () => {
    job.playing = null;
    const s = job.state;
    if (s.released || (stage.value !== 'bleed' && stage.value !== 'prove')) return;
    const danger = playsOf(s.records.layout, s.context.proofStatus).find((p) => p.play.danger);
    if (danger) job.playing = { step: 'press', slotId: danger.control.slotId };
  },
  { immediate: true },
);
/** A control that is tapped plays its press. */
function pick(slotId: string | null): void {
  job.picked = slotId;
  const control = !job.state.released && controlsOf(job.state.records.layout).find((c) => c.slotId === slotId);
  job.playing = control ? { step: 'press', slotId: control.slotId } : null;
  if (route.query['pick'] !== undefined) void router.replace({ path: route.path });
}
</script>

<template>
  <p v-if="job.keptAt !== null" class="problem says no-print" role="status">
    The server is away. This is what this device kept of the job {{ whenText(new Date(job.keptAt).toISOString()) }}; readings and findings
    go on and are sent when it is back.
  </p>
  <div class="stagebar no-print"><StageRule :state="job.state" :shown="stage" :job-id="jobId" /></div>
  <JobColumns :class="{ capturing: stage === 'gauge' }">
    <template #map>
      <MapStrip :label="job.component ? job.component.slot.name : 'whole vehicle'">
        <div class="maphead">
          <h2 class="mapname">Brake map</h2>
          <span class="counts">
            <span v-for="c in counts" :key="c.v" class="count">
              <VerdictMark :verdict="c.v" :size="15" />
              <b class="plate-font">{{ c.n }}</b>
            </span>
          </span>
        </div>
        <BrakeMap
          ref="map"
          :layout="job.state.records.layout"
          :picked="job.picked"
          :marks="marks"
          :play="job.play"
          :figures="stage === 'gauge' || stage === 'decide' ? figures : undefined"
          :in-scope="corners.length > 0 ? corners : undefined"
          @pick="pick"
        />
        <v-btn-group class="overlays choice" role="group" aria-label="What the map shows">
          <v-btn v-for="o in OVERLAYS" :key="o.kind" :aria-pressed="overlay === o.kind" @click="chosen = o.kind">
            {{ o.name }}
          </v-btn>
        </v-btn-group>
        <PressPreview />
        <ComponentPlate @pick="pick" />
      </MapStrip>
    </template>
    <ReleasedBanner />
    <ParkedBanner />
    <StrayRecords />
    <component :is="screen" />
  </JobColumns>
</template>

<style scoped>
.stagebar {
  background: var(--plate);
  border-bottom: var(--line-hair) solid var(--hair);
}
.maphead {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: 6px var(--space-5) 0;
}
.mapname {
  font-size: var(--type-caption);
}
.counts {
  display: flex;
  gap: var(--space-3);
}
.count {
  display: inline-flex;
  gap: var(--space-1);
  align-items: center;
  font-size: var(--type-caption);
}
/* Across the foot of the map, edge to edge. */
.overlays {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  border-width: var(--line-hair) 0;
  border-color: var(--hair);
}
.overlays button {
  padding: 2px var(--space-1);
  font-size: var(--type-body);
}
</style>
