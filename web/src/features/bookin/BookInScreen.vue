<script setup lang="ts">
import { JOB_TAKES_IN } from '@dauer/core/wording';
import { KIND_OF_JOB } from '@dauer/core/history';
import {
  buildLayout,
  buildStandalone,
  checkLayout,
  type Corner,
  CORNER_NAME,
  CORNERS,
  cornersOf,
  type Layout,
  type StandaloneUnit,
  TEMPLATES,
} from '@dauer/core/layout';
import type { Finish, JobKind } from '@dauer/core/ledger';
import { useSession } from '../../app/session.ts';
import { useLocalStorage } from '@vueuse/core';
import { v7 } from 'uuid';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { blankVehicle, faultsOf, orNull, vehicleOf } from './vehicleDraft.ts';
import BrakesSection from './BrakesSection.vue';
import VehicleFields from './VehicleFields.vue';
import { FINISH_ITEMS, JOB_KINDS, sumOf } from './words.ts';
import DayField from '../../fittings/DayField.vue';

/** Books a vehicle in. What is typed stays on this device until it is in the book. */
const router = useRouter();
const blank = () => ({
  vehicleId: v7(),
  jobId: v7(),
  layoutId: v7(),
  vehicle: blankVehicle(),
  ownerName: '',
  ownerContact: '',
  template: TEMPLATES[0]?.id ?? '',
  /** The layout as it was changed here; null while the template stands as it comes. */
  changed: null as Layout | null,
  /** Units that came without a vehicle, where that is what came. */
  loose: null as StandaloneUnit[] | null,
  kind: 'overhaul' as JobKind,
  complaint: '',
  wants: '',
  fluidKnown: '',
  promised: '',
  finish: 'not_said' as Finish,
  authorised: '',
  corners: [...CORNERS] as Corner[],
});
const session = useSession();
/** What was typed outlives the page, for who typed it; the pages of a device do not write into each other's. */
const DRAFT = 'dauer.bookin.5';
const form = useLocalStorage(`${DRAFT}.${session.person?.id ?? ''}`, blank(), { listenToStorageChanges: false });
const { run, busy, problem } = useRequest();
/** Once somebody has tried, the words under a field follow what stands in it. */
const tried = ref(false);
const fields = computed((): Readonly<Record<string, string>> => {
  if (!tried.value) return {};
  const sum = authorised();
  return { ...faultsOf(form.value.vehicle), ...(sum.ok ? {} : { authorised: sum.why }) };
});
void call('nextTag')
  .then((r) => {
    if (form.value.vehicle.tag === '') form.value.vehicle.tag = r.tag;
  })
  .catch(() => undefined);
const marked = computed(() => Object.keys(fields.value).length > 0);
const said = computed(() => problem.value || (marked.value ? 'Some fields cannot be used yet; they are marked.' : ''));
const drawing = ref(false);
const layout = computed<Layout>(() => {
  let n = 0;
  const { changed, template, layoutId, vehicleId, loose } = form.value;
  if (loose) return buildStandalone(loose, layoutId, vehicleId, () => `preview-${(n += 1)}`);
  return changed ?? buildLayout(template, layoutId, vehicleId, () => `preview-${(n += 1)}`);
});
const faults = computed(() => checkLayout(layout.value));
function toggle(c: Corner): void {
  form.value.corners = form.value.corners.includes(c) ? form.value.corners.filter((x) => x !== c) : [...form.value.corners, c];
}
const authorised = (): ReturnType<typeof sumOf> => sumOf(form.value.authorised, session.shop.currency);
async function bookIn(): Promise<void> {
  const f = form.value;
  const sum = authorised();
  problem.value = '';
  const [fault] = faults.value;
  if (fault) {
    problem.value = `The layout cannot be right yet: ${fault.message}`;
    drawing.value = form.value.changed !== null;
    return;
  }
  tried.value = true;
  if (marked.value) return;
  const drawn = f.loose
    ? buildStandalone(f.loose, f.layoutId, f.vehicleId, v7)
    : (f.changed ?? buildLayout(f.template, f.layoutId, f.vehicleId, v7));
  const units = f.loose !== null;
  await run(async () => {
    const done = await call('bookIn', {
      body: {
        vehicleId: f.vehicleId,
        layout: drawn,
        vehicle: units ? { ...vehicleOf(f.vehicle), distanceUnit: 'none' as const } : vehicleOf(f.vehicle),
        owner: f.ownerName.trim() ? { name: f.ownerName, contact: f.ownerContact } : null,
        job: {
          id: f.jobId,
          kind: units ? ('unit' as const) : f.kind,
          scopeIn: units ? drawn.slots.map((x) => x.id) : [],
          complaint: f.complaint,
          wants: f.wants,
          fluidKnown: f.fluidKnown,
          promised: orNull(f.promised),
          finish: f.finish,
          authorised: sum.ok ? sum.sum : null,
          scopeCorners: !units && KIND_OF_JOB[f.kind].corners ? f.corners.filter((c) => cornersOf(layout.value).includes(c)) : [],
        },
      },
    });
    form.value = blank();
    await router.push(`/jobs/${done.jobId}/bookin`);
  });
}
</script>

