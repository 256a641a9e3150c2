<script setup lang="ts">
import { VERDICT_WORD } from '@dauer/core/wording';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { call, sentenceOf } from '../../app/client.ts';
import { dayText } from '../../fittings/dates.ts';
import VerdictMark from '../../fittings/VerdictMark.vue';

/** What leaned on a gauge since a day, and what would fall differently with a doubt on it: that first. */
const props = defineProps<{ gaugeId: string; since: string; offBy: number }>();
const { data, error, isLoading } = useQuery({
  key: () => ['leaned', props.gaugeId, props.since, String(props.offBy)],
  query: () => call('leaned', { params: { id: props.gaugeId }, query: { since: props.since, offBy: props.offBy } }),
});
const differ = computed(() => (data.value?.figures ?? []).filter((f) => f.was !== f.would).length);
const where = (releasedAt: string | null): string => (releasedAt ? `handed back ${dayText(releasedAt)}` : 'in the shop');
</script>

<template>
  <div>
    <p v-if="error" class="problem" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="isLoading" class="second">Looking through the book …</p>
    <template v-else-if="data">
      <p class="second">
        {{ data.readings }} readings, {{ data.figures.length }} figures leaned on it;
        <b>{{ differ }} would fall differently.</b>
      </p>
      <div v-if="data.figures.length > 0" class="scroll">
        <table>
          <thead>
            <tr>
              <th>Vehicle</th>
              <th>Place</th>
              <th>Figure</th>
              <th>It was</th>
              <th>With the doubt</th>
              <th>Taken</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(f, i) in data.figures" :key="i" :class="{ same: f.was === f.would }">
              <td>
                <RouterLink :to="f.releasedAt ? `/jobs/${f.jobId}/sheet` : `/jobs/${f.jobId}/gauge`">{{ f.tag }}</RouterLink>
                <span class="second small">{{ where(f.releasedAt) }}</span>
              </td>
              <td>
                {{ f.place }}
                <span class="second small">{{ f.characteristic }}</span>
              </td>
              <td class="fig">{{ f.figure }}</td>
              <td><VerdictMark :verdict="f.was" :size="14" word /></td>
              <td>
                <VerdictMark v-if="f.was !== f.would" :verdict="f.would" :size="14" word />
                <span v-else class="second">the same</span>
                <span class="sr">{{ VERDICT_WORD[f.would] }}</span>
              </td>
              <td>{{ dayText(f.takenOn) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
.same {
  color: var(--ink2);
}
td span.small {
  display: block;
}
</style>
