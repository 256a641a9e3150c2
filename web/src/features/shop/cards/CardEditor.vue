<script setup lang="ts">
import { type CardStep, mayLeaveOut, STEP_GROUPS, type ShopStep, type StepGroup, type WorkCard, withShop } from '@dauer/core/catalogue';
import { isReason, newestVersion, type ShopCardVersion } from '@dauer/core/ledger';
import { upperFirst } from '@dauer/core/quantity';
import { SHOP_CARDS, timeWords } from '@dauer/core/wording';
import { useSessionStorage } from '@vueuse/core';
import { v7 } from 'uuid';
import { computed, ref } from 'vue';
import { call } from '../../../app/client.ts';
import { useRequest } from '../../../app/request.ts';
import { useSession } from '../../../app/session.ts';
import { dayText } from '../../../fittings/dates.ts';
import {
  type CardDraft,
  AS_SHIPPED,
  draftOf,
  fitting,
  ownId,
  readDrafts,
  sameDraft,
  type StoredDraft,
  withChange,
  withOwn,
  withoutOwn,
} from './cardDraft.ts';
import OwnStepForm from './OwnStepForm.vue';
import StepChangeForm from './StepChangeForm.vue';

/** One card step by step, with what the shop does otherwise; kept as a version, with the reason. */
const props = defineProps<{
  work: WorkCard;
  versions: readonly ShopCardVersion[];
  names: ReadonlyMap<string, string>;
  writable: boolean;
}>();
const emit = defineEmits<{ changed: [] }>();
const newest = computed(() => newestVersion(props.versions));
const inForce = computed(() => fitting(props.work, draftOf(newest.value)));
const session = useSession();
/** What somebody changes stays with the page, also where it is loaded again, until it is kept or dropped; another one on the tablet has none of it. */
const drafts = useSessionStorage<Record<string, StoredDraft>>(
  'dauer.card',
  {},
  { serializer: { read: readDrafts, write: JSON.stringify } },
);
const mine = `${session.person?.id ?? ''}:${props.work.id}`;
const edited = computed<CardDraft | null>({
  get: () => (drafts.value[mine] ? fitting(props.work, drafts.value[mine]) : null),
  set: (next) => {
    const { [mine]: _, ...others } = drafts.value;
    const on = drafts.value[mine]?.on ?? newest.value?.id ?? null;
    drafts.value = next === null ? others : { ...others, [mine]: { ...next, on } };
  },
});
/** Somebody kept another version after this was begun. */
const isBehind = computed(() => {
  const begun = drafts.value[mine];
  return begun !== undefined && begun.on !== (newest.value?.id ?? null);
});
const draft = computed(() => edited.value ?? inForce.value);
const isEdited = computed(() => edited.value !== null && !sameDraft(edited.value, inForce.value));
const shown = computed(() => withShop(props.work, { cardId: props.work.id, ...draft.value }));
interface Line {
  readonly step: CardStep;
  readonly shipped: CardStep | null;
  readonly own: ShopStep | null;
  readonly leftOut: boolean;
}
/** The steps as they will be, and what is left out where it would stand. */
const lines = computed<Line[]>(() => {
  const list: Line[] = shown.value.steps.map((step) => ({
    step,
    shipped: props.work.steps.find((s) => s.id === step.id) ?? null,
    own: draft.value.own.find((o) => o.id === step.id) ?? null,
    leftOut: false,
  }));
  for (const [i, s] of props.work.steps.entries()) {
    if (list.some((l) => l.step.id === s.id)) continue;
    const before = props.work.steps.slice(0, i).findLast((o) => list.some((l) => l.step.id === o.id));
    const at = list.findIndex((l) => l.step.id === before?.id) + 1;
    list.splice(at, 0, { step: s, shipped: s, own: null, leftOut: true });
  }
  return list;
});
const groups = computed(() =>
  STEP_GROUPS.map((name) => ({ name, lines: lines.value.filter((l) => l.step.group === name) })).filter((g) => g.lines.length > 0),
);
const minutes = computed(() => shown.value.steps.reduce((sum, s) => sum + s.minutes, 0));
const changeOf = (id: string) => draft.value.changes.find((c) => c.stepId === id) ?? null;
/** The form that is open: of a step of the card, of one of the shop's own, or of a new one. */
const open = ref<{ readonly of: 'change' | 'own'; readonly id: string; readonly after: string | null; readonly group: StepGroup } | null>(
  null,
);
function take(next: CardDraft): void {
  edited.value = next;
  open.value = null;
}
function leave(s: CardStep): void {
  // What followed it by the shop's own wish stays, as the last of its group.
  take(fitting(props.work, withChange(draft.value, { stepId: s.id, words: '', minutes: null, ready: '', hazard: '', leftOut: true })));
}
const back = (id: string): void =>
  take(withChange(draft.value, { stepId: id, words: '', minutes: null, ready: '', hazard: '', leftOut: false }));
