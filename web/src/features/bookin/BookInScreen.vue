<script setup lang="ts">
import { buildLayout, cornersOf, CORNERS, CORNER_NAME, KIND_OF_JOB, type Corner, type JobKind, TEMPLATES } from '@dauer/core';
import { useSessionStorage } from '@vueuse/core';
import { v7 } from 'uuid';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { call, sentenceOf } from '../../app/client.ts';
import BrakeMap from '../../fittings/map/BrakeMap.vue';
import { blankVehicle, faultsOf, orNull, vehicleOf } from './vehicleDraft.ts';
import VehicleFields from './VehicleFields.vue';
import { JOB_KINDS } from './words.ts';

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
  kind: 'overhaul' as JobKind,
  complaint: '',
  wants: '',
  fluidKnown: '',
  promised: '',
  corners: [...CORNERS] as Corner[],
});
const form = useSessionStorage('dauer.bookin.2', blank());
const problem = ref('');
const busy = ref(false);
const fields = ref<Record<string, string>>({});
void call('nextTag')
  .then((r) => {
    if (form.value.vehicle.tag === '') form.value.vehicle.tag = r.tag;
  })
  .catch(() => undefined);
const layout = computed(() => {
  let n = 0;
  return buildLayout(form.value.template, form.value.layoutId, form.value.vehicleId, () => `preview-${(n += 1)}`);
});
const noVerdicts = new Map();
function toggle(c: Corner): void {
  form.value.corners = form.value.corners.includes(c) ? form.value.corners.filter((x) => x !== c) : [...form.value.corners, c];
}
function check(): boolean {
  fields.value = faultsOf(form.value.vehicle);
  return Object.keys(fields.value).length === 0;
}
async function bookIn(): Promise<void> {
  const f = form.value;
  problem.value = '';
  if (!check()) {
    problem.value = 'Some fields cannot be used yet; they are marked.';
    return;
  }
  busy.value = true;
  try {
    const done = await call('bookIn', {
      body: {
        vehicleId: f.vehicleId,
        layout: buildLayout(f.template, f.layoutId, f.vehicleId, v7),
        vehicle: vehicleOf(f.vehicle),
        owner: f.ownerName.trim() ? { name: f.ownerName, contact: f.ownerContact } : null,
        job: {
          id: f.jobId,
          kind: f.kind,
          complaint: f.complaint,
          wants: f.wants,
          fluidKnown: f.fluidKnown,
          promised: orNull(f.promised),
          scopeCorners: KIND_OF_JOB[f.kind].corners ? f.corners.filter((c) => cornersOf(layout.value).includes(c)) : [],
        },
      },
    });
    form.value = blank();
    await router.push(`/jobs/${done.jobId}/bookin`);
  } catch (error) {
    problem.value = sentenceOf(error);
  }
  busy.value = false;
}
</script>

<template>
  <main class="screen">
    <div class="head"><h1>Book in a vehicle</h1></div>
    <form @submit.prevent="bookIn">
      <section>
        <h2>The vehicle</h2>
        <VehicleFields v-model="form.vehicle" :faults="fields" />
      </section>
      <section class="brakes">
        <div>
          <h2>Its brakes</h2>
          <p class="second">A start from which the layout is drawn; pick the one that is nearest.</p>
          <div class="templates" role="radiogroup" aria-label="Layout">
            <button
              v-for="t in TEMPLATES"
              :key="t.id"
              type="button"
              role="radio"
              :aria-checked="form.template === t.id"
              class="template"
              :class="{ on: form.template === t.id }"
              @click="form.template = t.id"
            >
              <b class="plate-font">{{ t.name }}</b>
              <span class="second small">{{ t.about }}</span>
            </button>
          </div>
        </div>
        <div class="preview plate"><BrakeMap :layout="layout" :picked="null" :verdicts="noVerdicts" /></div>
      </section>
      <section>
        <h2>The job</h2>
        <div class="fields">
          <v-select v-model="form.kind" label="Kind of job" :items="JOB_KINDS" />
          <v-text-field v-model="form.promised" label="Promised for" type="date" />
          <v-text-field v-model="form.fluidKnown" label="What is known of the fluid" />
        </div>
        <div class="two">
          <v-textarea v-model="form.complaint" label="Complaint, in the owner’s words" />
          <v-textarea v-model="form.wants" label="What the owner wants" />
        </div>
        <p class="second small">{{ KIND_OF_JOB[form.kind].takesIn }}</p>
        <div v-if="KIND_OF_JOB[form.kind].corners" class="scope">
          <span class="second">Taken in</span>
          <span class="choice" role="group" aria-label="Corners taken in">
            <button v-for="c in cornersOf(layout)" :key="c" type="button" :aria-pressed="form.corners.includes(c)" @click="toggle(c)">
              {{ CORNER_NAME[c] }}
            </button>
          </span>
        </div>
      </section>
      <section>
        <h2>The owner</h2>
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
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <button class="act main" type="submit" :disabled="busy">Book it in</button>
        <RouterLink class="act" to="/">Not now</RouterLink>
        <span class="second small">What is typed is kept on this device meanwhile.</span>
      </div>
    </form>
  </main>
</template>

<style scoped>
.preview {
  position: sticky;
  top: 8px;
  align-self: start;
}
section {
  margin-top: 20px;
}
h2 {
  border-bottom: 1px solid var(--slate);
  padding-bottom: 6px;
  margin-bottom: 12px;
}
.brakes {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
  gap: 24px;
}
.templates {
  display: grid;
  gap: 8px;
  margin-top: 12px;
}
.template {
  display: grid;
  text-align: left;
  min-height: 60px;
  padding: 8px 14px;
  background: var(--plate);
  border: 1px solid var(--blue);
  border-radius: 2px;
  cursor: pointer;
  color: var(--blue);
}
.template b {
  font-size: 18px;
}
.template.on {
  background: var(--blue-tint);
  color: var(--ink);
  box-shadow: inset 0 -3px 0 var(--blue);
}
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 16px;
  margin: 16px 0;
}
.scope {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
}
.scope .choice {
  flex-wrap: wrap;
}
.problem {
  margin-top: 16px;
}
.acts {
  display: flex;
  gap: 12px;
  align-items: center;
  margin-top: 20px;
  flex-wrap: wrap;
}
@media (max-width: 960px) {
  .brakes {
    grid-template-columns: 1fr;
  }
}
</style>
