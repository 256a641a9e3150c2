<script setup lang="ts">
import { stageNote } from '@dauer/core/wording';
import { type Stage, STAGE_NAME, STAGES } from '@dauer/core/catalogue';
import type { JobState } from '@dauer/core/job';
import { computed, nextTick, ref, watch } from 'vue';

const props = defineProps<{ state: JobState; shown: Stage; jobId: string }>();
const reached = computed(() => (props.state.stage ? STAGES.indexOf(props.state.stage) : 7));
/** Where the cursor stands, 0 to 7 divisions. */
const cursor = computed(() => (reached.value === 7 ? 7 : reached.value + Math.min(0.92, Math.max(0.08, props.state.share))));
const stateOf = (stage: Stage): JobState['stages'][number] | undefined => props.state.stages.find((s) => s.stage === stage);
const note = (stage: Stage): string => {
  const state = stateOf(stage);
  return state ? stageNote(state) : '';
};
const hatched = (stage: Stage): boolean => (stateOf(stage)?.notApplicable ?? null) !== null;
const rule = ref<HTMLElement | null>(null);
/** On a narrow screen the stages run off to the right: the one that is shown is brought into sight. */
watch(
  () => props.shown,
  () =>
    void nextTick(() => rule.value?.querySelector('.shown')?.scrollIntoView({ inline: 'center', block: 'nearest', behavior: 'instant' })),
  { immediate: true },
);
const ticks = Array.from({ length: 113 }, (_, i) => ({ x: i * 11, h: i % 16 === 0 ? 48 : i % 8 === 0 ? 10 : i % 4 === 0 ? 8 : 5 }));
</script>

<template>
  <nav ref="rule" class="rule" aria-label="Stages of the job">
    <svg class="ticks" viewBox="0 0 1232 48" preserveAspectRatio="none" aria-hidden="true">
      <path
        v-for="t in ticks"
        :key="t.x"
        :d="`M${t.x} 0v${t.h}`"
        :stroke="t.x / 176 <= cursor ? 'var(--ink)' : 'var(--slate)'"
        :stroke-width="t.h === 48 ? 1.5 : 1"
        vector-effect="non-scaling-stroke"
      />
      <path :d="`M0 1.5H${cursor * 176}`" stroke="var(--ink)" stroke-width="3" vector-effect="non-scaling-stroke" />
    </svg>
    <svg class="cursor" :style="{ left: `calc(${(cursor / 7) * 100}% - 9px)` }" width="18" height="20" aria-hidden="true">
      <path d="M0 0h18v11l-9 9-9-9z" fill="var(--ink)" />
      <path d="M9 2v13" stroke="var(--plate)" stroke-width="1.25" />
    </svg>
    <RouterLink
      v-for="(stage, i) in STAGES"
      :key="stage"
      class="division"
      :class="{ shown: stage === shown, hatched: hatched(stage) }"
      :to="`/jobs/${jobId}/${stage}`"
      :aria-current="stage === shown ? 'page' : undefined"
      :title="`${STAGE_NAME[stage]}: ${note(stage)} (Alt+${i + 1})`"
    >
      <span class="no fig">{{ i + 1 }}</span>
      <span class="name">{{ STAGE_NAME[stage] }}</span>
      <span class="note">{{ note(stage) }}</span>
    </RouterLink>
  </nav>
</template>

<style scoped>
.rule {
  position: relative;
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
  height: var(--strip);
  margin: 0 var(--space-5);
}
.ticks {
  position: absolute;
  inset: 0;
  width: 100%;
  height: var(--strip);
  pointer-events: none;
  z-index: 1;
}
.cursor {
  position: absolute;
  top: 0;
  z-index: 2;
  pointer-events: none;
  transition: left 150ms;
}
.division {
  display: flex;
  align-items: flex-end;
  gap: var(--space-2);
  padding: 0 10px 6px var(--space-3);
  color: var(--blue);
  text-decoration: none;
  border-bottom: var(--line-chosen) solid transparent;
  white-space: nowrap;
  overflow: hidden;
}
.division:hover .name {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.no {
  font-size: var(--type-least);
  line-height: 22px;
  color: var(--ink2);
}
.name {
  font: 600 var(--type-tab)/22px var(--plate-font);
}
.note {
  margin-left: auto;
  font-size: var(--type-second);
  line-height: var(--leading-tight);
  color: var(--ink2);
  overflow: hidden;
  text-overflow: ellipsis;
}
.shown {
  background: var(--blue-tint);
  border-bottom-color: var(--blue);
}
.shown .name {
  color: var(--ink);
}
.hatched {
  background: repeating-linear-gradient(135deg, transparent 0 6px, var(--hair) 6px 7px);
}
@media (max-width: 1100px) {
  .note {
    display: none;
  }
}
@media (max-width: 720px) {
  .rule {
    margin: 0;
    overflow-x: auto;
    grid-template-columns: repeat(7, max-content);
  }
  .ticks,
  .cursor,
  .no {
    display: none;
  }
  .division {
    padding: 0 var(--space-3) var(--space-2);
  }
}
</style>
