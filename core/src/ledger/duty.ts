import type { CharacteristicId } from '../catalogue/characteristics.ts';
import type { FindingCode } from '../catalogue/findingKinds.ts';
import type { MeasurementId } from '../catalogue/measurements.ts';
import type { Stage } from '../catalogue/stages.ts';
import type { Corner } from '../layout/kinds.ts';
import type { Phase } from './families/sets.ts';

/** A fastener whose torque is on record before release: the nuts of a wheel, or what holds a unit. */
export type Fastener =
  { readonly of: 'wheel'; readonly corner: Corner } | { readonly of: 'unit'; readonly kind: string; readonly slotId: string };

/** What a step of a joint is owed for. */
export type JointStep = 'made' | 'torqued' | 'held';

/** What a job may owe, by what it is about: what a rule asks for, and what an acceptance, a torque or a thing left names. */
export type Duty =
  | { readonly kind: 'bookin'; readonly ask: 'complaint' | 'wants' | 'counter' | 'scope' }
  | { readonly kind: 'trace'; readonly ask: 'pedal' | 'reservoir' | 'parking' }
  | { readonly kind: 'trace_wheel'; readonly corner: Corner }
  | { readonly kind: 'gauge'; readonly slotId: string; readonly measurement: MeasurementId; readonly phase: Phase }
  | {
      readonly kind:
        | 'look'
        | 'decide'
        | 'work'
        | 'fit'
        | 'for_now'
        | 'care'
        | 'clamped'
        | 'hazard'
        | 'lock'
        | 'came'
        | 'board'
        | 'identify'
        | 'application'
        | 'card'
        | 'freed'
        | 'strip';
      readonly slotId: string;
    }
  | { readonly kind: 'because'; readonly finding: FindingCode; readonly slotId: string; readonly measurement: MeasurementId | null }
  | { readonly kind: 'cause'; readonly fault: string; readonly slotId: string; readonly measurement: MeasurementId | null }
  | { readonly kind: 'second' | 'verdict'; readonly slotId: string; readonly characteristic: CharacteristicId }
  | { readonly kind: 'moved'; readonly setId: string }
  | { readonly kind: 'impossible'; readonly readingId: string }
  | { readonly kind: 'stray'; readonly recordId: string }
  | { readonly kind: 'op'; readonly operationId: string }
  | { readonly kind: 'joint'; readonly connectionId: string; readonly slotId: string; readonly step: JointStep }
  | { readonly kind: 'torque'; readonly fastener: Fastener }
  | { readonly kind: 'fluid' | 'yard' | 'authorised' }
  | { readonly kind: 'bleed'; readonly slotId: string }
  | { readonly kind: 'finding'; readonly findingId: string }
  | { readonly kind: 'out'; readonly putInId: string }
  | { readonly kind: 'proof'; readonly item: string; readonly corner: Corner | null }
  | { readonly kind: 'wanted'; readonly slotId: string; readonly measurement: MeasurementId };

type DutyKind = Duty['kind'];

/** The stored name of a fastener. */
export function fastenerKey(f: Fastener): string {
  return f.of === 'wheel' ? `wheel:${f.corner}` : `${f.kind}:${f.slotId}`;
}

/** The fastener of a stored name, as it stands in torques of every earlier form. */
export function readFastener(key: string): Fastener {
  const [of = '', rest = ''] = cut(key, 2);
  return of === 'wheel' ? { of: 'wheel', corner: rest as Corner } : { of: 'unit', kind: of, slotId: rest };
}

/** The stored name of an item of proof. */
export function proofKey(item: string, corner: Corner | null): string {
  return `proof:${item}${corner === null ? '' : `@${corner}`}`;
}

/** The first `n` fields of a key; the last of them is the whole rest. */
function cut(key: string, n: number): string[] {
  const fields = key.split(':');
  return [...fields.slice(0, n - 1), fields.slice(n - 1).join(':')];
}

/**
 * The name of a duty in the book: acceptances, things left and torques are stored with it, so it is never changed.
 * `dutyOf` reads it.
 */
export function dutyKey(d: Duty): string {
  switch (d.kind) {
    case 'bookin':
    case 'trace':
      return `${d.kind}:${d.ask}`;
    case 'trace_wheel':
      return `trace:wheel:${d.corner}`;
    case 'gauge':
      return `gauge:${d.slotId}:${d.measurement}:${d.phase}`;
    case 'because':
      return `because:${d.finding}:${d.measurement ?? 'look'}:${d.slotId}`;
    case 'cause':
      return `cause:${d.fault}:${d.slotId}${d.measurement === null ? '' : `:${d.measurement}`}`;
    case 'second':
    case 'verdict':
      return `${d.kind}:${d.slotId}:${d.characteristic}`;
    case 'moved':
      return `moved:${d.setId}`;
    case 'impossible':
      return `impossible:${d.readingId}`;
    case 'stray':
      return `stray:${d.recordId}`;
    case 'op':
      return `op:${d.operationId}`;
    case 'joint':
      return `joint:${d.connectionId}:${d.slotId}:${d.step}`;
    case 'torque':
      return `torque:${fastenerKey(d.fastener)}`;
    case 'fluid':
      return 'bleed:fluid';
    case 'yard':
      return 'move:yard';
    case 'authorised':
      return 'money:authorised';
    case 'finding':
      return `finding:${d.findingId}`;
    case 'out':
      return `out:${d.putInId}`;
    case 'proof':
      return proofKey(d.item, d.corner);
    case 'wanted':
      return `wanted:${d.slotId}:${d.measurement}`;
    default:
      return `${d.kind}:${d.slotId}`;
  }
}

