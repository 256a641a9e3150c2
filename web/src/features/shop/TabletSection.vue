<script setup lang="ts">
import { useQuery } from '@pinia/colada';
import { computed, ref } from 'vue';
import { v7 } from 'uuid';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useSession } from '../../app/session.ts';
import { durable } from '../../app/durable.ts';
import { dayText } from '../../fittings/dates.ts';

/** This device as a tablet of the shop, people switching on it with a PIN, and one's own PIN. */
const session = useSession();
const { run, busy, problem } = useRequest();
const said = ref('');
const open = ref<'tablet' | 'pin' | null>(null);
const f = ref({ name: 'Bench tablet', pin: '', password: '' });
const here = useQuery({ key: ['on-tablet'], query: () => call('onTablet') });
const list = useQuery({ key: ['tablets'], query: () => call('tablets'), enabled: () => session.may('lead') });
void here.refetch();
const tablets = computed(() => (list.data.value ?? []).filter((t) => t.endedAt === null));
async function go(): Promise<void> {
  await run(async () => {
    if (open.value === 'tablet') {
      await call('registerTablet', { body: { id: v7(), name: f.value.name, password: f.value.password } });
      said.value = 'This device is a tablet of the shop now.';
    } else {
      await call('setPin', { body: { pin: f.value.pin, password: f.value.password } });
      await session.resume();
      said.value = 'Your PIN opens the tablets of the shop, and nothing else.';
    }
    open.value = null;
    f.value.password = '';
    f.value.pin = '';
    await Promise.all([here.refetch(), session.may('lead') ? list.refetch() : null]);
  });
}
async function end(id: string): Promise<void> {
  await run(async () => {
    await call('endTablet', { params: { id }, body: {} });
    await Promise.all([here.refetch(), list.refetch()]);
  });
}
</script>

<template>
  <section>
    <div class="head2">
      <h2>Tablets and PINs</h2>
      <span class="acts">
        <v-btn class="act slim" @click="open = 'pin'">{{ session.hasPin ? 'Change my PIN' : 'Set my PIN' }}</v-btn>
        <v-btn v-if="session.may('lead') && !here.data.value?.tablet" class="act slim" @click="open = 'tablet'">
          Make this device a tablet
        </v-btn>
      </span>
    </div>
    <p class="second small">
      {{
        here.data.value?.tablet
          ? `This device is “${here.data.value.tablet.name}”: people switch on it with their PIN.`
          : 'This device is none of the shop’s tablets: everybody signs in on it with the password.'
      }}
      Release, acceptances and what cannot be undone ask for the password all the same.
    </p>
    <p class="second small" data-durable>
      {{
        durable === true
          ? 'This browser keeps what is stored here until somebody clears it.'
          : durable === false
            ? 'This browser may clear what is stored here by itself when it runs out of room: send what was taken before the day is over, or add Dauer to the home screen.'
            : durable === 'asked'
              ? 'This browser is being asked to keep what is stored here.'
              : 'This browser does not say whether it keeps what is stored here. Reached over HTTPS, it can be asked.'
      }}
    </p>
    <p v-if="said" role="status">{{ said }}</p>
    <ul v-if="session.may('lead')">
      <li v-for="t in tablets" :key="t.id">
        <b class="plate-font">{{ t.name }}</b>
        <span class="second small">since {{ dayText(t.registeredAt) }}</span>
        <v-btn class="act slim" :disabled="busy" @click="end(t.id)">No more</v-btn>
      </li>
    </ul>
    <p v-if="problem && !open" class="problem" role="alert">{{ problem }}</p>
    <v-dialog aria-labelledby="tablet-section-title" :model-value="open !== null" max-width="440" @update:model-value="open = null">
      <form class="dialog col" @submit.prevent="go">
        <h2 id="tablet-section-title">{{ open === 'pin' ? 'Your PIN' : 'Make this device a tablet' }}</h2>
        <v-text-field v-if="open === 'tablet'" v-model="f.name" v-focus label="Name of the tablet" />
        <v-text-field v-else v-model="f.pin" v-focus label="PIN, 4 to 8 digits" inputmode="numeric" type="password" autocomplete="off" />
        <v-text-field
          v-model="f.password"
          :label="`Password of ${session.person?.name ?? ''}`"
          type="password"
          autocomplete="current-password"
        />
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
        <div class="acts">
          <v-btn class="act" @click="open = null">Not now</v-btn>
          <v-btn
            class="act main"
            type="submit"
            :disabled="busy || !f.password || (open === 'pin' ? !/^\d{4,8}$/.test(f.pin) : f.name.trim() === '')"
          >
            {{ open === 'pin' ? 'Set it' : 'Make it one' }}
          </v-btn>
        </div>
      </form>
    </v-dialog>
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
  flex-wrap: wrap;
  gap: var(--space-2);
  border-bottom: var(--line-hair) solid var(--slate);
  padding-bottom: var(--space-1);
}
.acts {
  gap: var(--space-2);
}
li {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  min-height: var(--strip);
  border-bottom: var(--line-hair) solid var(--hair);
}
li .act {
  margin-left: auto;
}
</style>
