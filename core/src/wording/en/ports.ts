import type { JointSeal } from '../../ledger/families/jointEvents.ts';
import type { Flare } from '../../ledger/families/lineShapes.ts';
import type { PortFact, PortSeat } from '../../ledger/families/portFacts.ts';
import type { PutInKind } from '../../ledger/families/putIns.ts';
import { upperFirst } from '../../quantity/display.ts';
import type { Port } from '../reasons.ts';
import { FLARE_NAME } from './lines.ts';
import { lower } from './lower.ts';
import { SEAL_NAME } from './names.ts';
import { PUT_IN_NAME } from './places.ts';

export const PORT_SEAT_NAME: Readonly<Record<PortSeat, string>> = {
  cone: 'Cone',
  hollow: 'Hollow',
  flat: 'Flat face',
  taper: 'Tapered thread',
  o_ring: 'O-ring',
};

/** What a seat takes, beside its name. */
export const PORT_SEAT_TAKES: Readonly<Record<PortSeat, string>> = {
  cone: 'a single or double flare',
  hollow: 'a bubble flare',
  flat: 'a banjo or hose end on new washers',
  taper: 'a tapered thread with sealant',
  o_ring: 'an O-ring',
};

/** A port by what goes into it. */
export function portName(port: Port): string {
  if (port.kind === 'line') return `Towards the ${lower(port.towards)}`;
  return port.kind === 'bridge' ? 'Bridge pipe' : 'Blanking plug';
}

/** What is known of a port. */
export const portWords = ({ seat, thread, lies }: PortFact): string =>
  [thread, `${PORT_SEAT_NAME[seat].toLowerCase()}: ${PORT_SEAT_TAKES[seat]}`, lies].filter((w) => w !== '').join(', ');

export const PORTS = {
  which: 'Which port',
  any: 'Not one of these',
  tell: 'What it seals on',
  thread: 'Thread',
  threadFor: 'M10 × 1',
  lies: 'Where it lies',
  liesFor: 'Inboard, lower',
  keep: 'Keep it',
} as const;

export const PORT_REFUSED = {
  plugged: (what: PutInKind, at: Port['slot']): string =>
    `${upperFirst(PUT_IN_NAME[what].toLowerCase())} still in this port of the ${lower(at)}. Take it out first.`,
  flare: (flare: Flare, seat: PortSeat): string =>
    `A ${FLARE_NAME[flare].toLowerCase()} does not seal here: this port is ${PORT_SEAT_NAME[seat].toLowerCase()} and takes ${PORT_SEAT_TAKES[seat]}.`,
  seal: (seal: JointSeal, seat: PortSeat): string =>
    `“${SEAL_NAME[seal]}” does not seal here: this port is ${PORT_SEAT_NAME[seat].toLowerCase()} and takes ${PORT_SEAT_TAKES[seat]}.`,
  noPort: 'There is no such port. Load the job again.',
  otherPart: 'Another part sits there by now. Look at its ports.',
};
