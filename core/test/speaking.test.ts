import { expect } from 'chai';
import {
  ACCESSES,
  acceptanceKey,
  afterCareOf,
  buildLayout,
  careOf,
  consequencesOf,
  controlsOf,
  deriveJob,
  doableNow,
  type FindingCode,
  ifOpened,
  ifPressed,
  isHydraulic,
  type JointEventKind,
  jointsOf,
  KIND_FACTS,
  lastOpen,
  mayMove,
  observationAnswers,
  onlyNow,
  onlyNowAtWheel,
  openBook,
  openDue,
  openStanding,
  placeStates,
  type PutInKind,
  sharesReservoir,
  slotById,
  TEMPLATES,
  wouldUndo,
} from '../src/index.ts';
import { base, FOUR, id, NOW, Told } from './told.ts';

class Speaking extends Told {
  joint(slotId: string, kind: JointEventKind): string {
    const j = jointsOf(this.layout).find((x) => x.slot.id === slotId)!;
    const row = { ...base(this.next()), connectionId: j.connection.id, slotId, kind, seal: null, note: '' };
    this.file.jointEvents = [...this.file.jointEvents, row];
    return j.key;
  }
  putIn(slotId: string, what: PutInKind, at = this.next()): string {
    const row = { ...base(at), slotId, what, note: '' };
    this.file.putIns = [...this.file.putIns, row];
    return row.id;
  }
  prove(item: string): void {
    this.file.proofs = [...this.file.proofs, { ...base(this.next()), item, slotId: null, corner: null, result: 'passed', note: '' }];
  }
  see(code: string, corner: 'FL' | null): void {
    this.file.observations = [...this.file.observations, { ...base(this.next()), code, corner, state: 'seen' }];
  }
  state() {
    return deriveJob(this.file, NOW);
  }
  open(prefix: string) {
    return this.state().obligations.filter((o) => o.key.startsWith(prefix) && o.state === 'open');
  }
  name(slotId: string): string {
    const s = slotById(this.layout, slotId);
    return `${s?.kind ?? ''}@${s?.corner ?? ''}`;
  }
}

describe('joints', () => {
  it('every line has two, and no rod or feed has any', () => {
    for (const t of TEMPLATES) {
      const layout = buildLayout(t.id, 'l', 'v', id);
      expect(jointsOf(layout)).to.have.length(2 * layout.connections.filter((c) => c.kind === 'line').length);
      expect(new Set(jointsOf(layout).map((j) => j.key)).size).to.equal(jointsOf(layout).length);
    }
  });
  it('one that was opened is owed made, torqued and dry under held pressure, one after the other', () => {
    const t = new Speaking(FOUR);
    const hose = t.slot('hose');
    const key = t.joint(hose, 'opened');
    const owed = () => t.open(`joint:${key}`).map((o) => o.key.split(':').at(-1));
    expect(owed()).to.have.members(['made', 'torqued', 'held']);
    t.joint(hose, 'made');
    expect(owed()).to.have.members(['torqued', 'held']);
    t.joint(hose, 'torqued');
    t.joint(hose, 'looked');
    expect(owed()).to.have.members(['held']);
    t.joint(hose, 'held');
    expect(owed()).to.deep.equal([]);
    t.joint(hose, 'weeps');
    expect(owed()).to.have.members(['held']);
    t.joint(hose, 'opened');
    expect(owed()).to.have.members(['made', 'torqued', 'held']);
  });
  it('an open one locks the pedal, one that is only made lets press and makes every proof provisional', () => {
    const t = new Speaking(FOUR);
    const hose = t.slot('hose');
    t.joint(hose, 'opened');
    expect(t.state().situation.standing.locks[0]?.passable).to.equal(false);
    t.joint(hose, 'made');
    expect(t.state().situation.standing.locks).to.deep.equal([]);
    t.prove('pedal_hold');
    const held = () => t.state().obligations.find((o) => o.key === 'proof:pedal_hold')!;
    expect(held().why).to.match(/^Provisional: joint at the front left hose/);
    t.joint(hose, 'torqued');
    expect(held().state, 'does not become good by waiting').to.equal('open');
    t.prove('pedal_hold');
    expect(held().state).to.equal('closed');
  });
  it('opening one is told beforehand: what it will undo', () => {
    const t = new Speaking(FOUR);
    t.prove('pedal_hold');
    const s = t.state();
    const slot = slotById(t.layout, t.slot('hose'))!;
    const { book, standing, proofItems } = s.situation;
    expect(wouldUndo(book, standing, proofItems, slot, 'joint_opened')).to.include('Pedal held for 60 s does not sink');
    t.joint(slot.id, 'opened');
    expect(t.state().obligations.find((o) => o.key === 'proof:pedal_hold')!.why).to.include('Lapsed');
  });
});

