import type { ShopCard } from '../catalogue/cards/shopCard.ts';

/** A card as the shop does it, one version, with the reason: what stood before stays readable, and no running card changes. */
export interface ShopCardVersion extends ShopCard {
  readonly id: string;
  readonly reason: string;
  readonly enteredBy: string;
  readonly enteredAt: string;
}
