import type { DueItem, VehicleDue } from '@dauer/contract';
import { DUE_SOON_DAYS, type DueAccess } from '@dauer/core/service';
import { daysAfter, monthsAfter } from '@dauer/core/quantity';

/** What of a vehicle is done in one go: what the same access gives. */
interface Bundle {
  readonly access: DueAccess;
  readonly items: readonly DueItem[];
}
/** A vehicle with what is told of it here. */
export interface VehicleBundles {
  readonly vehicle: VehicleDue;
  readonly bundles: readonly Bundle[];
}
/** A month of the year ahead. */
export interface Month {
  /** YYYY-MM. */
  readonly id: string;
  readonly vehicles: readonly VehicleBundles[];
  readonly count: number;
}

const ORDER: readonly DueAccess[] = ['wheels_off', 'standing', 'driven'];

/** Vehicles that stand, or stood for years. */
export const standing = (vehicles: readonly VehicleDue[]): VehicleDue[] =>
  vehicles.filter((v) => v.use === 'stands' || (v.standsYears ?? 0) > 0);

/** Items of a vehicle, bundled by what gives access to them. */
function bundled(vehicle: VehicleDue, items: readonly DueItem[]): VehicleBundles[] {
  const bundles = ORDER.flatMap((access) => {
    const mine = items.filter((i) => i.access === access);
    return mine.length > 0 ? [{ access, items: mine }] : [];
  });
  return bundles.length > 0 ? [{ vehicle, bundles }] : [];
}

/** Whether something is due now: its day or its distance has come. */
export const isDueNow = (item: DueItem, today: string): boolean => item.reached || (item.on !== null && item.on <= today);

/** What is due or soon will be, of vehicles that are not in the shop, the longest overdue first. */
export function dueSoon(vehicles: readonly VehicleDue[], today: string): VehicleBundles[] {
  const until = daysAfter(today, DUE_SOON_DAYS);
  return vehicles
    .filter((v) => !v.inShop)
    .flatMap((v) =>
      bundled(
        v,
        v.dues.filter((d) => d.reached || (d.on !== null && d.on <= until)),
      ),
    );
}

/** The twelve months from this one on, each with what falls due in it; what is overdue stands in the first. */
export function yearAhead(vehicles: readonly VehicleDue[], today: string): Month[] {
  const first = today.slice(0, 7);
  return Array.from({ length: 12 }, (_, n): Month => {
    const id = monthsAfter(`${first}-01`, n).slice(0, 7);
    const inIt = (d: DueItem): boolean =>
      d.on === null ? n === 0 && d.reached : n === 0 ? d.on.slice(0, 7) <= id : d.on.slice(0, 7) === id;
    const list = vehicles.filter((v) => !v.inShop).flatMap((v) => bundled(v, v.dues.filter(inIt)));
    return { id, vehicles: list, count: list.reduce((sum, v) => sum + v.bundles.reduce((s, b) => s + b.items.length, 0), 0) };
  });
}
