import { expect } from 'chai';
import fc from 'fast-check';
import { CHARACTERISTICS, characteristicsFrom } from '../src/catalogue/characteristics.ts';
import { findingsOn } from '../src/catalogue/findingCatalogue.ts';
import { FINDING_CATALOGUE } from '../src/catalogue/findingsOfParts.ts';
import { MEASUREMENT_IDS, MEASUREMENTS, measurementsOn } from '../src/catalogue/measurements.ts';
import { countsFor, isImplausible, plannedPositions, plausibleAt, positionKey, usualCount } from '../src/catalogue/positions.ts';
import { deriveJob } from '../src/job/job.ts';
import { GENERIC_LIMITS } from '../src/judging/genericLimits.ts';
import { KIND_FACTS } from '../src/layout/kinds.ts';
import { UNITS } from '../src/quantity/units.ts';
import { checkLimit } from '../src/verdict/limits.ts';
import { base, JobFixture } from './jobFixture.ts';

describe('the catalogue of what is measured', () => {
  it('names a usual gauge, a unit of its kind and places of its own for every measurement', () => {
    for (const id of MEASUREMENT_IDS) {
      const m = MEASUREMENTS[id];
      expect(
        UNITS[m.kind].some((u) => u.id === m.unit),
        id,
      ).to.equal(true);
      expect(m.on, id).to.not.have.length(0);
      expect(m.how, id).to.match(/\.$/);
      for (const kind of m.on) expect(measurementsOn(kind)).to.include(m);
      for (const n of countsFor(id)) {
        const keys = plannedPositions(id, n, true).map(positionKey);
        expect(new Set(keys).size, `${id} at ${n}`).to.equal(keys.length);
      }
      expect(plannedPositions(id, usualCount(id)).length, id).to.be.at.least(m.least);
    }
  });
  it('every characteristic is reduced of places that its measurement has', () => {
    for (const c of CHARACTERISTICS) {
      const places = new Set(plannedPositions(c.takenFrom, usualCount(c.takenFrom), true).map((p) => p.place));
      const r = c.reduction;
      const named =
        r.op === 'at'
          ? [r.place]
          : r.op === 'apart' || r.op === 'means_apart'
            ? [r.of, r.less]
            : r.op === 'pairs_apart'
              ? r.pairs.flat()
              : r.op === 'rise'
                ? [r.of, r.over]
                : r.op === 'barrel'
                  ? [r.middle, ...r.ends]
                  : r.op === 'sweep_scaled'
                    ? [r.times, r.over]
                    : r.op === 'least' || r.op === 'greatest'
                      ? (r.places ?? [])
                      : [];
      for (const place of named) expect(places.has(place), `${c.id}: ${place}`).to.equal(true);
      expect(characteristicsFrom(c.takenFrom)).to.include(c);
    }
  });
  it('every generic limit is one, of a characteristic that is known', () => {
    for (const l of GENERIC_LIMITS) {
      checkLimit(l);
      expect(
        CHARACTERISTICS.some((c) => c.id === l.characteristic),
        l.id,
      ).to.equal(true);
    }
    expect(new Set(GENERIC_LIMITS.map((l) => l.id)).size).to.equal(GENERIC_LIMITS.length);
  });
  it('what nothing is recorded of only has a generic limit or asks for one; a figure that is only written down never does', () => {
    for (const c of CHARACTERISTICS.filter((x) => x.recorded && x.reduction.op !== 'between'))
      expect(
        GENERIC_LIMITS.some((l) => l.characteristic === c.id),
        c.id,
      ).to.equal(false);
  });
  it('a bore or piston is asked about by what it was when new', () => {
    const [p] = plannedPositions('bore_diameter');
    expect(isImplausible(9.5, plausibleAt(p!, 19.05))).to.equal(true);
    expect(isImplausible(19.2, plausibleAt(p!, 19.05))).to.equal(false);
    expect(isImplausible(9.5, plausibleAt(p!, null))).to.equal(false);
  });
  it('the findings say what they look like and why they matter, each on kinds that exist', () => {
    for (const f of FINDING_CATALOGUE) {
      expect(f.looks, f.id).to.match(/\.$/);
      expect(f.matters, f.id).to.match(/\.$/);
      for (const kind of f.kinds) expect(KIND_FACTS[kind], `${f.id} ${kind}`).to.not.equal(undefined);
      if (f.severity !== 'reject') expect(f.rulesOut, f.id).to.deep.equal([]);
    }
    const own = {
      ...{ id: 'own', kinds: ['hose'] as const, name: 'Own', looks: 'So.', matters: 'So.', severity: 'watch' as const },
      ...{ enteredBy: 'ann', enteredAt: '2026-01-01T00:00:00.000Z' },
    };
    expect(findingsOn('hose', [own]).at(-1)?.id).to.equal('own');
    expect(findingsOn('rotor', [own]).some((f) => f.id === 'own')).to.equal(false);
  });
});

