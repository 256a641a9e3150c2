<script setup lang="ts">
import { useQuery } from '@pinia/colada';
import { computed, ref } from 'vue';
import { call, sentenceOf } from '../../app/client.ts';

/** The way of a tablet into the shop: its address as a code, the authority to install, three steps a platform. */
const { data, error } = useQuery({ key: ['lan'], query: () => call('lan') });
const shown = ref(false);
const picture = (svg: string | null | undefined): string => (svg ? `data:image/svg+xml;utf8,${encodeURIComponent(svg)}` : '');
const codes = computed(() => [
  { what: '1  The authority', qr: picture(data.value?.authorityQr), text: `${data.value?.url ?? ''}/authority.crt` },
  { what: '2  The shop', qr: picture(data.value?.qr), text: data.value?.url ?? '' },
]);
const PLATFORMS = [
  {
    name: 'Android',
    steps: [
      'Scan the first code and let the file load; the browser warns once, that is why it is installed.',
      'Settings, Security, Encryption and credentials, Install a certificate, CA certificate: choose the file.',
      'Scan the second code; no warning is left. Add it to the home screen.',
    ],
  },
  {
    name: 'iPad and iPhone',
    steps: [
      'Scan the first code with the camera and allow the profile.',
      'Settings, General, VPN and device management: install it. Then About, Certificate trust settings: switch it on.',
      'Scan the second code in the browser, share it to the home screen.',
    ],
  },
  {
    name: 'A bench PC',
    steps: [
      'Open the first address and keep the file.',
      'In the browser: settings, Privacy and security, Certificates, Authorities, Import; trust it for web sites.',
      'Open the second address and keep it as a bookmark.',
    ],
  },
];
</script>

<template>
  <section>
    <div class="head2">
      <h2>Add a tablet</h2>
      <v-btn v-if="data?.url" class="act slim" :aria-expanded="shown" @click="shown = !shown">
        {{ shown ? 'Put away' : 'Show the codes' }}
      </v-btn>
    </div>
    <p v-if="error" class="problem" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="data && !data.url" class="second">
      This shop is served to this machine alone. Started with
      <span class="fig">npm start -- --lan</span>
      it is on the shop’s own network, over HTTPS, and tablets can be added.
    </p>
    <p v-if="data?.former" class="second">
      The address of the shop changed; it was
      <span class="fig">{{ data.former }}</span>
      before. What a tablet took there and has not sent lies under that address. Give this machine its former address back, or start it with
      <span class="fig">DAUER_LAN_NAME</span>
      and the former name; open the former address on that tablet and wait until nothing is unsent; then add the tablet anew here.
    </p>
    <template v-if="shown && data?.url">
      <div class="codes">
        <figure v-for="c in codes" :key="c.what">
          <img :src="c.qr" :alt="`Code of ${c.text}`" width="200" height="200" />
          <figcaption>
            <b class="plate-font">{{ c.what }}</b>
            <span class="fig small">{{ c.text }}</span>
          </figcaption>
        </figure>
      </div>
      <div class="platforms">
        <div v-for="p in PLATFORMS" :key="p.name">
          <h3>{{ p.name }}</h3>
          <ol>
            <li v-for="s in p.steps" :key="s">{{ s }}</li>
          </ol>
        </div>
      </div>
      <p class="second small">Then sign in on it as a lead, and make it a tablet of the shop above: people switch on it with their PIN.</p>
    </template>
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
.codes,
.platforms {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-5);
  margin-top: var(--space-3);
}
figcaption {
  display: grid;
}
img {
  background: #fff;
  border: var(--line-hair) solid var(--hair);
}
.platforms > div {
  flex: 1 1 240px;
}
ol {
  list-style: decimal;
  padding-left: 20px;
}
</style>
