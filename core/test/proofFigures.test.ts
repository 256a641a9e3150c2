import { expect } from 'chai';
import fc from 'fast-check';
import { characteristicsFrom } from '../src/catalogue/characteristics.ts';
import { figuresAsked } from '../src/catalogue/proofFigures.ts';
import { itemBase, type ProofItem } from '../src/catalogue/proofItems.ts';
import { MEASUREMENTS } from '../src/catalogue/measurements.ts';
import { deriveJob } from '../src/job/job.ts';
import type { Slot } from '../src/layout/graph.ts';
import { buildStandalone } from '../src/layout/standaloneUnits.ts';
import { TEMPLATES } from '../src/layout/templates.ts';
import { buildHandbackProofs } from './proofLines.ts';
import { figureFault, figuresMissing } from '../src/readiness/proofFigures.ts';
import { proofStops } from '../src/views/proofStops.ts';
import { figureRefusal, proofRefusal } from '../src/views/proofRefusal.ts';
import { base, fileOn, FOUR, id, JobFixture, NOW } from './jobFixture.ts';
import { sentence } from '../src/wording/en/verdicts.ts';
import { SOUND_FIGURES } from './soundFigures.ts';

const state = (t: JobFixture) => deriveJob(t.file, NOW);
const itemOf = (t: JobFixture, base: string, corner: string | null = null): ProofItem =>
  state(t).context.proofItems.find((i) => itemBase(i.item) === base && i.corner === corner)!;
const why = (t: JobFixture, base: string): string | null => figureRefusal(state(t), itemOf(t, base), 'passed');
function prove(t: JobFixture, item: string): void {
  t.file.proofs = [...t.file.proofs, { ...base(t.next()), item, slotId: null, corner: null, result: 'passed', note: '' }];
}
const obligation = (t: JobFixture, key: string) => state(t).obligations.find((o) => o.key === key)!;

