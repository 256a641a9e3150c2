import { MEASUREMENTS } from '../src/catalogue/measurements.ts';
import { plannedPositions } from '../src/catalogue/positions.ts';
import type { OptionId } from '../src/catalogue/repairOptions.ts';
import { partIn } from '../src/history/whereabouts.ts';
import { deriveJob } from '../src/job/job.ts';
import { GENERIC_LIMITS } from '../src/judging/genericLimits.ts';
import type { Layout } from '../src/layout/graph.ts';
import { type Corner, CORNERS, KIND_FACTS } from '../src/layout/kinds.ts';
import { buildLayout } from '../src/layout/templates.ts';
import type { JobEvent } from '../src/ledger/eventBase.ts';
import { type Finding, SAID_IN_WORDS } from '../src/ledger/families/findings.ts';
import type { PartEvent } from '../src/ledger/families/partEvents.ts';
import type { Reading } from '../src/ledger/families/readings.ts';
import { PLAIN_SET, type ReadingSet } from '../src/ledger/families/sets.ts';
import { type JobRecords, NO_RECORDS } from '../src/ledger/jobRecords.ts';
import { UNWEIGHED } from '../src/ledger/vehicleRecords.ts';
import { parseQuantity } from '../src/quantity/parse.ts';
import type { LimitVersion } from '../src/verdict/limits.ts';
import { soundSets } from './soundFigures.ts';

/** The four wheels of the vehicle that is told of. */
export const FOUR: readonly Corner[] = ['FL', 'FR', 'RL', 'RR'];

let counter = 0;
/** An id of its own, in order. */
export const id = (): string => `id-${String((counter += 1)).padStart(6, '0')}`;
export const base = (minute: number, over: Partial<JobEvent> = {}): JobEvent => ({
  id: id(),
  jobId: 'job',
  authorId: 'ann',
  device: 'd',
  happenedAt: new Date(Date.UTC(2026, 0, 1) + minute * 60000).toISOString(),
  recordedAt: '',
  corrects: null,
  ...over,
});
export const NOW = '2026-06-01T00:00:00.000Z';

export const LIMIT: LimitVersion = {
  ...GENERIC_LIMITS[0]!,
  id: 'lim',
  seriesId: 'lim',
  characteristic: 'rotor_thickness',
  scope: 'vehicle',
  appliesTo: 'car',
  bound: 'lower',
  nominal: 12.7,
  machineTo: 11.4,
  at: 11,
  source: 'maker',
  gravity: 'safety',
  sourceText: 'works manual',
  axle: 'front',
  checkedBy: null,
};

