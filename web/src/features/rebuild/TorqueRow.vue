<script setup lang="ts">
import { genericForUnit } from '@dauer/core/catalogue';
import { agreedBeside } from '@dauer/core/views';
import { TORQUE_FIELD, usualTorque } from '@dauer/core/wording';
import type { Torque } from '@dauer/core/ledger';
import { readTold } from '@dauer/core/quantity';
import { whyNotGood } from '@dauer/core/readiness';
import { torqueFault, type TorquePoint } from '@dauer/core/stages';
import { computed, ref } from 'vue';
import { useSession } from '../../app/session.ts';
import { useOpenJob } from '../../job/openJob.ts';
import { refusalOf } from '../../fittings/refusal.ts';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import AdapterSetting from './AdapterSetting.vue';
import FastenerPlate from './FastenerPlate.vue';
import OnlyNow from '../../job/OnlyNow.vue';

/** A torque that has to be on record: target, what was set, with which wrench, by whom. */
const props = defineProps<{ point: TorquePoint; logged: readonly Torque[]; before?: string; writable: boolean }>();
const job = useOpenJob();
const session = useSession();
const last = computed(() => props.logged.at(-1) ?? null);
const open = ref(false);
/** A wheel that goes on closes the corner. */
const wheel = computed(() => (props.point.fastener.of === 'wheel' ? props.point.fastener.corner : null));
const target = ref('');
const to = ref('');
const value = ref('');
const angle = ref('');
/** A wheel is drawn up in two passes. */
const passes = ref<'1' | '2' | '3'>(wheel.value ? '2' : '1');
const PASSES = (['1', '2', '3'] as const).map((n) => ({ value: n, label: TORQUE_FIELD.pass(Number(n)) }));
/** What may be left-handed on one side is put on record once. */
const held = computed(() => {
  const { fastener } = props.point;
  return fastener.of === 'wheel' || fastener.kind === 'hub';
});
const further = (): number | null => (angle.value.trim() === '' ? null : readTold('turn_further', angle.value, 'deg').canonical);
const wrongAngle = computed(() => refusalOf(further));
/** Once somebody has tried, the words under a field follow what stands in it. */
const tried = ref(false);
const check = (text: string): string => (tried.value ? refusalOf(() => readTold('torque', text, 'Nm')) : '');
/** No book names it: a figure is owed all the same. */
const needsTarget = computed(() => torqueFault({ point: props.point.point, target: 0, canonical: 0 }) !== null);
const problems = computed(() => ({
  target: target.value.trim() === '' && !needsTarget.value ? '' : check(target.value),
  value: check(value.value),
  to: to.value.trim() === '' ? '' : check(to.value),
  angle: wrongAngle.value,
}));
/** What is usual where no book is at hand. */
const usual = computed(() => {
  const slot = job.state.records.layout.slots.find((s) => s.id === props.point.slotId);
  return slot ? usualTorque(genericForUnit(slot.kind), agreedBeside(job.records, session.person?.id)) : '';
});
const wrenches = computed(() => job.state.records.gauges.filter((g) => g.kind === 'torque_wrench').map((g) => g.tag));
/** How the wrench was set with an adapter; empty without one. */
const adapted = ref('');
const wrench = ref(wrenches.value[0] ?? '');
/** Why it has to be set again: something loosened it since, or it lies off its target. */
const off = computed(() => {
  const wrong = whyNotGood(job.state.context.proofStatus.torque(props.point.point) ?? null);
  return wrong ?? (last.value ? torqueFault(last.value) : null);
});
function log(): void {
  tried.value = true;
  if (Object.values(problems.value).some((p) => p !== '')) return;
  tried.value = false;
  job.add('torques', {
    slotId: props.point.slotId,
    point: props.point.point,
    targetTyped: target.value,
    typed: value.value,
    ...{ toTyped: to.value.trim(), passes: Number(passes.value), angleDeg: further() },
    unit: 'Nm',
    wrench: [wrench.value.trim(), adapted.value].filter(Boolean).join(', '),
  });
  open.value = false;
}
</script>

<template>
  <div class="torque">
    <span class="name">{{ point.name }}</span>
    <OnlyNow v-if="writable && open && wheel" :wheel="wheel" />
    <span v-if="last" class="set">
      <span class="fig fig-b">{{ TORQUE_FIELD.set(last) }}</span>
      <span class="second small">
        {{ [TORQUE_FIELD.target(last), TORQUE_FIELD.said(last), last.wrench, job.by(last)].filter(Boolean).join(', ') }}
      </span>
      <span v-if="off" class="small">{{ off }}</span>
    </span>
    <span v-else class="set second">not recorded</span>
    <span v-if="before && writable" class="small before">{{ before }}</span>
    <template v-if="writable">
      <button v-if="last" class="link" type="button" @click="job.takeBack(last.id)">Take back</button>
      <v-btn
        v-if="!open && (!last || off)"
        class="act slim"
        :aria-label="`Record the torque of ${point.name.toLowerCase()}`"
        @click="open = true"
      >
        Record
      </v-btn>
    </template>
    <FastenerPlate v-if="held" :point="point.point" :name="point.name" :writable="writable" />
    <form v-if="open" class="form" @submit.prevent="log">
      <v-text-field
        v-model="target"
        v-focus
        :label="needsTarget ? 'Target (N·m)' : 'Target (N·m), where a book names one'"
        placeholder="68 Nm or 50 lbf ft"
        :error-messages="problems.target"
        :hint="usual"
        :persistent-hint="usual !== ''"
      />
      <v-text-field v-model="to" :label="TORQUE_FIELD.to" :error-messages="problems.to" />
      <v-text-field v-model="value" label="Set" placeholder="68" :error-messages="problems.value" />
      <v-text-field v-model="angle" :label="TORQUE_FIELD.angle" inputmode="decimal" :error-messages="problems.angle" />
      <v-text-field v-model="wrench" label="Wrench" />
      <ChoiceRow v-model="passes" class="passes" :label="TORQUE_FIELD.passes" :options="PASSES" />
      <AdapterSetting v-model="adapted" :torque="value" />
      <v-btn class="act main" type="submit">Record</v-btn>
      <v-btn class="act" @click="open = false">Not yet</v-btn>
    </form>
  </div>
</template>

<style scoped>
.torque {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-4);
  align-items: center;
  border-bottom: var(--line-hair) solid var(--hair);
  min-height: 52px;
  padding: var(--space-1) 0;
}
.name {
  flex: 0 1 300px;
}
.set {
  flex: 1 1 220px;
}
.before {
  flex: 1 1 100%;
  border-left: var(--line-chosen) solid var(--ink);
  padding-left: var(--space-2);
}
.form {
  flex: 1 1 100%;
  display: flex;
  gap: var(--space-3);
  flex-wrap: wrap;
  align-items: flex-start;
}
.form > * {
  flex: 1 1 150px;
}
.form .act {
  flex: 0 0 auto;
  min-height: var(--strip);
}
@media (max-width: 720px) {
  .torque {
    row-gap: var(--space-3);
  }
  .form > * {
    flex-basis: 100%;
  }
}
</style>
