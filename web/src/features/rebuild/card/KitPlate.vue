<script setup lang="ts">
import { type CardState, kitOf, runOf, whyNotCounted } from '@dauer/core/readiness';
import { KIT, KIT_FIELD } from '@dauer/core/wording';
import { computed, reactive, ref } from 'vue';
import { useOpenJob } from '../../../job/openJob.ts';

/** The kit of a card, laid out and counted piece by piece: what is short is found before the part is worked on. */
const props = defineProps<{ state: CardState; writable: boolean }>();
const job = useOpenJob();
const kit = computed(() => kitOf(job.history, props.state.run));
const finish = computed(() => runOf(props.state.run) === 'finish');
const counting = ref(false);
const found = reactive<Record<string, string>>({});
const note = ref('');
/** Pieces of the kit that the card does not name. */
const extra = ref<{ name: string; wanted: string; found: string }[]>([]);
function begin(): void {
  for (const w of kit.value.wanted) found[w.name] = String(kit.value.count?.pieces.find((p) => p.name === w.name)?.found ?? w.wanted);
  note.value = kit.value.count?.note ?? '';
  extra.value = (kit.value.count?.pieces ?? [])
    .filter((p) => !kit.value.wanted.some((w) => w.name === p.name))
    .map((p) => ({ name: p.name, wanted: String(p.wanted), found: String(p.found) }));
  counting.value = true;
}
const noCount = (text: string | undefined): boolean => !/^\d{1,2}$/.test((text ?? '').trim());
const body = computed(() => ({
  ...{ slotId: props.state.slot.id, runId: props.state.run.id, note: note.value.trim() },
  pieces: [
    ...kit.value.wanted.map((w) => ({ ...w, found: Number(found[w.name] ?? '') })),
    ...extra.value
      .filter((p) => p.name.trim() !== '')
      .map((p) => ({ name: p.name.trim(), wanted: Number(p.wanted), found: Number(p.found) })),
  ],
}));
const counted = computed(
  () =>
    kit.value.wanted.every((w) => !noCount(found[w.name])) &&
    extra.value.every((p) => p.name.trim() === '' || (!noCount(p.wanted) && !noCount(p.found))),
);
const refused = computed(() => (counted.value ? (whyNotCounted(job.history, body.value) ?? '') : ''));
const able = computed(() => counted.value && refused.value === '');
function keep(): void {
  if (!able.value) return;
  job.add('kitCounts', body.value);
  counting.value = false;
}
</script>

<template>
  <section v-if="kit.wanted.length > 0" class="kit" :class="{ short: kit.short.length > 0 }" :aria-label="KIT.title">
    <p>
      <b class="plate-font">{{ KIT.title }}</b>
      {{ kit.count === null ? KIT.before(finish) : kit.short.length > 0 ? KIT.short(kit.short) : KIT.whole }}
      <span v-if="kit.count?.note" class="second">{{ kit.count.note }}</span>
      <button v-if="writable && !counting" type="button" class="link" @click="begin">
        {{ kit.count === null ? KIT_FIELD.count : KIT_FIELD.again }}
      </button>
    </p>
    <form v-if="counting" class="form" :aria-label="KIT.title" @submit.prevent="keep">
      <v-text-field
        v-for="(w, i) in kit.wanted"
        :key="w.name"
        v-model="found[w.name]"
        v-focus="i === 0"
        density="compact"
        inputmode="numeric"
        :label="KIT_FIELD.of(w.name, w.wanted)"
        :error="noCount(found[w.name])"
      />
      <div v-for="(p, i) in extra" :key="i" class="extra">
        <v-text-field v-model="p.name" v-focus density="compact" :label="KIT_FIELD.another" maxlength="120" />
        <v-text-field v-model="p.wanted" density="compact" inputmode="numeric" :label="KIT_FIELD.wanted" :error="noCount(p.wanted)" />
        <v-text-field v-model="p.found" density="compact" inputmode="numeric" :label="KIT_FIELD.found" :error="noCount(p.found)" />
      </div>
      <button type="button" class="link small more" @click="extra.push({ name: '', wanted: '1', found: '1' })">
        {{ KIT_FIELD.another }}
      </button>
      <v-text-field v-model="note" density="compact" :label="KIT_FIELD.note" maxlength="300" />
      <p v-if="refused" class="problem small" role="alert">{{ refused }}</p>
      <div class="acts">
        <v-btn class="act slim" type="submit" :disabled="!able">{{ KIT_FIELD.keep }}</v-btn>
        <v-btn class="act slim" @click="counting = false">{{ KIT_FIELD.not }}</v-btn>
      </div>
    </form>
  </section>
</template>

<style scoped>
.kit {
  border-left: var(--line-hair) solid var(--ink);
  padding-left: var(--space-2);
  margin-top: var(--space-3);
}
.kit.short {
  border-left-width: var(--line-chosen);
}
.kit b {
  margin-right: var(--space-2);
}
.form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: var(--space-2);
  margin-top: var(--space-3);
}
.extra {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 96px 96px;
  gap: var(--space-2);
}
.more {
  grid-column: 1 / -1;
  justify-self: start;
}
.problem,
.acts {
  grid-column: 1 / -1;
  gap: var(--space-2);
}
</style>
