<script setup lang="ts">
import { buildLayout, buildStandalone, checkLayout, cornersOf, type Layout, type StandaloneUnit, TEMPLATES } from '@dauer/core/layout';
import { useSession } from '../../app/session.ts';
import { useLocalStorage } from '@vueuse/core';
import { v7 } from 'uuid';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { blankJob, jobFaults, jobOf } from './jobDraft.ts';
import JobFields from './JobFields.vue';
import { blankVehicle, faultsOf, vehicleOf } from './vehicleDraft.ts';
import BrakesSection from './BrakesSection.vue';
import VehicleFields from './VehicleFields.vue';

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
  ...blankJob(),
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
  return { ...faultsOf(form.value.vehicle), ...jobFaults(form.value, session.shop.currency) };
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
async function bookIn(): Promise<void> {
  const f = form.value;
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
          ...jobOf(f, cornersOf(layout.value), session.shop.currency),
          ...(units ? { kind: 'unit' as const, scopeIn: drawn.slots.map((x) => x.id), scopeCorners: [] } : {}),
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
        <JobFields v-model="form" :faults="fields" :corners="cornersOf(layout)" :units="form.loose !== null" />
      </section>
      <section>
        <h2 class="line">The owner</h2>
        <div class="fields">
          <v-text-field v-model="form.ownerName" label="Name" autocomplete="off" />
          <v-text-field
            v-model="form.ownerContact"
            :label="form.loose ? 'Return address and contact' : 'Contact'"
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
.problem {
  margin-top: var(--space-4);
}
</style>
