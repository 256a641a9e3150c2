<script setup lang="ts">
import { placeName, type Slot } from '@dauer/core/layout';
import type { StripTellKind } from '@dauer/core/ledger';
import { stripOf, stripPattern, type StripPiece, whyNotStripTold } from '@dauer/core/readiness';
import { FATE_NAME, STRIP, STRIP_FIELD, STRIP_TELL_NAME } from '@dauer/core/wording';
import { computed, nextTick, ref } from 'vue';
import { dayText } from '../../../fittings/dates.ts';
import { useOpenJob } from '../../../job/openJob.ts';
import { imageUrl } from '../../../job/pictures.ts';
import MarkForm from './MarkForm.vue';
import StripBoard from './StripBoard.vue';

/** What came off a unit and where it sits: marked on its drawing as it comes off, played backwards as it goes in. */
const props = defineProps<{ slotOf: Slot; writable: boolean }>();
const job = useOpenJob();
const strip = computed(() => stripOf(job.history, props.slotOf));
const pattern = computed(() => stripPattern(job.history, props.slotOf));
/** Where the mark will stand that is being written; null where none is. */
const at = ref<{ readonly x: number; readonly y: number } | null>(null);
const writing = ref<'place' | 'tray' | null>(null);
function put(where: { readonly x: number; readonly y: number }): void {
  at.value = where;
  writing.value = 'place';
}
const board = ref<InstanceType<typeof StripBoard> | null>(null);
async function shut(): Promise<void> {
  writing.value = null;
  at.value = null;
  await nextTick();
  if (board.value?.$el instanceof HTMLElement) board.value.$el.focus({ preventScroll: true });
}
function mark(piece: Parameters<NonNullable<InstanceType<typeof MarkForm>['$props']['onMark']>>[0]): void {
  const where = writing.value === 'tray' ? null : at.value;
  job.add('stripMarks', { slotId: props.slotOf.id, x: where?.x ?? null, y: where?.y ?? null, ...piece });
  void shut();
}
/** The piece that is being left over, with why; or put in though something that came out after it is not. */
const asking = ref<{ readonly id: string; readonly kind: StripTellKind } | null>(null);
const why = ref('');
const later = (p: StripPiece): number[] =>
  strip.value.open.filter((o) => o.number > p.number && o.mark.fate !== 'unknown').map((o) => o.number);
const refused = ref('');
function tell(p: StripPiece, kind: StripTellKind): void {
  const asks = kind === 'left' || later(p).length > 0;
  if (asks && (asking.value?.id !== p.mark.id || asking.value.kind !== kind)) {
    asking.value = { id: p.mark.id, kind };
    why.value = '';
    return;
  }
  const body = { markId: p.mark.id, kind, note: why.value.trim() };
  refused.value = whyNotStripTold(job.history, body) ?? '';
  if (refused.value) return;
  job.add('stripTells', body);
  asking.value = null;
}
const looked = ref<StripPiece | null>(null);
const details = (p: StripPiece): string => [p.mark.note, STRIP.spring(p.mark)].filter(Boolean).join('; ');
</script>

