/** Where a limit that nobody entered comes from. */
export const WORKSHOP_PRACTICE = 'common workshop practice';

/** Greatest wear of a bore by common workshop practice, mm: of bores up to and over a size. Source: handbook 20, Cylinder bores. */
export const BORE_WEAR_LIMIT = { small: 0.08, large: 0.1, smallTo: 25 } as const;

/** Greatest clearance between bore and piston by common workshop practice, mm. Source: handbook 20, Cylinder bores. */
export const CLEARANCE_LIMIT = 0.13;

/** Turning torque of a wheel that is free, N·m, by common workshop practice. Source: handbook 20, Drag. */
export const FREE_WHEEL = {
  driven: 6,
  free: 4,
  ofDriven: 'common workshop practice for a driven wheel in neutral',
  ofFree: 'common workshop practice for a wheel that is not driven',
} as const;

/** By how much the arc of a lining is smaller in diameter than its drum by common workshop practice, mm. Source: handbook 20, Shoe arc. */
export const ARC_AIM = { low: 0.2, high: 0.6 } as const;
