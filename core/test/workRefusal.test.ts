import { expect } from 'chai';
import type { OptionId } from '../src/catalogue/repairOptions.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { lastPartIn } from '../src/history/whereabouts.ts';
import { buildStandalone } from '../src/layout/standaloneUnits.ts';
import { jointsOf } from '../src/readiness/joints.ts';
import type { PartEventKind } from '../src/ledger/families/partEvents.ts';
import { optionsOf, whyNotHoned } from '../src/readiness/options.ts';
import { whyNotTakenBack } from '../src/readiness/takenBack.ts';
import { asksLot, standsBefore, whyNotDone } from '../src/readiness/workRefusal.ts';
import { proposalsOf } from '../src/views/proposals.ts';
import { deriveJob } from '../src/job/job.ts';
import { base, fileOn, FOUR, id, JobFixture, LIMIT, NOW } from './jobFixture.ts';

const drums = (): JobFixture => new JobFixture(FOUR, [], 'drums_single');

/** Why something cannot be done to what belongs to a place, now. */
const why = (t: JobFixture, slotId: string, kind: PartEventKind, lot: string | null = 'K 1', instant = NOW): string | null =>
  whyNotDone(
    openHistory(t.file),
    { id: 'new', partId: lastPartIn(slotId, t.file.partEvents) ?? 'none', kind, slotId, lot, lineOn: false },
    instant,
  );

/** The line of a unit, opened. */
function open(t: JobFixture, slotId: string): void {
  const joint = jointsOf(t.layout).find((j) => j.slot.id === slotId)!;
  const at = { connectionId: joint.connection.id, slotId, kind: 'opened' as const, seal: null, typed: null, torqueNm: null, note: '' };
  t.file.jointEvents = [...t.file.jointEvents, { ...base(t.next()), ...at }];
}

/** A cylinder gauged, with a pit in the zone that its seal sweeps; `honeTo` over the bore when new, mm. */
function pitted(honeTo: number | null, depth: number | null = 0.02): { t: JobFixture; cylinder: string; pit: string } {
  const t = new JobFixture(FOUR, [], 'drums_single');
  const slot = t.layout.slots.find((s) => s.kind === 'wheel_cylinder' && s.corner === 'RL')!;
  const mm = (d: number): string => (slot.boreMm! + d).toFixed(3);
  t.gauge(
    slot.id,
    Array.from({ length: 6 }, () => mm(0.01)),
    { measurement: 'bore_diameter', count: 2 },
  );
  t.gauge(
    slot.id,
    Array.from({ length: 4 }, () => mm(-0.05)),
    { measurement: 'piston_diameter', count: 2 },
  );
  t.gauge(slot.id, ['12', '40'], { measurement: 'bore_zone' });
  const limit = {
    ...LIMIT,
    id: 'bore',
    seriesId: 'bore',
    characteristic: 'bore_wear' as const,
    bound: 'upper' as const,
    at: 0.1,
    nominal: 0,
  };
  t.file.limits = [{ ...limit, axle: 'rear', machineTo: honeTo }];
  const pit = t.find(slot.id, { severity: 'doubt', words: 'Pit', fromMm: 20, toMm: 22, depthMm: depth });
  return { t, cylinder: slot.id, pit: pit.id };
}

const ruled = (t: JobFixture, slotId: string): Partial<Record<OptionId, string | null>> =>
  Object.fromEntries(optionsOf(openHistory(t.file), t.component(slotId)).map((o) => [o.id, o.ruledOut]));

