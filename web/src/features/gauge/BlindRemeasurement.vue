<script setup lang="ts">
import { signatories } from '@dauer/core/history';
import { contradictionWords } from '@dauer/core/wording';
import type { Judged } from '@dauer/core/judging';
import { computed } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import { useSession } from '../../app/session.ts';

/** A safety figure near its limit is measured again by somebody who has not seen the first. */
const props = defineProps<{ judged: readonly Judged[]; writable: boolean }>();
const blind = defineModel<boolean>('blind', { required: true });
const job = useOpenJob();
const session = useSession();
const asks = computed(() => props.judged.find((j) => j.asksSecond) ?? null);
const first = computed(() => job.history.sets.find((s) => s.id === asks.value?.setId) ?? null);
const another = computed(() => first.value !== null && !signatories(job.records, first.value).includes(session.person?.id ?? ''));
</script>

<template>
  <p v-if="blind" class="problem ask">
    <span>Second measure: what was taken before stays hidden. It is compared once every position is taken.</span>
    <v-btn class="act slim" @click="blind = false">Show the first again</v-btn>
  </p>
  <p v-else-if="asks" class="problem ask">
    <span>
      {{
        (asks.contradicts && contradictionWords(asks, asks.contradicts)) ??
        `${asks.characteristic.short} lies within twice the gauge’s uncertainty of a safety limit.`
      }}
      Another person measures it again, without seeing this.
    </span>
    <v-btn v-if="writable && another" class="act slim" @click="blind = true">Measure it blind</v-btn>
    <span v-else class="second">{{ first ? job.by(first) : '' }} took the first.</span>
  </p>
</template>

<style scoped>
.ask {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  flex-wrap: wrap;
  margin: 6px 0;
}
</style>
