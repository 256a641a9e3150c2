import { expect } from 'chai';
import fc from 'fast-check';
import { tighteningOrder } from '../src/catalogue/fastening.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { deriveJob } from '../src/job/job.ts';
import type { Fate, StripMark } from '../src/ledger/families/stripMarks.ts';
import type { StripTell } from '../src/ledger/families/stripTells.ts';
import { handUnknown, whyNotFastened } from '../src/readiness/fasteners.ts';
import { isFirstTime, isKnownHere } from '../src/readiness/firstTime.ts';
import { kitMissing, kitOf, whyNotCounted } from '../src/readiness/kit.ts';
import { ladderState, whyNotTried } from '../src/readiness/ladder.ts';
import { stripOf, stripPattern, whyNotMarked, whyNotStripTold } from '../src/readiness/strip.ts';
import { torqueFault } from '../src/stages/torquePoints.ts';
import { CARD_REFUSED } from '../src/wording/en/cards.ts';
import { RUNG_MISSING } from '../src/wording/en/ladders.ts';
import { KIT, STRIP_REFUSED } from '../src/wording/en/strip.ts';
import { Bench } from './cardBench.ts';
import { base, FOUR, JobFixture, NOW } from './jobFixture.ts';

const mark = (minute: number, slotId: string, over: Partial<StripMark> = {}): StripMark => ({
  ...{
    ...base(minute),
    slotId,
    x: 0.2,
    y: 0.3,
    what: 'Long spring',
    note: '',
    fate: 'back',
    colour: '',
    wireMm: null,
    freeMm: null,
    hash: null,
  },
  ...over,
});
const tell = (minute: number, markId: string, over: Partial<StripTell> = {}): StripTell => ({
  ...{ ...base(minute), markId, kind: 'in', note: '' },
  ...over,
});

