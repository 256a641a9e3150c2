/** What sentences are made of where the storeys above make them: causes, typed, in no language. */

import type { Slot } from '../layout/graph.ts';
import type { Control } from '../layout/reach.ts';
import type { PartEventKind } from '../ledger/families/partEvents.ts';
import type { SupplyRefusal } from '../supply/mayFit.ts';
import type { PutInKind } from '../ledger/families/putIns.ts';
import type { JobKind } from '../ledger/job.ts';

/** The whole-job variants that an owner is shown. */
export type VariantName = 'least' | 'sound' | 'renewed';

/** What makes a place anything but complete. */
export type PlaceCause =
  | { readonly kind: 'off' | 'away' | 'temporary' | 'came_loose' | 'came_missing' | 'came_unknown' }
  | { readonly kind: 'joint_open'; readonly joint: string }
  | { readonly kind: 'inside'; readonly what: PutInKind };

/** A port of a unit: where a line ends in it, its bridge, or what is plugged. */
export type Port =
  | { readonly id: string; readonly kind: 'line'; readonly slot: Slot; readonly towards: Slot }
  | { readonly id: string; readonly kind: 'bridge' | 'plug'; readonly slot: Slot };

/** What keeps a vehicle from being left for longer than a night. */
export type ParkGap =
  | { readonly kind: 'port'; readonly slot: Slot; readonly port: string; readonly joint: string }
  | { readonly kind: 'bleeder' | 'hangs'; readonly slot: Slot }
  | { readonly kind: 'bleeding' }
  | { readonly kind: 'board'; readonly control: Pick<Control, 'name' | 'slotId' | 'kind'> };

/** What keeps a measurement from being taken at a place. */
export type Hindrance =
  | {
      readonly kind: 'nothing_there' | 'away' | 'scrapped' | 'elsewhere' | 'drum_stuck' | 'closed_again' | 'sealed_again';
      readonly slot: Slot;
    }
  /** A figure of what is fitted, and the place is empty. */
  | { readonly kind: 'fit_is_off'; readonly slot: Slot; readonly figure: string }
  /** What was done to the part since it came off makes another of it. */
  | { readonly kind: 'altered'; readonly by: PartEventKind };

/** Why something cannot have been done to a part. */
export type WorkRefusal =
  | {
      readonly kind:
        | 'away'
        | 'scrap'
        | 'missing'
        | 'worked_on'
        | 'not_on'
        | 'on_already'
        | 'renewed'
        | 'taken'
        | 'not_away'
        | 'charged'
        | 'line_on'
        | 'line_or_hangs'
        | 'not_decided'
        | 'lot_not_said';
      readonly slot: Slot;
    }
  | { readonly kind: 'behind'; readonly slot: Slot; readonly closer: Slot }
  | { readonly kind: 'ends_made'; readonly slot: Slot; readonly ends: readonly Slot[] }
  | { readonly kind: 'still_on' | 'no_such_work'; readonly slot: Slot; readonly work: PartEventKind }
  /** Its figures or findings speak against it. */
  | { readonly kind: 'against'; readonly slot: Slot; readonly words: string }
  /** What was ordered or sent out for the place is not here, or not found right. */
  | { readonly kind: 'supply'; readonly slot: Slot; readonly supply: SupplyRefusal };

/** What was done at a place that disturbed it. */
export type DisturbedBy = { readonly kind: 'part'; readonly event: PartEventKind } | { readonly kind: 'joint' | 'bleeder' };

/** Why a job has no use for a stage. */
export type NotApplicable = { readonly kind: 'units_alone' | 'no_fluid' } | { readonly kind: 'kind_of_job'; readonly of: JobKind };

/** How far a vehicle may be moved. */
export type MoveLevel = 'do_not_move' | 'yard_only' | 'road_test' | 'handed_back';

/** How a place stands as a thing that can be pressed or driven, from what was done to it and nothing else. */
export type UnitState = 'complete' | 'temporary' | 'blocked' | 'away' | 'open';
