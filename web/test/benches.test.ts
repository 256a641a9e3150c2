import { MEASUREMENT_IDS, MEASUREMENTS, plannedPositions } from '@dauer/core/catalogue';
import { expect } from 'chai';
import { BENCHES } from '../src/features/gauge/benches/benches.ts';

describe('the benches', () => {
  it('are one for each measurement, and none besides', () => {
    expect(Object.keys(BENCHES).sort()).to.deep.equal([...MEASUREMENT_IDS].sort());
  });

  for (const id of MEASUREMENT_IDS)
    it(`draws every place of ${id}`, () => {
      const bench = BENCHES[id];
      const { pattern } = MEASUREMENTS[id];
      if (bench.drawing !== 'sketch') {
        // Drawn as itself: round, or at places that the drawing has by its own.
        expect(pattern.form === 'round' || ['pads', 'shoes', 'piston', 'bore'].includes(bench.drawing), pattern.form).to.equal(true);
        return;
      }
      const places = plannedPositions(id).map((p) => p.place ?? '');
      expect(Object.keys(bench.sketch.spots)).to.include.members(places);
      for (const [place, spot] of Object.entries(bench.sketch.spots)) {
        expect(spot.shows, place).to.match(/^M[\d.]/);
        const [x, y] = spot.at;
        expect(x, place).to.be.within(0, 440);
        expect(y, place).to.be.within(0, bench.sketch.height);
      }
    });

  it('work something out only of what they draw', () => {
    for (const id of MEASUREMENT_IDS) if (BENCHES[id].worked) expect(BENCHES[id].panels ?? [], id).not.to.deep.equal([]);
  });
});
