<script setup lang="ts">
import { computed, ref } from 'vue';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { dayText } from '../../fittings/dates.ts';

/** Seals copies with a passphrase: typed twice, so that it is surely known, and printed once for the safe. */
const props = defineProps<{ sealed: boolean; shop: string }>();
const emit = defineEmits<{ close: []; changed: [] }>();
const passphrase = ref('');
const again = ref('');
const password = ref('');
const { run, busy, problem } = useRequest();
/** Sealed: now it is shown for the last time. */
const done = ref(false);
const fits = computed(() => passphrase.value.trim().length >= 12 && passphrase.value === again.value);
async function seal(to: string | null): Promise<void> {
  await run(async () => {
    await call('sealBackups', { body: { passphrase: to, password: password.value } });
    password.value = '';
    if (to === null) emit('changed');
    else done.value = true;
  });
}
const today = new Date().toISOString();
const print = (): void => window.print();
</script>

<template>
  <v-dialog aria-labelledby="backup-seal-title" :model-value="true" max-width="560" persistent>
    <div v-if="done" class="dialog col safe">
      <h2 id="backup-seal-title">For the safe</h2>
      <p>
        Passphrase of the backups of
        <b>{{ props.shop }}</b>
        , from {{ dayText(today) }} on:
      </p>
      <p class="fig phrase">{{ passphrase }}</p>
      <p>
        To restore on any machine with Dauer:
        <span class="fig">npm run restore -- --from FOLDER</span>
        , and this passphrase when it is asked for. Without it nobody opens the copies, nor does whoever made Dauer.
      </p>
      <p class="second no-print">It is shown once. Print it, or write it down, and keep it away from the stick.</p>
      <div class="acts no-print">
        <v-btn class="act" @click="print">Print</v-btn>
        <v-btn class="act main" @click="emit('changed')">It is in the safe</v-btn>
      </div>
    </div>
    <form v-else class="dialog col" @submit.prevent="seal(passphrase)">
      <h2>{{ props.sealed ? 'Change the passphrase' : 'Seal the backups' }}</h2>
      <p class="second">
        Twelve characters or more; several plain words are easiest to copy. Copies are sealed from now on; older ones stay as they are, and
        open with the passphrase of their day. The key lies on this machine, so that copies are made by themselves: it guards the stick, not
        the machine.
      </p>
      <div class="fields">
        <v-text-field v-model="passphrase" v-focus label="Passphrase" autocomplete="off" />
        <v-text-field v-model="again" label="The same once more" autocomplete="off" />
        <v-text-field v-model="password" label="Your password" type="password" autocomplete="current-password" />
      </div>
      <p v-if="again && passphrase !== again" class="problem" role="alert">The two are not the same.</p>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <v-btn v-if="props.sealed" class="act" :disabled="busy || !password" @click="seal(null)">Seal no more</v-btn>
        <v-btn class="act" @click="emit('close')">Leave it</v-btn>
        <v-btn class="act main" type="submit" :disabled="busy || !fits || !password">Seal</v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
.fields {
  margin-top: var(--space-3);
}
.phrase {
  font-size: 20px;
  padding: var(--space-3);
  border: var(--line-hair) solid var(--ink);
  overflow-wrap: anywhere;
  user-select: all;
}
</style>