describe('what came off a unit', () => {
  const job = new JobFixture(FOUR);
  const at = (kind: string, corner: string) => job.layout.slots.find((s) => s.kind === kind && s.corner === corner)!;
  const caliper = at('caliper', 'FL');
  const history = () => openHistory(job.file);
  const owed = () => deriveJob(job.file, NOW).obligations.find((o) => o.key === `strip:${caliper.id}`);

  it('is numbered as it came off, goes in backwards, and is owed until each piece is in or left over by name', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom<Fate>('back', 'renewed', 'moves', 'left'), { minLength: 1, maxLength: 6 }),
        fc.array(fc.nat(5), { maxLength: 6 }),
        (fates, order) => {
          job.file.stripMarks = fates.map((fate, i) => mark(10 + i, caliper.id, { fate }));
          job.file.stripTells = [];
          expect(stripOf(history(), caliper).pieces.map((p) => p.number)).to.deep.equal(fates.map((_, i) => i + 1));
          let open = fates.filter((f) => f !== 'left').length;
          for (const [n, i] of order.entries()) {
            const m = job.file.stripMarks[i];
            if (!m) continue;
            const t = tell(30 + n, m.id);
            const stood = stripOf(history(), caliper).pieces[i]!.open;
            expect(whyNotStripTold(history(), t)).to.equal(stood ? null : STRIP_REFUSED.twice);
            if (!stood) continue;
            job.file.stripTells = [...job.file.stripTells, t];
            open -= 1;
          }
          const now = stripOf(history(), caliper);
          expect(now.open).to.have.length(open);
          // What came off last of what is left goes in first.
          expect(now.next?.number).to.equal(open > 0 ? Math.max(...now.open.map((p) => p.number)) : undefined);
          expect(owed()?.state).to.equal(open > 0 ? 'open' : 'closed');
        },
      ),
      { numRuns: 60 },
    );
  });

  it('is left over only with a reason, and what nobody knows the place of is asked for last', () => {
    const [spring, stray] = [mark(10, caliper.id), mark(11, caliper.id, { x: null, y: null, fate: 'unknown' })];
    job.file.stripMarks = [spring, stray];
    job.file.stripTells = [];
    expect(stripOf(history(), caliper).next?.mark).to.equal(spring);
    expect(whyNotStripTold(history(), tell(12, stray.id, { kind: 'left', note: ' a ' }))).to.equal(STRIP_REFUSED.why);
    expect(whyNotStripTold(history(), tell(12, stray.id, { kind: 'left', note: 'Off the bench beside it' }))).to.equal(null);
    expect(whyNotStripTold(history(), tell(12, 'another'))).to.equal(STRIP_REFUSED.noPiece);
    job.file.stripTells = [tell(12, spring.id)];
    expect(stripOf(history(), caliper).next?.mark).to.equal(stray);
  });

  it('has a place on the drawing or none, a name, and a picture that is there', () => {
    const ok = { slotId: caliper.id, x: 0.1, y: 0.9, what: 'Clip', hash: null };
    expect(whyNotMarked(history(), ok)).to.equal(null);
    expect(whyNotMarked(history(), { ...ok, x: null, y: null })).to.equal(null);
    expect(whyNotMarked(history(), { ...ok, y: null })).to.equal(STRIP_REFUSED.halfPlace);
    expect(whyNotMarked(history(), { ...ok, what: ' c ' })).to.equal(STRIP_REFUSED.what);
    expect(whyNotMarked(history(), { ...ok, slotId: 'nowhere' })).to.equal(STRIP_REFUSED.noUnit);
    expect(whyNotMarked(history(), { ...ok, hash: 'f'.repeat(64) })).to.equal(STRIP_REFUSED.picture);
  });

  it('is the pattern of the other side, mirrored; without it, that of the last time here', () => {
    const right = at('caliper', 'FR');
    job.file.stripMarks = [mark(10, caliper.id, { x: 0.2 }), mark(11, caliper.id, { x: null, y: null })];
    expect(stripPattern(history(), right)?.pieces.map((p) => p.mark.x)).to.deep.equal([0.8, null]);
    expect(stripPattern(history(), right)).to.include({ mirrored: true, earlier: false, of: caliper });
    expect(stripPattern(history(), caliper)).to.equal(null);
    job.file.pastJobs = [{ id: 'before', kind: 'overhaul', complaint: '', openedAt: '2020-01-01T00:00:00.000Z', releasedAt: null }];
    job.file.stripMarks = [{ ...mark(0, caliper.id, { x: 0.2 }), jobId: 'before' }];
    expect(stripPattern(history(), caliper)).to.deep.include({ mirrored: false, earlier: true });
    expect(stripPattern(history(), caliper)?.pieces[0]?.mark.x).to.equal(0.2);
    expect(stripPattern(history(), right)?.pieces[0]?.mark.x).to.equal(0.8);
    // What came off on an earlier job is not owed on this one.
    expect(owed()).to.equal(undefined);
    job.file.pastJobs = [];
  });
});

