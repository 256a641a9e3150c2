import { DomainError } from '../quantity/domainError.ts';

/** A wrench with an adapter between its drive and the fastener. */
export interface AdaptedWrench {
  /** From the centre of the drive to the middle of the grip, mm. */
  readonly wrenchMm: number;
  /** From the centre of the drive to the centre of the fastener, mm. */
  readonly offsetMm: number;
  /** 0 straight out along the wrench, 90 at right angles, 180 back along it, degrees. */
  readonly angleDeg: number;
}

const degrees = Math.PI / 180;

/** The length at which the hand pulls about the fastener, mm. */
function leverage({ wrenchMm, offsetMm, angleDeg }: AdaptedWrench): number {
  if (!(wrenchMm > 0) || !(offsetMm >= 0)) throw new DomainError('bad_length', 'A wrench has a length, and an adapter no less than none.');
  const arm = wrenchMm + offsetMm * Math.cos(angleDeg * degrees);
  if (!(arm > 0)) throw new DomainError('no_leverage', 'Turned back so far, the adapter leaves the hand nothing to pull at.');
  return arm;
}

/** A torque that is one. @throws DomainError `nonpositive_torque` */
function aTorque(nm: number): number {
  if (!(nm > 0)) throw new DomainError('nonpositive_torque', 'A torque is more than nothing.');
  return nm;
}

/**
 * What a wrench is set to, so that the fastener gets a torque through an adapter: T × L ÷ (L + E cos α).
 * @param torqueNm wanted at the fastener, N·m
 * @returns setting in N·m, and what it is to the torque
 * @throws DomainError `bad_length`, `no_leverage`, `nonpositive_torque`
 * Source: handbook 50, Torque.
 */
export function adapterSetting(torqueNm: number, wrench: AdaptedWrench): { readonly settingNm: number; readonly ratio: number } {
  const ratio = wrench.wrenchMm / leverage(wrench);
  return { settingNm: aTorque(torqueNm) * ratio, ratio };
}

/**
 * What a fastener gets through an adapter from a wrench that clicks at a setting: S × (L + E cos α) ÷ L.
 * @param settingNm of the wrench, N·m
 * @throws DomainError as `adapterSetting`
 */
export function adapterTorque(settingNm: number, wrench: AdaptedWrench): { readonly torqueNm: number; readonly ratio: number } {
  const ratio = wrench.wrenchMm / leverage(wrench);
  return { torqueNm: aTorque(settingNm) / ratio, ratio };
}
