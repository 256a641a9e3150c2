<script setup lang="ts">
import { LINE_PDF } from '@dauer/contract';
import { shapesOf } from '@dauer/core/history';
import { connectionAt, placeName, type Slot, slotById } from '@dauer/core/layout';
import type { LineShape } from '@dauer/core/ledger';
import { cutOfShape } from '@dauer/core/metrology';
import { LINE, MEASURED_BY_NAME } from '@dauer/core/wording';
import { computed, nextTick, ref } from 'vue';
import { dayText } from '../../../fittings/dates.ts';
import { useOpenJob } from '../../../job/openJob.ts';
import LineForm from './LineForm.vue';
import LineMarks from './LineMarks.vue';
import type { readDraft } from './lineDraft.ts';

/** A line measured and drawn before the old one is bent: cut length, marks, and a strip to lay beside the tube. */
const props = defineProps<{ slotOf: Slot; writable: boolean }>();
const job = useOpenJob();
const measuring = ref(false);
const shown = ref(false);
const shapes = computed(() => shapesOf(job.history, props.slotOf.id));
const shape = computed(() => shapes.value.at(-1) ?? null);
/** How it was measured before, the newest first: what does not agree is measured once more. */
const before = computed(() =>
  shapes.value
    .slice(0, -1)
    .reverse()
    .map((s) => ({ s, cut: cutOfShape(s) })),
);
const cut = computed(() => (shape.value ? cutOfShape(shape.value) : null));
const pdf = computed(() => LINE_PDF.path.replace(':jobId', job.records.job.id).replace(':connectionId', props.slotOf.id));
const ends = computed((): readonly [string, string] => {
  const { layout } = job.records;
  const c = connectionAt(layout, props.slotOf.id);
  const name = (id: string | undefined): string => {
    const slot = slotById(layout, id ?? '');
    return slot ? placeName(slot).toLowerCase() : 'end';
  };
  return [name(c?.from), name(c?.to)];
});
function keep(of: ReturnType<typeof readDraft>['shape'], by: LineShape['by'], note: string): void {
  job.add('lineShapes', { ...of, connectionId: props.slotOf.id, by, note });
  shown.value = true;
  void shut();
}
/** The work goes on where it was measured. */
const again = ref<HTMLButtonElement | null>(null);
async function shut(): Promise<void> {
  measuring.value = false;
  await nextTick();
  again.value?.focus();
}
</script>

<template>
  <div class="ofline">
    <p v-if="!measuring" class="small says">
      <template v-if="shape && cut">
        <b>{{ LINE.cut(cut.cutMm) }}</b>
        <span>{{ cut.bends.length }} {{ cut.bends.length === 1 ? 'bend' : 'bends' }}. {{ LINE.tube(shape) }}.</span>
        <span class="second">{{ MEASURED_BY_NAME[shape.by] }}; {{ job.by(shape) }}, {{ dayText(shape.happenedAt) }}</span>
        <button class="link" type="button" :aria-expanded="shown" @click="shown = !shown">
          {{ shown ? 'Less' : 'Marks and drawing' }}
        </button>
        <a class="link" :href="pdf" target="_blank" rel="noopener">Strip in true size, PDF</a>
      </template>
      <span v-else class="second">{{ LINE.notYet }}</span>
      <button
        v-if="writable"
        ref="again"
        class="link"
        type="button"
        :aria-label="`${shape ? 'Measure again' : 'Measure it'}: ${placeName(slotOf).toLowerCase()}`"
        @click="measuring = true"
      >
        {{ shape ? 'Measure again' : 'Measure it' }}
      </button>
    </p>
    <LineForm v-if="measuring" :shape="shape" :ends="ends" @keep="keep" @close="shut" />
    <template v-else-if="shape && cut && shown">
      <p class="small">
        From the {{ ends[0] }} ({{ LINE.end(shape.first).toLowerCase() }}) to the {{ ends[1] }} ({{
          LINE.end(shape.last).toLowerCase()
        }}).{{ shape.note ? ` ${shape.note}` : '' }}
      </p>
      <LineMarks :cut="cut" bare />
      <ul v-if="before.length > 0" class="before small" :aria-label="LINE.before">
        <li class="second">{{ LINE.before }}</li>
        <li v-for="b in before" :key="b.s.id">
          <b>{{ LINE.cut(b.cut.cutMm) }}</b>
          {{ LINE.differs(b.cut.cutMm - cut.cutMm) }}
          <span class="second">{{ MEASURED_BY_NAME[b.s.by] }}; {{ job.by(b.s) }}, {{ dayText(b.s.happenedAt) }}</span>
          {{ b.s.note }}
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.ofline {
  flex: 1 1 100%;
  display: grid;
  gap: var(--space-2);
}
.says {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-3);
  align-items: baseline;
}
.before {
  list-style: none;
  padding: 0;
}
.before li {
  padding: var(--space-1) 0;
}
</style>
