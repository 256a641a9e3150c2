<script setup lang="ts">
import { HOUSE_RULES } from '@dauer/core/catalogue';
import { type HouseRuleVersion, schoolOf } from '@dauer/core/ledger';
import { ref } from 'vue';
import { v7 } from 'uuid';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import { dayText } from '../../fittings/dates.ts';

/** Where good workshops differ: the school that this one follows, since when and why. A job departs from it by reason. */
const props = defineProps<{ versions: readonly HouseRuleVersion[]; writable: boolean }>();
const emit = defineEmits<{ changed: [] }>();
const { run, busy, problem } = useRequest();
const wanted = ref<{ readonly rule: string; readonly school: string } | null>(null);
const reason = ref('');
const followed = (rule: string): HouseRuleVersion | null => schoolOf(props.versions, rule);
function pick(rule: string, school: string): void {
  if (followed(rule)?.school === school) return;
  wanted.value = { rule, school };
  reason.value = '';
}
async function keep(): Promise<void> {
  const w = wanted.value;
  if (!w) return;
  await run(async () => {
    await call('enterHouseRule', { body: { id: v7(), ...w, reason: reason.value.trim() } });
    wanted.value = null;
    emit('changed');
  });
}
</script>

<template>
  <h2 class="rules">House rules</h2>
  <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  <div v-for="r in HOUSE_RULES" :key="r.id" class="rule">
    <b class="plate-font">{{ r.name }}</b>
    <ChoiceRow
      :model-value="wanted?.rule === r.id ? wanted.school : (followed(r.id)?.school ?? null)"
      :options="r.schools.map((s) => ({ value: s.id, label: s.name }))"
      :label="r.name"
      :disabled="!writable"
      @update:model-value="(s) => pick(r.id, s)"
    />
    <p class="second small">
      {{
        r.schools.find((s) => s.id === (wanted?.rule === r.id ? wanted.school : followed(r.id)?.school))?.because ??
        'No school picked: nothing departs from it.'
      }}
      <template v-if="followed(r.id) && wanted?.rule !== r.id">
        Since {{ dayText(followed(r.id)?.enteredAt ?? '') }}: {{ followed(r.id)?.reason }}
      </template>
    </p>
    <form v-if="wanted?.rule === r.id" class="why" @submit.prevent="keep">
      <v-text-field v-model="reason" v-focus density="compact" label="Why the shop does it so" />
      <v-btn class="act slim" type="submit" :loading="busy" :disabled="reason.trim().length < 3">Follow it</v-btn>
      <v-btn class="act slim" @click="wanted = null">Leave it</v-btn>
    </form>
  </div>
</template>

<style scoped>
.rules {
  margin-top: var(--space-5);
  padding-bottom: 6px;
  border-bottom: var(--line-hair) solid var(--slate);
}
.rule {
  display: grid;
  grid-template-columns: 220px auto minmax(0, 1fr);
  gap: var(--space-1) var(--space-4);
  align-items: center;
  padding: var(--space-2) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.why {
  grid-column: 2 / -1;
  display: flex;
  gap: var(--space-2);
  align-items: flex-start;
  margin-top: var(--space-2);
}
@media (max-width: 1180px) {
  .rule {
    grid-template-columns: 1fr;
  }
  .why {
    grid-column: 1;
    flex-wrap: wrap;
  }
}
</style>