describe('work that cannot have been done', () => {
  it('nothing is taken off, freed or resealed behind a drum that is on; once the drum is off it is', () => {
    const t = drums();
    const [cylinder, drum] = [t.slot('wheel_cylinder', 'RL'), t.slot('drum', 'RL')];
    for (const kind of ['removed', 'freed', 'opened', 'resealed'] as const)
      expect(why(t, cylinder, kind), kind).to.equal('The rear left drum is on. Take it off first.');
    expect(why(t, t.slot('shoes', 'RL'), 'removed')).to.match(/drum is on/);
    expect(
      standsBefore(
        openHistory(t.file),
        t.layout.slots.find((s) => s.id === cylinder)!,
      )?.id,
    ).to.equal(drum);
    t.part(drum, 'removed');
    for (const kind of ['freed', 'opened', 'resealed'] as const) expect(why(t, cylinder, kind), kind).to.equal(null);
    expect(why(t, t.slot('wheel_cylinder', 'RR'), 'resealed'), 'the other side').to.match(/rear right drum is on/);
    t.part(drum, 'fitted', lastPartIn(drum, t.file.partEvents)!);
    expect(why(t, cylinder, 'resealed'), 'the drum is on again').to.match(/drum is on/);
  });
  it('is asked of the state at the moment at which it is said to have happened', () => {
    const t = drums();
    const [cylinder, drum] = [t.slot('wheel_cylinder', 'RL'), t.slot('drum', 'RL')];
    const early = base(t.next()).happenedAt;
    t.part(drum, 'removed');
    const open = base(t.next()).happenedAt;
    t.part(drum, 'fitted', lastPartIn(drum, t.file.partEvents)!);
    expect([early, open, NOW].map((at) => why(t, cylinder, 'freed', null, at) === null)).to.deep.equal([false, true, false]);
  });
  it('a caliper is resealed off the vehicle, its line open; a rotor is machined off it', () => {
    const t = new JobFixture();
    const [caliper, rotor] = [t.slot('caliper'), t.slot('rotor')];
    expect(why(t, caliper, 'resealed')).to.match(/is on the vehicle.*before it can be resealed/);
    expect(why(t, rotor, 'machined')).to.match(/is on the vehicle/);
    expect(why(t, rotor, 'removed')).to.match(/caliper is on/);
    expect(why(t, caliper, 'removed'), 'its line is neither opened nor said to be on').to.match(/which joint .* or that it hangs/);
    t.part(caliper, 'removed');
    expect(why(t, caliper, 'resealed')).to.match(/line at the front left caliper is still on/);
    expect(why(t, rotor, 'removed')).to.equal(null);
    open(t, caliper);
    expect(why(t, caliper, 'resealed')).to.equal(null);
    expect(why(t, caliper, 'resealed', null), 'nobody said which kit').to.match(
      /what went into or onto the front left caliper, kit or lot/,
    );
    expect(why(t, caliper, 'resealed', ''), 'none known is an answer').to.equal(null);
    expect(why(t, caliper, 'machined')).to.match(/nothing that can be machined/);
    expect(why(t, caliper, 'coated', null), 'nobody said which coat').to.match(/kit or lot/);
    expect(why(t, caliper, 'coated')).to.equal(null);
  });
  it('what is lined, sealed or coated is asked what went in, and nothing else is', () => {
    const kinds: readonly PartEventKind[] = [
      'removed',
      'opened',
      'freed',
      'resealed',
      'honed',
      'machined',
      'relined',
      'coated',
      'fitted',
      'scrapped',
    ];
    expect(kinds.filter(asksLot)).to.deep.equal(['resealed', 'relined', 'coated']);
  });
  it('what is away, scrapped, off or on already is not worked on, sent or fitted again', () => {
    const t = new JobFixture();
    const caliper = t.slot('caliper');
    expect(why(t, caliper, 'fitted')).to.match(/in its place already/);
    expect(why(t, caliper, 'sent')).to.match(/is on the vehicle/);
    expect(why(t, caliper, 'returned')).to.match(/was not sent out/);
    const part = lastPartIn(caliper, t.file.partEvents)!;
    t.part(caliper, 'removed');
    open(t, caliper);
    expect(why(t, caliper, 'removed')).to.match(/not in its place/);
    t.part(caliper, 'sent', part);
    for (const kind of ['resealed', 'coated', 'fitted', 'freed', 'sent'] as const) expect(why(t, caliper, kind), kind).to.match(/is away/);
    t.part(caliper, 'returned', part);
    for (const kind of ['resealed', 'coated', 'fitted', 'freed', 'sent'] as const) expect(why(t, caliper, kind), kind).to.equal(null);
    t.part(caliper, 'scrapped', part);
    for (const kind of ['resealed', 'fitted', 'sent'] as const) expect(why(t, caliper, kind), kind).to.match(/was scrapped/);
    t.part(caliper, 'fitted', 'another');
    expect(
      whyNotDone(openHistory(t.file), { id: 'x', partId: 'third', kind: 'fitted', slotId: caliper, lot: null, lineOn: false }, NOW),
    ).to.match(/Something else sits/);
  });
  it('what another is decided to go in for is not fitted again, but for now; what went in by that decision is', () => {
    const t = new JobFixture();
    const pads = t.slot('pads');
    const old = lastPartIn(pads, t.file.partEvents)!;
    const fits = (partId: string, temporary = false) =>
      whyNotDone(openHistory(t.file), { id: 'x', partId, kind: 'fitted', slotId: pads, lot: null, lineOn: false, temporary }, NOW);
    t.part(pads, 'removed');
    expect(fits(old)).to.equal(null);
    t.decide(pads, 'replace');
    expect(fits(old)).to.match(/Another front left pads is decided to go in/);
    expect([fits(old, true), fits('another')], 'for now, or another').to.deep.equal([null, null]);
    t.part(pads, 'fitted', 'another');
    t.part(pads, 'removed', 'another');
    expect([fits('another'), fits(old) === null], 'moved out of the way').to.deep.equal([null, false]);
    t.decide(pads, 'use_again');
    expect(fits(old), 'decided anew').to.equal(null);
  });
  it('units that came alone are in hand: nothing has to come off a vehicle', () => {
    const layout = buildStandalone([{ kind: 'caliper', count: 1, pistons: 2 }], 'lay', 'car', id);
    const file = fileOn(layout);
    const slot = layout.slots.find((s) => s.kind === 'caliper')!;
    const event = { id: 'n', partId: `part:${slot.id}`, slotId: slot.id, lot: 'K 1', lineOn: false };
    for (const kind of ['opened', 'resealed', 'freed', 'coated', 'sent'] as const)
      expect(whyNotDone(openHistory(file), { ...event, kind }, NOW), kind).to.equal(null);
  });
});