describe('figures of the bench, by their sets', () => {
  const judged = (t: JobFixture, slotId: string) =>
    deriveJob(t.file, base(999).happenedAt).components.find((c) => c.slot.id === slotId)!.judged;
  it('what a hard application leaves behind is the difference of two, judged by itself and left to right', () => {
    const t = new JobFixture();
    t.gauge(t.slot('hub', 'FL'), ['1.5', '9.0'], { measurement: 'wheel_drag' });
    t.gauge(t.slot('hub', 'FR'), ['1.5', '2.0'], { measurement: 'wheel_drag' });
    const list = judged(t, t.slot('hub', 'FL'));
    const of = (id: string) => list.find((j) => j.characteristic.id === id);
    expect(of('wheel_drag')?.reduced.value).to.be.closeTo(7.5, 1e-9);
    expect(of('wheel_drag')?.verdict).to.equal('past');
    expect(of('wheel_drag_pair')?.reduced.value).to.be.closeTo(7, 1e-9);
    expect(of('wheel_drag_pair')?.verdict).to.equal('past');
  });
  it('runout says bearing first while the end float is past its limit', () => {
    const t = new JobFixture();
    const sweep = ['0.00', '0.01', '0.02', '0.03', '0.03', '0.02', '0.01', '0.01', '0.00', '0.00', '0.00', '0.00'];
    t.gauge(t.slot('rotor', 'FL'), sweep, { measurement: 'rotor_runout' });
    const before = judged(t, t.slot('rotor', 'FL')).find((j) => j.characteristic.id === 'rotor_runout');
    expect(before?.verdict).to.equal('holds');
    t.gauge(t.slot('hub', 'FL'), ['0.30'], { measurement: 'hub_end_float' });
    const after = judged(t, t.slot('rotor', 'FL')).find((j) => j.characteristic.id === 'rotor_runout');
    expect(after?.verdict).to.equal('cant_tell');
    expect(after?.bearingFirst).to.equal(true);
    t.gauge(t.slot('hub', 'FL'), ['0.02'], { measurement: 'hub_end_float' });
    expect(judged(t, t.slot('rotor', 'FL')).find((j) => j.characteristic.id === 'rotor_runout')?.bearingFirst).to.equal(false);
  });
  it('the face of a hub counts as far out as the pads run', () => {
    const t = new JobFixture();
    const face = ['60', '120', '0.00', '0.01', '0.02', '0.03', '0.02', '0.01', '0.00', '0.00'];
    t.gauge(t.slot('hub', 'FL'), face, { measurement: 'hub_face_runout', count: 8 });
    const j = judged(t, t.slot('hub', 'FL')).find((x) => x.characteristic.id === 'hub_face_runout');
    expect(j?.reduced.value).to.be.closeTo(0.06, 1e-9);
    expect(j?.enough).to.equal(true);
  });
  it('a piston’s clearance leans on the bore of its place and on the piston, by two gauges', () => {
    const t = new JobFixture();
    const slot = t.slot('piston', 'FL');
    const nominal = t.file.layout.slots.find((s) => s.id === slot)!.boreMm!;
    const at = (d: number): string => (nominal + d).toFixed(3);
    t.gauge(slot, [at(0.02), at(0.02), at(0.03), at(0.02), at(0.02), at(0.02)], { measurement: 'bore_diameter', count: 2, partId: null });
    expect(judged(t, slot).some((j) => j.characteristic.id === 'bore_clearance')).to.equal(false);
    t.gauge(slot, [at(-0.2), at(-0.18), at(-0.19), at(-0.18)], { measurement: 'piston_diameter', count: 2 });
    const j = judged(t, slot).find((x) => x.characteristic.id === 'bore_clearance');
    expect(j?.reduced.value).to.be.closeTo(0.23, 1e-9);
    expect(j?.verdict).to.equal('past');
    expect(judged(t, slot).find((x) => x.characteristic.id === 'bore_wear')?.reduced.value).to.be.closeTo(0.03, 1e-9);
  });
  it('a safety figure near its limit asks for a second measure, which confirms, or says that the two do not agree', () => {
    fc.assert(
      fc.property(fc.double({ min: -0.5, max: 0.5, noNaN: true }), (off) => {
        const t = new JobFixture();
        const slot = t.slot('hub', 'FL');
        t.gauge(slot, ['0.04'], { measurement: 'hub_end_float' });
        const first = judged(t, slot).find((j) => j.characteristic.id === 'hub_end_float');
        expect(first?.asksSecond).to.equal(true);
        const again = Math.max(0, 0.04 + off).toFixed(2);
        t.gauge(slot, [again], { measurement: 'hub_end_float', blind: true, authorId: 'ben' });
        const after = judged(t, slot).find((j) => j.characteristic.id === 'hub_end_float');
        expect(after?.asksSecond).to.equal(false);
        expect(after?.reduced.value, 'the first still governs').to.equal(0.04);
        expect(after?.second?.agrees).to.equal(
          Math.abs(Number(again) - 0.04) <= Math.hypot(first!.reduced.expanded, first!.reduced.expanded) + 1e-9,
        );
        if (!after?.second?.agrees) expect(['cant_tell', 'past']).to.include(after?.verdict);
      }),
      { numRuns: 40 },
    );
  });
  it('a second measure by the same person is none', () => {
    const t = new JobFixture();
    const slot = t.slot('hub', 'FL');
    t.gauge(slot, ['0.04'], { measurement: 'hub_end_float' });
    t.gauge(slot, ['0.04'], { measurement: 'hub_end_float', blind: true });
    expect(judged(t, slot).find((j) => j.characteristic.id === 'hub_end_float')?.asksSecond).to.equal(true);
  });
});
