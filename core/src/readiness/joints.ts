import { type Connection, type Layout, type Slot, slotById } from '../layout/graph.ts';
import type { JointEvent, JointSeal } from '../ledger/families/jointEvents.ts';
import { jointName } from '../wording/en/fasteners.ts';

/** A joint: the end of a line at a place. */
export interface Joint {
  /** Stable name. */
  readonly key: string;
  readonly connection: Connection;
  readonly slot: Slot;
  /** Where the line goes from there. */
  readonly towards: Slot;
  /** In words: "front left hose, end towards the front union". */
  readonly name: string;
}

type JointState = 'untouched' | 'open' | 'made' | 'torqued';

/** A joint as it stands, with the looks that it has had since it was made last. */
export interface JointStatus {
  readonly joint: Joint;
  readonly state: JointState;
  readonly seal: JointSeal | null;
  /** Newest event; null where it was never touched. */
  readonly last: JointEvent | null;
  /** Looked at since it was made, without pressure and held under pressure. */
  readonly looked: JointEvent | null;
  readonly held: JointEvent | null;
  readonly weeps: boolean;
  /** What it was torqued to, as it was typed; null where no figure was given. */
  readonly torque: string | null;
}

export function jointKey(connectionId: string, slotId: string): string {
  return `${connectionId}:${slotId}`;
}

/** Every joint of a layout: both ends of each line. */
export function jointsOf(layout: Layout): Joint[] {
  return layout.connections.flatMap((connection) => {
    if (connection.kind !== 'line') return [];
    return [
      [connection.from, connection.to],
      [connection.to, connection.from],
    ].flatMap(([here, there]): Joint[] => {
      const slot = slotById(layout, here ?? '');
      const other = slotById(layout, there ?? '');
      if (!slot || !other) return [];
      return [{ key: jointKey(connection.id, slot.id), connection, slot, towards: other, name: jointName(slot, other) }];
    });
  });
}

/**
 * How a joint stands by its events.
 * @param events standing joint events, in order
 * Source: handbook 15, Things and Standing and lapsing.
 */
export function jointStatus(joint: Joint, events: readonly JointEvent[]): JointStatus {
  let now: JointStatus = { joint, state: 'untouched', seal: null, last: null, looked: null, held: null, weeps: false, torque: null };
  for (const e of events) {
    if (jointKey(e.connectionId, e.slotId) !== joint.key) continue;
    const seen = { ...now, last: e, torque: e.kind === 'opened' || e.kind === 'made' ? null : now.torque };
    if (e.kind === 'opened') now = { ...seen, state: 'open', seal: null, looked: null, held: null, weeps: false };
    else if (e.kind === 'made') now = { ...seen, state: 'made', seal: e.seal, looked: null, held: null, weeps: false };
    else if (e.kind === 'torqued') now = { ...seen, state: now.state === 'open' ? 'open' : 'torqued', torque: e.typed ?? null };
    else if (e.kind === 'weeps') now = { ...seen, weeps: true, looked: null, held: null };
    else if (e.kind === 'held') now = { ...seen, held: e, looked: now.looked ?? e, weeps: false };
    else now = { ...seen, looked: e };
  }
  return now;
}

/** The joints that were touched, as they stand. */
export function touchedJoints(layout: Layout, events: readonly JointEvent[]): JointStatus[] {
  return jointsOf(layout)
    .map((j) => jointStatus(j, events))
    .filter((j) => j.state !== 'untouched' || j.last !== null);
}
