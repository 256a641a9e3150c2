<script setup lang="ts">
import { computed, ref } from 'vue';
import LiveScale from './LiveScale.vue';
import PhoneCapture from './PhoneCapture.vue';
import { useFoot } from './useFoot.ts';
import { useCaptureKeys } from './useCaptureKeys.ts';

/** The one reversed plate: while it is open, what is typed and not meant for a field goes to it. */
const props = defineProps<{
  position: string;
  what: string;
  unit: string;
  other: string;
  /** Standing figure at this position, where one was taken. */
  standing: string | null;
  /** One dot a position: taken, to come, or being measured. */
  dots: readonly { readonly key: string; readonly taken: boolean; readonly now: boolean }[];
  gauge: string;
  gaugeNote: string;
  message: string | null;
  note: string;
  /** Everything here is taken: where Enter goes on to. */
  onward?: string | null;
  /** What the instrument shows now, in the unit shown; null where none is listened to. */
  live?: { readonly text: string } | null;
  /** The live figure stands still; it is held until it is taken. */
  steady?: boolean;
  held?: boolean;
  /** The chosen gauge speaks: it may be listened to here. */
  speaks?: boolean;
  /** What was taken and the live figure, in the unit shown. */
  scale: { readonly values: readonly number[]; readonly live: number | null; readonly decimals: number };
}>();
const emit = defineEmits<{
  take: [text: string];
  listen: [on: boolean];
  back: [];
  move: [step: number];
  unit: [];
  gauge: [];
  typed: [text: string];
}>();
const typed = ref('');
const here = ref<HTMLElement | null>(null);
useFoot(here);
defineExpose({
  clear: () => {
    typed.value = '';
  },
  put: (text: string) => {
    typed.value = text;
  },
});

function take(text: string): void {
  typed.value = text;
  emit('take', text);
}
useCaptureKeys(typed, here, {
  take,
  back: () => emit('back'),
  move: (step) => emit('move', step),
  unit: () => emit('unit'),
  typed: () => emit('typed', typed.value),
});

const shown = computed(() => (typed.value !== '' ? typed.value : (props.live?.text ?? props.standing ?? '–')));
const ring = computed(() =>
  props.dots.slice(0, 24).map((d, i, all) => {
    const a = (i / all.length) * 2 * Math.PI - Math.PI / 2;
    return { ...d, x: 28 + 22 * Math.cos(a), y: 28 + 22 * Math.sin(a) };
  }),
);
const phoneTyped = computed({
  get: () => typed.value,
  set: (v: string) => {
    typed.value = v;
    emit('typed', v);
  },
});
</script>

<template>
  <section ref="here" class="footbar bar no-print" tabindex="-1" :class="{ speaking: speaks }" aria-label="Capture bar" data-capture>
    <svg class="dots" width="56" height="56" aria-hidden="true">
      <circle cx="28" cy="28" r="22" fill="none" stroke="var(--bar-edge)" />
      <circle
        v-for="d in ring"
        :key="d.key"
        class="dot"
        :class="{ kept: d.taken }"
        :cx="d.x"
        :cy="d.y"
        :r="d.now ? 5 : 3"
        :fill="d.now ? 'var(--bar-live)' : d.taken ? 'var(--bar-text)' : 'var(--bar)'"
        :stroke="d.now ? 'var(--bar-live)' : 'var(--bar-edge)'"
      />
    </svg>
    <div class="where">
      <div class="pos">{{ position }}</div>
      <div class="what">{{ what }}</div>
    </div>
    <div class="figure" :class="{ stood: typed === '' && live == null, following: typed === '' && live != null }">
      <output class="live" aria-live="polite" :aria-label="`Figure: ${shown} ${unit}`">
        <span class="fig">{{ shown }}</span>
      </output>
      <span class="units">
        <button type="button" class="unit" tabindex="-1" @click="emit('unit')">{{ unit }}</button>
        <span class="otherunit">
          <span class="fig">{{ other }}</span>
        </span>
      </span>
    </div>
    <div class="note">
      <p v-if="onward && typed === ''" class="onward">
        <b>Enter</b>
        goes on: {{ onward }}
      </p>
      <LiveScale v-else-if="scale.values.length > 1" v-bind="scale" :title="note" />
      <p v-else>{{ note }}</p>
    </div>
    <p v-if="message" class="message" role="alert">{{ message }}</p>
    <button v-if="speaks" class="gauge listen" type="button" :aria-pressed="live != null" @click="emit('listen', live == null)">
      <b>{{ live == null ? 'Listen here' : held ? 'Held' : steady ? 'Steady' : 'Live' }}</b>
      <span>{{ live == null ? 'it is switched on' : held ? 'h lets it go' : 'its press takes, h holds' }}</span>
    </button>
    <button class="gauge" type="button" @click="emit('gauge')">
      <b>{{ gauge }}</b>
      <span>{{ gaugeNote }}</span>
    </button>
    <PhoneCapture v-model="phoneTyped" @take="take(typed)" @back="emit('back')" />
    <dl class="keys" aria-hidden="true">
      <dt>Enter</dt>
      <dd>take</dd>
      <dt>←→</dt>
      <dd>move</dd>
      <dt>Bksp</dt>
      <dd>take back</dd>
      <dt>u</dt>
      <dd>unit</dd>
    </dl>
  </section>
