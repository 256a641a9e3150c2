<script setup lang="ts">
import type { Layout } from '@dauer/core/layout';
import { useEventListener } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import BrakeMap from '../../../fittings/map/BrakeMap.vue';
import type { MapMarks } from '../../../fittings/map/overlays.ts';
import { isTyping } from '../../../fittings/typing.ts';
import AddPanel from './AddPanel.vue';
import PickedPanel from './PickedPanel.vue';
import { useLayoutEdit } from './useLayoutEdit.ts';

/** A layout that is changed on the map itself: pick a part to change it, or add one; what is wrong is lit at once. */
const layout = defineModel<Layout>({ required: true });
const props = defineProps<{ lit?: readonly string[] }>();
const edit = useLayoutEdit(layout);
const picked = ref<string | null>(null);
const target = ref<string | null>(null);
const joining = ref(false);
const marks = computed<MapMarks>(
  () => new Map([...(props.lit ?? []).map((id) => [id, 'has records'] as const), ...edit.flags.value].map(([id, flag]) => [id, { flag }])),
);
function pick(id: string | null): void {
  if (joining.value) target.value = id;
  else picked.value = id;
}
function join(on: boolean): void {
  joining.value = on;
  target.value = null;
}
watch(layout, (l) => {
  if (picked.value && !l.slots.some((s) => s.id === picked.value)) {
    picked.value = null;
    join(false);
  }
});
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (!(event.ctrlKey || event.metaKey) || event.code !== 'KeyZ' || isTyping(event.target)) return;
  event.preventDefault();
  if (event.shiftKey) edit.redo();
  else edit.undo();
});
defineExpose({ faults: edit.faults });
</script>

<template>
  <div class="editor">
    <div class="drawing plate">
      <BrakeMap :layout="layout" :picked="joining ? target : picked" :marks="marks" @pick="pick" />
      <div class="tools">
        <v-btn class="act slim" :disabled="edit.done.value.length === 0" @click="edit.undo()">Undo</v-btn>
        <v-btn class="act slim" :disabled="edit.undone.value.length === 0" @click="edit.redo()">Do it again</v-btn>
        <span class="grow" />
        <v-btn-group class="choice" role="group" aria-label="Driver’s side">
          <v-btn
            v-for="side in ['left', 'right'] as const"
            :key="side"
            :aria-pressed="layout.drive === side"
            @click="edit.apply((l) => ({ ...l, drive: side }))"
          >
            Drive {{ side }}
          </v-btn>
        </v-btn-group>
      </div>
    </div>
    <div class="side">
      <div v-if="edit.faults.value.length > 0" class="problem faults" role="status">
        <b class="plate-font">
          {{ edit.faults.value.length === 1 ? 'One thing cannot be right yet' : `${edit.faults.value.length} things cannot be right yet` }}
        </b>
        <ul>
          <li v-for="f in edit.faults.value.slice(0, 6)" :key="f.code + f.slotId">
            <button class="link" type="button" :disabled="f.slotId === null" @click="pick(f.slotId)">{{ f.message }}</button>
          </li>
          <li v-if="edit.faults.value.length > 6" class="second">and {{ edit.faults.value.length - 6 }} more</li>
        </ul>
      </div>
      <p v-else class="second" role="status">
        {{ layout.slots.length }} places, {{ layout.connections.length }} connections; every wheel is reached, nothing is left open.
      </p>
      <p v-if="edit.problem.value" class="problem" role="alert">{{ edit.problem.value }}</p>
      <PickedPanel
        v-if="picked"
        :layout="layout"
        :edit="edit"
        :slot-id="picked"
        :target="target"
        :joining="joining"
        @join="join"
        @pick="pick"
      />
      <p v-else class="second">Pick a part on the map to change it, or add one.</p>
      <AddPanel v-if="!joining" :layout="layout" :edit="edit" @added="pick" />
    </div>
  </div>
</template>

<style scoped>
.editor {
  display: grid;
  grid-template-columns: 400px minmax(0, 1fr);
  gap: var(--space-5);
  align-items: start;
}
.drawing {
  position: sticky;
  top: 8px;
  padding-bottom: var(--space-2);
}
.tools {
  display: flex;
  gap: var(--space-2);
  align-items: center;
  padding: var(--space-2) var(--space-3) 0;
  border-top: var(--line-hair) solid var(--hair);
  flex-wrap: wrap;
}
.grow {
  flex: 1;
}
.side {
  display: grid;
  gap: var(--space-4);
}
@media (max-width: 960px) {
  .editor {
    grid-template-columns: 1fr;
  }
  .drawing {
    position: static;
  }
}
</style>
