<script setup lang="ts">
import { LOT_KINDS, type LotVersion } from '@dauer/core/ledger';
import { isPartialDate, parsePartialDate, toResult } from '@dauer/core/quantity';
import { LOT_KIND_NAME } from '@dauer/core/wording';
import { computed, ref } from 'vue';
import { v7 } from 'uuid';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useSession } from '../../app/session.ts';

/** Enters a lot, or says more of one. What its slip says is shown at the step that uses it. */
const props = defineProps<{ from: LotVersion | null }>();
const emit = defineEmits<{ close: []; entered: [] }>();
const session = useSession();
const { run, busy, problem } = useRequest();
const id = v7();
const was = props.from;
const f = ref({
  label: was?.label ?? '',
  kind: was?.kind ?? ('rubber' as LotVersion['kind']),
  name: was?.name ?? '',
  partNumber: was?.partNumber ?? '',
  made: was?.made ?? '',
  bought: was?.bought ?? '',
  opened: was?.opened ?? '',
  batch: was?.batch ?? '',
  torque: was?.torque ?? '',
  bedding: was?.bedding ?? '',
  cure: was?.cure ?? '',
  note: was?.note ?? '',
  compound: was?.compound ?? '',
  grade: was?.grade ?? '',
  meantFor: was?.meantFor ?? '',
  coating: was?.coating ?? '',
  ratedC: was?.ratedC == null ? '' : String(was.ratedC),
  lifted: was?.lifted ?? ('unknown' as LotVersion['lifted']),
  shelfYears: was?.shelfYears == null ? '' : String(was.shelfYears),
  closed: was?.closed ?? false,
  recalled: was?.recalled ?? '',
});
const dateFault = (typed: string): string => {
  if (typed.trim() === '') return '';
  const read = toResult(() => parsePartialDate(typed));
  return read.ok ? '' : read.refusal.message;
};
const partial = (typed: string): string | null => (typed.trim() === '' ? null : isPartialDate(typed) ? typed : parsePartialDate(typed).on);
const number = (typed: string): number | null => (typed.trim() === '' ? null : Number(typed.replace(',', '.')));
const wrong = computed(() => {
  const rated = number(f.value.ratedC);
  const years = number(f.value.shelfYears);
  if (rated !== null && !(rated >= 50 && rated <= 1200)) return 'A rated temperature lies between 50 and 1,200 °C.';
  if (years !== null && !(years >= 0.25 && years <= 50)) return 'Years on the shelf lie between a quarter and 50.';
  return dateFault(f.value.made) || dateFault(f.value.bought) || dateFault(f.value.opened);
});
async function enter(): Promise<void> {
  if (wrong.value !== '') return;
  await run(async () => {
    const v = f.value;
    await call('enterLot', {
      body: {
        ...{ id, seriesId: was?.seriesId ?? v7(), ...(was ? { replaces: was.id } : {}), supplierId: was?.supplierId ?? null },
        ...{ label: v.label.trim(), kind: v.kind, name: v.name.trim(), partNumber: v.partNumber.trim() || null },
        ...{ made: partial(v.made), bought: partial(v.bought), opened: partial(v.opened), batch: v.batch.trim() },
        ...{ torque: v.torque.trim(), bedding: v.bedding.trim(), cure: v.cure.trim(), note: v.note.trim() },
        ...{ compound: v.compound.trim(), grade: v.grade.trim(), meantFor: v.meantFor.trim(), coating: v.coating.trim() },
        ...{ ratedC: number(v.ratedC), lifted: v.lifted, shelfYears: number(v.shelfYears), closed: v.closed, recalled: v.recalled.trim() },
      },
    });
    emit('entered');
  });
}
const LIFTED = [
  { value: 'unknown', title: 'Not known' },
  { value: 'yes', title: 'Yes' },
  { value: 'no', title: 'No' },
];
</script>

<template>
  <v-dialog aria-labelledby="lot-form-title" :model-value="true" max-width="760" scrollable @update:model-value="emit('close')">
    <form class="dialog col" @submit.prevent="enter">
      <h2 id="lot-form-title">{{ from ? `More of ${from.label}` : 'Enter a lot' }}</h2>
      <div class="fields">
        <v-text-field v-model="f.label" v-focus label="Written on it" placeholder="L 0012" />
        <v-select v-model="f.kind" label="Of" :items="LOT_KINDS.map((value) => ({ value, title: LOT_KIND_NAME[value] }))" />
        <v-text-field v-model="f.name" label="What it is" />
        <v-text-field v-model="f.partNumber" label="Number" />
        <v-text-field v-model="f.batch" label="Batch" />
        <v-text-field v-model="f.made" label="Made, as far as known" placeholder="3/2026" :error-messages="dateFault(f.made)" />
        <v-text-field v-model="f.bought" label="Bought" placeholder="2026" :error-messages="dateFault(f.bought)" />
        <v-text-field v-model="f.opened" label="Opened" :error-messages="dateFault(f.opened)" />
        <v-text-field v-model="f.shelfYears" label="Shelf years, by maker" inputmode="decimal" />
        <template v-if="f.kind === 'lining'">
          <v-text-field v-model="f.compound" label="Compound" />
          <v-text-field v-model="f.grade" label="Grade" />
          <v-text-field v-model="f.meantFor" label="Meant for" />
          <v-text-field v-model="f.ratedC" label="Rated to, °C" inputmode="decimal" />
        </template>
        <template v-if="f.kind === 'coating'">
          <v-text-field v-model="f.coating" label="Coating" />
          <v-text-field v-model="f.ratedC" label="Rated to, °C" inputmode="decimal" />
          <v-select v-model="f.lifted" label="Brake fluid lifts it" :items="LIFTED" />
        </template>
        <v-text-field v-model="f.torque" label="Torque, by its slip" />
        <v-text-field v-model="f.bedding" label="Bedding, by its slip" />
        <v-text-field v-model="f.cure" label="Cure, by its slip" />
        <v-text-field v-model="f.note" label="Note" />
      </div>
      <v-checkbox v-model="f.closed" label="Used up" />
      <v-text-field v-if="session.may('lead') && from" v-model="f.recalled" label="Called in, and why: nothing of it goes on then" />
      <p v-if="wrong || problem" class="problem" role="alert">{{ wrong || problem }}</p>
      <div class="acts">
        <v-btn class="act" @click="emit('close')">Not now</v-btn>
        <v-btn class="act main" type="submit" :loading="busy" :disabled="f.label.trim() === '' || f.name.trim() === '' || wrong !== ''">
          Enter it
        </v-btn>
      </div>
    </form>
  </v-dialog>
</template>
