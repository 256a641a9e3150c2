import { card, piece, step, type WorkCard } from './types.ts';

/**
 * Cards of what a part is finished with: they serve no decision on a unit, since each part has a route of its own.
 * Source: handbook 55, cards 22 to 24; 58, A30. Minutes are generic first guesses.
 */
const FINISH_BY_BRUSH: WorkCard = card(
  'finish_brush',
  'Finish by brush or can',
  [],
  [],
  [
    step('strip', 3, 'Route of each part told: leave, clean, paint, powder, plate or bare; colour and gloss by part.'),
    step('clean', 6, 'Degrease, in the bath or by wipe, before any blasting drives the oil in.'),
    step('clean', 10, 'Blast with bores plugged, or with the old seals still in; blow through and wipe.'),
    step('finish', 5, 'Treat what rust is left.', { waits: { hours: 1, on: 'rust treatment, by its slip' } }),
    step('finish', 8, 'Mask bores, threads, seats, abutments and mating faces; count the plugs in.', {
      takes: [piece('Masking plugs and tape')],
    }),
    step('finish', 6, 'Prime.', { waits: { hours: 1, on: 'primer, by its slip' }, takes: [piece('Primer')] }),
    step('finish', 12, 'Thin coats, flash-off between them.', {
      waits: { hours: 1, on: 'flash-off between coats' },
      takes: [piece('Caliper paint')],
    }),
    step('finish', 2, 'Cure by the product’s sheet.', { waits: { hours: 24, on: 'cure of the paint' } }),
    step('after', 6, 'Masks off and counted; cured and cooled before any rubber goes in.'),
  ],
);

const FINISH_BY_POWDER: WorkCard = card(
  'finish_powder',
  'Powder in the shop',
  [],
  [],
  [
    step('strip', 3, 'Every seal, boot, bush and bearing out; none of them survives the oven.'),
    step('clean', 12, 'Degrease, blast to bare metal, blow through.'),
    step('clean', 4, 'Bake out, so that what the casting holds comes before the powder does.', { waits: { hours: 1, on: 'bake-out' } }),
    step('clean', 4, 'Cool, wipe with a clean cloth and a fast solvent.', { waits: { hours: 1, on: 'cooling after the bake-out' } }),
    step('finish', 10, 'Plug bores and ports, tape faces and threads; count the plugs in.', { takes: [piece('Masking plugs and tape')] }),
    step('finish', 8, 'Coat, earthed, even into the corners.', { takes: [piece('Powder')] }),
    step('finish', 4, 'Cure: the time runs from when the part has its temperature, not the oven.', {
      waits: { hours: 1, on: 'cure of the powder' },
    }),
    step('after', 3, 'Leave it to cool by itself.', { waits: { hours: 12, on: 'cooling overnight' } }),
    step('after', 8, 'Plugs out and counted; threads that were not taped chased, film on seats and faces removed.'),
  ],
);

export const FINISH_AT_COATER: WorkCard = card(
  'finish_coater',
  'To the coater',
  [],
  [],
  [
    step('strip', 6, 'Bearings, bushes, seals and boots out; nothing of rubber goes along.'),
    step('clean', 8, 'Clean it though nobody asked: grease in the coater’s oven comes out through the finish.'),
    step('finish', 5, 'Colour, gloss and mask map told by part, in writing, with the faces marked on the part.'),
    step('finish', 4, 'Packing list in the box, each piece tagged; whatever the batch still waits for is named.'),
    step('after', 5, 'Count what came back against the list.'),
    step('after', 6, 'Look at threads and seats of each; film on seats, faces and abutments removed before anything is fitted.'),
  ],
);

export const FINISH_CARDS: readonly WorkCard[] = [FINISH_BY_BRUSH, FINISH_BY_POWDER, FINISH_AT_COATER];