/** A job told event by event, a minute apart: what the derivations are tested on. */
export class JobFixture {
  readonly layout: Layout;
  readonly file: { -readonly [K in keyof JobRecords]: JobRecords[K] };
  private minute = 1;
  constructor(corners: readonly Corner[] = ['FL'], limits: readonly LimitVersion[] = [LIMIT], template = 'coupe_disc_disc_tandem_servo') {
    // What the bearings are is said: tests of what is not said take it away.
    const built = buildLayout(template, 'lay', 'car', id);
    this.layout = { ...built, slots: built.slots.map((s) => (s.kind === 'hub' && s.style === null ? { ...s, style: 'unit_bearing' } : s)) };
    const found: PartEvent[] = this.layout.slots.map((s) => ({
      ...base(0),
      partId: `part:${s.id}`,
      kind: 'found',
      slotId: s.id,
      note: '',
      temporary: false,
      until: null,
      lot: null,
      lineOn: false,
    }));
    this.file = {
      imported: null,
      job: {
        id: 'job',
        vehicleId: 'car',
        kind: 'overhaul',
        complaint: 'Judder',
        wants: 'None',
        fluidKnown: '',
        promised: null,
        finish: 'not_said',
        authorisedMinor: null,
        scopeCorners: corners,
        scopeIn: [],
        returnOf: null,
        scopeOut: [],
        openedAt: NOW,
        openedBy: 'ann',
        importId: null,
        version: 1,
      },
      vehicle: {
        id: 'car',
        tag: 'V 1',
        name: 'Car',
        make: 'Tavell',
        model: 'Corrie',
        year: 1971,
        variant: null,
        body: '',
        use: 'seasonal',
        climate: 'temperate',
        storage: 'dry',
        standsYears: null,
        distanceUnit: 'km',
        ...UNWEIGHED,
        ownerId: null,
        version: 1,
      },
      layout: this.layout,
      ...NO_RECORDS,
      parts: this.layout.slots.map((s) => ({ id: `part:${s.id}`, tag: null, kind: s.kind, name: s.name, partNumber: null, note: '' })),
      partEvents: found,
      limits,
      people: [{ id: 'ann', name: 'Ann', initials: 'A', role: 'lead', active: true }],
      release: null,
    };
  }
  slot(kind: string, corner: Corner | null = 'FL'): string {
    return this.layout.slots.find((s) => s.kind === kind && s.corner === corner)!.id;
  }
  next(): number {
    return (this.minute += 1);
  }
  gauge(slotId: string, figures: readonly string[], over: Partial<ReadingSet> = {}): ReadingSet {
    const set: ReadingSet = {
      ...base(this.next()),
      slotId,
      partId: partIn(slotId, this.file.partEvents),
      measurement: 'rotor_thickness',
      phase: 'as_found',
      surface: 'clean',
      cold: true,
      averages: false,
      count: figures.length,
      ...PLAIN_SET,
      ...over,
    };
    this.file.sets = [...this.file.sets, set];
    plannedPositions(set.measurement, set.count).forEach((p, i) => {
      const typed = figures[i];
      this.hold(p.place);
      if (typed !== undefined) this.read(set, p.angleDeg, p.frame, p.place, typed);
    });
    return set;
  }
  /** What is set and held is held for as long as it takes, before its end is read. */
  hold(place: string | null): void {
    if (place === 'end') this.minute += 6;
  }
  read(set: ReadingSet, angleDeg: number | null, frame: Reading['frame'], place: string | null, typed: string): Reading {
    const { kind, unit } = MEASUREMENTS[set.measurement];
    const q = parseQuantity(typed, kind, unit);
    const r: Reading = {
      ...base(this.next()),
      setId: set.id,
      frame,
      angleDeg,
      place,
      pass: 1,
      gaugeVersionId: null,
      typed,
      unit,
      canonical: q.canonical,
      resolution: q.resolution,
      fraction: q.fraction,
    };
    this.file.readings = [...this.file.readings, r];
    return r;
  }
  find(slotId: string, over: Partial<Finding> = {}): Finding {
    const f: Finding = {
      ...base(this.next()),
      slotId,
      partId: partIn(slotId, this.file.partEvents),
      words: 'seen',
      code: null,
      severity: 'note',
      cleaning: 'after',
      rulesOut: [],
      settles: null,
      ...SAID_IN_WORDS,
      ...over,
    };
    this.file.findings = [...this.file.findings, f];
    return f;
  }
  part(slotId: string, kind: PartEvent['kind'], partId = partIn(slotId, this.file.partEvents) ?? ''): void {
    this.file.partEvents = [
      ...this.file.partEvents,
      { ...base(this.next()), partId, kind, slotId, note: '', temporary: false, until: null, lot: null, lineOn: false },
    ];
  }
  decide(slotId: string, option: OptionId): void {
    this.file.decisions = [
      ...this.file.decisions,
      {
        ...base(this.next()),
        slotId,
        partId: null,
        option,
        reason: 'x',
        reviewOn: null,
        untilKm: null,
        access: null,
        code: null,
        metal: null,
        supersedes: null,
      },
    ];
  }
  /** Takes what the proofs stand on, of a sound vehicle: of one item, or of all that are asked. */
  sound(only: string | null = null): void {
    for (const { slotId, partId, measurement, readings } of soundSets(deriveJob(this.file, NOW), only)) {
      const set = this.gauge(slotId, [], { measurement, phase: 'as_fitted', partId, count: 0 });
      for (const { place, typed } of readings) {
        this.hold(place);
        this.read(set, null, 'place', place, typed);
      }
    }
  }
  takeBack(corrects: string): void {
    this.file.takeBacks = [...this.file.takeBacks, { ...base(this.next(), { corrects }), reason: '' }];
  }
  component(slotId: string) {
    return deriveJob(this.file, NOW).components.find((c) => c.slot.id === slotId)!;
  }
}

/** A job on a vehicle with any layout: every article found in its place. */
export function fileOn(layout: Layout): JobRecords {
  const told = new JobFixture();
  const articles = layout.slots.filter((s) => KIND_FACTS[s.kind].article);
  return {
    ...told.file,
    layout,
    job: { ...told.file.job, scopeCorners: CORNERS.filter((c) => layout.slots.some((s) => s.corner === c)) },
    parts: articles.map((s) => ({ id: `part:${s.id}`, tag: null, kind: s.kind, name: s.name, partNumber: null, note: '' })),
    partEvents: articles.map((s) => ({
      ...base(told.next()),
      ...{
        partId: `part:${s.id}`,
        kind: 'found' as const,
        slotId: s.id,
        note: '',
        temporary: false,
        until: null,
        lot: null,
        lineOn: false,
      },
    })),
  };
}
