<script setup lang="ts">
import { type CardState, kitOf } from '@dauer/core/readiness';
import { KIT, KIT_FIELD } from '@dauer/core/wording';
import { computed, reactive, ref } from 'vue';
import { useOpenJob } from '../../../job/openJob.ts';

/** The kit of a card, laid out and counted piece by piece: what is short is found before the old unit is opened. */
const props = defineProps<{ state: CardState; writable: boolean }>();
const job = useOpenJob();
const kit = computed(() => kitOf(job.history, props.state.run));
const counting = ref(false);
const found = reactive<Record<string, string>>({});
const note = ref('');
function begin(): void {
  for (const w of kit.value.wanted) found[w.name] = String(kit.value.count?.pieces.find((p) => p.name === w.name)?.found ?? w.wanted);
  note.value = kit.value.count?.note ?? '';
  counting.value = true;
}
const countOf = (name: string): number => Number(found[name] ?? '');
const wrong = (name: string): boolean => !/^\d{1,2}$/.test((found[name] ?? '').trim());
const able = computed(() => kit.value.wanted.every((w) => !wrong(w.name)));
function keep(): void {
  if (!able.value) return;
  const pieces = kit.value.wanted.map((w) => ({ ...w, found: countOf(w.name) }));
  job.add('kitCounts', { slotId: props.state.slot.id, runId: props.state.run.id, pieces, note: note.value.trim() });
  counting.value = false;
}
</script>

<template>
  <section v-if="kit.wanted.length > 0" class="kit" :class="{ short: kit.short.length > 0 }" :aria-label="KIT.title">
    <p>
      <b class="plate-font">{{ KIT.title }}</b>
      {{ kit.count === null ? KIT.before : kit.short.length > 0 ? KIT.short(kit.short) : KIT.whole }}
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
        :error="wrong(w.name)"
      />
      <v-text-field v-model="note" density="compact" :label="KIT_FIELD.note" maxlength="300" />
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
.acts {
  grid-column: 1 / -1;
  gap: var(--space-2);
}
</style>
