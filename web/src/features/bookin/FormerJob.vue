<script setup lang="ts">
import type { FormerJob } from '@dauer/core/views';
import { dayText } from '../../fittings/dates.ts';

/** What we touched, proved and left on the job before, in one view. */
defineProps<{ former: FormerJob }>();
</script>

<template>
  <section class="former" aria-label="The job before">
    <div class="headline">
      <h2>The job before</h2>
      <span class="second">
        handed back {{ dayText(former.releasedAt) }}{{ former.distance ? ` at ${former.distance}` : '' }}
        <RouterLink :to="`/jobs/${former.jobId}/sheet`">its sheet</RouterLink>
      </span>
    </div>
    <p v-if="former.complaint" class="said">
      “{{ former.complaint }}”
      <span class="second">{{ former.complaintAnswer }}</span>
    </p>
    <div class="three">
      <div>
        <h3>Touched</h3>
        <ul>
          <li v-for="(l, i) in former.touched" :key="i">
            <b v-if="l.place">{{ l.place }}</b>
            {{ l.text }}
          </li>
          <li v-if="former.touched.length === 0" class="second">Nothing.</li>
        </ul>
      </div>
      <div>
        <h3>Left</h3>
        <ul>
          <li v-for="(l, i) in former.left" :key="i">
            <b>{{ l.what }}</b>
            <span class="second">{{ l.why }}</span>
          </li>
          <li v-if="former.left.length === 0" class="second">Nothing.</li>
        </ul>
      </div>
      <div>
        <h3>Proved</h3>
        <ul>
          <li v-for="(l, i) in former.proved" :key="i">
            <b v-if="l.place">{{ l.place }}</b>
            {{ l.text }}
          </li>
          <li v-if="former.proved.length === 0" class="second">Nothing.</li>
        </ul>
      </div>
    </div>
  </section>
</template>

<style scoped>
.former {
  border: var(--line-drawn) solid var(--ink);
  padding: var(--space-3) var(--space-4);
  background: var(--plate);
}
.said {
  margin: var(--space-2) 0;
}
.three {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: var(--space-3) var(--space-5);
}
li {
  padding: var(--space-1) 0;
  border-bottom: var(--line-hair) solid var(--hair);
  font-size: var(--type-second);
  line-height: var(--leading-tight);
}
li b {
  margin-right: var(--space-1);
}
</style>
