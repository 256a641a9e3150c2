<script setup lang="ts">
import { type Port, portName } from '@dauer/core/wording';
import { placeName, slotById } from '@dauer/core/layout';
import { jointsOf, type JointStatus, jointStatus, portsOf } from '@dauer/core/readiness';
import { computed } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import JointRow from './JointRow.vue';
import PortTold from './PortTold.vue';
import PortWords from './PortWords.vue';

/** Joints of what is picked, and every joint that was touched: opened, made, torqued, looked at; beside them its other ports. */
const props = defineProps<{
  writable: boolean;
  /** Those of one place alone. */
  only?: string;
}>();
const job = useOpenJob();
const rows = computed<JointStatus[]>(() => {
  const s = job.state;
  const events = s.history.active(s.records.jointEvents);
  return jointsOf(s.records.layout)
    .map((j) => jointStatus(j, events))
    .filter((j) => props.only === undefined || j.joint.slot.id === props.only)
    .filter(
      (j) => props.only !== undefined || j.state !== 'untouched' || j.joint.slot.id === job.picked || j.joint.connection.id === job.picked,
    );
});
/** The ports of what is picked that no line goes into: its bridge, and what is plugged. */
const others = computed<Port[]>(() => {
  const { layout } = job.state.records;
  const slot = slotById(layout, props.only ?? job.picked ?? '');
  return slot ? portsOf(layout, slot).filter((p) => p.kind !== 'line') : [];
});
</script>

<template>
  <section v-if="rows.length > 0" class="joints">
    <h2 class="line">Joints</h2>
    <ul>
      <JointRow v-for="j in rows" :key="j.joint.key" :status="j" :writable="writable" />
      <li v-for="p in others" :key="`${p.slot.id}:${p.id}`">
        <span class="what">
          {{ portName(p) }}: {{ placeName(p.slot).toLowerCase() }}
          <PortWords :slot-id="p.slot.id" :port="p.id" />
        </span>
        <PortTold
          v-if="writable"
          :slot-id="p.slot.id"
          :port="p.id"
          :name="portName(p)"
          :heard="`${portName(p).toLowerCase()} of the ${placeName(p.slot).toLowerCase()}`"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
.joints {
  margin-top: 20px;
}
ul > li {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  flex-wrap: wrap;
  min-height: 52px;
  padding: var(--space-1) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.what {
  flex: 1 1 280px;
  line-height: var(--leading-tight);
}
</style>
