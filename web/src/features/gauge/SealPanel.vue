<script setup lang="ts">
import { LINING_STATE_WORD, sealMissingWords, sealZoneWords } from '@dauer/core/wording';
import { type Component, sealZone } from '@dauer/core/judging';
import { LINING_STATES } from '@dauer/core/metrology';
import { fixed } from '@dauer/core/quantity';
import { computed } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';

/** Does a pit of this piston matter? As found, with new linings, and at discard. */
const props = defineProps<{ component: Component; writable: boolean }>();
const job = useOpenJob();
const zone = computed(() => sealZone(job.history, props.component.slot));
const standing = computed(() => {
  const r = zone.value?.result;
  return r
    ? `The piston stands out by ${LINING_STATES.map((s) => `${fixed(r.standOut[s], 1)} mm ${LINING_STATE_WORD[s]}`).join(', ')}.`
    : '';
});
const said = computed(() => props.component.findings.some((f) => f.severity === 'reject'));
function writeDown(): void {
  const z = zone.value;
  if (!z) return;
  const pit = z.pits[z.result?.pitRejects.indexOf(true) ?? -1];
  job.add('findings', {
    slotId: props.component.slot.id,
    partId: props.component.part?.id ?? null,
    words: sealZoneWords(z),
    code: null,
    severity: 'reject',
    cleaning: 'after',
    rulesOut: ['use_again', 'put_off'],
    settles: pit?.findingId ?? null,
    entry: 'piston_pit',
    fromMm: pit?.from ?? null,
    toMm: pit?.to ?? null,
  });
}
</script>

<template>
  <section v-if="zone" class="working">
    <h2>Does a pit matter?</h2>
    <p class="advice" :class="{ problem: zone.result?.reject }">{{ sealZoneWords(zone) }}</p>
    <p v-if="zone.result" class="second small">{{ standing }}</p>
    <p v-else-if="zone.missing.length > 0 && zone.pits.length === 0" class="second small">
      For the zone is missing: {{ sealMissingWords(zone) }}.
    </p>
    <p v-if="zone.pits.length === 0" class="second small">
      A pit is written down under By eye, with where it begins and ends along the piston.
    </p>
    <v-btn v-if="writable && zone.result?.reject && !said" class="act main" @click="writeDown">Write it down: reject</v-btn>
  </section>
</template>
