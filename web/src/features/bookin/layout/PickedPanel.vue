<script setup lang="ts">
import {
  changeComponent,
  changeConnection,
  childrenOf,
  CLUTCH_CIRCUIT,
  type ComponentKind,
  connect,
  type Connection,
  type ConnectionKind,
  disconnect,
  insertInLine,
  KIND_FACTS,
  type Layout,
  MAX_PISTONS,
  moveToCircuit,
  placeName,
  removeComponent,
  removeWheel,
  setPistons,
  type Slot,
  slotById,
  STYLES,
  isGripped,
} from '@dauer/core/layout';
import { v7 } from 'uuid';
import { computed, ref, watch } from 'vue';
import LengthField from './LengthField.vue';
import type { LayoutEdit } from './useLayoutEdit.ts';

/** The picked component of a layout: what it is, in which circuit, what it is joined to. */
const props = defineProps<{ layout: Layout; edit: LayoutEdit; slotId: string; target: string | null; joining: boolean }>();
const emit = defineEmits<{ join: [on: boolean]; pick: [slotId: string | null] }>();
const slot = computed<Slot | null>(() => slotById(props.layout, props.slotId) ?? null);
const name = ref('');
watch(slot, (s) => (name.value = s?.name ?? ''), { immediate: true });
const styles = computed(() => (STYLES[slot.value?.kind ?? 'hub'] ?? []).map((s) => ({ value: s.id, title: s.name })));
const change = (what: Parameters<typeof changeComponent>[2]): void => {
  const id = props.slotId;
  props.edit.apply((l) => changeComponent(l, id, what));
};
function rename(): void {
  if (slot.value && name.value !== slot.value.name && !props.edit.apply((l) => changeComponent(l, props.slotId, { name: name.value })))
    name.value = slot.value.name;
}
const BORED: readonly ComponentKind[] = ['master_cylinder', 'wheel_cylinder', 'clutch_master', 'clutch_slave', 'hose'];
const pistons = computed(() => childrenOf(props.layout, props.slotId).filter((s) => s.kind === 'piston'));
const setCount = (count: number): void => {
  const bore = pistons.value[0]?.boreMm ?? null;
  props.edit.apply((l) => setPistons(l, props.slotId, count, bore, v7));
};
const setPistonBore = (mm: number | null): void => {
  props.edit.apply((l) => setPistons(l, props.slotId, pistons.value.length, mm, v7));
};
const isCylinder = computed(() => slot.value?.kind === 'master_cylinder' || slot.value?.kind === 'reservoir');
const circuits = computed(() => {
  const has = new Set(props.layout.slots.flatMap((s) => s.circuits).filter((c) => c !== CLUTCH_CIRCUIT));
  return [...new Set([1, 2, ...has])].sort((a, b) => a - b);
});
const wet = computed(() => (slot.value?.circuits.length ?? 0) > 0 && !slot.value?.circuits.includes(CLUTCH_CIRCUIT));
function setCircuit(c: number): void {
  const s = slot.value;
  if (!s) return;
  if (isCylinder.value) {
    const now = s.circuits.includes(c) ? s.circuits.filter((x) => x !== c) : [...s.circuits, c].sort((a, b) => a - b);
    change({ circuits: now });
  } else props.edit.apply((l) => moveToCircuit(l, props.slotId, c, v7));
}
interface End {
  readonly c: Connection;
  readonly other: Slot | undefined;
}
const ends = computed<End[]>(() =>
  props.layout.connections
    .filter((c) => c.from === props.slotId || c.to === props.slotId)
    .map((c) => ({ c, other: slotById(props.layout, c.from === props.slotId ? c.to : c.from) })),
);
const KIND_WORD: Readonly<Record<ConnectionKind, string>> = { line: 'Line', rod: 'Rod', cable: 'Cable', feed: 'Feed' };
const PUT: readonly ComponentKind[] = ['union', 'valve', 'switch', 'hose', 'servo'];
function putIn(c: Connection, kind: ComponentKind): void {
  const before = new Set(props.layout.slots.map((s) => s.id));
  const after = props.edit.apply((l) => insertInLine(l, c.id, kind, v7));
  if (after) emit('pick', after.slots.find((x) => !before.has(x.id))?.id ?? null);
}
const putting = ref<string | null>(null);
watch(
  () => props.slotId,
  () => (putting.value = null),
);
const joinKind = ref<ConnectionKind>('line');
watch(
  () => [props.slotId, props.target],
  () => {
    const [a, b] = [slot.value, slotById(props.layout, props.target ?? '')];
    const tank = a?.kind === 'reservoir' || b?.kind === 'reservoir';
    const fluid = a && b && a.circuits.length > 0 && b.circuits.length > 0;
    joinKind.value = tank ? 'feed' : fluid ? 'line' : a?.kind === 'parking_lever' || a?.kind === 'equaliser' ? 'cable' : 'rod';
  },
);
function join(): void {
  const to = props.target;
  if (to && props.edit.apply((l) => connect(l, props.slotId, to, joinKind.value, v7))) emit('join', false);
}
function takeOut(): void {
  if (props.edit.apply((l) => removeComponent(l, props.slotId, v7))) emit('pick', null);
}
function takeWheelOut(): void {
  const corner = slot.value?.corner;
  if (corner && props.edit.apply((l) => removeWheel(l, corner))) emit('pick', null);
}
const targetName = computed(() => {
  const s = slotById(props.layout, props.target ?? '');
  return s ? placeName(s).toLowerCase() : '';
});
const everywhere = computed(() =>
  props.layout.slots.filter((s) => s.id !== props.slotId && s.parentId === null).map((s) => ({ value: s.id, title: placeName(s) })),
);
</script>