describe('a bore that is pitted where its seal runs', () => {
  it('is not used again, resealed or put off; within its hone-to it is honed, past it sleeved or renewed', () => {
    const { t, cylinder } = pitted(0.08);
    const options = ruled(t, cylinder);
    for (const id of ['use_again', 'reseal', 'put_off'] as const)
      expect(options[id], id).to.match(/0\.02 mm deep lies where the seal runs/);
    for (const id of ['hone', 'sleeve', 'replace'] as const) expect(options[id], id).to.equal(null);
    const past = pitted(0.03);
    expect(ruled(past.t, past.cylinder).hone).to.match(/Honed clean the bore would be .* hone-to is/);
    expect(ruled(past.t, past.cylinder).sleeve).to.equal(null);
    const none = pitted(null);
    expect(ruled(none.t, none.cylinder).hone).to.match(/No hone-to figure/);
  });
  it('whose depth nobody took is not called sound', () => {
    const { t, cylinder } = pitted(0.08, null);
    expect(ruled(t, cylinder).reseal).to.match(/not known/);
    expect(ruled(t, cylinder).hone).to.match(/Not known yet/);
  });
  it('is not resealed at the bench either, until it was honed; the look after it is owed still', () => {
    const { t, cylinder, pit } = pitted(0.08);
    t.part(t.slot('drum', 'RL'), 'removed');
    expect(why(t, cylinder, 'resealed')).to.match(/pit .* lies where the seal runs/);
    expect(why(t, cylinder, 'honed')).to.match(/Nobody has decided to hone/);
    t.decide(cylinder, 'hone');
    expect(why(t, cylinder, 'honed'), 'of which metal is not said').to.match(/what metal/);
    t.file.decisions = t.file.decisions.map((d) => ({ ...d, metal: 'aluminium' as const }));
    expect(why(t, cylinder, 'honed')).to.match(/Aluminium is never honed/);
    t.file.decisions = t.file.decisions.map((d) => ({ ...d, metal: 'iron' as const }));
    expect(why(t, cylinder, 'honed')).to.equal(null);
    t.part(cylinder, 'honed');
    expect(why(t, cylinder, 'resealed')).to.equal(null);
    const state = deriveJob(t.file, NOW);
    const open = (key: string): boolean =>
      state.obligations.some((o) => o.key.startsWith(key) && o.state === 'open' && o.slotId === cylinder);
    expect([open('decide:'), open('finding:'), open('work:')]).to.deep.equal([false, true, true]);
    expect(state.obligations.find((o) => o.key === `gauge:${cylinder}:bore_diameter:after_machining`)?.state).to.equal('open');
    expect(state.obligations.some((o) => o.key === `finding:${pit}` && o.state === 'open')).to.equal(true);
    t.part(cylinder, 'resealed');
    expect(deriveJob(t.file, NOW).obligations.find((o) => o.key === `work:${cylinder}`)?.state).to.equal('closed');
  });
  it('found again after honing counts again', () => {
    const { t, cylinder } = pitted(0.08);
    t.part(t.slot('drum', 'RL'), 'removed');
    t.decide(cylinder, 'hone');
    t.part(cylinder, 'honed');
    expect(why(t, cylinder, 'resealed')).to.equal(null);
    t.find(cylinder, { severity: 'doubt', words: 'Pit still there', fromMm: 21, toMm: 22, depthMm: 0.03 });
    expect(why(t, cylinder, 'resealed')).to.match(/pit .* lies where the seal runs/);
  });
  it('is proposed nothing that its own figures rule out', () => {
    const { t, cylinder } = pitted(0.03);
    t.file.causeLooks = [{ ...base(t.next()), fault: 'wc_seized', place: cylinder, state: 'found', said: null, rank: null }];
    const proposal = proposalsOf(deriveJob(t.file, NOW)).get(cylinder);
    expect(proposal?.option).to.equal('sleeve');
    expect(proposal?.because).to.match(/Clean and reseal is ruled out here: sleeve/);
  });
  it('a metal is said before anything is honed, and aluminium never is', () => {
    expect(whyNotHoned(null)).to.match(/what metal/);
    expect(whyNotHoned('aluminium')).to.match(/never honed/);
    expect([whyNotHoned('iron'), whyNotHoned('steel')]).to.deep.equal([null, null]);
  });
});

