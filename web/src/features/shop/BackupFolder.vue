<script setup lang="ts">
import { ref } from 'vue';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';

/** Says to which folder of the server copies go. */
const props = defineProps<{ folder: string | null }>();
const emit = defineEmits<{ close: []; changed: [] }>();
const folder = ref(props.folder ?? '');
const password = ref('');
const { run, busy, problem } = useRequest();
async function name(to: string | null): Promise<void> {
  await run(async () => {
    await call('nameBackupFolder', { body: { folder: to, password: password.value } });
    emit('changed');
  });
}
</script>

<template>
  <v-dialog aria-labelledby="backup-folder-title" :model-value="true" max-width="520" @update:model-value="emit('close')">
    <form class="dialog col" @submit.prevent="name(folder.trim())">
      <h2 id="backup-folder-title">Folder for backups</h2>
      <p class="second">
        A stick, a share or another disk of the server, with its whole path. It has to be there now; what else lies in it is not touched.
      </p>
      <div class="fields">
        <v-text-field v-model="folder" v-focus label="Folder on the server" placeholder="/media/stick" autocomplete="off" />
        <v-text-field v-model="password" label="Your password" type="password" autocomplete="current-password" />
      </div>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <v-btn v-if="props.folder" class="act" :disabled="busy || !password" @click="name(null)">Beside the book again</v-btn>
        <v-btn class="act" @click="emit('close')">Leave it</v-btn>
        <v-btn class="act main" type="submit" :disabled="busy || !folder.trim() || !password">Copy there</v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
.fields {
  margin-top: var(--space-3);
}
</style>
