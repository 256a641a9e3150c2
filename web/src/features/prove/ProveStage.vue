<script setup lang="ts">
import LotSlips from '../../job/LotSlips.vue';
import { isDuty, type Obligation, proofKey } from '@dauer/core/ledger';
import { type ProofItem, STAGE_NAME, STAGES } from '@dauer/core/catalogue';
import { itemLock } from '@dauer/core/job';
import { isStandalone } from '@dauer/core/layout';
import type { ProofFigure } from '@dauer/core/readiness';
import { afterCareOf, mayMove, proofHindrance, proofStops } from '@dauer/core/views';
import { PROOF_REFUSAL } from '@dauer/core/wording';
import { computed, ref } from 'vue';
import CautionPlates from '../../job/CautionPlates.vue';
import { useOpenJob } from '../../job/openJob.ts';
import { useRouter } from 'vue-router';
import { goTo } from '../../job/wanted.ts';
import { useSession } from '../../app/session.ts';
import { dayText } from '../../fittings/dates.ts';
import MoveMark from '../../fittings/MoveMark.vue';
import LockBanner from '../../job/LockBanner.vue';
import AcceptDialog from './AcceptDialog.vue';
import AfterCareList from './AfterCareList.vue';
import AmendedSince from './AmendedSince.vue';
import BeddingPanel from './BeddingPanel.vue';
import LeavingRow from './LeavingRow.vue';
import ProofRow from './ProofRow.vue';
import ReleaseDialog from './ReleaseDialog.vue';

/** What blocks hand-back, with the way to each; the proofs; and the release. */
const job = useOpenJob();
const session = useSession();
const writable = computed(() => job.writable);
const blocks = computed(() => job.state.blocks);
const grouped = computed(() =>
  STAGES.map((stage) => ({ stage, list: blocks.value.filter((b) => b.stage === stage && !isDuty(b, 'proof')) })).filter(
    (g) => g.list.length > 0,
  ),
);
const move = computed(() => mayMove(job.state));
const items = computed(() => job.state.context.proofItems);
/** Where an obligation is worked off. */
const placeFor = (o: Obligation): string => (o.stage !== 'prove' ? o.stage : isDuty(o, 'lock', 'out', 'joint') ? 'rebuild' : 'gauge');
const openProofs = computed(() => blocks.value.filter((b) => isDuty(b, 'proof')));
const acceptable = (key: string): Obligation | undefined => blocks.value.find((b) => b.key === key && b.acceptBy !== null);
const keyOf = (item: ProofItem): string => proofKey(item.item, item.corner);
const units = computed(() => isStandalone(job.state.records.layout));
/** Proofs that are put off by how it leaves. */
const left = computed(() => new Set(job.state.obligations.filter((o) => o.state === 'put_off' && isDuty(o, 'proof')).map((o) => o.key)));
const accepting = ref<Obligation | null>(null);
const releasing = ref(false);
/** Stages whose list is shown in full. */
const all = ref<string[]>([]);
/** What keeps it there, beside the locks that are told above. */
const reasons = computed(() => {
  const all = move.value?.reasons ?? [];
  const others = all.flatMap((r) => (r.about === 'lock' ? [] : [r.words])).slice(0, 2);
  return others.length === 0 && all.length > 0 ? 'A control is locked.' : others.join(' ');
});
const offer = computed(() => (move.value?.level === 'do_not_move' ? (job.state.offers.find((o) => o.state === 'open') ?? null) : null));
const care = computed(() => (!job.state.released ? afterCareOf(job.state, job.today) : []));
/** Linings, or what they run on, are new: they are bedded in. */
const bedded = computed(
  () =>
    care.value.some((c) => c.item === 'bedding_in') ||
    job.state.history.active(job.state.records.beddingPlans).some((p) => p.jobId === job.records.job.id),
);
const mayAccept = (o: Obligation): boolean => writable.value && o.acceptBy !== null && session.may(o.acceptBy);
/** What may be accepted with it: of its kind, by the same role. */
const alike = computed(() =>
  blocks.value.filter((b) => b.key !== accepting.value?.key && b.duty.kind === accepting.value?.duty.kind && mayAccept(b)),
);
/** Why each item cannot be closed now; those that nothing stands against are left out. */
const notYet = computed(() => {
  const list = new Map<string, string>();
  if (!writable.value) return list;
  for (const item of items.value) {
    const [closing] = item.answers;
    const why = closing && itemLock(job.state, item) === null ? proofHindrance(job.state, item, closing) : null;
    if (why !== null) list.set(keyOf(item), why);
  }
  return list;
});
/** The same reason is said once, at the first item that it stands before. */
const firstOf = computed(() => new Map([...notYet.value].reverse().map(([key, why]) => [why, key] as const)));
const comesFirst = (item: ProofItem): string => {
  const why = notYet.value.get(keyOf(item));
  return why !== undefined && firstOf.value.get(why) === keyOf(item) ? why : '';
};
/** What an answer that stands still owes: a second person at the wheel, where the house asks one. */
const owed = (item: ProofItem): string =>
  blocks.value.some((b) => b.key === keyOf(item) && b.why === PROOF_REFUSAL.second) ? PROOF_REFUSAL.second : '';
