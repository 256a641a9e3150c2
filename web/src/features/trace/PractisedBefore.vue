<script setup lang="ts">
import { type Practised, practisedSum } from '@dauer/core/views';
import { computed } from 'vue';
import { dayText } from '../../fittings/dates.ts';

/** How the made-up vehicles of before went: what was named, and the minutes beside those of the proposed way. */
const props = defineProps<{ list: readonly Practised[] }>();
const sum = computed(() => practisedSum(props.list));
</script>

<template>
  <section class="before" aria-label="What you have practised">
    <h2 class="line">What you have practised</h2>
    <p>
      {{ sum.vehicles === 1 ? 'One vehicle' : `${sum.vehicles} vehicles` }}, {{ sum.clean }} with every fault named and none besides;
      {{ Math.round(sum.minutes) }} min each{{
        sum.proposedMinutes === null ? '' : `, the proposed way ${Math.round(sum.proposedMinutes)}`
      }}.
    </p>
    <div class="scroll">
      <table>
        <thead>
          <tr>
            <th scope="col">Vehicle</th>
            <th scope="col">Named</th>
            <th scope="col" class="right">Minutes</th>
            <th scope="col" class="right">Proposed</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="p in list" :key="`${p.brakes} ${p.number}`">
            <td>
              <span class="fig">{{ p.number }}</span>
              <span class="second small">{{ p.brakes }}, {{ dayText(p.at) }}</span>
            </td>
            <td>
              {{ p.right }} of {{ p.right + p.missed }}{{ p.wrong > 0 ? `, ${p.wrong} not there` : '' }}{{ p.helped ? ', helped' : '' }}
            </td>
            <td class="right fig">{{ p.minutes }}</td>
            <td class="right fig">{{ p.proposedMinutes ?? '–' }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.before {
  margin-top: var(--space-5);
  max-width: 840px;
}
.right {
  text-align: right;
}
td,
th {
  padding: var(--space-2) var(--space-4) var(--space-2) 0;
}
td .second {
  margin-left: 10px;
}
</style>
