import type { JobHistory } from '../history/jobHistory.ts';
import { shapeOf } from '../history/lineShapes.ts';
import { lastPartIn } from '../history/whereabouts.ts';
import { type Layout, type Slot, slotById } from '../layout/graph.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import type { JointEvent, JointSeal } from '../ledger/families/jointEvents.ts';
import type { Flare } from '../ledger/families/lineShapes.ts';
import type { PortFact, PortSeat } from '../ledger/families/portFacts.ts';
import type { PutIn } from '../ledger/families/putIns.ts';
import { PORT_REFUSED } from '../wording/en/ports.ts';
import type { Port } from '../wording/reasons.ts';
import { type JointStatus, jointsOf, touchedJoints } from './joints.ts';
import { stillIn } from './unitState.ts';

/** Units that have a plugged bore beside those of their lines. */
const PLUGGED: readonly ComponentKind[] = ['caliper', 'master_cylinder', 'clutch_master', 'valve', 'union'];

/**
 * The ports of a unit: where a line ends in it, its bridge where two halves are joined by a pipe, and what is plugged. Bleeders
 * and switches are places of the layout themselves. Source: handbook 58, A20.
 */
export function portsOf(layout: Layout, slot: Slot): Port[] {
  const lines = jointsOf(layout)
    .filter((j) => j.slot.id === slot.id)
    .map((j): Port => ({ id: j.connection.id, kind: 'line', slot, towards: j.towards }));
  if (lines.length === 0) return [];
  return [
    ...lines,
    ...(slot.kind === 'caliper' && slot.style === 'fixed' ? [{ id: 'bridge', kind: 'bridge' as const, slot }] : []),
    ...(PLUGGED.includes(slot.kind) ? [{ id: 'plug', kind: 'plug' as const, slot }] : []),
  ];
}

/** Caps and plugs that close ports: those of which it was said which, and how many more there are at a place. */
interface Closed {
  readonly named: ReadonlySet<string>;
  readonly more: ReadonlyMap<string, number>;
}

/** What closes a port for a while. */
export const CAPS: readonly PutIn['what'][] = ['cap', 'plug', 'clamp'];

/** Ports of a place of which one has to be named when something is put in there: a clamp closes its hose wherever it sits. */
export function closablePorts(layout: Layout, slot: Slot, what: PutIn['what']): Port[] {
  return CAPS.includes(what) && what !== 'clamp' ? portsOf(layout, slot) : [];
}

const nameOf = (slotId: string, port: string): string => `${slotId}:${port}`;

function closedPorts(inside: readonly PutIn[]): Closed {
  const caps = inside.filter((p) => CAPS.includes(p.what));
  const more = new Map<string, number>();
  for (const p of caps) if (!p.port) more.set(p.slotId, (more.get(p.slotId) ?? 0) + 1);
  return { named: new Set(caps.flatMap((p) => (p.port ? [nameOf(p.slotId, p.port)] : []))), more };
}

/**
 * Joints that stand open without a cap, a plug or a clamp: one cap closes one port, and one that names its port closes that one
 * alone. What lies on the line itself closes the line's ends.
 */
export function openPorts(history: JobHistory): JointStatus[] {
  const { records } = history;
  const closed = closedPorts(stillIn(history.active(records.putIns), history.active(records.takenOuts)));
  const left = new Map(closed.more);
  return touchedJoints(records.layout, history.active(records.jointEvents)).filter(({ joint, state }) => {
    if (state !== 'open' || closed.named.has(nameOf(joint.slot.id, joint.connection.id))) return false;
    if ((closed.more.get(joint.connection.id) ?? 0) > 0) return false;
    const spare = left.get(joint.slot.id) ?? 0;
    left.set(joint.slot.id, spare - 1);
    return spare <= 0;
  });
}

/** What is known of a port of what sits at a place, or sat there last; null where nobody said it of that part. */
export function portFact(history: JobHistory, slotId: string, port: string): PortFact | null {
  const { records } = history;
  const part = lastPartIn(slotId, history.active(records.partEvents));
  return history.active(records.portFacts).findLast((f) => f.slotId === slotId && f.port === port && f.partId === part) ?? null;
}

/** With what a joint on a seat is sealed. Source: handbook 58, D19: no washer under a flare, no sealant on one. */
const SEALS: Readonly<Record<PortSeat, JointSeal>> = {
  cone: 'flare',
  hollow: 'flare',
  flat: 'washers',
  taper: 'taper_sealant',
  o_ring: 'o_ring',
};
/** On what seat a flare seals. Source: handbook 58, D19. */
const SITS_ON: Readonly<Record<Flare, PortSeat>> = { single: 'cone', double: 'cone', bubble: 'hollow' };

/** The flare at the end of a line at a place, as it was measured last; null where it never was. */
function flareAt(history: JobHistory, connectionId: string, slotId: string): Flare | null {
  const shape = shapeOf(history, connectionId);
  const line = history.records.layout.connections.find((c) => c.id === connectionId);
  if (!shape || !line) return null;
  return (line.from === slotId ? shape.first : shape.last).flare;
}

/**
 * Why a joint cannot have been made so, in a sentence; null where it can: its port is still plugged, or what is put together
 * does not seal on its seat.
 */
export function whyNotMade(history: JobHistory, event: Pick<JointEvent, 'connectionId' | 'slotId' | 'kind' | 'seal'>): string | null {
  const { records } = history;
  const slot = slotById(records.layout, event.slotId);
  if (event.kind !== 'made' || !slot) return null;
  const inside = stillIn(history.active(records.putIns), history.active(records.takenOuts));
  const cap = inside.find((p) => p.slotId === event.slotId && p.port === event.connectionId);
  if (cap) return PORT_REFUSED.plugged(cap.what, slot);
  const fact = portFact(history, event.slotId, event.connectionId);
  if (!fact) return null;
  const flare = flareAt(history, event.connectionId, event.slotId);
  if (flare !== null && event.seal === 'flare' && SITS_ON[flare] !== fact.seat) return PORT_REFUSED.flare(flare, fact.seat);
  return event.seal === null || event.seal === 'other' || SEALS[fact.seat] === event.seal ? null : PORT_REFUSED.seal(event.seal, fact.seat);
}

/** Why something cannot have been put in there; null where it can: the port that is named is no port of the place. */
export function whyNotPutIn(layout: Layout, { slotId, what, port }: Pick<PutIn, 'slotId' | 'what' | 'port'>): string | null {
  if (!port) return null;
  const slot = slotById(layout, slotId);
  const has = slot && portsOf(layout, slot).some((p) => p.id === port);
  return has && CAPS.includes(what) ? null : PORT_REFUSED.noPort;
}

/** Why a port cannot be described so; null where it can: it is no port of the place, or of another part than the one there. */
export function whyNotPort(history: JobHistory, { slotId, partId, port }: Pick<PortFact, 'slotId' | 'partId' | 'port'>): string | null {
  const { layout, partEvents } = history.records;
  const slot = slotById(layout, slotId);
  if (!slot || !portsOf(layout, slot).some((p) => p.id === port)) return PORT_REFUSED.noPort;
  return lastPartIn(slotId, history.active(partEvents)) === partId ? null : PORT_REFUSED.otherPart;
}