/** Figures that the proofs wait for and that can be taken now. */
const stops = computed(() => (writable.value ? proofStops(job.state) : []));
const router = useRouter();
async function take(stop: {
  readonly slotId: string;
  readonly measurement: ProofFigure['ask']['measurement'];
  readonly afresh: boolean;
}): Promise<void> {
  goTo({ slotId: stop.slotId, measurement: stop.measurement, afresh: stop.afresh, proving: true });
  await router.push({ path: `/jobs/${job.records.job.id}/gauge`, query: { pick: stop.slotId } });
}
const takeFigure = (f: ProofFigure): Promise<void> =>
  take({
    slotId: f.slot.id,
    measurement: f.ask.measurement,
    afresh: f.stands || f.lapsed !== null || f.hold !== null || f.provisional !== null,
  });
</script>

<template>
  <div class="head">
    <h1>{{ job.state.released ? (units ? 'Returned' : 'Handed back') : units ? 'Prove and return' : 'Prove and hand back' }}</h1>
    <span v-if="!job.state.released" class="second">
      {{
        blocks.length === 0
          ? 'nothing stands in the way'
          : `${blocks.length} ${blocks.length === 1 ? 'thing stands' : 'things stand'} in the way`
      }}
    </span>
    <span class="grow" />
    <v-btn v-if="job.state.released" class="act main" :to="`/jobs/${job.state.records.job.id}/sheet`">Hand-back sheet</v-btn>
    <v-btn
      v-else-if="session.may('lead')"
      class="act"
      :class="{ main: blocks.length === 0 }"
      :disabled="blocks.length > 0 || job.state.voided"
      @click="releasing = true"
    >
      {{ units ? 'Return the units' : 'Hand the vehicle back' }}
    </v-btn>
    <span v-else class="second">A lead {{ units ? 'returns them' : 'hands it back' }}</span>
  </div>
  <template v-if="!job.state.released">
    <LockBanner />
    <LotSlips :what="['bedding']" />
    <CautionPlates :steps="units ? ['leak_look', 'release'] : ['leak_look', 'road_test', 'release']" />
    <p v-if="move" class="moverow">
      <MoveMark :level="move.level" :reasons="[]" />
      <span class="second">{{ reasons }}</span>
      <v-btn v-if="offer && mayAccept(offer)" class="act slim offer" @click="accepting = offer">
        {{ offer.acceptBy === 'lead' ? 'Yard only, by my name' : 'Moved by other means' }}
      </v-btn>
    </p>
    <p v-if="stops[0]" class="moverow">
      <v-btn class="act" :class="{ main: grouped.length === 0 }" @click="take(stops[0])">Take the figures</v-btn>
      <span class="second">
        {{ stops.length === 1 ? 'One is' : `${stops.length} are` }} waited for by the proofs; next the {{ stops[0].place.toLowerCase() }},
        {{ stops[0].name.toLowerCase() }}.
      </span>
    </p>
    <section v-if="grouped.length > 0">
      <h2 class="line">In the way, stage by stage</h2>
      <div v-for="g in grouped" :key="g.stage" class="stage">
        <h3>
          {{ STAGE_NAME[g.stage] }}
          <span class="second fig">{{ g.list.length }}</span>
        </h3>
        <ul>
          <li v-for="b in all.includes(g.stage) ? g.list : g.list.slice(0, 5)" :key="b.key">
            <span class="what">
              {{ b.what }}
              <span v-if="b.why" class="second small">{{ b.why }}</span>
            </span>
            <v-btn v-if="mayAccept(b)" class="act slim" @click="accepting = b">Accept with a reason</v-btn>
            <span v-else-if="b.acceptBy === 'lead'" class="second small">a lead may accept this</span>
            <v-btn
              v-if="g.stage !== 'prove' || b.slotId"
              class="act slim"
              :to="{
                path: `/jobs/${job.state.records.job.id}/${placeFor(b)}`,
                query: b.slotId ? { pick: b.slotId } : {},
              }"
              :aria-label="`${b.what}: go there`"
            >
              Go there
            </v-btn>
          </li>
        </ul>
        <button v-if="g.list.length > 5 && !all.includes(g.stage)" class="link more" type="button" @click="all.push(g.stage)">
          All {{ g.list.length }} of {{ STAGE_NAME[g.stage] }}
        </button>
      </div>
    </section>
  </template>
  <template v-else>
    <AfterCareList />
    <AmendedSince />
  </template>
  <section v-if="care.length > 0">
    <h2 class="line">After-care that it will leave</h2>
    <ul>
      <li v-for="a in care" :key="a.item">
        <span class="what">
          {{ a.what }}
          <span class="second small">by {{ dayText(a.on) }}{{ a.km === null ? '' : `, or after ${a.km} km` }}. {{ a.why }}</span>
        </span>
      </li>
    </ul>
  </section>
  <section>
    <h2 class="line">Proofs</h2>
    <p class="second small">
      {{ openProofs.length === 0 ? 'All answered.' : `${openProofs.length} still to answer.` }} What the records contradict cannot be ticked
      away.
    </p>
    <ul>
      <ProofRow
        v-for="i in items"
        :key="keyOf(i)"
        :item="i"
        :writable="writable"
        :comes-first="comesFirst(i)"
        :owed="owed(i)"
        @take="takeFigure"
      >
        <v-btn
          v-if="acceptable(keyOf(i)) && mayAccept(acceptable(keyOf(i))!)"
          class="act slim"
          @click="accepting = acceptable(keyOf(i)) ?? null"
        >
          Accept with a reason
        </v-btn>
        <span v-else-if="writable && acceptable(keyOf(i))" class="second small">a lead may accept this</span>
        <span v-if="left.has(keyOf(i))" class="second small">left until it is driven</span>
      </ProofRow>
    </ul>
  </section>
  <BeddingPanel v-if="!job.state.released && bedded" :writable="writable" />
  <LeavingRow v-if="!job.state.released && !units" :writable="writable && session.may('lead')" />
  <AcceptDialog v-if="accepting" :obligation="accepting" :alike="alike" @close="accepting = null" />
  <ReleaseDialog v-if="releasing" @close="releasing = false" />
</template>

<style scoped>
section {
  margin-top: var(--space-4);
}
.stage {
  margin-top: var(--space-2);
}
.moverow {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  margin-top: var(--space-3);
}
@media (max-width: 720px) {
  .moverow {
    flex-wrap: wrap;
  }
  .moverow > .second {
    flex-basis: 100%;
    order: 1;
  }
}
li {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  min-height: 52px;
  border-bottom: var(--line-hair) solid var(--hair);
  padding: 3px 0;
}
.offer {
  margin-left: auto;
  flex: 0 0 auto;
}
.more {
  min-height: var(--touch);
}
.what {
  flex: 1 1 0;
  min-width: 0;
  line-height: var(--leading-tight);
}
.what .small {
  display: block;
  line-height: 18px;
}
</style>
