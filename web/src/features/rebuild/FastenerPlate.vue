<script setup lang="ts">
import { fastenerOf } from '@dauer/core/history';
import { FASTENER_FORMS, type FastenerForm, type FastenerSeat, type Hand, HANDS, MOST_FASTENERS, SEATS } from '@dauer/core/ledger';
import { FASTENER_FIELD, FASTENER_FORM_NAME, fastenerWords, HAND_NAME, SEAT_NAME, UNDO } from '@dauer/core/wording';
import { computed, ref } from 'vue';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import { useOpenJob } from '../../job/openJob.ts';
import TighteningOrder from './TighteningOrder.vue';

/** What holds a wheel or a unit: how many, which thread and hand, in which order they are drawn up. Of the vehicle, told once. */
const props = defineProps<{ point: string; name: string; writable: boolean }>();
const job = useOpenJob();
const fact = computed(() => fastenerOf(job.history, props.point));
const open = ref(false);
const [form, hand, seat] = [ref<FastenerForm>('stud_nut'), ref<Hand | null>(null), ref<FastenerSeat>('unknown')];
const [count, thread, key] = [ref('4'), ref(''), ref('')];
const oiled = ref(false);
function begin(): void {
  const f = fact.value;
  form.value = f?.form ?? (props.point.startsWith('wheel:') ? 'stud_nut' : 'other');
  hand.value = f?.hand ?? null;
  seat.value = f?.seat ?? 'unknown';
  count.value = String(f?.count ?? (props.point.startsWith('wheel:') ? 4 : 1));
  [thread.value, key.value, oiled.value] = [f?.thread ?? '', f?.key ?? '', f?.oiled ?? false];
  open.value = true;
}
const wrong = computed(() => !/^\d{1,2}$/.test(count.value.trim()) || Number(count.value) < 1 || Number(count.value) > MOST_FASTENERS);
function keep(): void {
  if (wrong.value || hand.value === null) return;
  job.add('fastenerFacts', {
    ...{ point: props.point, form: form.value, count: Number(count.value), hand: hand.value, seat: seat.value },
    ...{ thread: thread.value.trim(), key: key.value.trim(), oiled: oiled.value, note: '' },
  });
  open.value = false;
}
const named = <T extends string>(names: Readonly<Record<T, string>>, all: readonly T[]) =>
  all.map((value) => ({ value, label: names[value] }));
</script>

<template>
  <div class="holds">
    <TighteningOrder v-if="fact && !open" :count="fact.form === 'centre_lock' ? 1 : fact.count" :hand="fact.hand" />
    <div class="says small">
      <p v-if="fact">{{ fastenerWords(fact) }}</p>
      <p :class="{ open: !fact || fact.hand === 'unknown', left: fact?.hand === 'left' }">{{ UNDO[fact?.hand ?? 'unknown'] }}</p>
      <button v-if="writable && !open" type="button" class="link" :aria-label="FASTENER_FIELD.aria(name)" @click="begin">
        {{ fact ? FASTENER_FIELD.again : FASTENER_FIELD.begin }}
      </button>
    </div>
    <form v-if="open" class="form" :aria-label="FASTENER_FIELD.aria(name)" @submit.prevent="keep">
      <ChoiceRow v-model="hand" :label="FASTENER_FIELD.hand" :options="named(HAND_NAME, HANDS)" />
      <ChoiceRow v-model="form" :label="FASTENER_FIELD.form" :options="named(FASTENER_FORM_NAME, FASTENER_FORMS)" />
      <ChoiceRow v-model="seat" :label="FASTENER_FIELD.seat" :options="named(SEAT_NAME, SEATS)" />
      <div class="fields">
        <v-text-field v-model="count" density="compact" :label="FASTENER_FIELD.count" inputmode="numeric" :error="wrong" />
        <v-text-field v-model="thread" density="compact" :label="FASTENER_FIELD.thread" placeholder="M12 x 1.5" maxlength="40" />
        <v-text-field v-model="key" density="compact" :label="FASTENER_FIELD.key" maxlength="60" />
      </div>
      <v-checkbox v-model="oiled" :label="FASTENER_FIELD.oiled" />
      <div class="acts">
        <v-btn class="act slim" type="submit" :disabled="wrong || hand === null">{{ FASTENER_FIELD.keep }}</v-btn>
        <v-btn class="act slim" @click="open = false">{{ FASTENER_FIELD.not }}</v-btn>
      </div>
    </form>
  </div>
</template>

<style scoped>
.holds {
  flex: 1 1 100%;
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: center;
}
.left,
.open {
  border-left: var(--line-chosen) solid var(--ink);
  padding-left: var(--space-2);
}
.form {
  flex: 1 1 100%;
  display: grid;
  gap: var(--space-2);
  justify-items: start;
}
.fields {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: var(--space-2);
  width: 100%;
}
.acts {
  gap: var(--space-2);
}
@media (max-width: 720px) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