describe('a kit that was laid out', () => {
  const bench = new Bench('caliper', 'reseal');
  const run = bench.now().run;
  const taking = run.steps.find((s) => s.takes.length > 0)!;
  const count = (short: string | null) => ({
    ...{ ...base(5), slotId: run.slotId, runId: run.id, note: '' },
    pieces: kitOf(bench.history(), run).wanted.map((w) => ({ ...w, found: w.name === short ? w.wanted - 1 : w.wanted })),
  });

  it('names all that its card takes, and nothing else', () => {
    const good = count(null);
    expect(good.pieces.length).to.be.greaterThan(0);
    expect(whyNotCounted(bench.history(), good)).to.equal(null);
    expect(whyNotCounted(bench.history(), { ...good, pieces: good.pieces.slice(1) })).to.equal(KIT.notTaken);
    expect(whyNotCounted(bench.history(), { ...good, pieces: good.pieces.map((p) => ({ ...p, wanted: p.wanted + 1 })) })).to.equal(
      KIT.notTaken,
    );
    const boot = { name: 'Boot', wanted: 2, found: 1 };
    expect(whyNotCounted(bench.history(), { ...good, pieces: [...good.pieces, boot] })).to.equal(null);
    expect(whyNotCounted(bench.history(), { ...good, pieces: [...good.pieces, boot, { ...boot, name: ' boot ' }] })).to.equal(KIT.twice);
    expect(whyNotCounted(bench.history(), { ...good, pieces: [...good.pieces, { ...boot, wanted: 0 }] })).to.equal(KIT.twice);
    expect(whyNotCounted(bench.history(), { ...good, runId: 'another' })).to.equal(KIT.noCard);
    expect(whyNotCounted(bench.history(), { ...good, slotId: 'another' })).to.equal(KIT.noCard);
  });

  it('keeps back the sealing where a piece that the card does not name is short', () => {
    const boot = { name: 'Boot', wanted: 2, found: 1 };
    bench.file.kitCounts = [{ ...count(null), pieces: [...count(null).pieces, boot] }];
    const [sealing, other] = [
      run.steps.find((s) => s.enters === 'resealed')!,
      run.steps.find((s) => s.enters === null && s.takes.length === 0)!,
    ];
    expect(kitMissing(bench.history(), run, sealing)).to.equal(KIT.missing([boot]));
    expect(kitMissing(bench.history(), run, other)).to.equal(null);
    bench.file.kitCounts = [];
  });

  it('keeps back the step that takes what is short, until it is counted whole', () => {
    expect(kitOf(bench.history(), run).short, 'never counted').to.deep.equal([]);
    bench.file.kitCounts = [count(taking.takes[0]!.name)];
    expect(kitOf(bench.history(), run).short.map((p) => p.name)).to.deep.equal([taking.takes[0]!.name]);
    const words = KIT.missing(kitOf(bench.history(), run).short);
    // By the record that closes it, or told: whichever way in.
    bench.off();
    for (const kind of ['opened', 'resealed'] as const) bench.part(bench.at, kind);
    const said = run.steps.filter((s) => s.takes.some((t) => t.name === taking.takes[0]!.name)).map((s) => bench.tell(s.id));
    expect(
      said.some((w) => w === words || w === CARD_REFUSED.by_record),
      String(said),
    ).to.equal(true);
    bench.file.kitCounts = [...bench.file.kitCounts, count(null)];
    expect(kitOf(bench.history(), run).short).to.deep.equal([]);
  });
});

describe('who does a card for the first time', () => {
  const person = (id: string, active = true) => ({ id, name: id, initials: id, role: 'technician' as const, active });
  const bench = new Bench('caliper', 'reseal');
  const { run } = bench.now();
  const first = run.steps.find((s) => s.obliged && !s.second && s.enters === null && s.needs.length === 0 && s.kind === 'do')!;

  it('has somebody look at what is obligatory, who has done it before; nobody could in a shop of one', () => {
    bench.file.people = [person('ann'), person('ben'), person('cal')];
    expect(bench.tell(first.id)).to.equal(null);
    // Nobody has: then anybody else looks.
    expect(bench.tell(first.id, { kind: 'seconded', authorId: 'cal' })).to.equal(null);
    bench.file.cardTells = [];
    bench.file.cardHands = [{ cardId: run.cardId, personId: 'ben', since: base(-60).happenedAt }];
    expect(isFirstTime(bench.history(), run, 'ann')).to.equal(true);
    expect(isFirstTime(bench.history(), run, 'ben')).to.equal(false);
    expect(bench.tell(first.id)).to.equal(null);
    const owes = () => bench.now().steps.find((s) => s.step.id === first.id)!.owesSecond;
    expect(owes()).to.equal(true);
    expect(bench.tell(first.id, { kind: 'seconded' }), 'by himself').to.equal(CARD_REFUSED.second_self);
    expect(bench.tell(first.id, { kind: 'seconded', authorId: 'cal' }), 'by who is new to it, too').to.equal(CARD_REFUSED.second_new);
    expect(bench.tell(first.id, { kind: 'seconded', authorId: 'ben' })).to.equal(null);
    expect(owes()).to.equal(false);
    bench.file.people = [person('ann'), person('ben', false)];
    expect(isFirstTime(bench.history(), run, 'ann'), 'who has left looks at nothing').to.equal(false);
    bench.file.people = [person('ann'), person('ben', false), person('cal')];
    expect(isKnownHere(bench.history(), run), 'who knew it has left').to.equal(false);
  });

  it('is not new to it at the second place of the same job', () => {
    bench.file.people = [person('ann'), person('ben')];
    bench.file.cardHands = [];
    const second = { id: 'second', cardId: run.cardId, happenedAt: NOW };
    expect(isFirstTime(bench.history(), second, 'ann')).to.equal(false);
    expect(isFirstTime(bench.history(), { ...second, cardId: 'another' }, 'ann')).to.equal(true);
    // What was done since makes nobody one who had done it then.
    bench.file.cardHands = [{ cardId: 'another', personId: 'ann', since: '2026-12-31T00:00:00.000Z' }];
    expect(isFirstTime(bench.history(), { ...second, cardId: 'another' }, 'ann')).to.equal(true);
  });
});

