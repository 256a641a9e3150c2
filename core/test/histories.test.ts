import { expect } from 'chai';
import fc from 'fast-check';
import { proofCloses } from '../src/catalogue/proofItems.ts';
import type { Obligation } from '../src/ledger/obligation.ts';
import { fileAsOf } from '../src/history/asOf.ts';
import { isAssumed } from '../src/history/assumed.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { lateEvents } from '../src/history/late.ts';
import { withOneName } from '../src/history/sameArticle.ts';
import { partIn, whereabouts } from '../src/history/whereabouts.ts';
import { deriveJob, itemLock } from '../src/job/job.ts';
import { weighLate } from '../src/job/judgeAgain.ts';
import type { Slot } from '../src/layout/graph.ts';
import { KIND_FACTS } from '../src/layout/kinds.ts';
import { controlsOf } from '../src/layout/reach.ts';
import { type Finding, SAID_IN_WORDS } from '../src/ledger/families/findings.ts';
import type { Proof } from '../src/ledger/families/proofs.ts';
import type { PutInKind } from '../src/ledger/families/putIns.ts';
import type { JobRecords } from '../src/ledger/jobRecords.ts';
import { voidedJobs } from '../src/ledger/voided.ts';
import { jointsOf, jointStatus } from '../src/readiness/joints.ts';
import { endedBy } from '../src/readiness/lapsing.ts';
import { pressedFor } from '../src/readiness/pedalLock.ts';
import { buildSheet } from '../src/views/handback.ts';
import { base, FOUR, id, NOW, JobFixture } from './jobFixture.ts';

/** One step of a history: which, and where. */
type Step = readonly [
  (
    | 'off'
    | 'fit'
    | 'send'
    | 'back'
    | 'block'
    | 'unblock'
    | 'open'
    | 'make'
    | 'torque'
    | 'prove'
    | 'pull'
    | 'find'
    | 'gauge'
    | 'takeback'
    | 'decide'
  ),
  number,
];
const STEPS = [
  ...['off', 'fit', 'send', 'back', 'block', 'unblock', 'open', 'make', 'torque'],
  ...['prove', 'pull', 'find', 'gauge', 'takeback', 'decide'],
] as Step[0][];
const history = fc.array(fc.tuple(fc.constantFrom(...STEPS), fc.nat(6)), { minLength: 8, maxLength: 40, size: 'max' });
const ITEMS = ['pedal_hold', 'leak_look', 'pedal_return', 'parking', 'road'];

/** Tells a random valid history: only what can happen does, everything else is passed over. */
class Life extends JobFixture {
  readonly articles: readonly Slot[] = this.layout.slots.filter((s) => KIND_FACTS[s.kind].article);
  constructor(steps: readonly Step[]) {
    super(FOUR);
    for (const [what, n] of steps) this.step(what, n);
  }
  private pick<T>(list: readonly T[], n: number): T {
    return list[n % list.length]!;
  }
  private events(): { id: string }[] {
    const { proofs, findings, bleedPulls, putIns, jointEvents, sets } = this.file;
    return [...proofs, ...findings, ...bleedPulls, ...putIns, ...jointEvents, ...sets];
  }
  private step(what: Step[0], n: number): void {
    const slot = this.pick(this.articles, n);
    const sits = partIn(slot.id, this.file.partEvents);
    const mine = `part:${slot.id}`;
    const at = whereabouts(mine, this.file.partEvents).at;
    const joint = this.pick(jointsOf(this.layout), n);
    const logJoint = (kind: 'opened' | 'made' | 'torqued'): void => {
      const row = {
        ...base(this.next()),
        connectionId: joint.connection.id,
        slotId: joint.slot.id,
        kind,
        seal: null,
        typed: null,
        torqueNm: null,
        note: '',
      };
      this.file.jointEvents = [...this.file.jointEvents, row];
    };
    if (what === 'off' && sits !== null) this.part(slot.id, 'removed', sits);
    else if (what === 'fit' && sits === null && at !== 'away') this.part(slot.id, 'fitted', mine);
    else if (what === 'send' && sits === null && at === 'shelf') this.part(slot.id, 'sent', mine);
    else if (what === 'back' && at === 'away') this.part(slot.id, 'returned', mine);
    else if (what === 'block') {
      const kind = this.pick<PutInKind>(['block', 'cap', 'clamp'], n);
      this.file.putIns = [...this.file.putIns, { ...base(this.next()), slotId: slot.id, what: kind, note: '' }];
    } else if (what === 'unblock' && this.file.putIns.length > 0) {
      this.file.takenOuts = [...this.file.takenOuts, { ...base(this.next()), putInId: this.pick(this.file.putIns, n).id }];
    } else if (what === 'open') logJoint('opened');
    else if (what === 'make') logJoint('made');
    else if (what === 'torque') logJoint('torqued');
    else if (what === 'prove') {
      const row: Proof = { ...base(this.next()), item: this.pick(ITEMS, n), slotId: null, corner: null, result: 'passed', note: '' };
      this.file.proofs = [...this.file.proofs, row];
    } else if (what === 'pull') {
      const bleeder = this.pick(
        this.layout.slots.filter((s) => s.kind === 'bleeder'),
        n,
      );
      const pulled = { volumeTyped: '10 mL', volumeMl: 10, colour: 'clear', air: 'none', closed: n % 5 !== 0, method: null } as const;
      this.file.bleedPulls = [...this.file.bleedPulls, { ...base(this.next()), slotId: bleeder.id, ...pulled }];
    } else if (what === 'find') {
      this.find(slot.id, { severity: this.pick<Finding['severity']>(['note', 'watch', 'doubt', 'reject'], n) });
    } else if (what === 'gauge') {
      const rotor = this.pick(
        this.layout.slots.filter((s) => s.kind === 'rotor'),
        n,
      );
      if (partIn(rotor.id, this.file.partEvents) !== null)
        this.gauge(
          rotor.id,
          Array.from({ length: 8 }, (_, i) => (12.6 - ((n + i) % 3) * 0.01).toFixed(2)),
        );
    } else if (what === 'takeback' && this.events().length > 0) this.takeBack(this.pick(this.events(), n).id);
    else if (what === 'decide') this.decide(slot.id, this.pick(['use_again', 'replace', 'put_off'], n));
  }
  state() {
    return deriveJob(this.file, NOW);
  }
}

