<script setup lang="ts">
import { buildLayout, type Layout, type StandaloneUnit, TEMPLATES } from '@dauer/core/layout';
import { v7 } from 'uuid';
import BrakeMap from '../../fittings/map/BrakeMap.vue';
import { NO_MARKS } from '../../fittings/map/overlays.ts';
import LayoutEditor from './layout/LayoutEditor.vue';
import LooseFields from './LooseFields.vue';

/** What is braked and how, as it is booked in: a template, the template changed on the map, or units alone. */
interface Brakes {
  readonly layoutId: string;
  readonly vehicleId: string;
  template: string;
  changed: Layout | null;
  loose: StandaloneUnit[] | null;
}
const brakes = defineModel<Brakes>({ required: true });
const drawing = defineModel<boolean>('drawing', { required: true });
defineProps<{ layout: Layout }>();
function pickTemplate(id: string): void {
  brakes.value.template = id;
  brakes.value.changed = null;
}
function draw(): void {
  const { template, layoutId, vehicleId } = brakes.value;
  brakes.value.changed ??= buildLayout(template, layoutId, vehicleId, v7);
  drawing.value = true;
}
</script>

<template>
  <section v-if="brakes.loose">
    <h2 class="line">The units that came</h2>
    <LooseFields v-model="brakes.loose" />
    <div class="preview plate loose"><BrakeMap :layout="layout" :picked="null" :marks="NO_MARKS" /></div>
    <div class="acts">
      <v-btn class="act" @click="brakes.loose = null">It is a whole vehicle</v-btn>
    </div>
  </section>
  <section v-else-if="drawing && brakes.changed">
    <h2 class="line">Its brakes</h2>
    <LayoutEditor v-model="brakes.changed" />
    <div class="acts">
      <v-btn class="act" @click="drawing = false">Done with the drawing</v-btn>
      <v-btn
        class="act"
        @click="
          drawing = false;
          pickTemplate(brakes.template);
        "
      >
        Back to the template
      </v-btn>
    </div>
  </section>
  <section v-else class="brakes">
    <div>
      <h2 class="line">Its brakes</h2>
      <p>
        <button class="link" type="button" @click="brakes.loose = [{ kind: 'caliper', count: 2, pistons: 2 }]">
          Units alone, sent in without a vehicle
        </button>
      </p>
      <p class="second">A start from which the layout is drawn; pick the one that is nearest, then change what differs.</p>
      <div class="templates" role="radiogroup" aria-label="Layout">
        <button
          v-for="t in TEMPLATES"
          :key="t.id"
          type="button"
          role="radio"
          :aria-checked="brakes.template === t.id"
          class="template"
          :class="{ on: brakes.template === t.id }"
          @click="pickTemplate(t.id)"
        >
          <b class="plate-font">{{ t.name }}</b>
          <span class="second small">{{ t.about }}</span>
        </button>
      </div>
    </div>
    <div class="preview plate">
      <BrakeMap :layout="layout" :picked="null" :marks="NO_MARKS" />
      <div class="under">
        <span class="second small">{{ brakes.changed ? 'Changed from the template.' : 'As the template has it.' }}</span>
        <v-btn class="act slim" @click="draw">Change the layout</v-btn>
      </div>
    </div>
  </section>
</template>

<style scoped>
section {
  margin-top: 20px;
}
h2 {
  margin-bottom: var(--space-3);
}
.acts {
  margin-top: 20px;
}
.preview.loose {
  position: static;
  max-width: 400px;
  margin-top: var(--space-3);
}
.preview {
  position: sticky;
  top: 8px;
  align-self: start;
}
.under {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: var(--space-2) var(--space-4);
  border-top: var(--line-hair) solid var(--hair);
}
.brakes {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
  gap: var(--space-5);
}
.templates {
  display: grid;
  gap: var(--space-2);
  margin-top: var(--space-3);
}
.template {
  display: grid;
  text-align: left;
  min-height: 60px;
  padding: var(--space-2) 14px;
  background: var(--plate);
  border: var(--line-hair) solid var(--blue);
  border-radius: var(--corner);
  cursor: pointer;
  color: var(--blue);
}
.template b {
  font-size: var(--type-caption);
}
.template.on {
  background: var(--blue-tint);
  color: var(--ink);
  box-shadow: inset 0 -3px 0 var(--blue);
}
@media (max-width: 960px) {
  .brakes {
    grid-template-columns: 1fr;
  }
}
</style>
