import { expect } from 'chai';
import { ACCESSES } from '../src/catalogue/accessRules.ts';
import { slotById } from '../src/layout/graph.ts';
import { controlsOf } from '../src/layout/reach.ts';
import { ifOpened, ifPressed } from '../src/readiness/play.ts';
import { onlyNow, onlyNowAtWheel, onlyNowInside } from '../src/views/onlyNow.ts';
import { base, FOUR, NOW } from './jobFixture.ts';
import { ReworkFixture } from './contributions.ts';

describe('what must come out, and when it is too late', () => {
  it('a clamp that stood longer than a day has the hose renewed, also after it came out', () => {
    const t = new ReworkFixture(FOUR);
    t.putIn(t.slot('hose'), 'clamp', 1);
    expect(t.open('clamped:')[0]?.what).to.include('clamped for');
    t.part(t.slot('hose'), 'removed');
    t.part(t.slot('hose'), 'fitted', 'a new hose');
    expect(t.open('clamped:')).to.deep.equal([]);
  });
  it('before an access closes, what can only be done now is listed, and nothing else', () => {
    const t = new ReworkFixture(FOUR);
    t.part(t.slot('pads'), 'removed');
    const list = onlyNow(t.state(), slotById(t.layout, t.slot('pads'))!);
    expect(list.length).to.be.greaterThan(0);
    expect(new Set(list.map((x) => t.name(x.slot.id)))).to.deep.equal(new Set(['piston@FL']));
    for (const p of t.layout.slots.filter((s) => s.kind === 'piston' && s.corner === 'FL')) t.find(p.id);
    expect(onlyNow(t.state(), slotById(t.layout, t.slot('pads'))!).filter((x) => !x.wanted)).to.deep.equal([]);
  });
  it('what was put off until this access is open is among it', () => {
    const t = new ReworkFixture(FOUR);
    const piston = t.slot('piston');
    for (const p of t.layout.slots.filter((s) => s.kind === 'piston' && s.corner === 'FL')) t.find(p.id);
    const row = {
      ...base(t.next()),
      slotId: piston,
      partId: null,
      reason: 'later',
      reviewOn: null,
      untilKm: null,
      access: 'pads out',
      code: null,
      metal: null,
      supersedes: null,
    };
    t.file.decisions = [...t.file.decisions, { ...row, option: 'put_off' }];
    expect(t.state().obligations.find((o) => o.key === `decide:${piston}`)?.state).to.equal('put_off');
    const owed = onlyNow(t.state(), slotById(t.layout, t.slot('pads'))!).filter((x) => !x.wanted);
    expect(owed.map((x) => x.slot.id)).to.deep.equal([piston]);
    expect(ACCESSES.map((a) => a.name)).to.include(row.access);
  });
  it('what is left by name stays owed, is listed as left, and comes back when the access is opened again', () => {
    const t = new ReworkFixture(FOUR);
    const pads = slotById(t.layout, t.slot('pads'))!;
    t.part(pads.id, 'removed');
    const list = () => onlyNow(t.state(), pads);
    const [first, second] = list();
    expect(list().every((x) => x.left === null)).to.equal(true);
    const leave = (closedBy: string | null, key: string) => {
      const row = { ...base(t.next()), closedBy, slotId: first!.slot.id, item: key, what: 'left' };
      t.file.leftItems = [...t.file.leftItems, row];
      return row;
    };
    leave(pads.id, first!.key);
    // Left before the wheel goes on is another matter.
    leave(null, second!.key);
    expect(
      list()
        .filter((x) => x.left !== null)
        .map((x) => x.key),
    ).to.deep.equal([first!.key]);
    expect(t.state().obligations.find((o) => o.key === first!.key)?.state).to.equal('open');
    t.part(pads.id, 'fitted');
    t.part(pads.id, 'removed');
    expect(list().every((x) => x.left === null)).to.equal(true);
    const again = leave(pads.id, first!.key);
    expect(list().filter((x) => x.left?.id === again.id)).to.have.length(1);
    t.takeBack(again.id);
    expect(list().every((x) => x.left === null)).to.equal(true);
  });
  it('before a unit is sealed again: its bores and pistons gauged, all of it looked at, and nothing of another unit', () => {
    const t = new ReworkFixture(FOUR);
    const caliper = slotById(t.layout, t.slot('caliper'))!;
    const list = () => onlyNowInside(t.state(), caliper);
    expect(new Set(list().map((x) => t.name(x.slot.id)))).to.deep.equal(new Set(['caliper@FL', 'piston@FL']));
    t.decide(caliper.id, 'reseal');
    const pistons = t.layout.slots.filter((s) => s.kind === 'piston' && s.corner === 'FL');
    for (const p of pistons) t.decide(p.id, 'use_again');
    for (const s of [caliper, ...pistons]) t.find(s.id);
    const figures = list().map((x) => x.what);
    expect(
      figures.some((w) => /: piston$/.test(w)),
      figures.join('; '),
    ).to.equal(true);
    t.file.leftItems = [{ ...base(t.next()), closedBy: caliper.id, slotId: pistons[0]!.id, item: list()[0]!.key, what: 'left' }];
    expect(list().filter((x) => x.left !== null)).to.have.length(1);
  });
  it('what was taken one way is not wanted the other way as well', () => {
    const t = new ReworkFixture(FOUR, [], 'lorry_drums_single_servo');
    const drum = slotById(t.layout, t.slot('drum'))!;
    const wanted = () =>
      onlyNow(t.state(), drum)
        .filter((x) => x.wanted)
        .map((x) => x.what);
    t.part(drum.id, 'removed');
    expect(wanted().filter((w) => /above rivets|: lining/.test(w))).to.deep.equal([]);
    t.gauge(t.slot('shoes'), ['3', '4', '5', '4', '4', '4'], { measurement: 'shoe_lining' });
    expect(wanted().filter((w) => /above rivets/.test(w))).to.deep.equal([]);
    expect(wanted().some((w) => /centring/.test(w))).to.equal(true);
  });
  it('at the wheel what was left is told apart as well', () => {
    const t = new ReworkFixture(FOUR);
    const [first] = onlyNowAtWheel(t.state(), 'FL');
    t.file.leftItems = [{ ...base(t.next()), closedBy: null, slotId: first!.slot.id, item: first!.key, what: first!.what }];
    const left = onlyNowAtWheel(t.state(), 'FL').filter((x) => x.left !== null);
    expect(left.map((x) => x.key)).to.deep.equal([first!.key]);
    expect(onlyNowAtWheel(t.state(), 'RR').every((x) => x.left === null)).to.equal(true);
  });
});

