import type { EventFamily, Recorded } from '@dauer/contract';
import {
  cardFor,
  codeAt,
  isFeltAtControl,
  isSeenInReservoir,
  type MeasurementId,
  MEASUREMENTS,
  type OptionId,
  plannedPositions,
  type Position,
  stepsFor,
} from '@dauer/core/catalogue';
import { buildLayout, pedalsOf, reservoirsOf, type Corner, KIND_FACTS, type Layout, type Slot } from '@dauer/core/layout';
import {
  type EventBase,
  type GaugeVersion,
  type Job,
  type JobKind,
  type JointEventKind,
  type JointSeal,
  NOTHING_ELSE,
  type Part,
  type Phase,
  PLAIN_SET,
  type PutInKind,
  type ReadingSet,
  SAID_IN_WORDS,
  BY_CLASS_ALONE,
  UNWEIGHED,
  type Vehicle,
} from '@dauer/core/ledger';
import { millisecondsInDay, millisecondsInHour, millisecondsInMinute, parseQuantity, type UnitId } from '@dauer/core/quantity';
import { jointsOf } from '@dauer/core/readiness';
import type { LimitVersion } from '@dauer/core/verdict';
import { SECOND_BLEED } from '@dauer/core/views';
import { v7 } from 'uuid';

type Written = { [F in EventFamily]?: Recorded<F>[] };
type Fields<F extends EventFamily> = Omit<Recorded<F>, keyof EventBase>;

/** Writes down what happened in the demonstration shop, dated relative to a day, as records of the past to take in. */
export class Story {
  readonly gauges: GaugeVersion[] = [];
  readonly limits: LimitVersion[] = [];
  readonly vehicles: { vehicle: Vehicle; layout: Layout }[] = [];
  readonly jobs: Job[] = [];
  readonly parts: (Omit<Part, 'tag'> & { tag: string | null })[] = [];
  readonly events: Written = {};
  readonly releases: { readonly id: string; readonly jobId: string; readonly releasedAt: string }[] = [];
  private readonly today: number;
  constructor(today: number) {
    this.today = today;
  }
  /** Instant some days and hours ago. */
  ago(days: number, hours = 0): string {
    return new Date(this.today - days * millisecondsInDay - hours * millisecondsInHour).toISOString();
  }
  /** Day some days from now. */
  day(days: number): string {
    return new Date(this.today + days * millisecondsInDay).toISOString().slice(0, 10);
  }
  /** Everything told so far, as the lines of an import. */
  lines(source: string, password: string): string[] {
    const events = Object.entries(this.events).flatMap(([family, records]) =>
      records.map(({ authorId, ...record }) => ({ kind: 'event', family, authorId, record })),
    );
    return [
      { kind: 'import', id: v7(), source, password },
      ...this.gauges.map((gauge) => ({ kind: 'gauge', gauge })),
      ...this.limits.map((limit) => ({ kind: 'limit', limit })),
      ...this.vehicles.map(({ vehicle, layout }) => ({ kind: 'vehicle', vehicle, layout })),
      ...this.parts.map((part) => ({ kind: 'part', part })),
      ...this.jobs.map((job) => ({ kind: 'job', job })),
      ...events,
      ...this.releases.map((release) => ({ kind: 'release', release })),
    ].map((line) => JSON.stringify(line));
  }
}

