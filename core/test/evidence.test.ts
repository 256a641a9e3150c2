import { expect } from 'chai';
import { genericForJoint, genericForUnit } from '../src/catalogue/genericTorques.ts';
import type { JointEvent } from '../src/ledger/families/jointEvents.ts';
import { usualTorque } from '../src/wording/en/fasteners.ts';
import type { FindingCode } from '../src/catalogue/findingKinds.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { observationAnswers } from '../src/job/job.ts';
import { careOf, lastOpen, openDue } from '../src/judging/care.ts';
import { consequencesOf } from '../src/stages/gauge/consequences.ts';
import { slotById } from '../src/layout/graph.ts';
import { buildLayout, TEMPLATES } from '../src/layout/templates.ts';
import { jointsOf, jointStatus } from '../src/readiness/joints.ts';
import { wouldUndo } from '../src/readiness/proofStatus.ts';
import { base, FOUR, id, NOW } from './jobFixture.ts';
import { ReworkFixture } from './contributions.ts';

describe('joints', () => {
  it('every line has two, and no rod or feed has any', () => {
    for (const t of TEMPLATES) {
      const layout = buildLayout(t.id, 'l', 'v', id);
      expect(jointsOf(layout)).to.have.length(2 * layout.connections.filter((c) => c.kind === 'line').length);
      expect(new Set(jointsOf(layout).map((j) => j.key)).size).to.equal(jointsOf(layout).length);
    }
  });
  it('one that was opened is owed made, torqued and dry under held pressure, one after the other', () => {
    const t = new ReworkFixture(FOUR);
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
  it('a joint keeps the figure that it was torqued to until it is opened or made again', () => {
    const t = new ReworkFixture(FOUR);
    const joint = jointsOf(t.layout).find((j) => j.slot.id === t.slot('hose'))!;
    const tell = (kind: JointEvent['kind'], typed: string | null = null): string | null => {
      const row = { ...base(t.next()), connectionId: joint.connection.id, slotId: joint.slot.id, kind, seal: null, note: '' };
      t.file.jointEvents = [...t.file.jointEvents, { ...row, typed, torqueNm: typed === null ? null : 14 }];
      return jointStatus(joint, t.file.jointEvents).torque;
    };
    expect(['opened', 'made'].map((k) => tell(k as JointEvent['kind']))).to.deep.equal([null, null]);
    expect(tell('torqued', '14 Nm')).to.equal('14 Nm');
    expect(tell('held')).to.equal('14 Nm');
    expect(tell('opened')).to.equal(null);
  });
  it('without a book the usual figure is named, as generic; what only a book says has none', () => {
    const usual = (list: Parameters<typeof usualTorque>[0]): string => usualTorque(list, () => []);
    expect(usual(genericForJoint('flare'))).to.equal(
      'Generic: union on 3/16 in or 5 mm tube 12 to 16 N·m (unchecked). The maker’s figure goes before.',
    );
    expect(usual(genericForJoint('washers'))).to.match(/iron 25 to 30 N·m .*; .*aluminium 18 to 22 N·m/);
    expect(usual(genericForUnit('bleeder'))).to.match(/bleeder M7 or M8 7 to 9 N·m .*; bleeder M10 or 3\/8 in 10 to 13 N·m/);
    for (const kind of ['hub', 'caliper', 'wheel_cylinder'] as const) expect(usual(genericForUnit(kind)), kind).to.equal('');
    expect(usual(genericForJoint('o_ring'))).to.equal('');
  });
  it('a usual figure says who else agreed to it, each figure by itself', () => {
    expect(usualTorque(genericForUnit('bleeder'), (id) => (id === 'bleeder_small' ? ['A', 'B'] : []))).to.equal(
      'Generic: bleeder M7 or M8 7 to 9 N·m (agreed to by A and B); bleeder M10 or 3/8 in 10 to 13 N·m (unchecked). The maker’s figure goes before.',
    );
  });
  it('an open one locks the pedal, one that is only made lets press and makes every proof provisional', () => {
    const t = new ReworkFixture(FOUR);
    const hose = t.slot('hose');
    t.joint(hose, 'opened');
    expect(t.state().context.proofStatus.locks[0]?.passable).to.equal(false);
    t.joint(hose, 'made');
    expect(t.state().context.proofStatus.locks).to.deep.equal([]);
    t.prove('pedal_hold');
    const held = () => t.state().obligations.find((o) => o.key === 'proof:pedal_hold')!;
    expect(held().why).to.match(/^Provisional, as it stood then: joint at the front left hose/);
    t.joint(hose, 'torqued');
    expect(held().state, 'does not become good by waiting').to.equal('open');
    t.prove('pedal_hold');
    expect(held().state).to.equal('closed');
  });
  it('opening one is told beforehand: what it will undo', () => {
    const t = new ReworkFixture(FOUR);
    t.prove('pedal_hold');
    const s = t.state();
    const slot = slotById(t.layout, t.slot('hose'))!;
    const { history, proofStatus: standing, proofItems } = s.context;
    expect(wouldUndo(history, standing, proofItems, slot, 'joint_opened')).to.include('Pedal held for 60 s does not sink');
    t.joint(slot.id, 'opened');
    expect(t.state().obligations.find((o) => o.key === 'proof:pedal_hold')!.why).to.include('Lapsed');
  });
});

describe('consequences', () => {
  const owed = (t: ReworkFixture) => {
    const history = openHistory(t.file);
    return consequencesOf(history, observationAnswers(history), NOW);
  };
  it('fluid at a wheel owes both linings of the axle, the unit and the hose; in or out of scope', () => {
    const t = new ReworkFixture(['FR']);
    t.see('fluid_at_wheel', 'FL');
    expect(owed(t).map((o) => t.name(o.slot.id))).to.have.members(['pads@FL', 'pads@FR', 'caliper@FL', 'hose@FL']);
    expect(t.open('because:')).to.have.length(4);
  });
  it('no lining left owes the rotors of the axle their figures', () => {
    const t = new ReworkFixture(FOUR);
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
    const t = new ReworkFixture(FOUR);
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
      const t = new ReworkFixture(FOUR);
      const f = t.find(t.slot(code === 'no_lining' || code === 'fluid_here' ? 'pads' : code === 'blue' ? 'rotor' : 'piston'), { code });
      expect(owed(t), code).to.not.deep.equal([]);
      t.takeBack(f.id);
      expect(owed(t)).to.deep.equal([]);
    }
  });
});

describe('freed, opened, resealed, renewed', () => {
  const seized = () => {
    const t = new ReworkFixture(FOUR);
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
    expect(careOf(openHistory(t.file), t.component(t.slot('caliper')))).to.equal('renewed');
    expect(t.open('care:')).to.deep.equal([]);
  });
  it('has a clock of its own, whatever the fluid looks like', () => {
    const t = new ReworkFixture(FOUR);
    const caliper = t.slot('caliper');
    const at = () => lastOpen(openHistory(t.file), t.component(caliper));
    expect(at()).to.equal(null);
    expect(openDue(openHistory(t.file), t.component(caliper), NOW)).to.equal(55);
    t.part(caliper, 'resealed');
    expect(at()).to.match(/^2026-01-01/);
    expect(openDue(openHistory(t.file), t.component(caliper), NOW)).to.equal(null);
  });
});