describe('consequences', () => {
  const owed = (t: Speaking) => {
    const book = openBook(t.file);
    return consequencesOf(book, observationAnswers(book), NOW);
  };
  it('fluid at a wheel owes both linings of the axle, the unit and the hose; in or out of scope', () => {
    const t = new Speaking(['FR']);
    t.see('fluid_at_wheel', 'FL');
    expect(owed(t).map((o) => t.name(o.slot.id))).to.have.members(['pads@FL', 'pads@FR', 'caliper@FL', 'hose@FL']);
    expect(t.open('because:')).to.have.length(4);
  });
  it('no lining left owes the rotors of the axle their figures', () => {
    const t = new Speaking(FOUR);
    t.find(t.slot('pads'), { code: 'no_lining', severity: 'reject' });
    const measured = owed(t).filter((o) => o.measurement !== null);
    expect(measured.map((o) => `${t.name(o.slot.id)} ${o.measurement ?? ''}`)).to.have.members([
      ...['FL', 'FR'].flatMap((c) => [`rotor@${c} rotor_thickness`, `rotor@${c} rotor_runout`]),
    ]);
    t.gauge(
      t.slot('rotor', 'FR'),
      Array.from({ length: 8 }, () => '12.60'),
    );
    expect(owed(t).find((o) => t.name(o.slot.id) === 'rotor@FR' && o.measurement === 'rotor_thickness')?.done).to.equal(true);
  });
  it('a look from before the finding does not count, one from after it does', () => {
    const t = new Speaking(FOUR);
    t.find(t.slot('hose'));
    t.find(t.slot('piston'), { code: 'seized', severity: 'reject' });
    const hose = () => owed(t).find((o) => t.name(o.slot.id) === 'hose@FL')!;
    expect(hose().done).to.equal(false);
    const look = t.find(t.slot('hose'));
    expect(hose().closedBy).to.equal(look.id);
    t.takeBack(look.id);
    expect(hose().done).to.equal(false);
  });
  it('the finding taken back owes nothing any more', () => {
    for (const code of ['no_lining', 'fluid_here', 'blue', 'seized'] as FindingCode[]) {
      const t = new Speaking(FOUR);
      const f = t.find(t.slot(code === 'no_lining' || code === 'fluid_here' ? 'pads' : code === 'blue' ? 'rotor' : 'piston'), { code });
      expect(owed(t), code).to.not.deep.equal([]);
      t.takeBack(f.id);
      expect(owed(t)).to.deep.equal([]);
    }
  });
});

describe('freed, opened, resealed, renewed', () => {
  const seized = () => {
    const t = new Speaking(FOUR);
    t.find(t.slot('caliper'), { code: 'seized', severity: 'watch' });
    return t;
  };
  it('what was only freed goes out by a lead’s name alone, and what was resealed goes', () => {
    const t = seized();
    t.part(t.slot('caliper'), 'freed');
    expect(t.open('care:')[0]?.acceptBy).to.equal('lead');
    expect(t.open('care:')[0]?.why).to.include('only freed');
    t.part(t.slot('caliper'), 'resealed');
    expect(t.open('care:')).to.deep.equal([]);
  });
  it('the use of the vehicle sets the least', () => {
    const t = seized();
    t.part(t.slot('caliper'), 'resealed');
    t.file.vehicle = { ...t.file.vehicle, use: 'competition' };
    expect(t.open('care:')).to.have.length(1);
    t.part(t.slot('caliper'), 'removed');
    t.part(t.slot('caliper'), 'fitted', 'a new one');
    expect(careOf(openBook(t.file), t.component(t.slot('caliper')))).to.equal('renewed');
    expect(t.open('care:')).to.deep.equal([]);
  });
  it('has a clock of its own, whatever the fluid looks like', () => {
    const t = new Speaking(FOUR);
    const caliper = t.slot('caliper');
    const at = () => lastOpen(openBook(t.file), t.component(caliper));
    expect(at()).to.equal(null);
    expect(openDue(openBook(t.file), t.component(caliper), NOW)).to.include('in 55 years');
    t.part(caliper, 'resealed');
    expect(at()).to.match(/^2026-01-01/);
    expect(openDue(openBook(t.file), t.component(caliper), NOW)).to.equal(null);
  });
});

