import type { Page } from 'playwright-core';
import { House, signIn } from './house.ts';

export interface Slot {
  readonly id: string;
  readonly kind: string;
  readonly name: string;
  readonly corner: string | null;
  readonly boreMm: number | null;
}
export interface JobRecords {
  readonly partEvents: readonly { readonly kind: string; readonly jobId: string | null; readonly partId: string }[];
  readonly layout: { readonly slots: readonly Slot[] };
  readonly sets: readonly { id: string; slotId: string; jobId: string; measurement: string; turn: number; blind: boolean }[];
  readonly readings: readonly {
    id: string;
    setId: string;
    typed: string;
    unit: string;
    angleDeg: number | null;
    place: string | null;
    canonical: number;
  }[];
  readonly findings: readonly { readonly id: string; readonly slotId: string; readonly fromMm: number | null }[];
  readonly pictures: readonly { readonly of: string; readonly slotId: string | null; readonly findingId: string | null }[];
  readonly leftItems: readonly { readonly what: string }[];
  readonly observations: readonly { readonly code: string; readonly corner: string | null; readonly state: string }[];
  readonly causeLooks: readonly { readonly fault: string; readonly place: string; readonly state: string; readonly said: number | null }[];
  readonly takeBacks: readonly { corrects: string | null }[];
}

/** Figures of a measurement as they come off the gauge; every component's differ a little, so that none can stand for another. */
export function figuresFor(measurement: string, positions: number, n: number): string[] {
  const round = (mid: number, swing: number, decimals: number): string[] =>
    Array.from({ length: positions }, (_, i) => (mid + n * 0.01 + swing * Math.cos(i + n)).toFixed(decimals));
  switch (measurement) {
    case 'rotor_thickness':
      return round(11.9, 0.004, 3);
    case 'rotor_runout':
      return round(0.02, 0.01, 2);
    case 'pad_lining':
      return round(6.2, 0.1, 2);
    case 'hub_end_float':
      return [(0.01 + (n % 2) * 0.01).toFixed(2)];
    case 'drum_diameter':
      return round(280.7, 0.03, 2);
    case 'shoe_lining':
      return round(4.1, 0.2, 1);
    default:
      return round(28.6, 0.004, 3);
  }
}

/** Diameters so much over the bore of a cylinder when new, each a little off the others, mm. */
export const aroundBore = (slot: Slot, over: number, positions: number, n: number): string[] =>
  Array.from({ length: positions }, (_, i) => ((slot.boreMm ?? 0) + over + 0.004 * Math.cos(i + n)).toFixed(3));

/** A sweep of a rotor that makes 0.08 of it with its high spot at 120°, on a hub that makes 0.04 at 100°, turned on by some of five studs. */
export const sweepOf = (turn: number): string[] =>
  Array.from({ length: 12 }, (_, i) => {
    const wave = (size: number, deg: number): number => (size / 2) * Math.cos(((30 * i - deg) * Math.PI) / 180);
    return (0.06 + wave(0.08, 120 + 72 * turn) + wave(0.04, 100)).toFixed(2);
  });
export const CORNERS = ['FL', 'FR', 'RL', 'RR'] as const;

/** Ids of the open jobs, by the vehicle's tag. */
export async function jobsOf(page: Page, url: string): Promise<ReadonlyMap<string, string>> {
  const yard = (await (await page.request.get(`${url}/api/yard`)).json()) as { jobs: { jobId: string; vehicle: { tag: string } }[] };
  return new Map(yard.jobs.map((j) => [j.vehicle.tag, j.jobId]));
}
export async function fileOf(page: Page, url: string, jobId: string | undefined): Promise<JobRecords> {
  return (await (await page.request.get(`${url}/api/jobs/${jobId ?? ''}`)).json()) as JobRecords;
}

/** The demonstration shop with Tomasz signed in at its bench; a picture is taken where a test fails. */
export class BenchShop {
  readonly house = new House();
  page!: Page;
  jobs: ReadonlyMap<string, string> = new Map();
  async open(): Promise<void> {
    await this.house.open(true);
    this.page = await this.house.page({ shell: true });
    await signIn(this.page, this.house.url, 'tomasz');
    this.jobs = await jobsOf(this.page, this.house.url);
  }
  file(tag: string): Promise<JobRecords> {
    return fileOf(this.page, this.house.url, this.jobs.get(tag));
  }
  async pictureOf(failed: boolean): Promise<void> {
    if (failed && process.env['DAUER_SHOT']) await this.page.screenshot({ path: process.env['DAUER_SHOT'] });
  }
}
