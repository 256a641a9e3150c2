import type { Sent } from '@dauer/contract';
import { completenessOf, type Need, needsOf, strandedLines, type Estimate } from '@dauer/core/estimate';
import { axleOf, slotById, placeName } from '@dauer/core/layout';
import type { ArticleVersion, Supplier } from '@dauer/core/ledger';
import { workingDaysAfter } from '@dauer/core/quantity';
import { comparedAt, factsOf, orderStates, outStates, patternAt, type LineState, WHOLE } from '@dauer/core/supply';
import { orderingRefusal } from '@dauer/core/views';
import { knownWords } from '@dauer/core/wording';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { v7 } from 'uuid';
import { call, timeNow } from '../../../app/client.ts';
import { useRequest } from '../../../app/request.ts';
import { useSession } from '../../../app/session.ts';
import { dayHere } from '../../../fittings/dates.ts';
import { useOpenJob } from '../../../job/openJob.ts';
import { useSentFirst } from '../../../job/sentFirst.ts';

/** What is typed of a line that is to be ordered. */
export interface ToOrder {
  readonly need: Need;
  readonly supplierId: string | null;
  readonly expected: string;
}

type StepKind = Sent<'orderSteps'>['kind'];
type StepMore = Partial<Pick<Sent<'orderSteps'>, 'count' | 'day' | 'result' | 'slotId' | 'amount' | 'note'>>;
type Event<F extends 'orderLines' | 'sendOuts' | 'sendOutSteps'> = Omit<Sent<F>, 'id' | 'happenedAt' | 'device'>;

/** What a job has to order, has on its way and away; every act goes to the server at once. */
export function useOrders(estimate: () => Estimate) {
  const job = useOpenJob();
  const session = useSession();
  const { run, busy, problem } = useRequest();
  const sentFirst = useSentFirst();
  const people = useQuery({
    key: ['suppliers'],
    query: () => (session.may('technician') ? call('suppliers', {}) : Promise.resolve<Supplier[]>([])),
  });
  void people.refetch();
  const suppliers = computed<readonly Supplier[]>(() => (people.data.value ?? []).filter((s) => s.active));
  const needs = computed(() => needsOf(job.history, estimate()));
  const lines = computed(() => orderStates(job.history));
  const outs = computed(() => outStates(job.history));
  const stranded = computed(() => strandedLines(job.history, needs.value));
  const looks = computed(() => completenessOf(job.history));
  const refusal = computed(() => orderingRefusal(job.state));
  const nameOf = (slotId: string): string => {
    const slot = slotById(job.records.layout, slotId);
    return slot ? placeName(slot) : '';
  };
  const placesText = (ids: readonly string[]): string => ids.map(nameOf).join(', ');
  const usualDay = (article: ArticleVersion | null): string => {
    const lead = article?.leadDays ?? null;
    return lead === null ? '' : workingDaysAfter(dayHere(), lead);
  };
  /** What the seller states that the old part is not, and what nobody took of it. */
  function before(need: Need): { readonly unlike: string[]; readonly unknown: boolean } {
    if (!WHOLE.includes(need.supply)) return { unlike: [], unknown: false };
    const lists = need.places.map((slotId) => comparedAt(job.history, slotId, partAt(slotId), null, need.article));
    return {
      unlike: [
        ...new Set(
          lists.flatMap((list) =>
            list.flatMap((c) =>
              c.statedUnlike && c.stated && c.old
                ? [`${c.fact.name} ${knownWords(c.fact, c.stated)}, and ${knownWords(c.fact, c.old)} on the old one`]
                : [],
            ),
          ),
        ),
      ],
      unknown: lists.length > 0 && lists.some((list) => list.every((c) => c.old === null || c.fact.id === 'outline')),
    };
  }
  /** Of linings: what is on the other axles, by maker, compound and age. */
  function otherAxles(need: Need): string[] {
    // Springs and pieces have no compound.
    if (!WHOLE.includes(need.supply)) return [];
    const kinds = need.places.flatMap((id) => slotById(job.records.layout, id)?.kind ?? []);
    if (!kinds.some((k) => k === 'pads' || k === 'shoes')) return [];
    const axles = new Set(need.places.map((id) => axleOf(slotById(job.records.layout, id)?.corner ?? null)));
    const others = job.state.components.filter(
      (c) => (c.slot.kind === 'pads' || c.slot.kind === 'shoes') && !axles.has(axleOf(c.slot.corner)) && c.part !== null,
    );
    return others.map((c) => {
      const facts = factsOf(job.history, c.part?.id ?? '');
      const of = (id: string): string => facts.findLast((f) => f.fact === id)?.typed ?? '';
      const lotId = job.history.active(job.history.records.lotUses).findLast((u) => u.slotId === c.slot.id)?.lotId;
      const lot = job.records.lots.find((l) => l.seriesId === lotId);
      const known = [of('make'), of('compound') || (lot?.compound ?? ''), of('made') || (lot?.made ?? '')].filter(Boolean).join(', ');
      return `${placeName(c.slot)}: ${known || 'maker, compound and age not known'}`;
    });
  }
  const partAt = (slotId: string): string | null => patternAt(job.history, { happenedAt: timeNow().at }, slotId);
  const params = () => ({ jobId: job.records.job.id });
  const fresh = () => ({ id: v7(), happenedAt: timeNow().at, device: 'desk' });
  const done = (ask: () => Promise<unknown>) =>
    run(async () => {
      await sentFirst();
      try {
        await ask();
      } finally {
        await job.refresh();
      }
    });
  const order = (list: readonly ToOrder[]) =>
    done(async () => {
      for (const { need, supplierId, expected } of list) {
        const supplier = suppliers.value.find((s) => s.id === supplierId);
        if (!supplier) throw new Error(`Say from whom ${need.name} is ordered.`);
        await call('recordOrderLine', {
          params: params(),
          body: {
            ...fresh(),
            ...{ supplierId: supplier.id, supplier: supplier.name, name: need.name, articleId: need.article?.id ?? null },
            ...{ partNumber: need.article?.partNumber ?? null, supply: need.supply, count: need.missing, places: [...need.places] },
            ...{
              need: need.key,
              price: need.article?.price ?? null,
              core: need.article?.core ?? null,
              expected: expected || null,
              note: '',
            },
          },
        });
      }
    });
  const orderOther = (body: Event<'orderLines'>) =>
    done(() => call('recordOrderLine', { params: params(), body: { ...fresh(), ...body } }));
  const step = (line: LineState, kind: StepKind, more: StepMore = {}) =>
    done(() => call('recordOrderStep', { params: params(), body: { ...fresh(), lineId: line.line.id, kind, ...more } }));
  const putInBox = (body: Event<'sendOuts'>) => done(() => call('recordSendOut', { params: params(), body: { ...fresh(), ...body } }));
  const outStep = (body: Event<'sendOutSteps'>) =>
    done(() => call('recordSendOutStep', { params: params(), body: { ...fresh(), ...body } }));
  return {
    ...{ suppliers, needs, lines, outs, stranded, looks, refusal, busy, problem, nameOf, placesText, usualDay, before, otherAxles, partAt },
    ...{ order, orderOther, step, putInBox, outStep, refresh: () => job.refresh() },
  };
}
export type Orders = ReturnType<typeof useOrders>;
