import { type Slot, placeName } from '../../layout/graph.ts';
import type { PutInKind } from '../../ledger/families/putIns.ts';
import type { PlaceCause } from '../reasons.ts';

export const PUT_IN_NAME: Readonly<Record<PutInKind, string>> = {
  block: 'Block',
  cap: 'Cap',
  plug: 'Plug',
  clamp: 'Hose clamp',
  mask: 'Mask',
  tie: 'Lever tie',
  chock: 'Chock',
  board: 'Board over it',
  made_safe: 'Tanks drained, springs caged',
  way_in: 'Way in opened: body, floor or tank off',
  hung: 'Wire that it hangs on',
  other: 'Something else',
};

/** A cause in words, as it goes on in a sentence. */
export function placeCauseWords(slot: Slot, cause: PlaceCause): string {
  const name = placeName(slot).toLowerCase();
  const is = slot.kind === 'pads' || slot.kind === 'shoes' ? 'are' : 'is';
  switch (cause.kind) {
    case 'off':
    case 'away':
      return `${name} ${is} ${cause.kind}`;
    case 'came_loose':
      return `${name} came loose and ${is} not on`;
    case 'came_missing':
      return `${name} ${is} missing`;
    case 'came_unknown':
      return `nobody knows whether the ${name} ${is} there`;
    case 'joint_open':
      return `a joint is open at the ${cause.joint}`;
    case 'inside':
      return cause.what === 'board' ? `a board lies on the ${name}` : `${PUT_IN_NAME[cause.what].toLowerCase()} in the ${name}`;
    case 'temporary':
      return `${name} is temporary`;
  }
}
