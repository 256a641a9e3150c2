<script setup lang="ts">
import { earlierText, NEVER_OPEN, openDueWords } from '@dauer/core/wording';
import { figure, upperFirst } from '@dauer/core/quantity';
import { characteristicsAt } from '@dauer/core/catalogue';
import { whereabouts } from '@dauer/core/history';
import { lastOpen, openDue } from '@dauer/core/judging';
import { controlsOf, CORNER_NAME, KIND_FACTS, placeName, type Slot, styleName } from '@dauer/core/layout';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import TagPlate from '../fittings/TagPlate.vue';
import VerdictMark from '../fittings/VerdictMark.vue';
import { call } from '../app/client.ts';
import { useRequest } from '../app/request.ts';
import { useOpenJob } from './openJob.ts';
import PinnedNotes from './notes/PinnedNotes.vue';
import PictureRow from './PictureRow.vue';
import PutIns from './PutIns.vue';
import { useSession } from '../app/session.ts';
import { dayText } from '../fittings/dates.ts';

/** The picked component: what it is, which tag it carries, where it is, its verdict, and its neighbours at the corner. */
const emit = defineEmits<{ pick: [slotId: string] }>();
const job = useOpenJob();
const session = useSession();
const c = computed(() => job.component);
/** A card is at the bench: its notes stand beside its step. */
const route = useRoute();
const atBench = computed(() => typeof route.query['card'] === 'string');
const binding = ref(false);
const choosing = ref(false);
const tag = ref('');
const { run, busy, problem } = useRequest();

watch(
  () => c.value?.slot.id,
  () => {
    choosing.value = false;
    binding.value = false;
  },
);
const cells = computed<Slot[]>(() => {
  const corner = c.value?.slot.corner;
  if (!corner || !job.state) return [];
  return job.state.records.layout.slots.filter((s) => s.corner === corner && KIND_FACTS[s.kind].article);
});
const place = computed(() => job.state.context.proofStatus.places.find((p) => p.slot.id === c.value?.slot.id) ?? null);
const writable = computed(() => job.writable);
const article = computed(() => c.value !== null && KIND_FACTS[c.value.slot.kind].article);
/** What came with the vehicle without a word has no day. */
const cameWithIt = computed(() => c.value?.part !== null && c.value?.part?.id === c.value?.slot.id);
/** A control can be pressed, what holds fluid can be opened: both are played on the map. */
const playable = computed<'press' | 'open' | null>(() => {
  const s = job.state;
  const slot = c.value?.slot;
  if (!slot || s.released) return null;
  if (controlsOf(s.records.layout).some((x) => x.slotId === slot.id)) return 'press';
  return slot.circuits.length > 0 ? 'open' : null;
});
function playIt(): void {
  if (!c.value || !playable.value) return;
  job.playing = job.playing?.slotId === c.value.slot.id ? null : { step: playable.value, slotId: c.value.slot.id };
}
/** When it was last open: a clock of its own, whatever the fluid looks like. */
const opened = computed(() => {
  const s = job.state;
  if (!c.value || !article.value || !KIND_FACTS[c.value.slot.kind].hydraulic || ['hose', 'line'].includes(c.value.slot.kind)) return '';
  const at = lastOpen(s.history, c.value);
  if (at) return `Last open ${dayText(at)}`;
  const years = openDue(s.history, c.value, job.today);
  return years === null ? NEVER_OPEN : openDueWords(years);
});
const verdictOf = (id: string) => job.state.components.find((x) => x.slot.id === id)?.verdict ?? null;
const what = computed(() => {
  const s = c.value?.slot;
  if (!s) return '';
  const bits = [
    s.style ? `${KIND_FACTS[s.kind].name}, ${styleName(s.kind, s.style).toLowerCase()}` : KIND_FACTS[s.kind].name,
    s.boreMm ? `${figure(s.boreMm)} mm` : null,
    s.lengthMm ? `${figure(s.lengthMm)} mm long` : null,
    c.value?.part?.partNumber ? `no. ${c.value.part.partNumber}` : null,
  ];
  const text = bits.filter(Boolean).join(', ');
  return upperFirst(text);
});
const where = computed(() => {
  if (!c.value || !job.state) return '';
  if (place.value?.state === 'away') return 'Away: this place is empty';
  if (c.value.empty) return 'Off the vehicle: this place is empty';
  if (place.value?.state === 'temporary') return 'In its place for now only';
  if (!c.value.inScope)
    return c.value.judged.at(-1)
      ? `Out of scope; last judged ${dayText(job.state.history.sets.find((s) => s.id === c.value?.judged.at(-1)?.setId)?.happenedAt ?? '')}`
      : 'In its place, out of the scope of this job';
  return c.value.fittedHere ? 'In its place, fitted in this job' : 'In its place, as found';
});
/** Where a figure is stamped on the part itself, or was measured when it was new: a limit of this very part. */
const stamped = computed(() => {
  const k = c.value ? characteristicsAt(c.value.slot)[0] : undefined;
  const part = c.value?.part;
  if (!k || !part || !writable.value) return null;
  const label = `this very part${part.tag ? `, ${part.tag}` : ''}`;
  return { path: '/limits', query: { enter: '1', scope: 'part', characteristic: k.id, appliesTo: part.id, label } };
});
/** Work done at this place before the shop kept records. */
const before = computed(() => {
  const s = job.state;
  return s.history.active(s.records.earlierWork).flatMap((e) => (e.slotId === c.value?.slot.id ? [earlierText(s.records.layout, e)] : []));
});
const life = computed(() => {
  if (!c.value?.part || !job.state) return '';
  if (cameWithIt.value) return 'With the vehicle from the first, as far as is known';
  const events = job.state.history.active(job.state.records.partEvents).filter((e) => e.partId === c.value?.part?.id);
  const at = whereabouts(c.value.part.id, events);
  const machined = events.some((e) => e.kind === 'machined') ? 'machined' : 'never machined';
  return at.since ? `Here since ${dayText(at.since)}, ${machined}` : machined;
});
async function bind(): Promise<void> {
  const part = c.value?.part;
  if (!part || tag.value.trim() === '') return;
  await run(async () => {
    await call('bindTag', { params: { id: part.id }, body: { tag: tag.value, partNumber: null } });
    binding.value = false;
    tag.value = '';
    await job.refresh();
  });
}
</script>

