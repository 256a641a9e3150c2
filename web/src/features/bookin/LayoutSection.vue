<script setup lang="ts">
import { revisionText } from '@dauer/core/wording';
import { figure } from '@dauer/core/quantity';
import type { JobState } from '@dauer/core/job';
import { placeName, styleName } from '@dauer/core/layout';
import { computed } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import { dayText } from '../../fittings/dates.ts';
import { standaloneSvg } from '../../fittings/map/exportSvg.ts';
import { saveText } from '../../fittings/saveText.ts';

/** The layout as a list, its way into the editor, and what was changed of it. */
const props = defineProps<{ state: JobState; writable: boolean }>();
const job = useOpenJob();
const layout = computed(() => props.state.records.layout);
const revisions = computed(() => props.state.records.layoutRevisions.filter((r) => r.revision !== 'first').reverse());
function saveDrawing(): void {
  const svg = document.querySelector<SVGSVGElement>('svg[data-map]');
  const { tag, name } = props.state.records.vehicle;
  if (svg) saveText(standaloneSvg(svg, `Brakes of ${tag} ${name}`), `${tag.replace(/\W+/g, '-')}-brakes.svg`, 'image/svg+xml');
}
</script>

<template>
  <section>
    <h2 class="line">The layout</h2>
    <div class="acts">
      <v-btn v-if="writable" class="act slim" :to="`/jobs/${state.records.job.id}/layout`">Change the layout</v-btn>
      <v-btn class="act slim" @click="saveDrawing">Save the map as a drawing (SVG)</v-btn>
      <span class="second small">{{ layout.slots.length }} places, {{ layout.connections.length }} connections</span>
    </div>
    <ul v-if="revisions.length > 0" class="revisions">
      <li v-for="r in revisions" :key="r.id">
        {{ revisionText(r) }}
        <span class="second small">{{ dayText(r.enteredAt) }}, {{ job.who(r.enteredBy ?? '') }}</span>
      </li>
    </ul>
    <ul class="slots">
      <li v-for="s in layout.slots" :key="s.id">
        <button class="link" type="button" @click="job.picked = s.id">{{ placeName(s) }}</button>
        <span class="second small">
          {{
            [
              s.style ? styleName(s.kind, s.style).toLowerCase() : null,
              s.boreMm ? `${figure(s.boreMm)} mm` : null,
              s.lengthMm ? `${figure(s.lengthMm)} mm long` : null,
            ]
              .filter(Boolean)
              .join(', ')
          }}
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  margin-top: 20px;
}
.revisions {
  margin-top: var(--space-2);
}
.slots {
  columns: 240px;
  margin-top: var(--space-3);
}
li {
  padding: 2px 0;
}
</style>
