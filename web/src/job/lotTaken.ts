import type { LotVersion } from '@dauer/core/ledger';

/** What is taken out of a lot, and why where that is asked. */
export interface LotTaken {
  readonly lotId: string;
  readonly label: string;
  readonly name: string;
  readonly batch: string;
  readonly reason: string;
  /** Nothing speaks against it, or that was answered. */
  readonly ok: boolean;
}

/** What the slip of a product says, in one line. */
export function slipOf(lot: LotVersion): string {
  const said = [
    ['torque', lot.torque],
    ['bedding', lot.bedding],
    ['cure', lot.cure],
  ] as const;
  return said.flatMap(([what, text]) => (text === '' ? [] : [`${what}: ${text}`])).join('; ');
}