<template>
  <section v-if="c" class="component" :aria-label="placeName(c.slot)">
    <div class="title">
      <TagPlate v-if="c.part?.tag" :tag="c.part.tag" small />
      <h2>{{ placeName(c.slot) }}</h2>
      <VerdictMark v-if="c.verdict" :verdict="c.verdict" word :size="15" />
      <span v-else-if="c.empty" class="plate-font">Empty</span>
    </div>
    <dl>
      <dt>What</dt>
      <dd>{{ what }}</dd>
      <dt>Where</dt>
      <dd>
        {{ where }}
        <button v-if="writable && !choosing" class="link" type="button" @click="choosing = true">put something in</button>
        <button v-if="playable" class="link" type="button" :aria-pressed="job.playing?.slotId === c.slot.id" @click="playIt">
          {{ playable === 'press' ? 'if I press now' : 'if I open this' }}
        </button>
        <button v-if="writable && article" class="link" type="button" @click="job.takeIn(c.slot.id, !c.inScope)">
          {{ c.inScope ? 'leave out of the job' : 'take into the job' }}
        </button>
      </dd>
      <template v-if="opened">
        <dt>Open</dt>
        <dd>{{ opened }}</dd>
      </template>
      <template v-if="life">
        <dt>Life</dt>
        <dd>
          {{ life }}
          <RouterLink v-if="stamped" :to="stamped">its own limit</RouterLink>
          <RouterLink v-if="c.part?.tag" :to="`/parts/${c.part.id}`">its life</RouterLink>
          <button v-else-if="c.part && session.may('technician') && !binding" class="link" type="button" @click="binding = true">
            bind a tag
          </button>
        </dd>
      </template>
      <template v-if="before.length > 0">
        <dt>Before</dt>
        <dd>{{ before.join('; ') }}</dd>
      </template>
    </dl>
    <PictureRow of="place" :slot-id="c.slot.id" class="pictures" />
    <PutIns v-if="place && (choosing || place.inside.length > 0)" v-model:choosing="choosing" :place="place" :writable="writable" />
    <form v-if="binding" class="bind" @submit.prevent="bind">
      <v-text-field v-model="tag" v-focus data-tag label="Tag on the part" placeholder="P 2207" :error-messages="problem" />
      <v-btn class="act slim" type="submit" :disabled="busy">Bind</v-btn>
      <v-btn class="act slim" @click="binding = false">Not now</v-btn>
    </form>
    <div v-if="cells.length > 0" class="cells" role="group" :aria-label="c.slot.corner ? CORNER_NAME[c.slot.corner] : ''">
      <button
        v-for="s in cells"
        :key="s.id"
        type="button"
        :aria-pressed="s.id === c.slot.id"
        :aria-label="placeName(s)"
        @click="emit('pick', s.id)"
      >
        <VerdictMark :verdict="verdictOf(s.id) ?? 'not_gauged'" :size="15" />
        <span>{{ s.name }}</span>
      </button>
    </div>
    <PinnedNotes v-if="!atBench" :key="c.slot.id" :slot-of="c.slot" />
  </section>
  <section v-else class="component none">
    <p class="second">
      Pick a component on the map, or with
      <kbd class="fig">m</kbd>
      and the arrows. Until then the right side shows the whole vehicle.
    </p>
    <PinnedNotes v-if="!atBench" :slot-of="null" />
  </section>
</template>

<style scoped>
.component {
  border-top: var(--line-drawn) solid var(--blue);
  padding: var(--space-3) var(--space-5) var(--space-4);
}
.none {
  border-top-color: var(--hair);
  font-size: var(--type-paragraph);
  line-height: 21px;
}
.title {
  display: flex;
  align-items: center;
  gap: var(--space-3);
  margin-bottom: 6px;
}
.title h2 {
  flex: 1;
  font-size: var(--type-title);
}
dl {
  display: grid;
  grid-template-columns: var(--tall) 1fr;
  font-size: var(--type-paragraph);
  line-height: 21px;
}
dt {
  color: var(--ink2);
}
dd .link {
  margin-right: 10px;
}
/* The row of pictures under what is known of the place. */
.pictures {
  margin-top: var(--space-2);
}
.cells {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(45px, 1fr));
  border: var(--line-hair) solid var(--blue);
  border-radius: var(--corner);
  margin-top: 10px;
  background: var(--plate);
  gap: 1px;
}
.cells button {
  min-height: 50px;
  border: 0;
  border-bottom: var(--line-chosen) solid transparent;
  background: none;
  padding: var(--space-1) 2px 1px;
  display: grid;
  justify-items: center;
  gap: 1px;
  font: 600 var(--type-second)/17px var(--plate-font);
  color: var(--blue);
  cursor: pointer;
  box-shadow: 1px 0 0 var(--hair);
}
.cells button[aria-pressed='true'] {
  background: var(--blue-tint);
  color: var(--ink);
  border-bottom-color: var(--blue);
}
.bind {
  display: flex;
  gap: var(--space-2);
  margin-top: var(--space-2);
  align-items: flex-start;
}
@media (max-width: 860px) {
  .component {
    padding: var(--space-2) var(--space-3) var(--space-3);
  }
}
</style>
