<script setup lang="ts">
import { CORNER_NAME, type Corner, GROUP_NAME, GROUPS, type Observation, observationKey, observationsFor } from '@dauer/core';
import { computed, ref } from 'vue';
import CautionPlates from '../../app/CautionPlates.vue';
import { useJob } from '../../app/job.ts';
import { dayText } from '../../fittings/dates.ts';
import CausesPanel from './CausesPanel.vue';

/** Complaint and observations: seen, not seen, not checked; what may be at fault stands above them. */
const job = useJob();
const find = ref('');
const list = computed(() => {
  const layout = job.state?.file.layout;
  if (!layout) return [];
  const has = (kind: string): boolean => layout.slots.some((s) => s.kind === kind);
  return observationsFor({ hydraulic: has('master_cylinder'), servo: has('servo'), clutch: has('clutch_master') }).filter(
    (o) =>
      o.text.toLowerCase().includes(find.value.trim().toLowerCase()) ||
      GROUP_NAME[o.group].toLowerCase().includes(find.value.trim().toLowerCase()),
  );
});
const groups = computed(() => GROUPS.map((g) => ({ g, items: list.value.filter((o) => o.group === g) })).filter((x) => x.items.length > 0));
const corners = computed(() => job.state?.file.job.scopeCorners ?? []);
const stateOf = (code: string, corner: Corner | null): Observation['state'] =>
  job.state?.situation.answers.get(observationKey(code, corner))?.state ?? 'not_checked';
const writable = computed(() => job.writable);
function answer(code: string, corner: Corner | null, state: Observation['state']): void {
  if (stateOf(code, corner) !== state) job.add('observations', { code, corner, state });
}
const STATES = [
  ['seen', 'Seen'],
  ['not_seen', 'Not seen'],
  ['not_checked', 'Not checked'],
] as const;
const checked = computed(() => [...(job.state?.situation.answers.values() ?? [])].filter((o) => o.state !== 'not_checked').length);
const open = computed(() => (job.state?.obligations ?? []).filter((o) => o.stage === 'trace' && o.state === 'open'));
const NEXT: Record<Observation['state'], Observation['state']> = { not_checked: 'seen', seen: 'not_seen', not_seen: 'not_checked' };
const stillText = computed(() => {
  const next = open.value
    .slice(0, 3)
    .map((o) => o.what.toLowerCase())
    .join(', ');
  const more = open.value.length > 3 ? ` and ${open.value.length - 3} more` : '';
  return `${checked.value} answered${next ? `; still to do: ${next}${more}` : ''}`;
});
</script>

<template>
  <div class="head">
    <h1>{{ job.state?.file.job.complaint || 'No complaint: a round of the vehicle' }}</h1>
    <span class="grow" />
    <span class="second told">as told at Book in, {{ dayText(job.state?.file.job.openedAt ?? '') }}</span>
  </div>
  <CautionPlates :steps="['trace']" />
  <CausesPanel />
  <div class="tools">
    <v-text-field v-model="find" class="find" label="Find an observation" clearable @click:clear="find = ''" />
    <span class="second still">
      {{ stillText }}
    </span>
  </div>
  <div class="groups">
    <section v-for="{ g, items } in groups" :key="g" class="group" :class="{ wheels: g === 'wheel' }">
      <h2>{{ GROUP_NAME[g] }}</h2>
      <ul v-if="g !== 'wheel'">
        <li v-for="o in items" :key="o.code">
          <span class="text">{{ o.text }}</span>
          <div class="tri" role="radiogroup" :aria-label="o.text">
            <button
              v-for="[s, label] in STATES"
              :key="s"
              type="button"
              role="radio"
              :aria-checked="stateOf(o.code, null) === s"
              :class="[s, { on: stateOf(o.code, null) === s }]"
              :disabled="!writable"
              @click="answer(o.code, null, s)"
            >
              {{ label }}
            </button>
          </div>
        </li>
      </ul>
      <div v-else class="scroll">
        <table aria-label="Observations at each wheel">
          <thead>
            <tr>
              <td />
              <th v-for="c in corners" :key="c" scope="col">{{ CORNER_NAME[c] }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="o in items" :key="o.code">
              <th scope="row">{{ o.text }}</th>
              <td v-for="c in corners" :key="c">
                <button
                  type="button"
                  class="cell"
                  :class="stateOf(o.code, c)"
                  :disabled="!writable"
                  :aria-label="`${o.text}, ${CORNER_NAME[c]}: ${stateOf(o.code, c).replace('_', ' ')}`"
                  @click="answer(o.code, c, NEXT[stateOf(o.code, c)])"
                >
                  {{ stateOf(o.code, c) === 'seen' ? 'Seen' : stateOf(o.code, c) === 'not_seen' ? 'Not seen' : 'Not checked' }}
                </button>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="corners.length === 0" class="second">No corner is taken in by this job.</p>
      </div>
    </section>
    <p v-if="groups.length === 0" class="second">Nothing on the list reads like “{{ find }}”.</p>
  </div>
</template>

<style scoped>
.told {
  white-space: nowrap;
}
.tools {
  display: flex;
  gap: 16px;
  align-items: center;
  margin: 8px 0;
  flex-wrap: wrap;
}
.find {
  flex: 0 1 260px;
}
.still {
  flex: 1 1 260px;
}
.groups {
  columns: 2;
  column-gap: 32px;
}
.group {
  break-inside: avoid;
  margin-bottom: 16px;
}
.wheels {
  column-span: all;
}
h2 {
  border-bottom: 1px solid var(--slate);
  padding-bottom: 6px;
}
li {
  display: flex;
  align-items: center;
  gap: 8px;
  border-bottom: 1px solid var(--hair);
  min-height: 52px;
}
.text {
  flex: 1;
  line-height: 20px;
}
.tri {
  display: flex;
}
.tri button,
.cell {
  min-height: 44px;
  padding: 3px 8px 0;
  border: 0;
  border-bottom: 3px solid transparent;
  background: none;
  color: var(--blue);
  font: 600 16px/18px var(--plate-font);
  cursor: pointer;
  white-space: nowrap;
}
.tri .on,
.cell.seen,
.cell.not_seen {
  background: var(--blue-tint);
  color: var(--ink);
  border-bottom: 3px solid var(--blue);
}
.tri .not_checked.on {
  background: none;
  border-bottom: 2px dashed var(--blue);
}
.tri button:disabled,
.cell:disabled {
  cursor: default;
}
.cell {
  width: 100%;
  min-width: 96px;
}
.cell.not_checked {
  border-bottom: 2px dashed var(--hair);
}
.cell.not_seen {
  background: none;
}
.scroll {
  overflow-x: auto;
}
td {
  padding: 4px 8px 4px 0;
}
tbody th {
  border-bottom: 1px solid var(--hair);
  font: 400 16px/20px var(--text-font);
  color: var(--ink);
}
@media (max-width: 1180px) {
  .groups {
    columns: 1;
  }
}
@media (max-width: 560px) {
  li {
    flex-wrap: wrap;
    padding: 6px 0;
  }
  .text {
    flex: 1 1 100%;
  }
  .head {
    flex-wrap: wrap;
    gap: 0 12px;
  }
}
</style>
