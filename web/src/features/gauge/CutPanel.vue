<script setup lang="ts">
import {
  attempt,
  type Component,
  counterpart,
  cutFacts,
  DRUM_PAIR_DIFFERENCE,
  drumPair,
  fixed,
  type Judged,
  machining,
  turning,
} from '@dauer/core';
import { computed } from 'vue';
import { useJob } from '../../app/job.ts';

/** Whether a cut would leave enough metal: what it takes out, and where the figure would end. */
const props = defineProps<{ component: Component; judged: readonly Judged[] }>();
const job = useJob();
const drum = computed(() => props.component.slot.kind === 'drum');
const main = computed(() =>
  props.judged.find((j) => j.characteristic.id === (drum.value ? 'drum_diameter' : 'rotor_thickness') && j.enough),
);
const facts = computed(() => (job.state ? cutFacts(job.state.book, props.component.slot.id) : null));
const result = computed(() => {
  const m = main.value;
  const f = facts.value;
  if (!m?.limit || m.limit.at === null || !f) return null;
  const { at: discard, machineTo } = m.limit;
  const rate = m.wear ? Math.abs(m.wear.slope) * 1000 : null;
  return attempt(() =>
    drum.value
      ? { ...turning({ max: m.reduced.value, discard, machineTo, scoreDepth: f.score, radialWobble: f.radialWobble }), early: false }
      : (() => {
          const cut = machining({
            ...{ min: m.reduced.value, discard, machineTo, scoreInner: f.scoreInner, scoreOuter: f.scoreOuter },
            ...{ warp: f.warp, wobbleRemoved: f.wobble, wearPer1000Km: rate, kmToNextService: m.toNextService },
          });
          return { ...cut, early: cut.underDiscardBeforeService === true };
        })(),
  );
});
/** Both drums of an axle are turned to within what is allowed of each other: the smaller goes along. */
const pair = computed(() => {
  const s = job.state;
  const other = s && drum.value ? counterpart(s.file.layout, props.component.slot) : undefined;
  const theirs = s?.components
    .find((c) => c.slot.id === other?.id)
    ?.judged.find((j) => j.characteristic.id === 'drum_diameter' && j.enough);
  const limit = theirs?.limit;
  const mine = result.value;
  if (!s || !other || !theirs || !limit || limit.at === null || limit.machineTo === null || !mine?.ok || !drum.value) return '';
  const f = cutFacts(s.book, other.id);
  const theirCut = {
    max: theirs.reduced.value,
    discard: limit.at,
    machineTo: limit.machineTo,
    scoreDepth: f.score,
    radialWobble: f.radialWobble,
  };
  const read = attempt(() => turning(theirCut));
  if (!read.ok) return '';
  const both = drumPair(
    { after: mine.value.after, turnable: mine.value.state === 'turnable' },
    { after: read.value.after, turnable: read.value.state === 'turnable' },
    limit.machineTo,
  );
  if (both.ok)
    return ` With the other side at ${fixed(read.value.after, 2)} mm the pair stays within ${fixed(DRUM_PAIR_DIFFERENCE, 2)} mm.`;
  return ` The other side comes out at ${fixed(read.value.after, 2)} mm: turn this one to ${fixed(both.leftTo, 2)} and that one to ${fixed(both.rightTo, 2)} mm${both.turnable ? '' : ', which one of them does not allow'}.`;
});
const words = computed(() => {
  const r = result.value;
  const m = main.value;
  if (!r || !m) return null;
  if (!r.ok) return r.refusal.message;
  const { state, after, early } = r.value;
  const to = m.limit?.machineTo;
  const would = `Cut clean it would come out at ${fixed(after, 2)} mm`;
  switch (state) {
    case 'past_discard':
      return 'It is past discard already: nothing is cut.';
    case 'no_machine_to_on_file':
      return `${would}. No machine-to figure is on file: no cut until it is entered.`;
    case 'machinable':
    case 'turnable':
      return `${would}; machine-to is ${fixed(to ?? 0, 2)} mm. It can be cut.${early ? ' At this vehicle’s rate it would be past discard before the next service.' : ''}`;
    default:
      return `${would}, past machine-to ${fixed(to ?? 0, 2)} mm. It may be used as it is if the surface allows, not cut.`;
  }
});
</script>

<template>
  <p v-if="words" class="cut">
    <b class="plate-font">{{ drum ? 'Can it be turned?' : 'Can it be machined?' }}</b>
    {{ words }}{{ pair }}
    <span v-if="facts && facts.takenAsNone.length > 0 && !drum" class="second small">
      Taken as none, not gauged: {{ facts.takenAsNone.join(', ') }}.
    </span>
  </p>
</template>

<style scoped>
.cut {
  font-size: 15px;
  line-height: 21px;
  margin: 8px 0;
  max-width: 76ch;
}
.cut b {
  font-size: 17px;
  margin-right: 6px;
}
</style>
