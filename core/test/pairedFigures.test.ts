import { expect } from 'chai';
import fc from 'fast-check';
import type { MeasurementId } from '../src/catalogue/measurements.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { deriveJob } from '../src/job/job.ts';
import { pairedFiguresAt } from '../src/judging/pairedFigures.ts';
import { judgeBetween } from '../src/judging/judge.ts';
import { slotById } from '../src/layout/graph.ts';
import type { Corner } from '../src/layout/kinds.ts';
import type { Phase } from '../src/ledger/families/sets.ts';
import { FOUR, NOW, JobFixture } from './jobFixture.ts';

/** The figures between two sets that a place has, by their names. */
function between(t: JobFixture, slotId: string) {
  const history = deriveJob(t.file, NOW).history;
  return new Map(pairedFiguresAt(history, slotById(t.layout, slotId)!).map((b) => [b.characteristic, b]));
}
const at = (measurement: MeasurementId, phase: Phase = 'as_found') => ({ measurement, phase });
const drums = (): JobFixture => new JobFixture(FOUR, [], 'drums_single');

describe('figures between two sets', () => {
  it('a piston’s clearance is the largest bore less the smallest piston, whichever position they lie at', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 22000, max: 22400 }), { minLength: 6, maxLength: 6 }),
        fc.array(fc.integer({ min: 21800, max: 22200 }), { minLength: 4, maxLength: 4 }),
        (bores, pistons) => {
          const t = drums();
          const cylinder = t.slot('wheel_cylinder', 'RL');
          const mm = (n: number): string => (n / 1000).toFixed(3);
          t.gauge(cylinder, bores.map(mm), at('bore_diameter'));
          expect(between(t, cylinder).has('bore_clearance')).to.equal(false);
          t.gauge(cylinder, pistons.map(mm), at('piston_diameter'));
          const b = between(t, cylinder).get('bore_clearance');
          expect(b?.reduced.value).to.be.closeTo((Math.max(...bores) - Math.min(...pistons)) / 1000, 1e-9);
          expect(b?.reduced.expanded).to.be.greaterThan(0);
          expect([b?.reduced.taken, b?.reduced.needed]).to.deep.equal([10, 10]);
          expect(b?.with.id).to.equal(cylinder);
        },
      ),
      { numRuns: 40 },
    );
  });
  it('half of the positions make no whole figure', () => {
    const t = drums();
    const cylinder = t.slot('wheel_cylinder', 'RL');
    t.gauge(cylinder, ['22.20', '22.22', '22.21'], at('bore_diameter'));
    t.gauge(cylinder, ['22.10', '22.12'], at('piston_diameter'));
    const b = between(t, cylinder).get('bore_clearance');
    expect([b?.reduced.taken, b?.reduced.needed]).to.deep.equal([5, 10]);
  });
  it('the arc is told from the largest drum, of the shoe that is farthest off', () => {
    const t = drums();
    const shoes = t.slot('shoes', 'RL');
    t.gauge(shoes, ['253.50', '251.00'], at('shoe_arc'));
    expect(between(t, shoes).size).to.equal(0);
    t.gauge(t.slot('drum', 'RL'), ['254.00', '254.10', '254.20', '254.05'], at('drum_diameter'));
    const b = between(t, shoes).get('shoe_arc_difference');
    expect(b?.reduced.value).to.be.closeTo(254.2 - 251, 1e-9);
    expect(b?.with.id).to.equal(t.slot('drum', 'RL'));
    // The drum of another wheel says nothing about it.
    expect(between(t, t.slot('shoes', 'RR')).size).to.equal(0);
  });
  it('a pair is compared once both sides are cut: rotors at their thinnest, drums at their widest', () => {
    const t = new JobFixture(FOUR, []);
    const both = (kind: string, axle: 'F' | 'R', id: MeasurementId, phase: Phase, left: string[], right: string[]): void => {
      t.gauge(t.slot(kind, `${axle}L` as Corner), left, at(id, phase));
      t.gauge(t.slot(kind, `${axle}R` as Corner), right, at(id, phase));
    };
    const left = ['12.10', '12.05', '12.20', '12.15', '12.10', '12.10', '12.10', '12.10'];
    const right = ['11.90', '11.95', '11.93', '11.92', '11.91', '11.95', '11.95', '11.95'];
    both('rotor', 'F', 'rotor_thickness', 'as_found', left, right);
    expect(between(t, t.slot('rotor', 'FL')).has('rotor_pair')).to.equal(false);
    both('rotor', 'F', 'rotor_thickness', 'after_machining', left, right);
    for (const corner of ['FL', 'FR'] as const) {
      const b = between(t, t.slot('rotor', corner)).get('rotor_pair');
      expect(b?.reduced.value, corner).to.be.closeTo(12.05 - 11.9, 1e-9);
      expect(b?.reduced.governing.map((r) => r.typed).sort()).to.deep.equal(['11.90', '12.05']);
    }
    const d = drums();
    d.gauge(d.slot('drum', 'RL'), ['254.00', '254.30', '254.10', '254.10'], at('drum_diameter', 'after_machining'));
    expect(between(d, d.slot('drum', 'RL')).has('drum_pair')).to.equal(false);
    d.gauge(d.slot('drum', 'RR'), ['254.60', '254.70', '254.65', '254.60'], at('drum_diameter', 'after_machining'));
    expect(between(d, d.slot('drum', 'RL')).get('drum_pair')?.reduced.value).to.be.closeTo(0.4, 1e-9);
  });
  it('drag is what a hard application leaves, apart on both sides', () => {
    const t = new JobFixture(FOUR, []);
    t.gauge(t.slot('hub', 'FL'), ['2', '9'], at('wheel_drag'));
    t.gauge(t.slot('hub', 'FR'), ['3'], at('wheel_drag'));
    expect(between(t, t.slot('hub', 'FL')).has('wheel_drag_pair'), 'half a side').to.equal(false);
    t.gauge(t.slot('hub', 'FR'), ['3', '4'], at('wheel_drag'));
    const b = between(t, t.slot('hub', 'FL')).get('wheel_drag_pair');
    expect(b?.reduced.value).to.be.closeTo(9 - 2 - (4 - 3), 1e-9);
    expect(between(t, t.slot('hub', 'FR')).get('wheel_drag_pair')?.reduced.value).to.equal(b?.reduced.value);
  });
  it('line pressures are apart by a share of the larger, at the worse of two pushes', () => {
    const t = drums();
    const [l, r] = [t.slot('wheel_cylinder', 'FL'), t.slot('wheel_cylinder', 'FR')];
    t.gauge(l, ['10', '80'], at('line_pressure'));
    t.gauge(r, ['8', '76'], at('line_pressure'));
    const both = pairedFiguresAt(openHistory(t.file), slotById(t.layout, l)!).filter((b) => b.characteristic === 'line_pressure_pair');
    expect(both.map((b) => b.reduced.value)).to.satisfy((v: number[]) => Math.abs(v[0]! - 0.2) < 1e-9 && Math.abs(v[1]! - 0.05) < 1e-9);
    // The hard push lies nearer to the limit; the verdict of the light one is worse.
    const judged = judgeBetween(openHistory(t.file), slotById(t.layout, l)!, NOW).find((j) => j.characteristic.id === 'line_pressure_pair');
    expect(judged?.reduced.governing.map((x) => x.place)).to.deep.equal(['light', 'light']);
    // Nothing on either gauge at a light push: the hard one is told alone.
    const none = drums();
    none.gauge(none.slot('wheel_cylinder', 'FL'), ['0', '80'], at('line_pressure'));
    none.gauge(none.slot('wheel_cylinder', 'FR'), ['0', '60'], at('line_pressure'));
    expect(between(none, none.slot('wheel_cylinder', 'FL')).get('line_pressure_pair')?.reduced.value).to.be.closeTo(0.25, 1e-9);
  });
  it('a place without another side, and a part that was changed since, are not compared', () => {
    const t = new JobFixture(['F', 'R'], [], 'motorcycle_disc_rod');
    t.gauge(
      t.slot('rotor', 'F'),
      Array.from({ length: 8 }, () => '6.31'),
      at('rotor_thickness', 'after_machining'),
    );
    expect(between(t, t.slot('rotor', 'F')).size).to.equal(0);
    const d = drums();
    for (const c of ['RL', 'RR'] as const)
      d.gauge(d.slot('drum', c), ['254.0', '254.1', '254.0', '254.0'], at('drum_diameter', 'after_machining'));
    expect(between(d, d.slot('drum', 'RL')).has('drum_pair')).to.equal(true);
    d.part(d.slot('drum', 'RR'), 'fitted', 'another drum');
    expect(between(d, d.slot('drum', 'RL')).has('drum_pair')).to.equal(false);
  });
});
