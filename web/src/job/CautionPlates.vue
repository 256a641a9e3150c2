<script setup lang="ts">
import { cautionsAt, type CautionStep } from '@dauer/core/catalogue';
import { computed } from 'vue';
import { useOpenJob } from './openJob.ts';
import { useSession } from '../app/session.ts';

/** Cautions at the step they belong to. The critical ones wait for a name, once a job; `ready` says whether they have it. */
const props = withDefaults(defineProps<{ steps: readonly CautionStep[]; show?: 'both' | 'open' | 'quiet' }>(), { show: 'both' });
const job = useOpenJob();
const session = useSession();
const acks = computed(() => job.state.history.active(job.state.records.cautionAcks));
const list = computed(() => cautionsAt(props.steps, new Set(job.state.records.layout.slots.map((s) => s.kind))));
const open = computed(() => list.value.filter((c) => c.critical && !acks.value.some((a) => a.caution === c.id)));
const quiet = computed(() => list.value.filter((c) => !open.value.includes(c)));
const any = computed(() => (props.show !== 'quiet' && open.value.length > 0) || (props.show !== 'open' && quiet.value.length > 0));
</script>

<template>
  <div v-if="any" class="cautions no-print">
    <div v-for="c in show === 'quiet' ? [] : open" :key="c.id" class="caution">
      <span class="hatch" aria-hidden="true" />
      <p>
        <b class="plate-font">Caution</b>
        {{ c.text }}
      </p>
      <v-btn v-if="session.may('technician') && !job.state.released" class="act slim" @click="job.add('cautionAcks', { caution: c.id })">
        Read, {{ session.person?.name.split(' ')[0] }}
      </v-btn>
    </div>
    <details v-if="quiet.length > 0 && show !== 'open'" class="quiet">
      <summary>{{ quiet.length === 1 ? 'One caution' : `${quiet.length} cautions` }} for this step</summary>
      <p v-for="c in quiet" :key="c.id">{{ c.text }}</p>
    </details>
  </div>
</template>

<style scoped>
.cautions {
  display: grid;
  gap: var(--space-2);
  margin: var(--space-2) 0;
}
.caution {
  display: flex;
  align-items: center;
  gap: var(--space-3);
  min-height: var(--touch);
  border: var(--line-hair) solid var(--ink);
  background: var(--plate);
  padding-right: var(--space-2);
}
.caution p {
  flex: 1;
  font-size: var(--type-paragraph);
  line-height: var(--leading-tight);
  padding: 6px 0;
}
.caution b {
  font-size: var(--type-caption);
  margin-right: 6px;
}
.hatch {
  align-self: stretch;
  flex: none;
  width: 28px;
  background: repeating-linear-gradient(135deg, var(--ink) 0 4px, var(--plate) 4px 9px);
}
.act.slim {
  min-height: var(--touch);
  margin: var(--space-1) 0;
  white-space: nowrap;
}
.quiet {
  font-size: var(--type-second);
  line-height: var(--leading-tight);
  color: var(--ink2);
}
.quiet summary {
  cursor: pointer;
  min-height: 24px;
}
.quiet p {
  padding: 2px 0 2px var(--space-4);
}
</style>
