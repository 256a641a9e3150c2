<script setup lang="ts">
import { EARLIER_NAME, earlierText, KNOWN_FROM_NAME } from '@dauer/core/wording';
import { placeName } from '@dauer/core/layout';
import type { EarlierWhat, KnownFrom } from '@dauer/core/ledger';
import { convert, groupThousands, parsePartialDate, readTold, toResult } from '@dauer/core/quantity';
import { computed, ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import PictureRow from '../../job/PictureRow.vue';

/** Work of before these records, from cards and invoices, each with as much of its date as is known. */
defineProps<{ writable: boolean }>();
const job = useOpenJob();
const open = ref(false);
const blank = () => ({
  what: 'fluid_changed' as EarlierWhat,
  slotId: null as string | null,
  on: '',
  knownFrom: 'invoice' as KnownFrom,
  source: '',
  km: '',
  note: '',
});
const f = ref(blank());
const fault = ref<Record<string, string>>({});
const unit = computed(() => (job.state.records.vehicle.distanceUnit === 'mi' ? 'mi' : 'km'));
const rows = computed(() =>
  [...job.state.history.active(job.state.records.earlierWork)].sort((a, b) => (a.on < b.on ? 1 : a.on > b.on ? -1 : 0)),
);
const items = (o: Readonly<Record<string, string>>) => Object.entries(o).map(([value, title]) => ({ value, title }));
const places = computed(() => job.state.records.layout.slots.map((s) => ({ value: s.id, title: placeName(s) })));
function tell(): void {
  const date = toResult(() => parsePartialDate(f.value.on));
  const run = f.value.km.trim() === '' ? null : toResult(() => readTold('counter', f.value.km, unit.value).canonical);
  fault.value = { ...(date.ok ? {} : { on: date.refusal.message }), ...(run && !run.ok ? { km: run.refusal.message } : {}) };
  if (!date.ok || (run && !run.ok)) return;
  const { what, slotId, knownFrom, source, note } = f.value;
  job.add('earlierWork', { what, slotId, ...date.value, knownFrom, source, km: run?.ok ? run.value : null, note });
  f.value = blank();
}
</script>

<template>
  <section>
    <h2 class="line">Earlier work</h2>
    <ul>
      <li v-for="e in rows" :key="e.id">
        <span>{{ earlierText(job.state.records.layout, e) }}</span>
        <span v-if="e.km !== null" class="second fig">{{ groupThousands(convert(e.km, 'distance_run', unit)) }} {{ unit }}</span>
        <button v-if="writable && e.jobId === job.state.records.job.id" class="link small" type="button" @click="job.takeBack(e.id)">
          Take back
        </button>
      </li>
    </ul>
    <p v-if="rows.length === 0" class="second">Nothing is known of before. Unknown is a finding: fluid and units count as never touched.</p>
    <form v-if="writable && open" class="form" @submit.prevent="tell">
      <div class="fields">
        <v-select v-model="f.what" label="What was done" :items="items(EARLIER_NAME)" />
        <v-autocomplete v-model="f.slotId" label="Where, if at one place" :items="places" clearable />
        <v-text-field
          v-model="f.on"
          v-focus
          label="When, as far as is known"
          placeholder="1998, 3/1998, about 1998"
          :error-messages="fault['on']"
        />
        <v-select v-model="f.knownFrom" label="Known from" :items="items(KNOWN_FROM_NAME)" />
        <v-text-field v-model="f.source" label="Number, page, who said it" maxlength="200" />
        <v-text-field v-model="f.km" :label="`Distance then (${unit})`" inputmode="decimal" :error-messages="fault['km']" />
        <v-text-field v-model="f.note" label="Remark" maxlength="500" />
      </div>
      <div class="acts">
        <v-btn class="act main" type="submit" :disabled="f.on.trim() === ''">Note it</v-btn>
        <v-btn class="act" @click="open = false">Done</v-btn>
      </div>
    </form>
    <v-btn v-else-if="writable" class="act slim" @click="open = true">Note earlier work</v-btn>
    <div class="papers"><PictureRow of="paper" label="Picture of a card or invoice" /></div>
  </section>
</template>

<style scoped>
section {
  margin-top: 20px;
}
li {
  display: flex;
  gap: var(--space-3);
  align-items: baseline;
  flex-wrap: wrap;
  padding: 3px 0;
}
.form {
  margin-top: var(--space-4);
}
.acts {
  margin-top: var(--space-3);
}
.papers {
  margin-top: var(--space-3);
}
</style>