<template>
  <main class="screen">
    <div class="head">
      <h1>{{ form.loose ? 'Book in units alone' : 'Book in a vehicle' }}</h1>
    </div>
    <form @submit.prevent="bookIn">
      <section>
        <h2 class="line">The vehicle</h2>
        <VehicleFields v-model="form.vehicle" :faults="fields" :units="form.loose !== null" />
      </section>
      <BrakesSection v-model="form" v-model:drawing="drawing" :layout="layout" />
      <section>
        <h2 class="line">The job</h2>
        <div class="fields">
          <v-select v-if="!form.loose" v-model="form.kind" label="Kind of job" :items="JOB_KINDS" />
          <DayField v-model="form.promised" ahead label="Promised for" />
          <v-text-field v-model="form.fluidKnown" label="What is known of the fluid" />
          <v-select v-model="form.finish" label="Finish agreed" :items="FINISH_ITEMS" />
          <v-text-field v-model="form.authorised" label="Sum authorised" inputmode="decimal" :error-messages="fields['authorised']" />
        </div>
        <div class="two">
          <v-textarea v-model="form.complaint" label="Complaint, in the owner’s words" />
          <v-textarea v-model="form.wants" label="What the owner wants" />
        </div>
        <p class="second small">{{ form.loose ? 'All the units that came.' : JOB_TAKES_IN[form.kind] }}</p>
        <div v-if="!form.loose && KIND_OF_JOB[form.kind].corners" class="scope">
          <span class="second">Taken in</span>
          <v-btn-group class="choice" role="group" aria-label="Corners taken in">
            <v-btn v-for="c in cornersOf(layout)" :key="c" :aria-pressed="form.corners.includes(c)" @click="toggle(c)">
              {{ CORNER_NAME[c] }}
            </v-btn>
          </v-btn-group>
        </div>
      </section>
      <section>
        <h2 class="line">The owner</h2>
        <div class="fields">
          <v-text-field v-model="form.ownerName" label="Name" autocomplete="off" />
          <v-text-field
            v-model="form.ownerContact"
            label="Contact"
            hint="Shown to leads and to those who work on the vehicle."
            autocomplete="off"
          />
        </div>
      </section>
      <p v-if="said" class="problem" role="alert">{{ said }}</p>
      <div class="acts ends">
        <v-btn class="act main" type="submit" :disabled="busy">Book it in</v-btn>
        <v-btn class="act" to="/">Not now</v-btn>
        <span class="second small">What is typed is kept on this device meanwhile.</span>
      </div>
    </form>
  </main>
</template>

<style scoped>
section {
  margin-top: 20px;
}
h2 {
  margin-bottom: var(--space-3);
}
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: var(--space-4);
  margin: var(--space-4) 0;
}
.scope {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  flex-wrap: wrap;
}
.scope .choice {
  flex-wrap: wrap;
}
.problem {
  margin-top: var(--space-4);
}
</style>
