import { after, card, piece, record, step, type WorkCard } from './types.ts';

/**
 * Cards of what a part is finished with: they serve no decision on a unit, since each part has a route of its own.
 * Source: handbook 55, cards 22 to 24; 58, A21, A30, D15. Minutes are generic first guesses.
 */
const FINISH_BY_BRUSH: WorkCard = card(
  'finish_brush',
  'Finish by brush or can',
  [],
  [],
  [
    step(
      'route',
      'strip',
      3,
      'Route of each part told: leave, clean, paint, powder, plate or bare; colour and gloss by part.',
      'What is primed before anybody chose is stripped again.',
      { at: 'bench' },
    ),
    step(
      'degreased',
      'clean',
      6,
      'Degrease, in the bath or by wipe, before any blasting drives the oil in.',
      'Oil that is blasted into the pores comes out through the coat.',
      { at: 'washer' },
    ),
    step(
      'blasted',
      'clean',
      10,
      'Blast with bores plugged, or with the old seals still in; blow through and wipe.',
      'Grit in a groove never comes out again.',
      { at: 'cabinet', needs: [after('degreased')] },
    ),
    step('treated', 'finish', 5, 'Treat what rust is left.', 'Rust goes on under paint.', {
      at: 'bench',
      waits: { hours: 1, on: 'rust treatment, by its slip' },
      needs: [after('blasted')],
    }),
    step(
      'masked',
      'finish',
      8,
      'Mask bores, threads, seats, abutments and mating faces; count the plugs in.',
      'A coat under a bolt creeps, and the torque is gone.',
      {
        ...{ at: 'bench', takes: [piece('Masking plugs and tape')], needs: [after('route'), after('blasted')] },
      },
    ),
    step('primed', 'finish', 6, 'Prime all that is bare.', 'A coat holds to its primer, not to metal.', {
      at: 'bench',
      waits: { hours: 1, on: 'primer, by its slip' },
      takes: [piece('Primer')],
      needs: [after('masked'), record('pistons_move')],
    }),
    step('coated', 'finish', 12, 'Thin coats, flash-off between them.', 'One thick coat runs, and stays soft below.', {
      ...{
        at: 'bench',
        enters: 'coated',
        waits: { hours: 1, on: 'flash-off between coats' },
        takes: [piece('Brake paint')],
        needs: [after('primed')],
      },
    }),
    step('cured', 'finish', 2, 'Cure by the product’s sheet.', 'Brake fluid lifts what has not cured.', {
      kind: 'wait',
      at: 'oven',
      waits: { hours: 24, on: 'cure of the paint' },
      needs: [after('coated')],
      hazard: 'Nothing wetted with cleaner goes into an oven: dry and aired first.',
    }),
    step(
      'unmasked',
      'after',
      6,
      'Masks off and counted; cured and cooled before any rubber goes in.',
      'A plug that stays in is a port that is shut.',
      { at: 'bench', obliged: true, needs: [after('masked'), record('cured')] },
    ),
  ],
);

const FINISH_BY_POWDER: WorkCard = card(
  'finish_powder',
  'Powder in the shop',
  [],
  [],
  [
    step(
      'rubber_out',
      'strip',
      3,
      'Every seal, boot, bush and bearing out; none of them survives the oven.',
      'What melts runs into the threads.',
      { at: 'bench' },
    ),
    step('bare', 'clean', 12, 'Degrease, blast to bare metal, blow through.', 'Powder shows every trace of oil as a crater.', {
      at: 'cabinet',
      needs: [after('rubber_out')],
    }),
    step(
      'baked',
      'clean',
      4,
      'Bake out, so that what the casting holds comes before the powder does.',
      'Old fluid boils out of the pores under the coat.',
      {
        at: 'oven',
        waits: { hours: 1, on: 'bake-out' },
        needs: [after('bare')],
        hazard: 'Dry and aired first; no heat-treated aluminium without its maker’s word.',
      },
    ),
    step('cooled', 'clean', 4, 'Cool, wipe with a clean cloth and a fast solvent.', 'Powder on a hot part runs off its edges.', {
      at: 'bench',
      waits: { hours: 1, on: 'cooling after the bake-out' },
      needs: [after('baked')],
    }),
    step(
      'plugged',
      'finish',
      10,
      'Plug bores and ports, tape faces and threads; count the plugs in.',
      'A coat under a bolt creeps, and the torque is gone.',
      { at: 'bench', takes: [piece('Masking plugs and tape')], needs: [after('cooled')] },
    ),
    step('coated', 'finish', 8, 'Coat, earthed, even into the corners.', 'What the spray does not reach rusts first.', {
      at: 'bench',
      enters: 'coated',
      takes: [piece('Powder')],
      needs: [after('plugged')],
    }),
    step(
      'cured',
      'finish',
      4,
      'Cure: the time runs from when the part has its temperature, not the oven.',
      'A thick casting lags an oven by half an hour.',
      { kind: 'wait', at: 'oven', waits: { hours: 1, on: 'cure of the powder' }, needs: [after('coated')] },
    ),
    step('cold', 'after', 3, 'Leave it to cool by itself.', 'Quenched, the coat lets go at the edges.', {
      kind: 'wait',
      at: 'bench',
      waits: { hours: 12, on: 'cooling overnight' },
      needs: [after('cured')],
    }),
    step(
      'unplugged',
      'after',
      8,
      'Plugs out and counted; threads that were not taped chased, film on seats and faces removed.',
      'A film on a seat weeps, and under a bolt it creeps.',
      { at: 'bench', obliged: true, needs: [after('cold')] },
    ),
  ],
);

export const FINISH_AT_COATER: WorkCard = card(
  'finish_coater',
  'To the coater',
  [],
  [],
  [
    step(
      'rubber_out',
      'strip',
      6,
      'Bearings, bushes, seals and boots out; nothing of rubber goes along.',
      'The coater bakes whatever comes.',
      { at: 'bench' },
    ),
    step(
      'clean',
      'clean',
      8,
      'Clean it though nobody asked: grease in the coater’s oven comes out through the finish.',
      'The coater’s bath takes the outside only.',
      { at: 'washer' },
    ),
    step(
      'told',
      'finish',
      5,
      'Colour, gloss and mask map told by part, in writing, with the faces marked on the part.',
      'What is not marked is coated.',
      { at: 'bench' },
    ),
    step(
      'packed',
      'finish',
      4,
      'Packing list in the box, each piece tagged; whatever the batch still waits for is named.',
      'What is not listed is not missed.',
      { at: 'bench' },
    ),
    step('counted', 'after', 5, 'Count what came back against the list.', 'A clip that stayed there is found now or bought.', {
      at: 'bench',
      obliged: true,
      needs: [after('packed')],
    }),
    step(
      'looked',
      'after',
      6,
      'Look at threads and seats of each; film on seats, faces and abutments removed before anything is fitted.',
      'A film on a seat weeps, and under a bolt it creeps.',
      { at: 'bench', kind: 'look', obliged: true, needs: [after('counted')] },
    ),
  ],
);

export const FINISH_CARDS: readonly WorkCard[] = [FINISH_BY_BRUSH, FINISH_BY_POWDER, FINISH_AT_COATER];

/** The card of a finish; undefined where a card is of the work on a unit. */
export const finishCard = (cardId: string): WorkCard | undefined => FINISH_CARDS.find((c) => c.id === cardId);