describe('fasteners', () => {
  it('are drawn up crosswise: each once, and those across from each other together', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 16 }), (n) => {
        const order = tighteningOrder(n);
        expect([...order].sort((a, b) => a - b)).to.deep.equal(Array.from({ length: n }, (_, i) => i + 1));
        if (n < 4) return;
        order.forEach((x, i) => {
          const next = order[i + 1];
          if (next === undefined) return;
          const apart = Math.min((x - next + n) % n, (next - x + n) % n);
          // Never its neighbour, but where only five or four leave no other: then the one across.
          if (n % 2 === 1 || i % 2 === 0) expect(apart, `${n}: ${order.join(' ')}`).to.equal(Math.floor(n / 2));
        });
      }),
    );
    for (const bad of [0, -1, 2.5]) expect(tighteningOrder(bad)).to.deep.equal([]);
  });

  it('are tried with nothing harsher than a soak while it is not known which way they are undone', () => {
    const job = new JobFixture(FOUR);
    const hub = job.layout.slots.find((s) => s.kind === 'hub' && s.corner === 'FL')!;
    const history = () => openHistory(job.file);
    const tried = (rungId: string) => whyNotTried(history(), { slotId: hub.id, ladderId: 'unit', rungId, minutes: 5 }, NOW);
    expect([handUnknown(history(), hub), tried('soak'), tried('turn')]).to.deep.equal([true, null, RUNG_MISSING.hand]);
    const fact = { form: 'stud_nut', count: 1, thread: 'M20 x 1.5', seat: 'flat', key: '', oiled: false, note: '' } as const;
    job.file.fastenerFacts = [{ ...base(5), ...fact, point: `hub:${hub.id}`, hand: 'unknown' }];
    expect(tried('turn')).to.equal(RUNG_MISSING.hand);
    job.file.fastenerFacts = [...job.file.fastenerFacts, { ...base(6), ...fact, point: `hub:${hub.id}`, hand: 'left' }];
    expect([handUnknown(history(), hub), tried('turn')]).to.deep.equal([false, null]);
    // A bleeder is never left-handed.
    const bleeder = job.layout.slots.find((s) => s.kind === 'bleeder')!;
    expect(ladderState(history(), bleeder, NOW)?.next?.missing).to.equal(null);
    expect(handUnknown(history(), bleeder)).to.equal(false);
    for (const bad of ['wheel:XX', 'hub:nowhere', `caliper:${hub.id}`, 'x']) expect(whyNotFastened(history(), bad), bad).to.be.a('string');
    for (const good of ['wheel:FL', `hub:${hub.id}`]) expect(whyNotFastened(history(), good), good).to.equal(null);
  });

  it('hold by the range that the book gives, and by a tenth where it gives one figure', () => {
    const fault = (canonical: number, targetTo = 0) => torqueFault({ point: 'wheel:FL', target: 60, targetTo, canonical });
    expect([fault(66), fault(54), fault(60, 70), fault(70, 70)]).to.deep.equal([null, null, null, null]);
    for (const bad of [fault(67), fault(53), fault(59, 70), fault(71, 70), fault(60, 50)]) expect(bad).to.be.a('string');
  });
});