describe('figures of proofs', () => {
  it('passed waits for each of them, and for both pushes of a sink; a failure is told at once', () => {
    const t = new JobFixture(FOUR);
    expect(why(t, 'pedal_hold')).to.match(/its figures first, pedal sink/);
    const pedal = t.slot('pedal', null);
    const set = t.gauge(pedal, [], { measurement: 'pedal_sink', phase: 'as_fitted', partId: null });
    t.read(set, null, 'place', 'hard', '1.0');
    expect(why(t, 'pedal_hold'), 'hard only').to.match(/figures first/);
    expect(proofRefusal(state(t), itemOf(t, 'pedal_hold'), 'failed', '')).to.equal(null);
    t.read(set, null, 'place', 'light', '1.5');
    expect(why(t, 'pedal_hold')).to.equal(null);
  });

  it('what was found before the work proves nothing', () => {
    const t = new JobFixture(FOUR);
    t.gauge(t.slot('pedal', null), ['1.0', '1.0'], { measurement: 'pedal_sink', phase: 'as_found', partId: null });
    expect(why(t, 'pedal_hold')).to.match(/figures first/);
  });

  it('a figure past its limit contradicts passed, also when it comes after the answer', () => {
    const t = new JobFixture(FOUR);
    t.sound('pedal_hold');
    prove(t, 'pedal_hold');
    expect(obligation(t, 'proof:pedal_hold').state).to.equal('closed');
    t.gauge(t.slot('pedal', null), ['12', '3'], { measurement: 'pedal_sink', phase: 'as_fitted', partId: null });
    expect(obligation(t, 'proof:pedal_hold').state).to.equal('open');
    expect(obligation(t, 'proof:pedal_hold').why).to.match(/^A figure says otherwise/);
    expect(why(t, 'pedal_hold')).to.match(/^A figure says otherwise/);
  });

  it('a figure taken back leaves the answer without what it stood on', () => {
    const t = new JobFixture(FOUR);
    t.sound('pedal_hold');
    prove(t, 'pedal_hold');
    t.takeBack(t.file.readings.at(-1)!.id);
    expect(obligation(t, 'proof:pedal_hold').state).to.equal('open');
  });

  it('ends with what ends its proof: a bleeder opened, a drum off; and is taken into a set of its own then', () => {
    const t = new JobFixture(FOUR, [], 'drums_single');
    t.sound('release');
    expect(figuresMissing(state(t).context.figuresOf(itemOf(t, 'release', 'RL')))).to.deep.equal([]);
    const drum = t.slot('drum', 'RL');
    t.part(drum, 'removed');
    t.part(drum, 'fitted', `part:${drum}`);
    const [one] = state(t).context.figuresOf(itemOf(t, 'release', 'RL'));
    expect([one?.stands, one?.lapsed?.slot.kind]).to.deep.equal([false, 'drum']);
    expect(figuresMissing(state(t).context.figuresOf(itemOf(t, 'release', 'FR'))), 'another wheel').to.deep.equal([]);
    expect(proofStops(state(t)).find((s) => s.measurement === 'wheel_drag')).to.equal(undefined, 'the first press comes first');
  });

  it('taken while something is blocked it is provisional, and does not become good by waiting', () => {
    const t = new JobFixture(FOUR);
    const block = { ...base(t.next()), slotId: t.slot('caliper'), what: 'block' as const, note: '' };
    t.file.putIns = [block];
    t.sound('pedal_hold');
    t.file.takenOuts = [{ ...base(t.next()), putInId: block.id }];
    const [figure] = state(t).context.figuresOf(itemOf(t, 'pedal_hold'));
    expect([figure?.stands, figure?.lapsed]).to.deep.equal([false, null]);
    expect(figureFault(figure!)).to.equal('Provisional, as it stood then: block in the front left caliper. Do it again.');
    expect(why(t, 'pedal_hold')).to.match(/figures first/);
    t.sound('pedal_hold');
    expect(why(t, 'pedal_hold')).to.equal(null);
  });

  it('a slope that was held or a pull: one of them is enough', () => {
    const t = new JobFixture(FOUR);
    const lever = t.slot('parking_lever', null);
    t.gauge(lever, ['6'], { measurement: 'parking_travel', phase: 'as_fitted', partId: null });
    expect(why(t, 'parking'))
      .to.match(/slope held/)
      .and.not.match(/pull/);
    t.gauge(lever, ['2400'], { measurement: 'parking_pull', phase: 'as_fitted', partId: null });
    expect(why(t, 'parking')).to.equal(null);
  });

  it('forces of an axle apart by more than a third contradict nothing until both are there, and are judged then', () => {
    const t = new JobFixture(FOUR);
    const at = { measurement: 'brake_force', phase: 'as_fitted', partId: null } as const;
    t.gauge(t.slot('hub', 'FL'), ['2000'], at);
    const judged = () => t.component(t.slot('hub', 'FL')).judged.find((j) => j.characteristic.id === 'brake_force_pair');
    expect(judged()).to.equal(undefined);
    t.gauge(t.slot('hub', 'FR'), ['1000'], at);
    expect(judged()?.reduced.value).to.be.closeTo(0.5, 1e-9);
    expect(judged()?.verdict).to.equal('past');
    // r = 1 − b/a of figures that are each out by 3 %: u(r) = b/a · √2 · 0.03/√3, and the resolution of 10 N.
    expect(judged()?.reduced.expanded).to.be.closeTo(2 * 0.5 * Math.SQRT2 * (0.03 / Math.sqrt(3)), 0.004);
  });

  it('a unit on the bench that was read too soon was not held, and one that drops is past', () => {
    const t = new JobFixture([], [], 'coupe_disc_disc_tandem_servo');
    const caliper = t.slot('caliper');
    const set = t.gauge(caliper, [], { measurement: 'bench_high', phase: 'as_fitted' });
    t.read(set, null, 'place', 'start', '70');
    t.next();
    t.next();
    t.next();
    t.read(set, null, 'place', 'end', '61');
    const drop = t.component(caliper).judged.find((j) => j.characteristic.id === 'bench_high_drop');
    expect([drop?.reduced.value, drop?.verdict]).to.deep.equal([9, 'past']);
  });

  it('units that leave alone are held low, then high, for as long as it takes; opened again, only that one is held anew', () => {
    const layout = buildStandalone([{ kind: 'caliper', count: 2, pistons: 1 }], 'lay', 'car', id);
    const t = new JobFixture([]);
    Object.assign(t.file, fileOn(layout));
    const [one, two] = layout.slots.filter((s) => s.kind === 'caliper');
    const missing = (slot: Slot) =>
      figuresMissing(state(t).context.figuresOf(state(t).context.proofItems.find((i) => i.item === `bench_tight~${slot.id}`)!));
    expect(missing(one!).map((f) => f.ask.measurement)).to.deep.equal(['bench_low', 'bench_high']);
    t.sound('bench_tight');
    expect([missing(one!), missing(two!)]).to.deep.equal([[], []]);
    const set = t.gauge(one!.id, [], { measurement: 'bench_low', phase: 'as_fitted' });
    t.read(set, null, 'place', 'start', '3.00');
    t.read(set, null, 'place', 'end', '3.00');
    expect(missing(one!).map((f) => f.hold)).to.deep.equal([{ kind: 'short', ran: 60, needs: 300 }]);
    t.part(two!.id, 'opened');
    expect(missing(two!).map((f) => f.lapsed?.slot.id)).to.deep.equal([two!.id, two!.id]);
    expect(missing(one!)).to.have.length(1);
  });

  it('what was held too short, set where it proves nothing, or rose is nobody’s verdict, and says why', () => {
    const t = new JobFixture(FOUR, []);
    const caliper = t.slot('caliper');
    const held = (set: string, end: string, minutes: number) => {
      const id = t.gauge(caliper, [], { measurement: 'bench_high', phase: 'as_fitted' });
      t.read(id, null, 'place', 'start', set);
      for (let m = 1; m < minutes; m += 1) t.next();
      t.read(id, null, 'place', 'end', end);
      const drop = t.component(caliper).judged.find((j) => j.characteristic.id === 'bench_high_drop' && j.setId === id.id);
      return [drop?.verdict, drop && sentence(drop)];
    };
    expect(held('70', '70', 1)).to.deep.equal(['not_gauged', 'Held 1:00 of 2:00: set it anew, and hold it.']);
    expect(held('5', '5', 3)).to.deep.equal(['not_gauged', 'Set to 5 bar, and it counts from 20 to 160 bar: set it anew, and hold it.']);
    expect(held('70', '85', 3)[0]).to.equal('cant_tell');
    expect(held('70', '85', 3)[1]).to.match(/^It rose while it was held/);
    expect(held('70', '69', 3)[0]).to.equal('holds');
    // What fell too far within a shorter time has fallen too far.
    expect(held('70', '55', 1)[0]).to.equal('past');
  });

  it('the sheet says what was taken, beside the answer', () => {
    const t = new JobFixture(FOUR);
    t.sound('pedal_hold');
    prove(t, 'pedal_hold');
    expect(buildHandbackProofs(state(t)).join('\n')).to.contain(
      'Pedal held for 60 s does not sink: passed; sink hard 1.0 mm, light 1.5 mm',
    );
  });

  it('every figure is of a measurement of the catalogue, at places that it has, and a sound one is past nothing', () => {
    const items = new Set<string>();
    fc.assert(
      fc.property(fc.constantFrom(...TEMPLATES.map((x) => x.id)), (template) => {
        const t = new JobFixture(FOUR, [], template);
        t.sound();
        const { context } = state(t);
        for (const i of context.proofItems) {
          items.add(itemBase(i.item));
          const figures = context.figuresOf(i);
          expect(
            figuresMissing(figures).map((f) => f.ask.measurement),
            `${template} ${i.item}`,
          ).to.deep.equal([]);
          for (const f of figures) {
            const { pattern } = MEASUREMENTS[f.ask.measurement];
            const places = pattern.form === 'spots' ? pattern.spots.map((s) => s.id) : [];
            expect(places).to.include.members([...(f.ask.places ?? [])]);
            for (const j of f.judged) expect(j.verdict, `${template} ${j.characteristic.id}`).to.not.equal('past');
          }
        }
      }),
      { numRuns: 40 },
    );
    for (const item of ['pedal_hold', 'pedal_reserve', 'pedal_return', 'servo', 'release', 'parking', 'parking_drag']) {
      expect([...items], item).to.include(item);
      expect(figuresAsked(item).length, item).to.be.greaterThan(0);
    }
    for (const id of Object.keys(SOUND_FIGURES))
      expect(characteristicsFrom(id as keyof typeof MEASUREMENTS).length, id).to.be.greaterThan(0);
  });
});
