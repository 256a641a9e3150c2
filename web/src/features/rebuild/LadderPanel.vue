<script setup lang="ts">
import { estimateOf, fightOrBuy } from '@dauer/core/estimate';
import { lastPartIn, whereabouts } from '@dauer/core/history';
import type { Component } from '@dauer/core/judging';
import { placeName } from '@dauer/core/layout';
import { isDuty } from '@dauer/core/ledger';
import { handedPoint, ladderState, type RungState, triedAt, whyNotDone, whyNotTried } from '@dauer/core/readiness';
import { fastenerName, fightWords, owesWords, rungWords, TRY_REFUSED } from '@dauer/core/wording';
import { computed, ref } from 'vue';
import { timeNow } from '../../app/client.ts';
import { useSession } from '../../app/session.ts';
import { dayText, timeText } from '../../fittings/dates.ts';
import { useOpenJob } from '../../job/openJob.ts';
import FastenerPlate from './FastenerPlate.vue';

/** What will not move, rung by rung from gentle to harsh: what each needs and leaves owed, each try told, and when to stop. */
const props = defineProps<{ component: Component; writable: boolean }>();
const job = useOpenJob();
const session = useSession();
const slot = computed(() => props.component.slot);
/** What may be left-handed is put on record here, before the first pull. */
const point = computed(() => handedPoint(slot.value));
const byHand = ref(false);
/** What was tried, which is little to read; all of the ladder only where it is open. */
const tried = computed(() => triedAt(job.history, slot.value));
/** Sent out: nothing is done to it here. */
const away = computed(() => {
  const events = job.history.active(job.history.records.partEvents);
  const part = lastPartIn(slot.value.id, events);
  return part !== null && whereabouts(part, events).at === 'away';
});
const seized = computed(() => props.component.findings.some((f) => f.code === 'seized'));
const begun = computed(() => (tried.value?.tries.length ?? 0) > 0);
const owed = computed(() => job.state.obligations.some((o) => isDuty(o, 'freed') && o.slotId === slot.value.id && o.state === 'open'));
const open = computed(() => byHand.value || (begun.value && !tried.value?.moves) || owed.value);
const state = computed(() => (open.value ? ladderState(job.history, slot.value, job.today) : null));
/** What fighting on costs beside another unit: said before the next rung. */
const fight = computed(() => {
  if (!open.value || !session.may('technician')) return null;
  const estimate = estimateOf(job.history, job.state.components);
  const priced = estimate.rows.find((r) => [...r.row.members, ...r.row.inside].some((c) => c.slot.id === slot.value.id));
  const found = priced && fightOrBuy(job.history, estimate.book, priced.row, priced.options);
  return found ? { words: fightWords(found, estimate.book.rates?.currency ?? session.shop.currency), stop: found.stop } : null;
});
const trying = ref<string | null>(null);
const minutes = ref('');
const note = ref('');
const refused = ref('');
function begin(r: RungState): void {
  trying.value = r.rung.id;
  minutes.value = String(r.rung.minutes);
  note.value = '';
  refused.value = '';
}
function tell(r: RungState, moved: boolean): void {
  const s = state.value;
  if (!s) return;
  const body = {
    slotId: slot.value.id,
    ladderId: s.ladder.id,
    rungId: r.rung.id,
    moved,
    minutes: Number(minutes.value),
    note: note.value.trim(),
  };
  refused.value = whyNotTried(job.history, body, timeNow().at) ?? '';
  if (refused.value !== '') return;
  job.together(`${placeName(slot.value)}: ${r.rung.name.toLowerCase()}`, () => {
    job.add('ladderTries', body);
    if (moved) freed();
  });
  trying.value = null;
}
/** What moves again is freed, where that is work of its own. */
function freed(): void {
  const partId = props.component.part?.id ?? props.component.bench;
  if (partId === null || partId === undefined) return;
  const event = { id: '', partId, kind: 'freed' as const, slotId: slot.value.id, lot: null, lineOn: false };
  if (seized.value && whyNotDone(job.history, event, timeNow().at) === null)
    job.add('partEvents', { partId, kind: 'freed', slotId: null, note: '', lot: null, lineOn: false, temporary: false, part: null });
}
const wrongMinutes = computed(() => (/^\d{1,3}$/.test(minutes.value) && Number(minutes.value) > 0 ? '' : TRY_REFUSED.minutes));
</script>

