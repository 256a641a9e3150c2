<script setup lang="ts">
import type { Measurement, MeasurementId } from '@dauer/core/catalogue';
import { computed, ref } from 'vue';

/** What is gauged on a component: what is asked for first, the rest behind one more. */
const props = defineProps<{
  measurements: readonly Measurement[];
  count: (id: MeasurementId) => string;
  /** Asked for here, or taken already. */
  first: (id: MeasurementId) => boolean;
  findings: number;
  name: string;
}>();
const tab = defineModel<MeasurementId | 'eye'>({ required: true });
const opened = ref(false);
const shown = computed(() => {
  const listed = props.measurements.filter((m) => props.first(m.id) || m.id === tab.value);
  return listed.length === 0 || props.measurements.length <= 3 ? props.measurements : listed;
});
const rest = computed(() => props.measurements.filter((m) => !shown.value.includes(m)));
function pick(id: MeasurementId): void {
  tab.value = id;
  opened.value = false;
}
</script>

<template>
  <div class="tabs">
    <div class="list" role="tablist" :aria-label="`What is gauged on the ${name.toLowerCase()}`">
      <button
        v-for="m in [...shown, ...(opened ? rest : [])]"
        :key="m.id"
        type="button"
        role="tab"
        :aria-selected="tab === m.id"
        @click="pick(m.id)"
      >
        {{ m.name }}
        <span class="fig">{{ count(m.id) }}</span>
      </button>
      <button type="button" role="tab" :aria-selected="tab === 'eye'" @click="tab = 'eye'">
        By eye
        <span class="fig">{{ findings }}</span>
      </button>
    </div>
    <button v-if="rest.length > 0" type="button" class="rest" :aria-expanded="opened" @click="opened = !opened">
      {{ opened ? 'Fewer' : `${rest.length} more` }}
    </button>
  </div>
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  align-self: stretch;
}
.list {
  display: contents;
}
.tabs button {
  min-height: 47px;
  padding: var(--space-1) var(--space-3) 1px;
  border: 0;
  border-bottom: var(--line-chosen) solid transparent;
  background: none;
  color: var(--blue);
  font: 600 var(--type-tab)/22px var(--plate-font);
  cursor: pointer;
  white-space: nowrap;
}
.tabs button[aria-selected='true'] {
  background: var(--blue-tint);
  color: var(--ink);
  border-bottom-color: var(--blue);
}
.tabs .fig {
  font-size: var(--type-second);
}
.tabs .rest {
  font: 400 var(--type-paragraph)/22px var(--text-font);
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
