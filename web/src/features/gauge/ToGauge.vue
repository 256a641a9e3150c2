<script setup lang="ts">
import type { Obligation } from '@dauer/core/ledger';
import type { Component } from '@dauer/core/judging';
import { CORNER_NAME, CORNERS, KIND_FACTS, placeName } from '@dauer/core/layout';
import { hiddenPlaces } from '@dauer/core/views';
import { computed } from 'vue';
import { dayText } from '../../fittings/dates.ts';
import { useOpenJob } from '../../job/openJob.ts';
import { useSession } from '../../app/session.ts';
import VerdictMark from '../../fittings/VerdictMark.vue';
import ReadingsExchange from './ReadingsExchange.vue';
import WalkRound from './WalkRound.vue';

/** The whole vehicle: what is gauged, what is still owed, in walking order. */
const job = useOpenJob();
const session = useSession();
interface Group {
  readonly name: string;
  readonly components: readonly Component[];
}
const open = computed(() => job.state.obligations.filter((o) => o.stage === 'gauge' && o.state !== 'closed'));
const openAt = (slotId: string): Obligation[] => open.value.filter((o) => o.slotId === slotId);
const groups = computed<Group[]>(() => {
  const all = job.state.components.filter((c) => (c.inScope && KIND_FACTS[c.slot.kind].article) || openAt(c.slot.id).length > 0);
  return [
    ...CORNERS.map((corner) => ({ name: CORNER_NAME[corner], components: all.filter((c) => c.slot.corner === corner) })),
    { name: 'The rest of the vehicle', components: all.filter((c) => c.slot.corner === null) },
  ].filter((g) => g.components.length > 0);
});
/** What no inspection sees, and what joins the units: nothing is owed of it until something is found or touched. */
const hidden = computed(() => hiddenPlaces(job.state));
const saysOf = (h: (typeof hidden.value)[number]): string =>
  [h.what, h.off ? 'off' : h.found.join('; '), h.seenAt ? `seen ${dayText(h.seenAt)}` : 'never seen here'].filter(Boolean).join(' · ');
const componentAt = (slotId: string): Component | undefined => job.state.components.find((c) => c.slot.id === slotId);
function lookedAt(slotId: string): void {
  job.add('findings', {
    slotId,
    partId: componentAt(slotId)?.part?.id ?? null,
    words: 'Looked at, nothing found.',
    severity: 'note',
    cleaning: 'after',
    rulesOut: [],
    settles: null,
  });
}
</script>

<template>
  <div class="head">
    <h1>To gauge</h1>
    <span class="second">{{ open.length === 0 ? 'everything that was asked for is gauged' : `${open.length} still open; pick one` }}</span>
  </div>
  <p v-if="groups.length === 0" class="second empty">
    This job takes no corner in, so nothing is asked for here.
    <RouterLink :to="`/jobs/${job.state.records.job.id}/bookin`">Take corners in at Book in</RouterLink>
  </p>
  <WalkRound v-if="job.writable" />
  <section v-for="g in groups" :key="g.name" class="group">
    <h2>{{ g.name }}</h2>
    <ul>
      <li v-for="c in g.components" :key="c.slot.id">
        <button type="button" class="pick" @click="job.picked = c.slot.id">
          <VerdictMark :verdict="c.verdict ?? 'not_gauged'" />
          <b class="plate-font">{{ c.slot.name }}</b>
          <span class="second small">
            {{
              openAt(c.slot.id).length === 0
                ? 'done'
                : openAt(c.slot.id)
                    .map((o) => o.brief)
                    .join(', ')
            }}
          </span>
        </button>
        <v-btn
          v-if="c.lookRequired && !c.lookDone && session.may('technician') && !job.state.released"
          class="act slim quick"
          :aria-label="`${placeName(c.slot)}: looked at after cleaning, nothing found`"
          @click="lookedAt(c.slot.id)"
        >
          Nothing found
        </v-btn>
      </li>
    </ul>
  </section>
  <details v-if="hidden.length > 0" class="group between">
    <summary>Hidden places, lines, cables, rods and levers</summary>
    <p class="second small">
      Nothing is asked for here, and an inspection passed says nothing of it. What is found or renewed is entered at its place, which the
      map shows too.
    </p>
    <ul>
      <li v-for="h in hidden" :key="h.slot.id">
        <button type="button" class="pick" @click="job.picked = h.slot.id">
          <b class="plate-font long">{{ placeName(h.slot) }}</b>
          <span class="second small">{{ saysOf(h) }}</span>
        </button>
        <v-btn
          v-if="!h.off && !componentAt(h.slot.id)?.lookDone && session.may('technician') && !job.state.released"
          class="act slim quick"
          :aria-label="`${placeName(h.slot)}: seen after cleaning, nothing found`"
          @click="lookedAt(h.slot.id)"
        >
          Seen, nothing found
        </v-btn>
      </li>
    </ul>
  </details>
  <ReadingsExchange />
</template>

<style scoped>
.group {
  margin-top: var(--space-4);
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(380px, 1fr));
  column-gap: var(--space-6);
  border-top: var(--line-hair) solid var(--slate);
}
li {
  display: flex;
  align-items: center;
  gap: var(--space-2);
  border-bottom: var(--line-hair) solid var(--hair);
  min-height: 52px;
}
.pick {
  flex: 1;
  display: flex;
  align-items: center;
  gap: var(--space-3);
  min-height: var(--strip);
  background: none;
  border: 0;
  cursor: pointer;
  text-align: left;
  color: var(--blue);
}
.pick b {
  font-size: var(--type-caption);
  white-space: nowrap;
}
.pick b.long {
  flex: 1 1 45%;
  font-size: var(--type-body);
  white-space: normal;
}
.between .small {
  flex: 1 1 45%;
  line-height: var(--leading-tight);
}
.between summary {
  min-height: var(--touch);
  font: 600 var(--type-caption) / var(--leading) var(--plate-font);
  cursor: pointer;
}
.pick:hover b {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.quick {
  white-space: nowrap;
}
.empty {
  margin-top: var(--space-4);
}
@media (max-width: 860px) {
  ul {
    grid-template-columns: 1fr;
  }
}
</style>
