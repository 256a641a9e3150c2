<script setup lang="ts">
import { FINISH_AT_COATER, masksFor } from '@dauer/core/catalogue';
import { whereabouts } from '@dauer/core/history';
import { placeName } from '@dauer/core/layout';
import { SENT_FOR, type SentFor } from '@dauer/core/ledger';
import { SENT_FOR_NAME } from '@dauer/core/wording';
import { computed, ref, watch } from 'vue';
import { call } from '../../../app/client.ts';
import { useOpenJob } from '../../../job/openJob.ts';
import type { Orders } from './useOrders.ts';

/** Puts a part in a box to somebody who works on it: which, to whom, what is done, and what is masked. */
const props = defineProps<{ orders: Orders }>();
const emit = defineEmits<{ close: [] }>();
const job = useOpenJob();
const partId = ref<string | null>(null);
const supplierId = ref<string | null>(null);
const batch = ref('');
const process = ref<SentFor>('machine');
const [size, colour, gloss, note, tag] = [ref(''), ref(''), ref(''), ref(''), ref('')];
const pieces = ref('1');
const masks = ref<string[]>([]);
const parts = computed(() => {
  const events = job.history.active(job.history.records.partEvents);
  const away = new Set(props.orders.outs.value.filter((o) => !o.done && o.back === null).map((o) => o.out.partId));
  return job.state.components.flatMap((c) => {
    const id = c.part?.id ?? c.bench;
    if (id === null || away.has(id)) return [];
    const where = whereabouts(id, events).at;
    const known = job.records.parts.find((p) => p.id === id);
    return where === 'shelf' || (where === 'slot' && c.decision !== null && ['machine', 'sleeve', 'reline'].includes(c.decision.option))
      ? [
          {
            value: id,
            title: `${known?.tag ? `${known.tag}  ` : ''}${placeName(c.slot)}${where === 'slot' ? ', still on' : ''}`,
            slot: c.slot,
            tag: known?.tag ?? null,
          },
        ]
      : [];
  });
});
const picked = computed(() => parts.value.find((p) => p.value === partId.value) ?? null);
const faces = computed(() => (picked.value ? masksFor(picked.value.slot.kind) : []));
const finish = computed(() => ['plate', 'powder', 'paint'].includes(process.value));
/** What is done here before the box is closed: the rest of the card is looked at as it comes back. */
const BEFORE_IT_GOES = FINISH_AT_COATER.steps.filter((s) => s.group !== 'after');
const cut = computed(() => ['machine', 'sleeve', 'reline'].includes(process.value));
watch([picked, finish], () => (masks.value = finish.value ? [...faces.value] : []));
const wrong = computed(() => (!/^\d{1,3}$/.test(pieces.value) || Number(pieces.value) < 1 ? 'Type how many pieces, like 1.' : ''));
async function put(): Promise<void> {
  const p = picked.value;
  const supplier = props.orders.suppliers.value.find((s) => s.id === supplierId.value);
  if (!p || !supplier || wrong.value !== '') return;
  if (p.tag === null) {
    await call('bindTag', { params: { id: p.value }, body: { tag: tag.value.trim(), partNumber: null } });
    await props.orders.refresh();
  }
  await props.orders.putInBox({
    ...{ supplierId: supplier.id, supplier: supplier.name, batch: batch.value.trim(), partId: p.value, slotId: p.slot.id },
    ...{
      process: process.value,
      size: size.value.trim(),
      colour: finish.value ? colour.value.trim() : '',
      gloss: finish.value ? gloss.value.trim() : '',
    },
    ...{ masks: masks.value, count: Number(pieces.value), note: note.value.trim() },
  });
  if (props.orders.problem.value !== '') return;
  partId.value = null;
  tag.value = '';
}
</script>

<template>
  <form class="box" @submit.prevent="put">
    <div class="fields">
      <v-select v-model="partId" v-focus label="Part" :items="parts" no-data-text="No part is off and here" />
      <v-text-field
        v-if="picked && picked.tag === null"
        v-model="tag"
        data-tag
        label="Its tag"
        hint="It goes out with a tag."
        placeholder="P 2231"
      />
      <v-select
        v-model="supplierId"
        label="To"
        :items="orders.suppliers.value.map((s) => ({ value: s.id, title: s.name }))"
        no-data-text="Nobody is entered under Parts, Prices"
      />
      <v-text-field v-model="batch" label="Box or batch" placeholder="Monday" />
      <v-select v-model="process" label="To be done" :items="SENT_FOR.map((value) => ({ value, title: SENT_FOR_NAME[value] }))" />
      <v-text-field v-if="cut" v-model="size" label="To which size" />
      <v-text-field v-if="finish" v-model="colour" label="Colour" />
      <v-text-field v-if="finish" v-model="gloss" label="Gloss" />
      <v-text-field v-model="pieces" label="Pieces" inputmode="numeric" :error-messages="wrong" />
      <v-text-field v-model="note" label="Note" />
    </div>
    <fieldset v-if="picked" class="masks">
      <legend class="second small">To be masked</legend>
      <label v-for="f in faces" :key="f" class="tick">
        <input v-model="masks" type="checkbox" :value="f" />
        {{ f }}
      </label>
    </fieldset>
    <section v-if="finish" aria-label="Before it goes to the coater">
      <h3 class="second small">Before it goes</h3>
      <ol class="before">
        <li v-for="s in BEFORE_IT_GOES" :key="s.words">{{ s.words }}</li>
      </ol>
    </section>
    <div class="acts">
      <v-btn
        class="act main"
        type="submit"
        :loading="orders.busy.value"
        :disabled="!picked || supplierId === null || wrong !== '' || (picked.tag === null && tag.trim() === '')"
      >
        In the box
      </v-btn>
      <v-btn class="act" @click="emit('close')">Done</v-btn>
    </div>
  </form>
</template>

<style scoped>
.box {
  padding: var(--space-3) 0;
}
.masks {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-4);
  border: 0;
  padding: 0;
}
.before {
  padding-left: var(--space-5);
}
.acts {
  display: flex;
  gap: var(--space-2);
  padding-top: var(--space-2);
}
</style>