<template>
  <div v-if="tried && (open || (writable && !away))" class="ladder" :class="{ open }">
    <button v-if="!open" class="link small" type="button" :aria-label="`${placeName(slot)} will not move`" @click="byHand = true">
      it will not move
    </button>
    <template v-else-if="state">
      <div class="top">
        <b class="plate-font">{{ state.ladder.name }}</b>
        <span class="second small">
          {{ state.moves ? 'it moves' : begun ? `${state.tries.length} ${state.tries.length === 1 ? 'try' : 'tries'}` : 'gentle first' }}
        </span>
        <button v-if="byHand && !begun" class="link small" type="button" @click="byHand = false">it moves</button>
      </div>
      <p v-if="fight" class="stop" :class="{ now: fight.stop }">{{ fight.words }}</p>
      <p v-if="state.owes.length > 0" class="stop now">Left owed: {{ owesWords(state.owes) }}.</p>
      <p v-if="refused" class="problem" role="alert">{{ refused }}</p>
      <FastenerPlate v-if="point && !state.moves" :point="point" :name="fastenerName(slot)" :writable="writable" />
      <ol :aria-label="state.ladder.name">
        <li v-for="(r, i) in state.rungs" :key="r.rung.id" :class="{ next: r === state.next && !state.moves }">
          <span class="fig number">{{ i + 1 }}</span>
          <div class="what">
            <span>{{ r.rung.name }}</span>
            <span class="second small">{{ rungWords(r.rung) }}</span>
            <span v-if="r.rung.owed" class="small">After it: {{ r.rung.owed }}</span>
            <span v-if="r.missing && !state.moves" class="small missing">{{ r.missing }}</span>
            <span v-for="t in r.tries" :key="t.id" class="small">
              <b>{{ t.moved ? 'It moved' : 'Not moved' }}</b>
              {{ t.minutes }} min{{ t.note ? `, ${t.note}` : '' }}
              <span class="second">{{ job.by(t) }}, {{ dayText(t.happenedAt) }} {{ timeText(t.happenedAt) }}</span>
              <button
                v-if="writable"
                class="link small"
                type="button"
                :aria-label="`Take back: ${r.rung.name}`"
                @click="job.takeBack(t.id)"
              >
                Take back
              </button>
            </span>
            <span v-if="r.worksUntil" class="small">Works by itself until {{ dayText(r.worksUntil) }} {{ timeText(r.worksUntil) }}</span>
            <form v-if="trying === r.rung.id" class="try" @submit.prevent="tell(r, false)">
              <v-text-field
                v-model="minutes"
                v-focus
                density="compact"
                label="Minutes"
                inputmode="numeric"
                :error-messages="wrongMinutes"
              />
              <v-text-field v-model="note" density="compact" label="What was seen" maxlength="300" />
              <v-btn class="act slim" type="submit" :disabled="wrongMinutes !== ''">It did not move</v-btn>
              <v-btn class="act slim" :disabled="wrongMinutes !== ''" @click="tell(r, true)">It moved</v-btn>
            </form>
          </div>
          <v-btn
            v-if="writable && !state.moves && trying !== r.rung.id"
            class="act slim"
            :aria-label="`Tried: ${r.rung.name}`"
            :disabled="r.missing !== null"
            @click="begin(r)"
          >
            Tried
          </v-btn>
        </li>
      </ol>
    </template>
  </div>
</template>

<style scoped>
.ladder.open {
  flex: 1 1 100%;
}
.top {
  display: flex;
  gap: var(--space-3);
  align-items: baseline;
  border-bottom: var(--line-hair) solid var(--ink);
}
.stop {
  margin: var(--space-2) 0;
}
.stop.now {
  border-left: var(--line-chosen) solid var(--ink);
  padding-left: var(--space-2);
  font-weight: 700;
}
li {
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr) auto;
  gap: var(--space-2);
  align-items: start;
  padding: var(--space-2) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
li.next {
  background: var(--plate);
  border-left: var(--line-chosen) solid var(--ink);
  padding-left: var(--space-2);
}
.what {
  display: grid;
  gap: 2px;
}
.missing {
  border-left: var(--line-hair) solid var(--ink);
  padding-left: var(--space-2);
}
.try {
  display: grid;
  grid-template-columns: 104px minmax(0, 1fr) auto auto;
  gap: var(--space-2);
  align-items: start;
  margin-top: var(--space-2);
}
@media (max-width: 720px) {
  .try {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
}
</style>