/** One job being told: who does it, and the time moving on a minute with every event. */
export class Telling {
  private at: number;
  private readonly written: Written;
  readonly story: Story;
  readonly car: Car;
  readonly jobId: string;
  author: string;
  constructor(story: Story, car: Car, jobId: string, author: string, startedAt: string) {
    this.story = story;
    this.car = car;
    this.jobId = jobId;
    this.author = author;
    this.at = Date.parse(startedAt);
    this.written = story.events;
  }
  /** Goes on at another time. */
  later(instant: string): this {
    this.at = Date.parse(instant);
    return this;
  }
  by(author: string): this {
    this.author = author;
    return this;
  }
  add<F extends EventFamily>(family: F, fields: Fields<F>): string {
    this.at += millisecondsInMinute;
    const happenedAt = new Date(this.at).toISOString();
    const id = v7({ msecs: this.at });
    const row = {
      id,
      jobId: this.jobId,
      authorId: this.author,
      device: 'bench',
      happenedAt,
      recordedAt: happenedAt,
      corrects: null,
      ...fields,
    };
    const list = (this.written[family] ?? []) as unknown[];
    list.push(row);
    this.written[family] = list as Written[F];
    return id;
  }
  gauge(
    slot: Slot,
    measurement: MeasurementId,
    phase: Phase,
    gaugeVersionId: string,
    figures: readonly string[],
    over: Partial<Pick<ReadingSet, 'surface' | 'blind'>> = {},
  ): void {
    const { pattern } = MEASUREMENTS[measurement];
    const count = pattern.form === 'round' ? Math.round((figures.length - pattern.also.length) / Math.max(1, pattern.rings.length)) : 1;
    const setId = this.add('sets', {
      slotId: slot.id,
      partId: ['slot', 'article'].includes(MEASUREMENTS[measurement].subject) ? null : this.car.partIn(slot),
      measurement,
      phase,
      surface: 'clean',
      cold: true,
      averages: false,
      count,
      ...PLAIN_SET,
      ...over,
    });
    const positions = plannedPositions(measurement, count);
    figures.forEach((typed, i) => {
      const position = positions[i];
      if (position) this.read(setId, position, measurement, gaugeVersionId, typed);
    });
  }
  private read(
    setId: string,
    { frame, angleDeg, place }: Position,
    measurement: MeasurementId,
    gaugeVersionId: string | null,
    typed: string,
  ): void {
    const unit: UnitId = MEASUREMENTS[measurement].unit;
    const q = parseQuantity(typed, MEASUREMENTS[measurement].kind, unit);
    this.add('readings', {
      setId,
      frame,
      angleDeg,
      place,
      pass: 1,
      gaugeVersionId,
      typed,
      unit,
      canonical: q.canonical,
      resolution: q.resolution,
      fraction: q.fraction,
    });
  }
  /** What was set on the bench and read again after it was held for some minutes. */
  held(slot: Slot, measurement: 'bench_low' | 'bench_high', figures: readonly [string, string], minutes: number): void {
    const setId = this.add('sets', {
      ...{ slotId: slot.id, partId: this.car.partIn(slot), measurement, phase: 'as_fitted', surface: 'clean', cold: true },
      ...{ averages: false, count: 2, ...PLAIN_SET },
    });
    plannedPositions(measurement, 2).forEach((position, i) => {
      if (i > 0) this.at += minutes * millisecondsInMinute;
      this.read(setId, position, measurement, null, figures[i] ?? '');
    });
  }
  look(slot: Slot, words: string, severity: 'note' | 'watch' | 'doubt' | 'reject' = 'note', rulesOut: OptionId[] = []): void {
    this.add('findings', {
      slotId: slot.id,
      partId: this.car.partIn(slot),
      words,
      code: null,
      severity,
      cleaning: 'after',
      rulesOut,
      settles: null,
      ...SAID_IN_WORDS,
    });
  }
  /** Something found along a part, from where to where, mm. */
  pit(
    slot: Slot,
    words: string,
    [fromMm, toMm]: readonly [number, number],
    depthMm: number,
    severity: 'doubt' | 'reject',
    rulesOut: OptionId[] = [],
  ): void {
    this.add('findings', {
      ...{ slotId: slot.id, partId: this.car.partIn(slot), words, code: 'pitted', severity, cleaning: 'after', rulesOut, settles: null },
      ...{ ...SAID_IN_WORDS, entry: 'piston_pit', fromMm, toMm, depthMm },
    });
  }
  see(code: string, state: 'seen' | 'not_seen', corner: Corner | null = null): void {
    const { layout } = this.car;
    const reservoirs = isSeenInReservoir(code) ? reservoirsOf(layout) : [];
    const places = isFeltAtControl(code) ? pedalsOf(layout) : reservoirs;
    if (places.length < 2) {
      this.add('observations', { code, corner, state });
      return;
    }
    // Asked at each of several levers or reservoirs; what is wrong, at the first of them.
    for (const p of state === 'seen' ? places.slice(0, 1) : places)
      this.add('observations', {
        code: reservoirs.some((r) => r.plain && r.slotId === p.slotId) ? code : codeAt(code, p.slotId),
        corner,
        state,
      });
  }
  /** What the bench found of a cause, and what had been said of it. */
  cause(fault: string, place: Slot, state: 'found' | 'absent', said: number, rank: number): void {
    this.add('causeLooks', { fault, place: place.id, state, said, rank });
  }
  nothingElse(): void {
    this.add('causeLooks', { fault: NOTHING_ELSE, place: 'system', state: 'found', said: null, rank: null });
  }
  decide(slot: Slot, option: OptionId, reason = ''): void {
    this.add('decisions', {
      slotId: slot.id,
      partId: this.car.partIn(slot),
      option,
      reason,
      reviewOn: null,
      untilKm: null,
      access: null,
      code: null,
      metal: null,
      supersedes: null,
    });
  }
  counter(typed: string): void {
    this.add('counters', { vehicleId: this.car.vehicle.id, typed, km: parseQuantity(typed, 'distance_run', 'km').canonical });
  }
  torque(point: string, slot: Slot | null, target: string, typed: string): void {
    this.add('torques', {
      slotId: slot?.id ?? null,
      point,
      targetTyped: target,
      target: parseQuantity(target, 'torque', 'Nm').canonical,
      typed,
      unit: 'Nm',
      canonical: parseQuantity(typed, 'torque', 'Nm').canonical,
      ...{ toTyped: '', targetTo: 0, passes: point.startsWith('wheel:') ? 2 : 1, angleDeg: null },
      wrench: 'W-02',
    });
  }
  exercise(what: 'driven' | 'pressed' | 'pressed_and_parked'): void {
    this.add('exercises', { vehicleId: this.car.vehicle.id, what, typed: null, km: null, note: '' });
  }
  prove(item: string, result: 'passed' | 'gone' | 'same' = 'passed', corner: Corner | null = null, note = ''): string {
    const road = item === 'road' ? { roadTyped: '14', roadKm: 14, felt: [] } : {};
    return this.add('proofs', { item, slotId: null, corner, result, note, ...road });
  }
  fitNew(slot: Slot, tag: string | null, partNumber: string | null, note: string): string {
    const partId = v7();
    this.story.parts.push({ id: partId, tag, kind: slot.kind, name: slot.name, partNumber, note: '' });
    const old = this.car.partIn(slot);
    if (old)
      this.add('partEvents', {
        partId: old,
        kind: 'removed',
        slotId: slot.id,
        note: '',
        temporary: false,
        until: null,
        lot: null,
        lineOn: false,
      });
    this.add('partEvents', { partId, kind: 'fitted', slotId: slot.id, note, temporary: false, until: null, lot: null, lineOn: false });
    this.car.sits.set(slot.id, partId);
    return partId;
  }
  /** A work card begun at a place as it is now. */
  card(slot: Slot, option: OptionId): string {
    const card = cardFor(slot, option);
    if (!card) throw new Error(`no card serves ${slot.kind} ${option}`);
    return this.add('cardRuns', { slotId: slot.id, cardId: card.id, option, steps: stepsFor(card, option) });
  }
  /** A try at freeing what will not move. */
  try(slot: Slot, ladderId: string, rungId: string, minutes: number, moved: boolean, note = ''): void {
    this.add('ladderTries', { slotId: slot.id, ladderId, rungId, minutes, moved, note });
  }
  tell(runId: string, stepId: string, note = ''): void {
    this.add('cardTells', { runId, stepId, kind: 'done', gate: null, note });
  }
  part(slot: Slot, kind: 'removed' | 'sent' | 'returned' | 'machined' | 'opened' | 'resealed' | 'coated', note: string): void {
    const partId = this.car.partIn(slot);
    const lot = kind === 'resealed' || kind === 'coated' ? note : null;
    const more = { note: lot === null ? note : '', temporary: false, until: null, lot, lineOn: false };
    if (partId) this.add('partEvents', { partId, kind, slotId: slot.id, ...more });
  }
  /** Every bleeder closed to a figure. */
  private seats(): void {
    for (const b of this.car.layout.slots.filter((s) => s.kind === 'bleeder')) this.torque(`bleeder:${b.id}`, b, '8', '8');
  }
  /** A lead lets something go by name: what it is, and what it rests on. */
  accept(obligation: string, reason: string): void {
    this.add('acceptances', { obligation, reason });
  }
  joint(slot: Slot, kind: JointEventKind, seal: JointSeal | null = null): void {
    const joint = jointsOf(this.car.layout).find((j) => j.slot.id === slot.id);
    if (joint)
      this.add('jointEvents', {
        connectionId: joint.connection.id,
        slotId: slot.id,
        kind,
        seal,
        note: '',
        ...(kind === 'torqued' ? { typed: '14 Nm', torqueNm: 14 } : { typed: null, torqueNm: null }),
      });
  }
  fluid(product: string, batch: string): void {
    const reservoir = this.car.layout.slots.find((s) => s.kind === 'reservoir');
    if (reservoir)
      this.add('fluidSamples', { slotId: reservoir.id, waterPercent: null, boilC: null, fluidClass: '4', how: 'Drop in water: it mixes' });
    this.add('fluidServices', { product, fluidClass: '4', batch, lowMoisture: false, ...BY_CLASS_ALONE });
    for (const bleeder of this.car.layout.slots.filter((s) => s.kind === 'bleeder')) {
      this.add('bleedPulls', {
        slotId: bleeder.id,
        volumeTyped: '120 mL',
        volumeMl: 120,
        colour: 'clear',
        air: 'none',
        closed: true,
        method: 'vacuum',
      });
    }
    this.seats();
  }
  putIn(slot: Slot, what: PutInKind, note = ''): void {
    this.add('putIns', { slotId: slot.id, what, note, port: null });
  }
  /** What belongs here is off; something else is fitted for now. */
  fitForNow(slot: Slot, note: string, until: string): void {
    const partId = v7();
    this.story.parts.push({ id: partId, tag: null, kind: slot.kind, name: slot.name, partNumber: null, note: '' });
    this.part(slot, 'removed', '');
    this.add('partEvents', { partId, kind: 'fitted', slotId: slot.id, note, temporary: true, until, lot: null, lineOn: false });
    this.car.sits.set(slot.id, partId);
  }
  /** Hands back; what is owed after it is answered some days later, where it is said. */
  release(cared: readonly string[] = []): void {
    this.at += millisecondsInHour;
    this.story.releases.push({
      id: v7({ msecs: this.at }),
      jobId: this.jobId,
      releasedAt: new Date(this.at).toISOString(),
    });
    for (const item of cared) {
      this.at += millisecondsInDay;
      if (item === SECOND_BLEED)
        for (const bleeder of this.car.layout.slots.filter((s) => s.kind === 'bleeder'))
          this.add('afterPulls', { slotId: bleeder.id, volumeTyped: '20 mL', volumeMl: 20, air: 'none', closed: true });
      this.add('afterCares', { item, result: 'done', note: '' });
    }
  }
}