describe('if I press now, if I open this', () => {
  const play = (t: ReworkFixture) => {
    const s = t.state().context.proofStatus;
    return ifPressed(
      t.layout,
      controlsOf(t.layout).find((c) => c.kind === 'pedal')!,
      s,
    );
  };
  it('a complete vehicle moves its pistons and nothing else', () => {
    const t = new ReworkFixture(FOUR);
    expect(play(t).danger).to.equal(false);
    expect(new Set(play(t).steps.map((s) => s.does))).to.deep.equal(new Set(['moves']));
    expect(play(t).steps).to.have.length(t.layout.slots.filter((s) => s.kind === 'piston').length);
  });
  it('pads that are off let the pistons of that corner come out, and say so first', () => {
    const t = new ReworkFixture(FOUR);
    t.part(t.slot('pads', 'RR'), 'removed');
    expect(play(t).danger).to.equal(true);
    expect(play(t).steps[0]?.does).to.equal('comes_out');
    expect(play(t).steps[0]?.words).to.include('rear right pads are off');
  });
  it('danger is played exactly where the lock holds', () => {
    for (const [kind, corner] of [
      ['pads', 'FL'],
      ['rotor', 'RL'],
      ['hose', 'FR'],
      ['caliper', 'RR'],
      ['master_cylinder', null],
    ] as const) {
      const t = new ReworkFixture(FOUR);
      t.part(t.slot(kind, corner), 'removed');
      expect(play(t).danger, kind).to.equal(t.state().context.proofStatus.locks.some((l) => l.control.kind === 'pedal'));
    }
  });
  it('opening runs out what stands above, drains its reservoir, and airs what is fed through it', () => {
    const t = new ReworkFixture(FOUR);
    const s = t.state();
    const opened = ifOpened(s.history, s.context.proofStatus, slotById(t.layout, t.slot('hose'))!, NOW);
    expect(opened.steps.map((x) => x.does)).to.include.members(['runs_out', 'drains', 'soft']);
    expect(opened.steps.filter((x) => x.does === 'soft').map((x) => t.name(x.slotId))).to.deep.equal(['bleeder@FL']);
  });
  it('opening drains the reservoirs that feed the place, and no other', () => {
    for (const template of ['coupe_disc_disc_tandem_servo', 'motorcycle_double_disc']) {
      const t = new ReworkFixture(template.startsWith('motorcycle') ? ['F', 'R'] : FOUR, [], template);
      for (const hose of t.layout.slots.filter((s) => s.kind === 'hose')) {
        const { context, history } = t.state();
        const drained = ifOpened(history, context.proofStatus, hose, NOW).steps.filter((x) => x.does === 'drains');
        const expected = t.layout.slots.filter((s) => s.kind === 'reservoir' && s.circuits.some((c) => hose.circuits.includes(c)));
        expect(
          drained.map((x) => x.slotId),
          `${template}, ${hose.id}`,
        ).to.have.members(expected.map((s) => s.id));
      }
    }
  });
  it('fresh paint below is named until it is masked', () => {
    const t = new ReworkFixture(FOUR);
    const minute = (Date.parse(NOW) - Date.UTC(2026, 0, 1)) / 60000 - 60;
    t.file.partEvents = [
      ...t.file.partEvents,
      {
        ...base(minute),
        partId: `part:${t.slot('hub')}`,
        kind: 'coated',
        slotId: t.slot('hub'),
        note: '',
        temporary: false,
        until: null,
        lot: null,
        lineOn: false,
      },
    ];
    const opened = () => {
      const s = t.state();
      return ifOpened(s.history, s.context.proofStatus, slotById(t.layout, t.slot('caliper'))!, NOW);
    };
    expect(opened().danger).to.equal(true);
    t.putIn(t.slot('hub'), 'mask', minute + 1);
    expect(opened().danger).to.equal(false);
  });
  it('what is mechanical opens nothing', () => {
    const t = new ReworkFixture(FOUR);
    const s = t.state();
    expect(ifOpened(s.history, s.context.proofStatus, slotById(t.layout, t.slot('rotor'))!, NOW).steps).to.deep.equal([]);
  });
});
