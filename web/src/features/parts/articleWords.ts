import type { ArticleVersion, Fits, Scarcity, Supply, TaxKind } from '@dauer/core/ledger';

export const SUPPLY_TITLE: Readonly<Record<Supply, string>> = {
  ...{
    new: 'New',
    exchange: 'Exchange',
    used: 'Used',
    kit: 'Kit',
    piece: 'Piece of a unit',
    process: 'Work sent out',
    consumable: 'Consumable',
  },
};
export const SCARCITY_TITLE: Readonly<Record<Scarcity, string>> = {
  available: 'To be had',
  scarce: 'Getting scarce',
  out_of_make: 'No longer made',
};
export const FITS_TITLE: Readonly<Record<Fits, string>> = {
  ...{ shop: 'Everything of its kind', type: 'One type of vehicle', vehicle: 'One vehicle', part_number: 'In place of a part number' },
};
export const TAX_TITLE: Readonly<Record<TaxKind, string>> = { standard: 'Standard', reduced: 'Reduced', none: 'None' };

/** What an article fits, in words. */
export function fitsText(a: Pick<ArticleVersion, 'fits' | 'appliesTo' | 'make' | 'model' | 'axle'>): string {
  const of = {
    shop: 'any',
    type: [a.make, a.model].filter(Boolean).join(' '),
    vehicle: 'one vehicle',
    part_number: `for ${a.appliesTo ?? ''}`,
  }[a.fits];
  return a.axle ? `${of}, ${a.axle}` : of;
}

const DAY = 86_400_000;
/** Months since a price was told, whole. */
export function monthsOld(pricedOn: string, now: number): number {
  return Math.floor((now - Date.parse(pricedOn)) / (30.4 * DAY));
}
/** Months from which a price says how old it is. */
export const OLD_MONTHS = 12;
