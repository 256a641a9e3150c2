<script setup lang="ts">
import { ORDER_PDF, PACKING_PDF } from '@dauer/contract';
import type { Estimate } from '@dauer/core/estimate';
import { type LineState, waitingBatches } from '@dauer/core/supply';
import { batchWords } from '@dauer/core/wording';
import { majorOf, minorDigits } from '@dauer/core/quantity';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import { useSession } from '../../../app/session.ts';
import { sumText } from '../../../fittings/money.ts';
import { saveTable } from '../../../fittings/tableFile.ts';
import { useOpenJob } from '../../../job/openJob.ts';
import ArrivalCheck from './ArrivalCheck.vue';
import LineRow from './LineRow.vue';
import LooksFirst from './LooksFirst.vue';
import OrdersBar from './OrdersBar.vue';
import OtherLine from './OtherLine.vue';
import OutRow from './OutRow.vue';
import PutInBox from './PutInBox.vue';
import ToOrderList from './ToOrderList.vue';
import { useOrders } from './useOrders.ts';

/** What the job has to order, has on its way, to look at and to send back, and what of it is away. */
const props = defineProps<{ estimate: Estimate; currency: string | null; writable: boolean }>();
const emit = defineEmits<{ back: [] }>();
const job = useOpenJob();
const session = useSession();
const route = useRoute();
const orders = useOrders(() => props.estimate);
const { lines, outs, problem, refusal, looks } = orders;
const checking = ref<string | null>(typeof route.query['line'] === 'string' ? route.query['line'] : null);
const adding = ref<'line' | 'box' | null>(null);
const stranded = computed(() => new Set(orders.stranded.value.map((s) => s.line.id)));
const open = computed(() => lines.value.filter((s) => !s.done));
const done = computed(() => lines.value.filter((s) => s.done));
const away = computed(() => outs.value.filter((o) => !o.done));
const cameBack = computed(() => outs.value.filter((o) => o.done && !o.dropped));
const groups = computed(() =>
  [
    { title: 'To look at', list: open.value.filter((s) => s.toCheck > 0) },
    { title: 'On the way', list: open.value.filter((s) => s.toCheck === 0 && s.coming > 0) },
    { title: 'To send back', list: open.value.filter((s) => s.toCheck === 0 && s.coming === 0) },
  ].filter((g) => g.list.length > 0),
);
/** Suppliers from whom something is on its way: each has a list of its own. */
const papers = computed(() => [
  ...new Map(open.value.filter((s) => s.coming > 0).map((s) => [s.line.supplierId, s.line.supplier])).entries(),
]);
const pdf = (supplierId: string): string => `${ORDER_PDF.path}?supplier=${supplierId}&job=${job.records.job.id}`;
const boxes = computed(() => [
  ...new Map(
    away.value
      .filter((o) => o.back === null)
      .map((o) => [`${o.out.supplierId}|${o.out.batch}`, { supplier: o.out.supplier, supplierId: o.out.supplierId, batch: o.out.batch }]),
  ).values(),
]);
const packing = (b: { supplierId: string; batch: string }): string =>
  `${PACKING_PDF.path}?supplier=${b.supplierId}&batch=${encodeURIComponent(b.batch)}`;
/** Batches that are away and wait for parts that have not gone. */
const waiting = computed(() =>
  waitingBatches(outs.value).map((b) =>
    batchWords(
      b.batch,
      b.supplier,
      b.missing.map((o) => orders.nameOf(o.out.slotId)),
    ),
  ),
);
const CSV = ['count', 'what', 'part_number', 'vehicle', 'places', 'supplier', 'price', 'currency', 'promised', 'note'] as const;
async function csv(supplierId: string, supplier: string): Promise<void> {
  const { vehicle } = job.records;
  const sum = (minor: number | null): string => (minor === null ? '' : majorOf(minor, props.currency).toFixed(minorDigits(props.currency)));
  await saveTable(
    open.value
      .filter((s: LineState) => s.line.supplierId === supplierId && s.coming > 0)
      .map((s) => ({
        count: String(s.coming),
        what: s.line.name,
        part_number: s.line.partNumber ?? '',
        vehicle: `${vehicle.tag} ${vehicle.name}`,
        places: orders.placesText(s.line.places),
        supplier: s.line.supplier,
        price: sum(s.line.price),
        currency: props.currency ?? '',
        promised: s.expected ?? '',
        note: s.line.note,
      })),
    CSV,
    { name: `order-${vehicle.tag}-${supplier}`.replace(/[^\w-]+/g, '-'), format: 'dauer.order', list: 'lines' },
    'csv',
  );
}
const prices = computed(() => session.may('technician'));
const list = ref<InstanceType<typeof ToOrderList> | null>(null);
/** The one next act: what came is looked at before anything else is ordered. */
const next = computed(() => {
  const here = open.value.find((s) => s.toCheck > 0);
  if (here)
    return {
      title: `${here.line.name} is here`,
      act: 'Look at what came',
      press: () => {
        checking.value = here.line.id;
      },
    };
  const group = props.writable ? (list.value?.next ?? null) : null;
  if (group && refusal.value === null)
    return {
      title: `${group.picked.length} to order from ${group.name}, ${sumText(group.sum, props.currency)} net`,
      act: `Order from ${group.name}`,
      press: () => list.value?.order(group),
    };
  return null;
});
const title = computed(() => {
  if (next.value) return next.value.title;
  const nobody = looks.value.filter((l) => l.state === 'nobody').length;
  if (refusal.value?.code === 'not_looked' && orders.needs.value.some((n) => n.missing > 0))
    return `Nothing is ordered yet: ${nobody} things to look at`;
  if (open.value.length > 0) return `${open.value.length} on the way or to send back`;
  const undecided = props.estimate.undecided.length;
  return undecided > 0 ? `Nothing to order yet: ${undecided} still to decide` : 'Nothing to do here';
});
const says = computed(() => {
  const out = away.value.length;
  return [`${open.value.length} open`, out > 0 ? `${out} in a box or away` : ''].filter(Boolean).join('; ');
});
</script>

