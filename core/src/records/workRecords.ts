import type { Corner } from '../layout/kinds.ts';
import type { UnitId } from '../quantity/units.ts';
import type { EventBase } from './eventBase.ts';

export type OptionId = 'use_again' | 'reseal' | 'machine' | 'replace' | 'put_off';

export interface Decision extends EventBase {
  readonly slotId: string;
  readonly partId: string | null;
  readonly option: OptionId;
  readonly reason: string;
  readonly reviewOn: string | null;
  /** Put off until this distance run, km, or until this access is open. */
  readonly untilKm: number | null;
  readonly access: string | null;
  /** Ids of the decisions on this place that its author saw in force; null where none is named. */
  readonly supersedes: readonly string[] | null;
}

export interface Operation extends EventBase {
  readonly slotId: string | null;
  readonly title: string;
  readonly attendedMinutes: number;
}

export interface OperationEvent extends EventBase {
  readonly operationId: string;
  readonly kind: 'start' | 'stop' | 'done';
  readonly note: string;
}

export interface Torque extends EventBase {
  readonly slotId: string | null;
  readonly point: string;
  readonly targetTyped: string;
  readonly target: number;
  readonly typed: string;
  readonly unit: UnitId;
  readonly canonical: number;
  readonly wrench: string;
}

/** How fluid is moved at a bleeder. The pedal and pressure on the reservoir press the whole control. */
export type BleedMethod = 'pedal' | 'vacuum' | 'pressure' | 'gravity' | 'reverse';

export interface BleedPull extends EventBase {
  readonly slotId: string;
  readonly volumeTyped: string;
  readonly volumeMl: number;
  readonly colour: 'dark' | 'amber' | 'clear';
  readonly air: 'none' | 'bubbles' | 'foam';
  readonly closed: boolean;
  /** Null where it was not said. */
  readonly method: BleedMethod | null;
}

export type FluidClass = '3' | '4' | '5.1' | '6' | '5' | 'mineral' | 'castor';

export interface FluidService extends EventBase {
  readonly product: string;
  readonly fluidClass: FluidClass;
  readonly batch: string;
  readonly lowMoisture: boolean;
}

export type ProofResult = 'passed' | 'failed' | 'gone' | 'less' | 'same' | 'not_tried';

export interface Proof extends EventBase {
  readonly item: string;
  readonly slotId: string | null;
  readonly corner: Corner | null;
  readonly result: ProofResult;
  readonly note: string;
}