const reason = ref('');
const tried = ref(false);
const { run, busy, problem } = useRequest();
async function keep(next: CardDraft, why: string): Promise<void> {
  tried.value = true;
  if (!isReason(why)) return;
  await run(
    async () => {
      const body = { id: v7(), cardId: props.work.id, ...next, reason: why.trim(), replaces: newest.value?.id ?? null };
      await call('enterShopCard', { body });
      edited.value = null;
      reason.value = '';
      tried.value = false;
      emit('changed');
    },
    () => emit('changed'),
  );
}
/** A version that stood before is worked by again: it is one more version. */
const again = (v: ShopCardVersion | null): void => take(v === null ? AS_SHIPPED : fitting(props.work, draftOf(v)));
const past = computed(() => [...props.versions].reverse());
</script>

<template>
  <section :aria-label="work.name">
    <div class="head2">
      <h2>{{ work.name }}</h2>
      <span class="second small">
        {{ newest ? SHOP_CARDS.ours(versions.length) : SHOP_CARDS.asShipped }}, {{ shown.steps.length }} steps, about
        {{ timeWords(minutes) }}
      </span>
    </div>
    <template v-for="g in groups" :key="g.name">
      <h3>{{ upperFirst(g.name) }}</h3>
      <ol>
        <li v-for="l in g.lines" :key="l.step.id" :class="{ left: l.leftOut }">
          <div class="line">
            <span class="what">
              {{ l.step.words }}
              <b v-if="l.leftOut" class="tag">{{ SHOP_CARDS.left }}</b>
              <b v-else-if="l.own" class="tag">{{ SHOP_CARDS.own }}</b>
              <b v-else-if="changeOf(l.step.id)" class="tag">{{ SHOP_CARDS.changed }}</b>
              <span v-if="l.own" class="second small">{{ l.step.why }}</span>
              <span v-if="l.shipped && changeOf(l.step.id)?.words" class="second small">{{ SHOP_CARDS.was(l.shipped.words) }}</span>
              <span v-if="l.step.hazard" class="small hazard">{{ l.step.hazard }}</span>
            </span>
            <span class="fig min">{{ l.step.minutes }} min</span>
            <span v-if="writable" class="does">
              <template v-if="l.leftOut">
                <button class="link" type="button" :aria-label="`${SHOP_CARDS.back}: ${l.step.words}`" @click="back(l.step.id)">
                  {{ SHOP_CARDS.back }}
                </button>
              </template>
              <template v-else>
                <button
                  class="link"
                  type="button"
                  :aria-label="`${SHOP_CARDS.change}: ${l.step.words}`"
                  @click="open = { of: l.own ? 'own' : 'change', id: l.step.id, after: l.own?.after ?? null, group: g.name }"
                >
                  {{ SHOP_CARDS.change }}
                </button>
                <button
                  v-if="l.own"
                  class="link"
                  type="button"
                  :aria-label="`${SHOP_CARDS.take}: ${l.step.words}`"
                  @click="take(withoutOwn(draft, l.step.id))"
                >
                  {{ SHOP_CARDS.take }}
                </button>
                <button
                  v-else-if="changeOf(l.step.id)"
                  class="link"
                  type="button"
                  :aria-label="`${SHOP_CARDS.back}: ${l.step.words}`"
                  @click="back(l.step.id)"
                >
                  {{ SHOP_CARDS.back }}
                </button>
                <button
                  v-else-if="mayLeaveOut(work, l.step)"
                  class="link"
                  type="button"
                  :aria-label="`${SHOP_CARDS.leave}: ${l.step.words}`"
                  @click="leave(l.step)"
                >
                  {{ SHOP_CARDS.leave }}
                </button>
                <button
                  class="link"
                  type="button"
                  :aria-label="`${SHOP_CARDS.add}: ${l.step.words}`"
                  @click="open = { of: 'own', id: ownId(versions, draft), after: l.step.id, group: g.name }"
                >
                  {{ SHOP_CARDS.add }}
                </button>
              </template>
            </span>
          </div>
          <StepChangeForm
            v-if="open?.of === 'change' && open.id === l.step.id && l.shipped"
            :step="l.shipped"
            :before="changeOf(l.step.id)"
            @said="(c) => take(withChange(draft, c))"
            @close="open = null"
          />
          <OwnStepForm
            v-else-if="
              open?.of === 'own' && (open.id === l.step.id || (open.after === l.step.id && !draft.own.some((o) => o.id === open?.id)))
            "
            :id="open.id"
            :key="open.id"
            :group="open.group"
            :after="open.after"
            :before="draft.own.find((o) => o.id === open?.id) ?? null"
            @said="(s) => take(withOwn(draft, s))"
            @close="open = null"
          />
        </li>
      </ol>
    </template>
    <form v-if="isEdited && writable" class="keep" @submit.prevent="keep(draft, reason)">
      <b>{{ SHOP_CARDS.unsaved }}</b>
      <p v-if="isBehind && newest" class="small" role="note">{{ SHOP_CARDS.since(newest.reason, names.get(newest.enteredBy) ?? '') }}</p>
      <v-text-field
        v-model="reason"
        density="compact"
        maxlength="500"
        :label="SHOP_CARDS.reason"
        :error-messages="tried && !isReason(reason) ? SHOP_CARDS.needsReason : ''"
      />
      <v-btn class="act main" type="submit" :loading="busy">{{ SHOP_CARDS.keep }}</v-btn>
      <v-btn class="act" @click="edited = null">{{ SHOP_CARDS.drop }}</v-btn>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    </form>
    <section v-if="versions.length > 0" class="versions" :aria-label="SHOP_CARDS.versions">
      <h3>{{ SHOP_CARDS.versions }}</h3>
      <ul>
        <li v-for="(v, i) in past" :key="v.id">
          <span class="what">
            <b class="fig">{{ versions.length - i }}</b>
            {{ v.reason }}
            <span class="second small">{{ names.get(v.enteredBy) ?? '' }}, {{ dayText(v.enteredAt) }}</span>
          </span>
          <button v-if="writable && i > 0" class="link" type="button" :aria-label="`${SHOP_CARDS.again}: ${v.reason}`" @click="again(v)">
            {{ SHOP_CARDS.again }}
          </button>
        </li>
      </ul>
      <v-btn v-if="writable && !sameDraft(draft, AS_SHIPPED)" class="act slim" @click="again(null)">{{ SHOP_CARDS.shippedAgain }}</v-btn>
    </section>
  </section>