describe('a part that was found seized', () => {
  it('is not put off into use, nor is the caliper that its piston sits in', () => {
    const t = new JobFixture();
    const piston = t.slot('piston');
    const seized = t.find(piston, { severity: 'reject', code: 'seized', words: 'Seized' });
    for (const slot of [piston, t.slot('caliper')]) expect(ruled(t, slot).put_off, slot).to.match(/Found seized/);
    expect(ruled(t, t.slot('caliper', 'FR')).put_off).to.equal(null);
    t.find(piston, { severity: 'note', settles: seized.id });
    expect(ruled(t, piston).put_off).to.equal(null);
  });
});

describe('a piston with a pit', () => {
  it('whose seal may come over it is not used again before that is known, and its caliper is not resealed with it', () => {
    const t = new JobFixture();
    const [piston, caliper] = [t.slot('piston'), t.slot('caliper')];
    t.find(piston, { severity: 'doubt', words: 'Pit', entry: 'piston_pit', fromMm: 11, toMm: 14, depthMm: 0.1 });
    expect(ruled(t, piston).use_again).to.match(/not known/);
    t.part(caliper, 'removed');
    open(t, caliper);
    expect(why(t, caliper, 'resealed')).to.match(/piston 1: A pit of the piston is on record/);
    // Without its piston, another one goes in.
    t.part(t.slot('pads'), 'removed');
    t.part(piston, 'removed');
    t.part(piston, 'scrapped', lastPartIn(piston, t.file.partEvents)!);
    expect(why(t, caliper, 'resealed')).to.equal(null);
  });
});

describe('what something later rests on', () => {
  const taken = (t: JobFixture, id: string): string | null => whyNotTakenBack(openHistory(t.file), id);
  const last = (t: JobFixture): string => t.file.partEvents.at(-1)!.id;

  it('a drum was off while its cylinder was sealed: the one is taken back after the other', () => {
    const t = drums();
    const [drum, cylinder] = [t.slot('drum'), t.slot('wheel_cylinder')];
    t.part(drum, 'removed', `part:${drum}`);
    const off = last(t);
    expect(taken(t, off)).to.equal(null);
    t.part(cylinder, 'resealed', `part:${cylinder}`);
    t.file.partEvents = t.file.partEvents.map((e) => (e.kind === 'resealed' ? { ...e, lot: 'K 1' } : e));
    const sealed = last(t);
    expect(taken(t, off)).to.match(
      /^Front left wheel cylinder.* resealed: that could not have been done without it\. Take that back first\.$/,
    );
    expect(taken(t, sealed)).to.equal(null);
    t.takeBack(sealed);
    expect(taken(t, off)).to.equal(null);
  });

  it('a line was open while its unit came off; nothing rests on what belongs to another place, or is on no record', () => {
    const t = new JobFixture(FOUR);
    const caliper = t.slot('caliper');
    open(t, caliper);
    const joint = t.file.jointEvents.at(-1)!.id;
    t.part(caliper, 'removed', `part:${caliper}`);
    expect(taken(t, joint)).to.match(/taken off: that could not have been done without it/);
    open(t, t.slot('caliper', 'FR'));
    expect(taken(t, t.file.jointEvents.at(-1)!.id)).to.equal(null);
    expect(taken(t, 'nowhere')).to.equal(null);
  });
});
