<script setup lang="ts">
import type { Role } from '@dauer/core/verdict';
import { SHOP_CARDS } from '@dauer/core/wording';
import { useQuery } from '@pinia/colada';
import { v7 } from 'uuid';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { call, sentenceOf } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { keyList, lettersOn } from '../../app/keys.ts';
import { useSession } from '../../app/session.ts';
import { useTheme } from '../../app/theme.ts';
import AddTablet from './AddTablet.vue';
import BackupSection from './BackupSection.vue';
import ReckoningSection from './ReckoningSection.vue';
import TabletSection from './TabletSection.vue';
import WritingDialog from './WritingDialog.vue';
import ChoiceRow from '../../fittings/ChoiceRow.vue';

/** People, and how this device behaves. */
const session = useSession();
const router = useRouter();
const { chosen } = useTheme();
const { data, error, refetch } = useQuery({ key: ['people'], query: () => call('people') });
void refetch();
const open = ref(false);
const writing = ref(false);
const { run, busy, problem } = useRequest();
const f = ref({ name: '', login: '', password: '', role: 'technician' as Role });
const ROLES: readonly { value: Role; label: string }[] = [
  { value: 'reader', label: 'Reader' },
  { value: 'technician', label: 'Technician' },
  { value: 'lead', label: 'Lead' },
];
async function add(): Promise<void> {
  await run(async () => {
    await call('addPerson', { body: { id: v7(), ...f.value } });
    open.value = false;
    f.value = { name: '', login: '', password: '', role: 'technician' };
    await refetch();
  });
}
async function change(id: string, version: number, what: { role?: Role; active?: boolean }): Promise<void> {
  await run(async () => {
    await call('changePerson', { params: { id }, body: { version, ...what } });
  });
  await refetch();
}
async function everywhere(): Promise<void> {
  problem.value = '';
  try {
    await call('signOutEverywhere');
  } catch (e) {
    problem.value = `${sentenceOf(e)} Nothing was ended on other devices.`;
    return;
  }
  await signOut();
}
async function signOut(): Promise<void> {
  await session.signOut();
  await router.push('/sign-in');
}
</script>

<template>
  <main class="screen">
    <div class="head">
      <h1>{{ session.shop.name }}</h1>
      <span class="grow" />
      <v-btn class="act" to="/cards">{{ SHOP_CARDS.title }}</v-btn>
      <v-btn class="act" @click="everywhere">Sign me out everywhere</v-btn>
      <v-btn class="act" @click="signOut">Sign out {{ session.person?.name }}</v-btn>
    </div>
    <p class="second how">
      Days and hours in {{ session.shop.timeZone }}, written as in {{ session.shop.locale }}; sums in
      {{ session.shop.currency ?? 'no currency yet' }}.
      <button v-if="session.may('lead')" class="link" type="button" @click="writing = true">Change</button>
    </p>
    <p v-if="error || problem" class="problem" role="alert">{{ problem || sentenceOf(error) }}</p>
    <section>
      <div class="head2">
        <h2>People</h2>
        <v-btn v-if="session.may('lead')" class="act slim" @click="open = true">Add somebody</v-btn>
      </div>
      <div class="scroll">
        <table>
          <thead>
            <tr>
              <th>Name</th>
              <th>Signs in as</th>
              <th>Role</th>
              <td />
            </tr>
          </thead>
          <tbody>
            <tr v-for="p in data ?? []" :key="p.id" :class="{ left: !p.active }">
              <td>
                {{ p.name }}
                <span v-if="!p.active" class="second small">has left</span>
              </td>
              <td class="second">{{ p.login }}</td>
              <td>
                <ChoiceRow
                  v-if="session.may('lead') && p.active && p.id !== session.person?.id"
                  :model-value="p.role"
                  :options="ROLES"
                  :label="`Role of ${p.name}`"
                  @update:model-value="(r) => change(p.id, p.version, { role: r })"
                />
                <template v-else>{{ p.role }}</template>
              </td>
              <td class="acts">
                <v-btn
                  v-if="session.may('lead') && p.id !== session.person?.id"
                  class="act slim"
                  :disabled="busy"
                  @click="change(p.id, p.version, { active: !p.active })"
                >
                  {{ p.active ? 'Has left' : 'Is back' }}
                </v-btn>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="second small">A changed role and a leaver take effect at once, on every device.</p>
    </section>
    <ReckoningSection v-if="session.may('technician')" />
    <TabletSection />
    <AddTablet v-if="session.may('lead')" />
    <BackupSection v-if="session.may('lead')" />
    <section>
      <h2>This device</h2>
      <p class="line">
        <span>Light</span>
        <ChoiceRow
          v-model="chosen"
          :options="[
            { value: 'day', label: 'Day' },
            { value: 'night', label: 'Night bench' },
            { value: 'device', label: 'As the device' },
          ]"
          label="Theme"
        />
      </p>
      <p class="line">
        <span>Single letters as keys</span>
        <ChoiceRow
          :model-value="lettersOn ? 'on' : 'off'"
          :options="[
            { value: 'on', label: 'On' },
            { value: 'off', label: 'Off' },
          ]"
          label="Single letters as keys"
          @update:model-value="(v) => (lettersOn = v === 'on')"
        />
        <button class="link" type="button" @click="keyList = true">All keys</button>
      </p>
    </section>
    <section>
      <h2>What Dauer is not</h2>
      <p class="second">
        Work on brakes is for trained people, by the vehicle maker’s data and the law of the place. Dauer calculates and records; it does
        not certify.
      </p>
    </section>
    <WritingDialog v-if="writing" @close="writing = false" />
    <v-dialog v-model="open" aria-labelledby="shop-screen-title">
      <form class="dialog col" @submit.prevent="add">
        <h2 id="shop-screen-title">Add somebody</h2>
        <div class="fields">
          <v-text-field v-model="f.name" v-focus label="Name" />
          <v-text-field v-model="f.login" label="Signs in as" autocomplete="off" />
          <v-text-field v-model="f.password" label="First password (10 or more)" type="password" autocomplete="new-password" />
        </div>
        <ChoiceRow v-model="f.role" :options="ROLES" label="Role" />
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
        <div class="acts">
          <v-btn class="act" @click="open = false">Not now</v-btn>
          <v-btn class="act main" type="submit" :disabled="busy || !f.name.trim() || !f.login.trim() || f.password.length < 10">Add</v-btn>
        </div>
      </form>
    </v-dialog>
  </main>
</template>

<style scoped>
section {
  margin-top: var(--space-5);
}
h2 {
  padding-bottom: 6px;
}
section > h2 {
  border-bottom: var(--line-hair) solid var(--slate);
}
.head2 {
  display: flex;
  justify-content: space-between;
  align-items: center;
  border-bottom: var(--line-hair) solid var(--slate);
  padding-bottom: var(--space-1);
}
.line {
  display: flex;
  gap: var(--space-4);
  align-items: center;
  margin-top: var(--space-3);
  flex-wrap: wrap;
}
.line > span {
  min-width: 180px;
}
.acts {
  text-align: right;
}
td {
  vertical-align: middle;
}
.left td {
  color: var(--ink2);
}
.scroll {
  overflow-x: auto;
}
@media (max-width: 560px) {
  .head {
    flex-wrap: wrap;
    padding-bottom: var(--space-2);
  }
}
</style>