</template>

<style scoped>
.head2 {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-3);
  align-items: baseline;
  border-bottom: var(--line-head) solid var(--ink);
  padding-bottom: var(--space-2);
}
h3 {
  margin: var(--space-4) 0 var(--space-1);
}
ol,
ul {
  list-style: none;
  padding: 0;
}
li {
  border-bottom: var(--line-hair) solid var(--hair);
  padding: var(--space-1) 0;
}
.line,
.versions li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 72px auto;
  gap: var(--space-1) var(--space-4);
  align-items: center;
  min-height: var(--touch);
}
.versions li {
  grid-template-columns: minmax(0, 1fr) auto;
}
.what .small {
  display: block;
}
.left .what {
  text-decoration: line-through;
  color: var(--slate);
}
.left .tag {
  display: inline-block;
}
.tag {
  margin-left: var(--space-2);
  white-space: nowrap;
  padding: 0 var(--space-2);
  border: var(--line-hair) solid var(--ink);
  border-radius: var(--corner);
  font: 600 var(--type-second)/18px var(--plate-font);
}
.hazard {
  border-left: var(--line-chosen) solid var(--ink);
  padding-left: var(--space-2);
}
.min {
  text-align: right;
}
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-4);
  justify-content: flex-end;
  width: 300px;
}
.does .link {
  min-height: var(--touch);
}
.keep {
  position: sticky;
  bottom: 0;
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: center;
  padding: var(--space-3) 0;
  background: var(--page);
  border-top: var(--line-head) solid var(--ink);
}
.keep > :deep(.v-input) {
  flex: 1 1 260px;
}
.keep .problem {
  flex-basis: 100%;
}
@media (max-width: 720px) {
  .line {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .does {
    grid-column: 1 / -1;
    justify-content: flex-start;
    width: auto;
  }
}
</style>