describe('what must come out, and when it is too late', () => {
  it('a clamp that stood longer than a day has the hose renewed, also after it came out', () => {
    const t = new Speaking(FOUR);
    t.putIn(t.slot('hose'), 'clamp', 1);
    expect(t.open('clamped:')[0]?.what).to.include('clamped for');
    t.part(t.slot('hose'), 'removed');
    t.part(t.slot('hose'), 'fitted', 'a new hose');
    expect(t.open('clamped:')).to.deep.equal([]);
  });
  it('before an access closes, what can only be done now is listed, and nothing else', () => {
    const t = new Speaking(FOUR);
    t.part(t.slot('pads'), 'removed');
    const list = onlyNow(t.state(), slotById(t.layout, t.slot('pads'))!);
    expect(list.length).to.be.greaterThan(0);
    expect(new Set(list.map((x) => t.name(x.slot.id)))).to.deep.equal(new Set(['piston@FL']));
    for (const p of t.layout.slots.filter((s) => s.kind === 'piston' && s.corner === 'FL')) t.find(p.id);
    expect(onlyNow(t.state(), slotById(t.layout, t.slot('pads'))!).filter((x) => !x.wanted)).to.deep.equal([]);
  });
  it('what was put off until this access is open is among it', () => {
    const t = new Speaking(FOUR);
    const piston = t.slot('piston');
    for (const p of t.layout.slots.filter((s) => s.kind === 'piston' && s.corner === 'FL')) t.find(p.id);
    const row = { ...base(t.next()), slotId: piston, partId: null, reason: 'later', reviewOn: null, untilKm: null, access: 'pads out' };
    t.file.decisions = [...t.file.decisions, { ...row, option: 'put_off' }];
    expect(t.state().obligations.find((o) => o.key === `decide:${piston}`)?.state).to.equal('put_off');
    const owed = onlyNow(t.state(), slotById(t.layout, t.slot('pads'))!).filter((x) => !x.wanted);
    expect(owed.map((x) => x.slot.id)).to.deep.equal([piston]);
    expect(ACCESSES.map((a) => a.name)).to.include(row.access);
  });
  it('what is left by name stays owed, is listed as left, and comes back when the access is opened again', () => {
    const t = new Speaking(FOUR);
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
  it('what was taken one way is not wanted the other way as well', () => {
    const t = new Speaking(FOUR, [], 'lorry_drums_single_servo');
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
    const t = new Speaking(FOUR);
    const [first] = onlyNowAtWheel(t.state(), 'FL');
    t.file.leftItems = [{ ...base(t.next()), closedBy: null, slotId: first!.slot.id, item: first!.key, what: first!.what }];
    const left = onlyNowAtWheel(t.state(), 'FL').filter((x) => x.left !== null);
    expect(left.map((x) => x.key)).to.deep.equal([first!.key]);
    expect(onlyNowAtWheel(t.state(), 'RR').every((x) => x.left === null)).to.equal(true);
  });
});

describe('if I press now, if I open this', () => {
  const play = (t: Speaking) => {
    const s = t.state().situation.standing;
    return ifPressed(
      t.layout,
      controlsOf(t.layout).find((c) => c.kind === 'pedal')!,
      s,
    );
  };
  it('a complete vehicle moves its pistons and nothing else', () => {
    const t = new Speaking(FOUR);
    expect(play(t).danger).to.equal(false);
    expect(new Set(play(t).steps.map((s) => s.does))).to.deep.equal(new Set(['moves']));
    expect(play(t).steps).to.have.length(t.layout.slots.filter((s) => s.kind === 'piston').length);
  });
  it('pads that are off let the pistons of that corner come out, and say so first', () => {
    const t = new Speaking(FOUR);
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
      const t = new Speaking(FOUR);
      t.part(t.slot(kind, corner), 'removed');
      expect(play(t).danger, kind).to.equal(t.state().situation.standing.locks.some((l) => l.control.kind === 'pedal'));
    }
  });
  it('opening runs out what stands above, drains its reservoir, and airs what is fed through it', () => {
    const t = new Speaking(FOUR);
    const s = t.state();
    const opened = ifOpened(s.book, s.situation.standing, slotById(t.layout, t.slot('hose'))!, NOW);
    expect(opened.steps.map((x) => x.does)).to.include.members(['runs_out', 'drains', 'soft']);
    expect(opened.steps.filter((x) => x.does === 'soft').map((x) => t.name(x.slotId))).to.deep.equal(['bleeder@FL']);
  });
  it('fresh paint below is named until it is masked', () => {
    const t = new Speaking(FOUR);
    const minute = (Date.parse(NOW) - Date.UTC(2026, 0, 1)) / 60000 - 60;
    t.file.partEvents = [
      ...t.file.partEvents,
      { ...base(minute), partId: `part:${t.slot('hub')}`, kind: 'coated', slotId: t.slot('hub'), note: '', temporary: false, until: null },
    ];
    const opened = () => {
      const s = t.state();
      return ifOpened(s.book, s.situation.standing, slotById(t.layout, t.slot('caliper'))!, NOW);
    };
    expect(opened().danger).to.equal(true);
    t.putIn(t.slot('hub'), 'mask', minute + 1);
    expect(opened().danger).to.equal(false);
  });
  it('what is mechanical opens nothing', () => {
    const t = new Speaking(FOUR);
    const s = t.state();
    expect(ifOpened(s.book, s.situation.standing, slotById(t.layout, t.slot('rotor'))!, NOW).steps).to.deep.equal([]);
  });
});

describe('kinds of job', () => {
  const slots = (t: Speaking) => t.state().components.filter((c) => c.inScope && KIND_FACTS[c.slot.kind].article);
  it('one axle takes in its corners and its hoses, not the cylinder', () => {
    const t = new Speaking(['RL', 'RR']);
    t.file.job = { ...t.file.job, kind: 'axle' };
    const kinds = new Set(slots(t).map((c) => c.slot.kind));
    expect(kinds.has('master_cylinder')).to.equal(false);
    expect(slots(t).map((c) => t.name(c.slot.id))).to.include('hose@');
    expect(slots(t).every((c) => c.slot.corner === null || c.slot.corner.startsWith('R'))).to.equal(true);
  });
  it('single units are taken in by hand, and left out by hand', () => {
    const t = new Speaking([]);
    t.file.job = { ...t.file.job, kind: 'unit', scopeIn: [t.slot('caliper')] };
    expect(slots(t).map((c) => t.name(c.slot.id))).to.deep.equal(['caliper@FL']);
    t.file.job = { ...t.file.job, kind: 'overhaul', scopeCorners: FOUR, scopeIn: [], scopeOut: [t.slot('caliper')] };
    expect(slots(t).map((c) => c.slot.id)).to.not.include(t.slot('caliper'));
  });
  it('a stage that does not apply is hatched with its reason, unless something is owed in it', () => {
    const t = new Speaking(FOUR);
    t.file.job = { ...t.file.job, kind: 'fluid' };
    const hatched = () => Object.fromEntries(t.state().stages.map((s) => [s.stage, s.hatched]));
    expect(hatched()).to.include({ trace: 'fluid only', gauge: 'fluid only', decide: 'fluid only', bleed: null });
    t.find(t.slot('pads'), { code: 'fluid_here', severity: 'watch' });
    expect(hatched()['gauge']).to.equal(null);
  });
  it('a hazard out of scope blocks, and a lead leaves it out by name', () => {
    const t = new Speaking(['FR']);
    t.find(t.slot('hose', 'FL'), { severity: 'reject' });
    const hazard = t.open('hazard:')[0]!;
    expect(hazard.acceptBy).to.equal('lead');
    t.file.acceptances = [{ ...base(t.next()), obligation: acceptanceKey(hazard), reason: 'owner does it himself' }];
    expect(t.open('hazard:')).to.deep.equal([]);
    t.file.job = { ...t.file.job, scopeIn: [t.slot('hose', 'FL')] };
    expect(t.open('hazard:')).to.deep.equal([]);
    expect(t.open('finding:')).to.have.length(1);
  });
});

describe('after-care', () => {
  it('follows from what was done: nothing done leaves nothing', () => {
    const t = new Speaking(FOUR);
    expect(afterCareOf(t.state(), NOW)).to.deep.equal([]);
    t.part(t.slot('pads'), 'fitted', 'new pads');
    expect(afterCareOf(t.state(), NOW).map((a) => a.item)).to.deep.equal(['bedding_in']);
    t.part(t.slot('caliper'), 'resealed');
    const list = afterCareOf(t.state(), NOW);
    expect(list.map((a) => a.item)).to.have.members(['bedding_in', 'leak_next_day', 'second_bleed']);
    expect(list.find((a) => a.item === 'leak_next_day')?.on).to.equal('2026-06-02');
  });
});

describe('may it move', () => {
  it('a lead may grant the yard by name; what stands in the way changed, and it falls', () => {
    const t = new Speaking(FOUR);
    t.part(t.slot('pads'), 'removed');
    expect(mayMove(t.state()).level).to.equal('do_not_move');
    const offer = t.state().offers[0]!;
    t.file.acceptances = [{ ...base(t.next()), obligation: acceptanceKey(offer), reason: 'two men and chocks' }];
    expect(mayMove(t.state()).level).to.equal('yard_only');
    t.part(t.slot('pads', 'RR'), 'removed');
    expect(mayMove(t.state()).level).to.equal('do_not_move');
  });
});

describe('the list of what can be done', () => {
  it('is open, and never in a stage that waits for an earlier one', () => {
    const t = new Speaking(FOUR);
    const s = t.state();
    const after = s.stages.filter((x) => x.note.startsWith('after')).map((x) => x.stage);
    expect(doableNow(s).every((o) => o.state === 'open' && !after.includes(o.stage))).to.equal(true);
    expect(doableNow(s).length).to.be.greaterThan(0);
  });
});

describe('a shared reservoir', () => {
  it('is named: the clutch that drinks from the brake’s', () => {
    const layout = buildLayout('saloon_disc_drum_single', 'l', 'v', id);
    const controls = controlsOf(layout);
    const pedal = controls.find((c) => c.kind === 'pedal')!;
    expect(sharesReservoir(layout, pedal, controls)).to.deep.equal([]);
    const tank = layout.slots.find((s) => s.kind === 'reservoir')!;
    const clutch = layout.slots.find((s) => s.kind === 'clutch_master')!;
    const feed = { id: id(), from: tank.id, to: clutch.id, kind: 'feed' as const, circuit: null, lengthMm: null, boreMm: null };
    const shared = { ...layout, connections: [...layout.connections, feed] };
    expect(sharesReservoir(shared, pedal, controlsOf(shared)).map((c) => c.kind)).to.deep.equal(['clutch']);
  });
  it('a motorcycle has two controls, and the hand lever does not lock the foot', () => {
    const layout = buildLayout('motorcycle_disc_rod', 'l', 'v', id);
    expect(isHydraulic(layout)).to.equal(true);
    const [hand, foot] = controlsOf(layout);
    const shared = [...(hand?.reach ?? [])].filter((x) => foot?.reach.has(x));
    expect(shared).to.deep.equal([]);
  });
  it('the places of a standing are those of the layout', () => {
    const t = new Speaking(FOUR);
    const book = openBook(t.file);
    expect(openStanding(book).places).to.deep.equal(placeStates(book, t.layout));
  });
});