/** A plain re-reading of the part events: what sits where, one event after the other. */
function rereadPlaces(records: JobRecords): Map<string, string | null> {
  const sits = new Map<string, string | null>();
  for (const e of [...records.partEvents].sort((a, b) => (a.happenedAt < b.happenedAt ? -1 : 1))) {
    if (e.slotId !== null && (e.kind === 'found' || e.kind === 'fitted')) {
      for (const [slot, part] of sits) if (part === e.partId) sits.set(slot, null);
      sits.set(e.slotId, e.partId);
    } else if (['removed', 'sent', 'returned', 'scrapped'].includes(e.kind)) {
      for (const [slot, part] of sits) if (part === e.partId) sits.set(slot, null);
    }
  }
  return sits;
}

const RUNS = { numRuns: 40 };

describe('over random valid histories', () => {
  it('what sits where, and what state a place is in, equals a plain re-reading of the events', () => {
    fc.assert(
      fc.property(history, (steps) => {
        const t = new Life(steps);
        const s = t.state();
        const sits = rereadPlaces(t.file);
        const gone = s.history.retracted;
        const out = new Set(t.file.takenOuts.filter((x) => !gone.has(x.id)).map((x) => x.putInId));
        for (const p of s.context.proofStatus.places) {
          const part = sits.get(p.slot.id) ?? null;
          const inside = t.file.putIns.filter((x) => x.slotId === p.slot.id && !gone.has(x.id) && !out.has(x.id));
          const openJoint = jointsOf(t.layout).some(
            (j) =>
              j.slot.id === p.slot.id &&
              jointStatus(
                j,
                t.file.jointEvents.filter((e) => !gone.has(e.id)),
              ).state === 'open',
          );
          const article = KIND_FACTS[p.slot.kind].article;
          const expected =
            article && part === null
              ? whereabouts(`part:${p.slot.id}`, t.file.partEvents).at === 'away'
                ? 'away'
                : 'open'
              : openJoint
                ? 'open'
                : inside.length > 0
                  ? 'blocked'
                  : 'complete';
          expect(p.state, p.slot.name).to.equal(expected);
          expect(p.inside.map((x) => x.id).sort()).to.deep.equal(inside.map((x) => x.id).sort());
        }
      }),
      RUNS,
    );
  });

  it('no proof stands that a later event ends', () => {
    fc.assert(
      fc.property(history, (steps) => {
        const t = new Life(steps);
        const s = t.state();
        for (const item of s.context.proofItems) {
          const now = s.context.proofStatus.answer(item);
          if (!now || now.lapsed) continue;
          const proved = {
            kind: 'item' as const,
            item: item.item,
            corner: item.corner,
            at: now.record.happenedAt,
            recordedAt: now.record.recordedAt,
          };
          expect(endedBy(t.layout, s.context.proofStatus.disturbed, proved)).to.equal(null);
        }
        for (const o of s.obligations.filter((x) => x.state === 'closed' && x.key.startsWith('proof:'))) {
          const record = t.file.proofs.find((p) => p.id === o.closedBy);
          expect(record && proofCloses(record.result) && !s.history.retracted.has(record.id), o.key).to.equal(true);
        }
      }),
      RUNS,
    );
  });

  it('no pedal step is free while a unit on its control is open', () => {
    fc.assert(
      fc.property(history, (steps) => {
        const s = new Life(steps).state();
        for (const control of controlsOf(s.records.layout)) {
          const shut = s.context.proofStatus.places.every(
            (p) => !control.reach.has(p.slot.id) || !['open', 'away', 'blocked'].includes(p.state),
          );
          const lock = s.context.proofStatus.locks.find((l) => l.control.slotId === control.slotId);
          // The parking lever is free over an open line; what locks it is open all the same.
          if (control.kind !== 'parking' || shut) expect(lock === undefined, control.name).to.equal(shut);
        }
        const locked = new Set(s.context.proofStatus.locks.map((l) => l.control.slotId));
        const pedal = s.context.proofStatus.locks.some((l) => l.control.kind === 'pedal');
        const pressed = (i: (typeof s.context.proofItems)[number]) => pressedFor(s.records.layout, i);
        const pressing = s.context.proofItems.filter((i) => pressed(i).some((c) => c.kind === 'pedal'));
        expect(pressing.length).to.be.greaterThan(0);
        for (const item of pressing)
          expect(itemLock(s, item) !== null, item.item).to.equal(pressed(item).some((c) => locked.has(c.slotId)));
        if (pedal) expect(s.blocks.some((b) => b.key.startsWith('lock:'))).to.equal(true);
      }),
      RUNS,
    );
  });

  it('obligations never contradict the release list', () => {
    fc.assert(
      fc.property(history, (steps) => {
        const s = new Life(steps).state();
        const keys = s.obligations.map((o) => o.key);
        expect(new Set(keys).size, 'each obligation once').to.equal(keys.length);
        const open = (o: Obligation): boolean => o.state === 'open' || o.state === 'waiting';
        expect(s.blocks).to.deep.equal(s.obligations.filter(open));
        for (const stage of s.stages) {
          const mine = s.obligations.filter((o) => o.stage === stage.stage);
          expect(stage.open + stage.waiting).to.equal(mine.filter(open).length);
          expect(stage.all).to.equal(mine.length);
        }
        const first = s.stages.find((x) => x.open > 0) ?? s.stages.find((x) => x.waiting > 0);
        expect(s.stage).to.equal(first?.stage ?? null);
        if (s.context.proofStatus.places.some((p) => p.state !== 'complete' && KIND_FACTS[p.slot.kind].article)) {
          expect(s.blocks.length, 'something is not complete, and nothing is in the way').to.be.greaterThan(0);
        }
      }),
      RUNS,
    );
  });

  it('a take-back leaves every other figure as it was, and one of it restores it', () => {
    fc.assert(
      fc.property(history, fc.nat(997), (steps, n) => {
        const t = new Life(steps);
        const before = t.state();
        const sets = t.file.sets.filter((s) => !before.history.retracted.has(s.id));
        const set = sets[n % Math.max(1, sets.length)];
        if (!set) return;
        const figures = (s: ReturnType<Life['state']>): string[] =>
          s.components.flatMap((c) => c.judged.map((j) => `${j.setId} ${j.characteristic.id} ${j.reduced.value} ${j.verdict}`));
        t.takeBack(set.id);
        const after = t.state();
        const same = sets.filter((s) => s.slotId !== set.slotId).map((s) => s.id);
        const others = (s: ReturnType<Life['state']>): string[] => figures(s).filter((f) => same.some((x) => f.startsWith(x)));
        expect(others(after)).to.deep.equal(others(before));
        expect(figures(after).some((f) => f.startsWith(set.id))).to.equal(false);
        t.takeBack(t.file.takeBacks.at(-1)!.id);
        expect(figures(t.state())).to.deep.equal(figures(before));
      }),
      RUNS,
    );
  });

  it('moving a set takes its figures along and leaves those of every other place', () => {
    fc.assert(
      fc.property(history, (steps) => {
        const t = new Life([...steps, ['gauge', 1] as const]);
        const set = t.file.sets.at(-1);
        if (!set || openHistory(t.file).retracted.has(set.id)) return;
        const to = t.layout.slots.find((s) => s.kind === 'rotor' && s.id !== set.slotId)!;
        const elsewhere = (s: ReturnType<Life['state']>): unknown =>
          s.components
            .filter((c) => c.slot.id !== to.id && c.slot.id !== set.slotId)
            .map((c) => c.judged.map((j) => [j.setId, j.reduced.value, j.verdict]));
        const before = elsewhere(t.state());
        const partId = partIn(to.id, t.file.partEvents);
        t.file.setMoves = [{ ...base(t.next(), { corrects: set.id }), setId: set.id, slotId: to.id, partId, supersedes: null }];
        expect(elsewhere(t.state())).to.deep.equal(before);
        expect(openHistory(t.file).sets.find((s) => s.id === set.id)?.slotId).to.equal(to.id);
      }),
      RUNS,
    );
  });

  it('two articles joined have one life, and one split from an instant on has two', () => {
    fc.assert(
      fc.property(history, fc.nat(997), (steps, n) => {
        const t = new Life(steps);
        const slot = t.articles[n % t.articles.length]!;
        const part = `part:${slot.id}`;
        const mine = t.file.partEvents.filter((e) => e.partId === part);
        const since = mine.at(Math.floor(mine.length / 2))!.happenedAt;
        const row = { ...base(t.next()), kind: 'split' as const, partId: part, otherId: 'twin', since, reason: 'two of them' };
        t.file.partCorrections = [row];
        const split = openHistory(t.file).records;
        const of = (p: string): string[] => split.partEvents.filter((e) => e.partId === p).map((e) => e.id);
        expect([...of(part), ...of('twin')].sort()).to.deep.equal(mine.map((e) => e.id).sort());
        expect(split.partEvents.filter((e) => e.partId === 'twin').every((e) => e.happenedAt >= since)).to.equal(true);
        const joined = { ...row, id: id(), kind: 'join' as const, partId: 'twin', otherId: part, since: null };
        t.file.partCorrections = [row, { ...joined, happenedAt: base(t.next()).happenedAt }];
        expect(openHistory(t.file).records.partEvents.filter((e) => !isAssumed(e))).to.deep.equal(t.file.partEvents);
        expect(withOneName({ ...t.file, partCorrections: [] }, new Set())).to.deep.equal({ ...t.file, partCorrections: [] });
      }),
      RUNS,
    );
  });

  it('a voided job counts for nothing and owes nothing; the void taken back, it is as it was', () => {
    fc.assert(
      fc.property(history, (steps) => {
        const t = new Life(steps);
        const before = t.state();
        const row = { ...base(t.next()), reason: 'booked twice' };
        t.file.voids = [row];
        expect(voidedJobs(t.file.voids, new Set()).has('job')).to.equal(true);
        const s = t.state();
        expect(s.voided).to.equal(true);
        expect(s.obligations).to.deep.equal([]);
        expect(s.components.flatMap((c) => c.judged)).to.deep.equal([]);
        expect(s.components.every((c) => c.empty === false || !KIND_FACTS[c.slot.kind].article)).to.equal(true);
        t.takeBack(row.id);
        expect(t.state().obligations).to.deep.equal(before.obligations);
      }),
      RUNS,
    );
  });

  it('what comes in late leaves the record as it was, is marked, and its weight is told', () => {
    fc.assert(
      fc.property(history, (steps) => {
        const t = new Life([...steps, ['gauge', 0] as const]);
        const at = base(t.next()).happenedAt;
        const sheet = buildSheet(t.state(), at);
        t.file.release = {
          id: 'r',
          jobId: 'job',
          releasedBy: 'ann',
          importId: null,
          releasedAt: at,
          ownWork: false,
          ruleVersion: '1',
          sheet,
        };
        const before = t.state();
        const late = { ...base(1), recordedAt: new Date(Date.parse(at) + 3600000).toISOString() };
        const row: Finding = {
          ...late,
          slotId: t.slot('hose'),
          partId: null,
          words: 'weeps',
          code: null,
          severity: 'reject',
          cleaning: 'after',
          rulesOut: [],
          settles: null,
          ...SAID_IN_WORDS,
        };
        t.file.findings = [...t.file.findings, row];
        expect(fileAsOf(t.file, at).findings).to.not.include(row);
        expect(t.state().obligations).to.deep.equal(before.obligations);
        expect(lateEvents(t.file).map((l) => [l.event.id, l.answered])).to.deep.equal([[row.id, false]]);
        expect(weighLate(t.file, NOW).blocks.length).to.be.greaterThan(0);
        t.file.amendments = [{ ...base(t.next(), { corrects: row.id }), words: 'The hose wept.', reason: 'came late' }];
        expect(lateEvents(t.file)[0]?.answered).to.equal(true);
      }),
      RUNS,
    );
  });
});
