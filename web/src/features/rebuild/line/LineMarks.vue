<script setup lang="ts">
import type { cutOfShape } from '@dauer/core/metrology';
import { fixed } from '@dauer/core/quantity';
import { LINE } from '@dauer/core/wording';
import TubeDrawing from './TubeDrawing.vue';

/** What a line is cut to, and where it is marked while it is straight. */
defineProps<{ cut: ReturnType<typeof cutOfShape>; /** Where its length is said already. */ bare?: boolean }>();
</script>

<template>
  <div class="marks">
    <p v-if="!bare" class="cut">
      <b class="plate-font">{{ LINE.cut(cut.cutMm) }}</b>
      <span class="second small">{{ fixed(cut.centreLineMm, 1) }} mm along its centre line; slack lies at the last straight</span>
    </p>
    <div v-if="cut.bends.length > 0" class="scroll">
      <table>
        <thead>
          <tr>
            <th class="num">Bend</th>
            <th class="num">Begins, mm</th>
            <th class="num">Ends, mm</th>
            <th>Angle</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(b, i) in cut.bends" :key="b.point">
            <td class="num fig">{{ i + 1 }}</td>
            <td class="num fig">{{ fixed(b.markStartMm, 1) }}</td>
            <td class="num fig">{{ fixed(b.markEndMm, 1) }}</td>
            <td>{{ LINE.bend(b) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <TubeDrawing :points="cut.points" :bends="cut.bends" />
  </div>
</template>

<style scoped>
.marks {
  display: grid;
  gap: var(--space-2);
}
.cut {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-3);
  align-items: baseline;
}
.cut b {
  font-size: var(--type-title);
}
</style>
