<script setup lang="ts">
import { SOURCE_WORD } from '@dauer/core/wording';
import { fixed } from '@dauer/core/quantity';
import { type LimitVersion } from '@dauer/core/verdict';
import { useQuery } from '@pinia/colada';
import { call, sentenceOf } from '../../app/client.ts';
import { dayText } from '../../fittings/dates.ts';

/** Every version that a limit has had: nothing in the book is edited, and a verdict keeps the one it was made with. */
const props = defineProps<{ limit: LimitVersion; name: string }>();
const emit = defineEmits<{ close: [] }>();
const { data, error } = useQuery({
  key: () => ['limit', props.limit.seriesId],
  query: () => call('limitVersions', { params: { seriesId: props.limit.seriesId } }),
});
const figure = (v: number | null): string => (v === null ? '–' : fixed(v, Math.max(2, String(v).split('.')[1]?.length ?? 0)));
</script>

<template>
  <v-dialog aria-labelledby="limit-versions-title" :model-value="true" max-width="820" @update:model-value="emit('close')">
    <div class="dialog">
      <h2 id="limit-versions-title">{{ name }}</h2>
      <p v-if="error" class="problem" role="alert">{{ sentenceOf(error) }}</p>
      <div v-if="data" class="scroll">
        <table>
          <thead>
            <tr>
              <th>Entered</th>
              <th class="num">New</th>
              <th class="num">Machine to</th>
              <th class="num">Limit</th>
              <th>As printed</th>
              <th>Source</th>
              <th>Checked</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(l, i) in data" :key="l.id">
              <td>
                {{ dayText(l.enteredAt) }}
                <div class="second small">{{ l.enteredByName }}{{ i === 0 ? ', holds now' : '' }}</div>
              </td>
              <td class="num fig">{{ figure(l.nominal) }}</td>
              <td class="num fig">{{ figure(l.machineTo) }}</td>
              <td class="num fig fig-b">{{ l.bound === 'range' ? `${figure(l.low)}–${figure(l.high)}` : figure(l.at) }}</td>
              <td>{{ l.asPrinted }} {{ l.asPrinted.includes(l.printedUnit) ? '' : l.printedUnit }}</td>
              <td>
                {{ SOURCE_WORD[l.source] }}
                <div class="second small">{{ l.sourceText }}</div>
              </td>
              <td>{{ l.checkedByName ?? 'not yet' }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="acts"><v-btn class="act main" @click="emit('close')">Close</v-btn></div>
    </div>
  </v-dialog>
</template>

<style scoped>
.num {
  text-align: right;
}
</style>
