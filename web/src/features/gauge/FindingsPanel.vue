<script setup lang="ts">
import { figure } from '@dauer/core/quantity';
import { causeMissing, OPTION_NAME } from '@dauer/core/catalogue';
import { writtenUpLater } from '@dauer/core/history';
import { type Component, FINDING_VERDICT } from '@dauer/core/judging';
import type { Finding } from '@dauer/core/ledger';
import { computed, ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import FinishRow from '../../job/FinishRow.vue';
import PictureRow from '../../job/PictureRow.vue';
import RedactDialog from '../../job/RedactDialog.vue';
import { useSession } from '../../app/session.ts';
import { dayText } from '../../fittings/dates.ts';
import VerdictMark from '../../fittings/VerdictMark.vue';
import FindingForm from './FindingForm.vue';

/** What was seen on a component, with its pictures, and the way to write down more. */
const props = defineProps<{ component: Component }>();
const job = useOpenJob();
const session = useSession();
const black = ref<Finding | null>(null);
/** What sits here, or came out of here and lies on the bench. */
const partId = computed(() => props.component.part?.id ?? props.component.bench);
const writable = computed(() => job.writable && (!props.component.empty || props.component.bench !== null));
function about(f: Finding): string {
  const cause = causeMissing(f.code, false) ? 'its cause is asked for; ' : '';
  const late = writtenUpLater(f) ? ', written up later' : '';
  const said = `${cause}${f.cleaning === 'before' ? 'before cleaning, ' : ''}${job.by(f)}, ${dayText(f.happenedAt)}${late}`;
  return f.rulesOut.length > 0 ? `${said}; rules out ${f.rulesOut.map((o) => OPTION_NAME[o].toLowerCase()).join(', ')}` : said;
}
/** Where it is on the part, in words. */
function where(f: Finding): string {
  const stretch = f.fromMm !== null && f.toMm !== null ? `${figure(f.fromMm)} to ${figure(f.toMm)} mm` : '';
  const deep = f.depthMm !== null ? `${figure(f.depthMm)} mm deep` : '';
  return [f.place ?? '', stretch, deep].filter((x) => x !== '').join(', ');
}
</script>

<template>
  <div class="panel">
    <ul v-if="component.findings.length > 0" class="list">
      <li v-for="f in component.findings" :key="f.id">
        <VerdictMark :verdict="FINDING_VERDICT[f.severity]" />
        <div class="words">
          {{ f.words }}
          <span v-if="where(f)" class="second fig">{{ where(f) }}</span>
          <div class="second small">
            {{ about(f) }}
          </div>
          <PictureRow v-if="f.jobId === job.records.job.id" of="finding" :slot-id="f.slotId" :finding-id="f.id" label="Picture of it" />
        </div>
        <button v-if="job.writable && f.jobId === job.state.records.job.id" class="link" type="button" @click="job.takeBack(f.id)">
          Take back
        </button>
        <button v-if="session.may('lead') && f.jobId === job.records.job.id" class="link" type="button" @click="black = f">
          Black out
        </button>
      </li>
    </ul>
    <p v-else class="second empty">
      Nothing has been said of this part yet. A part that nobody looked at is not good: it is not looked at.
    </p>
    <FinishRow v-if="partId" :slot-of="component.slot" :part-id="partId" :writable="job.writable" />
    <FindingForm v-if="writable" :key="component.slot.id" :component="component" />
    <RedactDialog v-if="black" :corrects="black.id" field="words" :text="black.words" @close="black = null" />
  </div>
</template>

<style scoped>
.panel {
  max-width: 860px;
}
.list li {
  display: flex;
  gap: var(--space-3);
  align-items: flex-start;
  padding: 10px 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.words {
  flex: 1;
  display: grid;
  gap: var(--space-1);
}
.empty {
  margin: var(--space-3) 0;
}
</style>