<template>
  <section class="orders" aria-labelledby="orders-head">
    <div class="head">
      <h2 id="orders-head" v-focus tabindex="-1">Orders and send-outs</h2>
      <span class="second">{{ open.length === 0 ? 'nothing on its way' : `${open.length} open` }}</span>
      <span class="grow" />
      <v-btn class="act slim" @click="emit('back')">Back to the rows</v-btn>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <section v-for="g in groups" :key="g.title" :aria-label="g.title">
      <h3>{{ g.title }}</h3>
      <ul>
        <LineRow
          v-for="s in g.list"
          :key="s.line.id"
          :state="s"
          :orders="orders"
          :currency="currency"
          :writable="prices"
          :stranded="stranded.has(s.line.id)"
          :checking="checking === s.line.id"
          @check="checking = s.line.id"
        >
          <ArrivalCheck v-if="checking === s.line.id && s.toCheck > 0 && prices" :state="s" :orders="orders" @close="checking = null" />
        </LineRow>
      </ul>
    </section>
    <p v-if="papers.length > 0 && prices" class="paper">
      <span v-for="[id, name] in papers" :key="id">
        {{ name }}:
        <a class="link" :href="pdf(id)" target="_blank" rel="noopener">list as PDF</a>
        <button class="link" type="button" :aria-label="`List of ${name} as CSV`" @click="csv(id, name)">CSV</button>
      </span>
    </p>
    <template v-if="!job.state.released">
      <h3>To order</h3>
      <LooksFirst :looks="looks" :writable="writable" />
      <p v-if="refusal && refusal.code === 'over_authorised'" class="small">{{ refusal.words }}</p>
      <ToOrderList ref="list" :orders="orders" :currency="currency" :writable="writable" />
      <p v-if="writable && adding !== 'line'"><v-btn class="act slim" @click="adding = 'line'">Something else</v-btn></p>
      <OtherLine v-if="adding === 'line'" :orders="orders" :currency="currency" :picked="job.picked" @close="adding = null" />
    </template>
    <h3>Sent out</h3>
    <ul v-if="away.length > 0">
      <OutRow v-for="o in away" :key="o.out.id" :state="o" :orders="orders" :currency="currency" :writable="prices" />
      <li v-for="w in waiting" :key="w" class="second small">{{ w }}.</li>
    </ul>
    <p v-else class="second">No part is away, or in a box.</p>
    <p v-if="boxes.length > 0 && prices" class="paper">
      <span v-for="b in boxes" :key="`${b.supplierId}|${b.batch}`">
        {{ b.supplier }}{{ b.batch ? `, ${b.batch}` : '' }}:
        <a class="link" :href="packing(b)" target="_blank" rel="noopener">packing sheet and tags</a>
      </span>
    </p>
    <p v-if="writable && adding !== 'box'"><v-btn class="act slim" @click="adding = 'box'">Put a part in a box</v-btn></p>
    <PutInBox v-if="adding === 'box'" :orders="orders" @close="adding = null" />
    <details v-if="done.length + cameBack.length > 0" class="done">
      <summary>Done: {{ done.length + cameBack.length }}</summary>
      <ul>
        <LineRow
          v-for="s in done"
          :key="s.line.id"
          :state="s"
          :orders="orders"
          :currency="currency"
          :writable="false"
          :stranded="false"
          :checking="false"
        />
        <OutRow v-for="o in cameBack" :key="o.out.id" :state="o" :orders="orders" :currency="currency" :writable="false" />
      </ul>
    </details>
    <OrdersBar
      v-if="prices && checking === null"
      :title="title"
      :says="says"
      :act="next?.act ?? null"
      :busy="orders.busy.value"
      @press="next?.press()"
    />
  </section>
</template>

<style scoped>
.orders {
  padding-bottom: 112px;
}
h3 {
  margin-top: var(--space-4);
}
.paper {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-5);
  padding: var(--space-2) 0;
}
.paper span {
  display: inline-flex;
  gap: var(--space-2);
  align-items: center;
  min-height: var(--touch);
}
.done summary {
  cursor: pointer;
  min-height: var(--touch);
  align-content: center;
  color: var(--blue);
}
</style>