<template>
  <section v-if="slot" class="picked" :aria-label="placeName(slot)">
    <div class="title">
      <h2>{{ placeName(slot) }}</h2>
      <span class="second">{{ KIND_FACTS[slot.kind].name }}</span>
    </div>
    <div class="fields">
      <v-text-field v-model="name" label="Name" maxlength="60" @blur="rename" @keydown.enter.prevent="rename" />
      <v-select
        v-if="styles.length > 0"
        label="Made as"
        :items="styles"
        :model-value="slot.style"
        clearable
        @update:model-value="change({ style: $event ?? null })"
      />
      <LengthField
        v-if="BORED.includes(slot.kind) || slot.kind === 'piston'"
        label="Bore"
        :model-value="slot.boreMm"
        @update:model-value="change({ boreMm: $event })"
      />
      <LengthField
        v-if="slot.kind === 'hose'"
        label="Length"
        :model-value="slot.lengthMm"
        @update:model-value="change({ lengthMm: $event })"
      />
    </div>
    <template v-if="slot.kind === 'caliper'">
      <div class="line">
        <span class="second">Pistons</span>
        <v-btn-group class="choice" role="group" aria-label="How many pistons">
          <v-btn v-for="n in MAX_PISTONS" :key="n" :aria-pressed="pistons.length === n" @click="setCount(n)">
            {{ n }}
          </v-btn>
        </v-btn-group>
        <LengthField label="Diameter of all" :model-value="pistons[0]?.boreMm ?? null" @update:model-value="setPistonBore" />
      </div>
    </template>
    <div v-if="wet" class="line">
      <span class="second">{{ isCylinder ? 'Feeds' : 'In' }}</span>
      <v-btn-group class="choice" role="group" aria-label="Circuit">
        <v-btn v-for="c in circuits" :key="c" :aria-pressed="slot.circuits.includes(c)" @click="setCircuit(c)">Circuit {{ c }}</v-btn>
      </v-btn-group>
      <span class="second small">{{ isCylinder ? '' : 'It moves with its line and hose, and what only it feeds.' }}</span>
    </div>
    <h3>Joined to</h3>
    <ul class="ends">
      <li v-for="{ c, other } in ends" :key="c.id">
        <div class="end">
          <span class="second kind">{{ KIND_WORD[c.kind] }}</span>
          <button class="link" type="button" @click="emit('pick', other?.id ?? null)">{{ other ? placeName(other) : 'nothing' }}</button>
          <span class="grow" />
          <v-btn
            v-if="c.kind === 'line'"
            class="act slim"
            :aria-expanded="putting === c.id"
            @click="putting = putting === c.id ? null : c.id"
          >
            Line …
          </v-btn>
          <v-btn class="act slim" :aria-label="`Take the ${c.kind} off`" @click="edit.apply((l) => disconnect(l, c.id))">Take off</v-btn>
        </div>
        <div v-if="putting === c.id" class="put">
          <LengthField
            label="Length"
            :model-value="c.lengthMm"
            @update:model-value="(mm) => edit.apply((l) => changeConnection(l, c.id, { lengthMm: mm }))"
          />
          <LengthField
            label="Bore"
            :model-value="c.boreMm"
            @update:model-value="(mm) => edit.apply((l) => changeConnection(l, c.id, { boreMm: mm }))"
          />
          <div class="putin">
            <span class="second">Put in</span>
            <v-btn v-for="k in PUT" :key="k" class="act slim" @click="putIn(c, k)">
              {{ k === 'servo' ? 'Remote servo' : KIND_FACTS[k].name }}
            </v-btn>
          </div>
        </div>
      </li>
      <li v-if="ends.length === 0" class="second">Nothing.</li>
    </ul>
    <div v-if="joining" class="joining" role="group" aria-label="Join it to">
      <p>Pick the other place on the map, or choose it here.</p>
      <v-select label="Join to" :items="everywhere" :model-value="target" @update:model-value="emit('pick', $event)" />
      <v-btn-group class="choice" role="group" aria-label="By what">
        <v-btn v-for="(word, k) in KIND_WORD" :key="k" :aria-pressed="joinKind === k" @click="joinKind = k">
          {{ word }}
        </v-btn>
      </v-btn-group>
      <div class="line">
        <v-btn class="act main" :disabled="!target || target === slotId" @click="join">
          {{ target && target !== slotId ? `Join to the ${targetName}` : 'Join' }}
        </v-btn>
        <v-btn class="act" @click="emit('join', false)">Not now</v-btn>
      </div>
    </div>
    <div v-else class="line">
      <v-btn class="act" @click="emit('join', true)">Join to something …</v-btn>
      <v-btn class="act" @click="takeOut">Take it out</v-btn>
      <v-btn v-if="isGripped(slot.kind)" class="act" @click="takeWheelOut">Take the whole wheel out</v-btn>
    </div>
  </section>
</template>

<style scoped>
.title {
  display: flex;
  gap: var(--space-3);
  align-items: baseline;
  border-bottom: var(--line-hair) solid var(--slate);
  padding-bottom: 6px;
  margin-bottom: var(--space-4);
}
h3 {
  margin-top: var(--space-4);
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: center;
  margin-top: var(--space-3);
}
.line > :deep(.v-input) {
  max-width: 190px;
}
.ends li {
  border-bottom: var(--line-hair) solid var(--hair);
  padding: var(--space-1) 0;
}
.end,
.putin {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  flex-wrap: wrap;
}
.kind {
  min-width: var(--strip);
}
.grow {
  flex: 1;
}
.put {
  display: grid;
  grid-template-columns: 150px 150px;
  gap: var(--space-3);
  padding: var(--space-3) 0;
}
.putin {
  grid-column: 1 / -1;
}
.joining {
  display: grid;
  gap: var(--space-3);
  justify-items: start;
  margin-top: var(--space-4);
  border: var(--line-hair) solid var(--blue);
  padding: var(--space-3);
}
.joining > :deep(.v-input) {
  width: 100%;
}
</style>