</template>

<style scoped>
.bar {
  height: 80px;
  grid-template-columns: var(--tall) minmax(180px, 264px) auto minmax(110px, 1fr) auto auto auto;
  gap: 14px;
  padding: 0 var(--space-5);
}
/* What is gauged is never cut: it takes two lines where it is long. */
.pos {
  font: 600 var(--type-title)/var(--leading) var(--plate-font);
  text-wrap: balance;
}
.what {
  font-size: var(--type-second);
  line-height: 16px;
  color: var(--bar-text2);
}
.figure {
  display: flex;
  align-items: center;
  gap: 10px;
}
.live {
  font: 400 56px/64px var(--figure-font);
  color: var(--bar-figure);
  white-space: nowrap;
  max-width: 420px;
  overflow: hidden;
}
.live :deep(.fig) {
  font-size: 1em;
}
.stood .live {
  color: var(--bar-text2);
}
.following .live {
  color: var(--bar-live);
}
.units {
  display: grid;
}
.unit {
  background: none;
  border: 0;
  color: var(--bar-text);
  font: 400 20px/var(--leading) var(--text-font);
  padding: 0;
  text-align: left;
  cursor: pointer;
  min-height: 24px;
}
.otherunit {
  font-size: var(--type-second);
  line-height: 18px;
  color: var(--bar-text2);
}
.message {
  position: absolute;
  left: 0;
  right: 0;
  bottom: 100%;
  padding: 10px var(--space-5);
  background: var(--bar);
  color: var(--bar-figure);
  border-bottom: var(--line-hair) solid var(--bar-edge);
  border-top: var(--bar-top);
  font-size: var(--type-body);
  line-height: 22px;
}
.note {
  color: var(--bar-text2);
  font-size: var(--type-second);
  line-height: 18px;
  min-width: 0;
  overflow: hidden;
}
.onward {
  font-size: var(--type-paragraph);
  line-height: var(--leading-tight);
  color: var(--bar-text);
}
.gauge {
  display: grid;
  text-align: left;
  background: none;
  border: var(--line-hair) solid var(--bar-edge);
  border-radius: var(--corner);
  padding: var(--space-1) var(--space-3);
  min-height: var(--tall);
  cursor: pointer;
  font-size: var(--type-second);
  line-height: 18px;
  color: var(--bar-text2);
}
.gauge b {
  font: 600 var(--type-caption)/22px var(--plate-font);
  color: var(--bar-text);
}
.keys {
  display: grid;
  grid-template-columns: auto auto auto auto;
  gap: 6px var(--space-2);
  font-size: var(--type-second);
  line-height: var(--leading);
}
.keys dt {
  border: var(--line-hair) solid var(--bar-edge);
  border-radius: var(--corner);
  padding: 0 var(--space-2);
  font: 400 var(--type-least)/var(--leading) var(--figure-font);
  text-align: center;
}
.keys dd {
  color: var(--bar-text2);
}
/* Where an instrument speaks, its own button takes the room of the keys. */
.speaking .keys {
  display: none;
}
@media (max-width: 1180px) {
  .keys {
    display: none;
  }
  .bar {
    grid-template-columns: var(--tall) 220px auto minmax(0, 1fr) auto auto;
  }
}
@media (max-width: 860px) {
  .bar {
    height: auto;
    grid-template-columns: minmax(0, 1fr) auto;
    padding: var(--space-2) var(--space-3);
    gap: 6px var(--space-3);
  }
  .dots,
  .gauge:not(.listen) {
    display: none;
  }
  .live {
    font-size: 40px;
    line-height: 44px;
  }
  .figure {
    gap: 6px;
    min-width: 0;
  }
  .otherunit {
    font-size: var(--type-least);
  }
  .unit {
    font-size: var(--type-body);
    line-height: var(--leading-tight);
  }
  .pos {
    font-size: 20px;
    line-height: var(--leading);
  }
  .note {
    display: none;
  }
  .unit {
    min-width: var(--touch);
    min-height: var(--touch);
  }
}
</style>
