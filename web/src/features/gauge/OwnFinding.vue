<script setup lang="ts">
import type { FindingSeverity } from '@dauer/core/catalogue';
import { type ComponentKind, KIND_FACTS } from '@dauer/core/layout';
import { v7 } from 'uuid';
import { ref } from 'vue';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import ChoiceRow from '../../fittings/ChoiceRow.vue';

/** Adds a finding of the shop's own to the catalogue of a kind of component. */
const props = defineProps<{ kind: ComponentKind; severities: readonly { value: FindingSeverity; label: string }[] }>();
const emit = defineEmits<{ close: []; added: [] }>();
const id = v7();
const name = ref('');
const looks = ref('');
const matters = ref('');
const severity = ref<FindingSeverity>('watch');
const { run, busy, problem } = useRequest();
async function add(): Promise<void> {
  await run(async () => {
    await call('addFindingEntry', {
      body: {
        id,
        kinds: [props.kind],
        name: name.value.trim(),
        looks: looks.value.trim(),
        matters: matters.value.trim(),
        severity: severity.value,
      },
    });
    emit('added');
  });
}
</script>

<template>
  <v-dialog aria-labelledby="own-finding-title" :model-value="true" max-width="640" @update:model-value="emit('close')">
    <form class="dialog" @submit.prevent="add">
      <h2 id="own-finding-title">A finding of our own, on {{ KIND_FACTS[kind].name.toLowerCase() }}</h2>
      <div class="col">
        <v-text-field v-model="name" label="Name" autofocus />
        <v-text-field v-model="looks" label="What it looks like, in a sentence" />
        <v-text-field v-model="matters" label="Why it matters, in a sentence" />
        <ChoiceRow v-model="severity" :options="severities" label="Usual severity" />
      </div>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <v-btn class="act" @click="emit('close')">Leave it</v-btn>
        <v-btn class="act main" type="submit" :disabled="busy || name.trim() === ''">Add it</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