const OF_A_PLACE: readonly string[] = [
  'look',
  'decide',
  'work',
  'fit',
  'for_now',
  'care',
  'clamped',
  'hazard',
  'lock',
  'came',
  'board',
  'identify',
  'application',
  'card',
  'freed',
  'strip',
];

/**
 * The duty of a stored name, whatever version of the program wrote it: the one reader of these names. What follows the
 * name in an acceptance (who may accept it, and what it rested on) is left aside.
 * @returns null for a name that no version has written
 */
export function dutyOf(stored: string): Duty | null {
  const key = stored.split('|')[0] ?? '';
  const [kind = '', a = '', b = '', c = ''] = cut(key, 4);
  const rest = cut(key, 2)[1] ?? '';
  // A name is believed only where it is written the same again.
  const ifWritten = (d: object): Duty | null => (dutyKey(d as Duty) === key ? (d as Duty) : null);
  if (rest === '') return null;
  if (OF_A_PLACE.includes(kind)) return ifWritten({ kind, slotId: rest });
  switch (kind) {
    case 'bookin':
      return ifWritten({ kind, ask: rest });
    case 'trace':
      return a === 'wheel' ? ifWritten({ kind: 'trace_wheel', corner: b }) : ifWritten({ kind, ask: rest });
    case 'gauge':
      return ifWritten({ kind, slotId: a, measurement: b, phase: c });
    case 'because':
      return ifWritten({ kind, finding: a, measurement: b === 'look' ? null : b, slotId: c });
    case 'cause':
      return ifWritten({ kind, fault: a, slotId: b, measurement: c === '' ? null : c });
    case 'second':
    case 'verdict':
      return ifWritten({ kind, slotId: a, characteristic: b });
    case 'moved':
      return ifWritten({ kind, setId: rest });
    case 'impossible':
      return ifWritten({ kind, readingId: rest });
    case 'stray':
      return ifWritten({ kind, recordId: rest });
    case 'op':
      return ifWritten({ kind, operationId: rest });
    case 'joint':
      return ifWritten({ kind, connectionId: a, slotId: b, step: c });
    case 'torque':
      return ifWritten({ kind, fastener: readFastener(rest) });
    case 'bleed':
      return rest === 'fluid' ? ifWritten({ kind: 'fluid' }) : ifWritten({ kind, slotId: rest });
    case 'move':
      return rest === 'yard' ? ifWritten({ kind: 'yard' }) : null;
    case 'money':
      return rest === 'authorised' ? ifWritten({ kind: 'authorised' }) : null;
    case 'finding':
      return ifWritten({ kind, findingId: rest });
    case 'out':
      return ifWritten({ kind, putInId: rest });
    case 'proof': {
      const [item = '', corner = null] = rest.split('@');
      return ifWritten({ kind, item, corner });
    }
    case 'wanted':
      return ifWritten({ kind, slotId: a, measurement: b });
    default:
      return null;
  }
}

const STAGE_OF: Readonly<Record<Exclude<DutyKind, 'joint'>, Stage>> = {
  ...{ bookin: 'bookin', came: 'bookin', trace: 'trace', trace_wheel: 'trace' },
  ...{
    gauge: 'gauge',
    look: 'gauge',
    because: 'gauge',
    cause: 'gauge',
    second: 'gauge',
    moved: 'gauge',
    impossible: 'gauge',
    stray: 'gauge',
    wanted: 'gauge',
  },
  ...{ decide: 'decide', authorised: 'decide', application: 'decide' },
  ...{
    board: 'rebuild',
    work: 'rebuild',
    fit: 'rebuild',
    for_now: 'rebuild',
    care: 'rebuild',
    clamped: 'rebuild',
    op: 'rebuild',
    strip: 'rebuild',
    torque: 'rebuild',
    card: 'rebuild',
    freed: 'rebuild',
  },
  ...{ identify: 'bleed', fluid: 'bleed', bleed: 'bleed' },
  ...{ verdict: 'prove', finding: 'prove', hazard: 'prove', lock: 'prove', out: 'prove', proof: 'prove', yard: 'prove' },
};

/** The stage at which a duty is owed. */
export function stageOf(d: Duty): Stage {
  return d.kind === 'joint' ? (d.step === 'held' ? 'prove' : 'rebuild') : STAGE_OF[d.kind];
}
