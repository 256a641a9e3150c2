<script setup lang="ts">
import type { SheetPair } from '@dauer/core/ledger';
import { OWNER_SAYS } from '@dauer/core/wording';

/** Figures as they came and as they leave, side by side. */
defineProps<{ pairs: readonly SheetPair[] }>();
</script>

<template>
  <div class="scroll">
    <table>
      <thead>
        <tr>
          <th scope="col">Place</th>
          <th scope="col">{{ OWNER_SAYS.before }}</th>
          <th scope="col">{{ OWNER_SAYS.after }}</th>
          <th scope="col">{{ OWNER_SAYS.limit }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(p, i) in pairs" :key="i">
          <th scope="row">{{ OWNER_SAYS.pair(p.place, p.what) }}</th>
          <td class="fig">{{ p.before }}</td>
          <td class="fig fig-b">{{ p.after || 'not yet' }}</td>
          <td class="second small">{{ p.limit }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
th[scope='row'] {
  font-weight: 400;
  text-align: left;
}
td.fig {
  white-space: nowrap;
}
</style>
