import type { EventFamily } from '@dauer/contract';
import { identityFact, ladderRung, MEASUREMENTS, OPTION_NAME, type OptionId, type ProcessId, PROCESSES } from '@dauer/core/catalogue';
import { placeName, slotById } from '@dauer/core/layout';
import {
  type CardRun,
  type CardTellKind,
  type CoatState,
  familyOf,
  type JobRecords,
  type JointEventKind,
  type OrderStepKind,
  type OrderThing,
  type PartEventKind,
  type PutInKind,
  type ReadingSet,
  type TimerStepKind,
} from '@dauer/core/ledger';
import { upperFirst } from '@dauer/core/quantity';
import {
  CARD_TELL_NAME,
  COAT_STATE_NAME,
  JOINT_WORD,
  ORDER_STEP_NAME,
  ORDER_THING_NAME,
  PARKED,
  PART_EVENT,
  PUT_IN_NAME,
  TIMER_STEP_NAME,
} from '@dauer/core/wording';
import type { EventWords, PendingEvent } from './outbox/queue.ts';

type Known = Pick<JobRecords, 'layout' | 'sets' | 'vehicle' | 'cardRuns'>;

/** An event in words, so that a list says what it is also where its job is not open: its figure or text, place and vehicle. */
export function aboutEvent(records: Known, waiting: readonly PendingEvent[], family: EventFamily, body: object): EventWords {
  const said = new Map<string, unknown>(Object.entries(body));
  const text = (field: string): string => {
    const value = said.get(field);
    return typeof value === 'string' ? value : '';
  };
  const named = text('setId');
  const sent = waiting.find((i) => i.family === 'sets' && i.body.id === named)?.body as ReadingSet | undefined;
  const set = records.sets.find((s) => s.id === named) ?? sent ?? (family === 'sets' ? (body as ReadingSet) : undefined);
  const begun = waiting.find((i) => i.family === 'cardRuns' && i.body.id === text('runId'))?.body as CardRun | undefined;
  const run = records.cardRuns.find((r) => r.id === text('runId')) ?? begun;
  const slot = slotById(records.layout, text('slotId') || (set?.slotId ?? run?.slotId ?? ''));
  const measured = set ? MEASUREMENTS[set.measurement].name : null;
  const kind = upperFirst(familyOf(family).label);
  const titles: Readonly<Partial<Record<EventFamily, () => string>>> = {
    readings: () => `${measured ?? kind} ${text('typed')}`,
    sets: () => `Set of ${(measured ?? '').toLowerCase()}`,
    decisions: () => OPTION_NAME[text('option') as OptionId] ?? kind,
    putIns: () => PUT_IN_NAME[text('what') as PutInKind] ?? kind,
    partEvents: () => upperFirst(PART_EVENT[text('kind') as PartEventKind] || kind),
    jointEvents: () => upperFirst(JOINT_WORD[text('kind') as JointEventKind] ?? kind),
    operations: () => text('title') || kind,
    partFacts: () => `${identityFact(text('fact'))?.name ?? kind} ${text('typed')}`,
    orderLooks: () => ORDER_THING_NAME[text('thing') as OrderThing] ?? kind,
    cardTells: () =>
      [CARD_TELL_NAME[text('kind') as CardTellKind], run?.steps.find((s) => s.id === text('stepId'))?.words].filter(Boolean).join(': '),
    ladderTries: () => ladderRung(text('ladderId'), text('rungId'))?.name ?? kind,
    timers: () => PROCESSES[text('process') as ProcessId]?.name ?? kind,
    timerSteps: () => [TIMER_STEP_NAME[text('kind') as TimerStepKind] ?? kind, text('typed')].filter(Boolean).join(' '),
    coatLooks: () => `Finish ${(COAT_STATE_NAME[text('state') as CoatState] ?? '').toLowerCase()}`,
    parkings: () => PARKED.title,
    orderLines: () => `Ordered: ${text('name')}`,
    orderSteps: () => upperFirst(ORDER_STEP_NAME[text('kind') as OrderStepKind] ?? kind),
  };
  const what = titles[family]?.() ?? kind;
  const words = text('words') || text('note');
  return { what: words ? `${what}: ${words}` : what, place: slot ? placeName(slot) : null, vehicle: records.vehicle.tag };
}