<template>
  <section class="strip" :aria-label="`${STRIP.title}: ${placeName(slotOf).toLowerCase()}`">
    <h3>{{ STRIP.title }}</h3>
    <div class="two">
      <div class="drawings">
        <StripBoard
          ref="board"
          :slot-of="slotOf"
          :pieces="strip.pieces"
          :lit="strip.next?.mark.id ?? null"
          :takes="writable"
          :at="at"
          :label="placeName(slotOf)"
          @put="put"
          @move="(to) => (at = to)"
        />
        <button v-if="writable && writing === null" type="button" class="link small" @click="writing = 'tray'">{{ STRIP.tray }}</button>
        <template v-if="pattern">
          <h4>{{ STRIP.pattern(pattern.of, pattern) }}</h4>
          <StripBoard :slot-of="slotOf" :pieces="pattern.pieces" :label="STRIP.pattern(pattern.of, pattern)" />
          <ol class="words small">
            <li v-for="p in pattern.pieces" :key="p.mark.id">
              <span class="fig">{{ p.number }}</span>
              {{ p.mark.what }}
              <span v-if="details(p)" class="second">{{ details(p) }}</span>
            </li>
          </ol>
        </template>
      </div>
      <div>
        <MarkForm
          v-if="writing !== null"
          :slot-of="slotOf"
          :number="strip.pieces.length + 1"
          :tray="writing === 'tray'"
          @mark="mark"
          @close="shut"
        />
        <template v-else>
          <p v-if="strip.pieces.length === 0" class="second">{{ STRIP.empty }}</p>
          <p v-else-if="strip.next" class="first">{{ STRIP.first(strip.next.number) }}</p>
          <p v-else class="second">{{ STRIP.done }}</p>
          <p v-if="refused" class="problem" role="alert">{{ refused }}</p>
          <ol class="pieces">
            <li v-for="p in [...strip.pieces].reverse()" :key="p.mark.id" :class="{ closed: !p.open }">
              <span class="fig number">{{ p.number }}</span>
              <div class="piece">
                <b>{{ p.mark.what }}</b>
                <span v-if="details(p)" class="small">{{ details(p) }}</span>
                <span class="second small">
                  {{ p.outcome ? STRIP_TELL_NAME[p.outcome.kind] : FATE_NAME[p.mark.fate]
                  }}{{ p.outcome?.note ? `: ${p.outcome.note}` : '' }}; {{ job.by(p.outcome ?? p.mark) }},
                  {{ dayText((p.outcome ?? p.mark).happenedAt) }}
                </span>
                <img v-if="p.mark.hash && looked === p" class="picture" :src="imageUrl(p.mark.hash)" :alt="p.mark.what" />
                <p v-if="asking?.id === p.mark.id && asking.kind === 'in'" class="small">{{ STRIP.over(p.number, later(p)) }}</p>
                <v-text-field
                  v-if="asking?.id === p.mark.id && asking.kind === 'left'"
                  v-model="why"
                  v-focus
                  density="compact"
                  :label="STRIP_FIELD.why"
                  maxlength="300"
                  @keydown.enter.prevent="tell(p, 'left')"
                />
              </div>
              <span class="does">
                <button v-if="p.mark.hash" type="button" class="link small" @click="looked = looked === p ? null : p">
                  {{ STRIP_FIELD.picture }}
                </button>
                <template v-if="writable">
                  <template v-if="p.open">
                    <v-btn class="act slim" :aria-label="STRIP_FIELD.inOf(p.mark.what)" @click="tell(p, 'in')">
                      {{ asking?.id === p.mark.id && asking.kind === 'in' ? STRIP_FIELD.allTheSame : STRIP_TELL_NAME.in }}
                    </v-btn>
                    <v-btn class="act slim" :aria-label="STRIP_FIELD.leftOf(p.mark.what)" @click="tell(p, 'left')">
                      {{ STRIP_TELL_NAME.left }}
                    </v-btn>
                  </template>
                  <button type="button" class="link small" @click="job.takeBack((p.outcome ?? p.mark).id)">
                    {{ STRIP_FIELD.takeBack }}
                  </button>
                </template>
              </span>
            </li>
          </ol>
        </template>
      </div>
    </div>
  </section>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 380px) minmax(0, 1fr);
  gap: var(--space-4);
  margin-top: var(--space-2);
}
.drawings {
  display: grid;
  gap: var(--space-2);
  align-content: start;
}
.drawings > .link {
  justify-self: start;
}
.first {
  font-weight: 700;
}
.pieces li {
  display: flex;
  gap: var(--space-3);
  align-items: flex-start;
  padding: var(--space-2) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.closed b {
  font-weight: 400;
}
.number {
  width: 24px;
  text-align: right;
}
.piece {
  flex: 1 1 200px;
  min-width: 0;
  display: grid;
  gap: var(--space-1);
}
.does {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  justify-content: flex-end;
  align-items: center;
}
.picture {
  max-width: 100%;
}
.words li {
  display: flex;
  gap: var(--space-2);
}
@media (max-width: 1180px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 720px) {
  .pieces li {
    flex-wrap: wrap;
  }
  .does {
    flex: 1 0 100%;
    justify-content: flex-start;
    padding-left: 40px;
  }
}
</style>
