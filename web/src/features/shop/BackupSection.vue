<script setup lang="ts">
import { useQuery } from '@pinia/colada';
import { useIntervalFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import { call, sentenceOf } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useSession } from '../../app/session.ts';
import { dayText, timeText } from '../../fittings/dates.ts';
import BackupFolder from './BackupFolder.vue';
import BackupSeal from './BackupSeal.vue';
import { ageWords, sizeWords } from './backupWords.ts';

/** Copies of the book: where they go, how fresh they are, when they were last tried, and what a lead can do. */
const session = useSession();
const { data, error, refetch } = useQuery({ key: ['backups'], query: () => call('backups') });
useIntervalFn(() => void refetch(), 4000);
const status = computed(() => data.value?.status ?? null);
const settings = computed(() => data.value?.settings ?? null);
const { run, busy, problem } = useRequest();
const open = ref<'folder' | 'seal' | null>(null);
const when = (at: string): string => `${dayText(at)}, ${timeText(at)}`;
async function ask(what: 'copy' | 'trial'): Promise<void> {
  await run(async () => {
    await call('askForBackup', { body: { what } });
  });
  await refetch();
}
async function changed(): Promise<void> {
  open.value = null;
  await refetch();
}
</script>

<template>
  <section>
    <div class="head2">
      <h2>Backups</h2>
      <span v-if="status?.doing" class="second" role="status">{{ status.doing }} …</span>
    </div>
    <p v-if="error || problem" class="problem" role="alert">{{ problem || sentenceOf(error) }}</p>
    <p v-if="data && !settings" class="second">
      The book lies on a database server of its own: its backups are made there. Here a logical dump is written every night, beside the
      program.
    </p>
    <template v-else-if="settings">
      <p v-if="!status" class="second">Nothing was copied yet: the first copy is made as soon as there is something in the book.</p>
      <template v-else>
        <p v-if="status.trouble" class="problem" role="alert">{{ status.trouble }}</p>
        <p v-if="status.brokenSince" class="problem" role="alert">
          The folder was away for too long: since {{ when(status.brokenSince) }} nothing more is kept for it. A whole copy is made as soon
          as it is back.
        </p>
        <dl class="facts">
          <dt>Folder</dt>
          <dd>
            <span class="fig path">{{ status.folder }}</span>
            <span v-if="status.sameDisk" class="second">on the disk of the book: it guards against a slip, not against a lost disk</span>
          </dd>
          <dt>Newest whole copy</dt>
          <dd v-if="status.lastCopy">
            {{ when(status.lastCopy.at) }}
            <span class="second">
              {{ sizeWords(status.lastCopy.bytes) }}, {{ status.lastCopy.why }}; {{ status.copies }}
              {{ status.copies === 1 ? 'copy' : 'copies' }} in all
            </span>
          </dd>
          <dd v-else class="second">none yet</dd>
          <dt>Everything copied to</dt>
          <dd>
            {{ status.safeTo ? when(status.safeTo) : 'nothing yet' }}
            <span v-if="status.safeTo && !status.trouble" class="second">what comes in goes there within a minute</span>
          </dd>
          <dt>Tried</dt>
          <dd v-if="status.lastTrial">
            <span :class="{ bad: !status.lastTrial.good }">{{ status.lastTrial.says }}</span>
            <span class="second">{{ ageWords(status.lastTrial.at, Date.now()) }}, in {{ status.lastTrial.seconds }} s</span>
            <span v-if="!status.lastTrial.good" class="second">
              {{ status.lastGoodTrial ? `last good ${ageWords(status.lastGoodTrial, Date.now())}` : 'never good yet' }}
            </span>
          </dd>
          <dd v-else class="second">not yet; every week by itself</dd>
          <dt>Sealed</dt>
          <dd>
            <template v-if="settings.seal">
              with a passphrase since {{ when(settings.seal.since) }}
              <span class="second">the key lies on this machine: it guards the stick, not the machine</span>
            </template>
            <span v-else class="second">no: whoever has the folder can read the book</span>
          </dd>
        </dl>
      </template>
      <div class="acts">
        <v-btn class="act" @click="open = 'folder'">{{ settings.folder ? 'Another folder' : 'Name a folder' }}</v-btn>
        <v-btn class="act" @click="open = 'seal'">
          {{ settings.seal ? 'Change the passphrase' : 'Seal with a passphrase' }}
        </v-btn>
        <v-btn class="act" :disabled="busy || Boolean(status?.doing)" @click="ask('copy')">Copy now</v-btn>
        <v-btn class="act" :disabled="busy || Boolean(status?.doing) || !status?.lastCopy" @click="ask('trial')">Try it now</v-btn>
      </div>
      <p class="second small">
        To restore: stop Dauer, then
        <span class="fig">npm run restore -- --at "yesterday 14:00"</span>
        on this machine, or on a new one with
        <span class="fig">--from</span>
        and the folder.
      </p>
    </template>
    <BackupFolder v-if="open === 'folder' && settings" :folder="settings.folder" @close="open = null" @changed="changed" />
    <BackupSeal
      v-if="open === 'seal' && settings"
      :sealed="settings.seal !== null"
      :shop="session.shop.name"
      @close="open = null"
      @changed="changed"
    />
  </section>
</template>

<style scoped>
section {
  margin-top: var(--space-5);
}
.head2 {
  display: flex;
  justify-content: space-between;
  align-items: center;
  border-bottom: var(--line-hair) solid var(--slate);
  padding-bottom: var(--space-1);
}
.facts {
  display: grid;
  grid-template-columns: 180px 1fr;
  gap: 6px var(--space-4);
  margin: var(--space-3) 0;
}
dd {
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 2px var(--space-3);
  align-items: baseline;
}
dt {
  color: var(--ink2);
}
.path {
  overflow-wrap: anywhere;
}
.bad {
  color: var(--past);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  margin: var(--space-3) 0;
}
@media (max-width: 560px) {
  .facts {
    grid-template-columns: 1fr;
    gap: 2px;
  }
  dd {
    margin-bottom: var(--space-2);
  }
}
</style>