/** A vehicle of the shop, with what sits where while its story is told. */
export class Car {
  readonly vehicle: Vehicle;
  readonly layout: Layout;
  readonly sits = new Map<string, string>();
  private readonly story: Story;
  constructor(
    story: Story,
    facts: Omit<Vehicle, 'id' | 'ownerId' | 'version' | keyof typeof UNWEIGHED> & Partial<Vehicle>,
    template: string | ((vehicleId: string) => Layout),
  ) {
    this.story = story;
    this.vehicle = { ...UNWEIGHED, ...facts, id: v7(), ownerId: null, version: 1 };
    const drawn = typeof template === 'string' ? buildLayout(template, v7(), this.vehicle.id, v7) : template(this.vehicle.id);
    // Looked up when it was booked in: what end float may be hangs on it.
    const slots = drawn.slots.map((s) => (s.kind === 'hub' ? { ...s, style: 'unit_bearing' } : s));
    this.layout = { ...drawn, slots };
    story.vehicles.push({ vehicle: this.vehicle, layout: this.layout });
  }
  slot(kind: Slot['kind'], corner: Corner | null = null, name?: string): Slot {
    const found = this.layout.slots.find((s) => s.kind === kind && s.corner === corner && (name === undefined || s.name === name));
    if (!found) throw new Error(`no ${kind} at ${corner ?? 'the vehicle'}`);
    return found;
  }
  all(kind: Slot['kind']): Slot[] {
    return this.layout.slots.filter((s) => s.kind === kind);
  }
  partIn(slot: Slot): string | null {
    return this.sits.get(slot.id) ?? null;
  }
  job(author: string, startedAt: string, over: Partial<Job> & { complaint: string; kind?: JobKind }): Telling {
    const id = v7({ msecs: Date.parse(startedAt) });
    this.story.jobs.push({
      id,
      vehicleId: this.vehicle.id,
      kind: 'overhaul',
      wants: 'Safe and quiet, original parts where they hold.',
      fluidKnown: 'unknown',
      promised: null,
      finish: 'tidy',
      returnOf: null,
      authorisedMinor: null,
      scopeCorners: ['FL', 'FR', 'RL', 'RR'],
      scopeIn: [],
      scopeOut: [],
      openedAt: startedAt,
      openedBy: author,
      importId: null,
      version: 1,
      ...over,
    });
    const telling = new Telling(this.story, this, id, author, startedAt);
    if (this.sits.size === 0) this.findParts(telling);
    return telling;
  }
  private findParts(telling: Telling): void {
    for (const slot of this.layout.slots.filter((s) => KIND_FACTS[s.kind].article)) {
      const partId = v7();
      this.story.parts.push({ id: partId, tag: null, kind: slot.kind, name: slot.name, partNumber: null, note: '' });
      telling.add('partEvents', {
        partId,
        kind: 'found',
        slotId: slot.id,
        note: '',
        temporary: false,
        until: null,
        lot: null,
        lineOn: false,
      });
      this.sits.set(slot.id, partId);
    }
  }
  /** Binds a tag to what sits in a slot. */
  tag(slot: Slot, tag: string): void {
    const part = this.story.parts.find((p) => p.id === this.sits.get(slot.id));
    if (part) part.tag = tag;
  }
}
