import { placeName, type Slot } from '../../layout/graph.ts';
import type { PartEventKind } from '../../ledger/families/partEvents.ts';
import { lower } from './lower.ts';
import type { WorkRefusal } from '../reasons.ts';
import { PART_EVENT } from './sheet.ts';
import { supplyWords } from './supply.ts';

/** What is said of energy that a vehicle stores. */
export const STORED = {
  charged: 'The vehicle stores energy. Drain the tanks and cage the springs first, and say so: a chamber is never opened here.',
};

/** What could not have been done without an entry that is to be taken back. */
export function restsOn(slot: Slot, work: PartEventKind): string {
  return `${placeName(slot)} ${PART_EVENT[work]}: that could not have been done without it. Take that back first.`;
}

/** Why something cannot have been done to a part, in a sentence that says what comes first. */
export function workRefusalWords(r: WorkRefusal): string {
  switch (r.kind) {
    case 'away':
      return `The ${lower(r.slot)} is away. Enter that it is back first.`;
    case 'scrap':
      return `The ${lower(r.slot)} was scrapped.`;
    case 'missing':
      return `The ${lower(r.slot)} was missing when it came. Say at Book in that it is there, or fit another.`;
    case 'worked_on':
      return `The ${lower(r.slot)} was worked on in this job: how it came stands.`;
    case 'not_on':
      return `The ${lower(r.slot)} is not in its place: it is off already, or another part sits there.`;
    case 'renewed':
      return `Another ${lower(r.slot)} is decided to go in: fit this one for now only, or decide anew.`;
    case 'on_already':
      return `The ${lower(r.slot)} is in its place already.`;
    case 'taken':
      return `Something else sits at the ${lower(r.slot)}. Take that off first.`;
    case 'charged':
      return STORED.charged;
    case 'not_away':
      return `The ${lower(r.slot)} was not sent out.`;
    case 'behind':
      return `The ${lower(r.closer)} is on. Take it off first.`;
    case 'ends_made':
      return `The ${lower(r.slot)} is still made at the ${r.ends.map(lower).join(' and at the ')}. Enter that it was opened there first.`;
    case 'still_on':
      return `The ${lower(r.slot)} is on the vehicle. It has to be off before it can be ${PART_EVENT[r.work]}.`;
    case 'line_on':
      return `The line at the ${lower(r.slot)} is still on. Enter which joint was opened first.`;
    case 'line_or_hangs':
      return `Enter which joint of the ${lower(r.slot)} was opened first, or that it hangs on its line.`;
    case 'no_such_work':
      return `The ${lower(r.slot)} is nothing that can be ${PART_EVENT[r.work]}.`;
    case 'not_decided':
      return `Nobody has decided to hone the ${lower(r.slot)}. Decide it first: that names the metal of the bore.`;
    case 'lot_not_said':
      return `Enter what went into or onto the ${lower(r.slot)}, kit or lot, or that none is known.`;
    case 'against':
      return `${placeName(r.slot)}: ${r.words}`;
    case 'supply':
      return `${placeName(r.slot)}: ${supplyWords(r.supply)}`;
  }
}
