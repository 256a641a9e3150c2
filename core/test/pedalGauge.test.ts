import { expect } from 'chai';
import fc from 'fast-check';
import { openHistory } from '../src/history/jobHistory.ts';
import { deriveJob } from '../src/job/job.ts';
import { type Corner, CORNER_NAME } from '../src/layout/kinds.ts';
import { DomainError } from '../src/quantity/domainError.ts';
import { expectedVolume, HARD_N, LIGHT_N, pedalTells, shutWhenever, splitTravel } from '../src/judging/pedalGauge.ts';
import { pedalWords } from '../src/wording/en/trace.ts';
import { toTrace } from '../src/views/trace/tracing.ts';
import { base, FOUR, NOW, JobFixture } from './jobFixture.ts';

const MASTER = (Math.PI * 20.64 ** 2) / 4;

describe('the pedal as a gauge', () => {
  it('free and soft volume come back from the travel that they make', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.double({ min: 0.001, max: 0.1, noNaN: true }),
        fc.double({ min: 120, max: 320, noNaN: true }),
        fc.double({ min: 30, max: 70, noNaN: true }),
        (freeMl, mlPerBar, padArmMm, rodArmMm) => {
          const ratio = padArmMm / rodArmMm;
          const bar = (n: number): number => (10 * n * ratio) / MASTER;
          // Push-rod play and port take-up, 1.5 mm together, come before anything moves.
          const travel = (n: number): number => (((freeMl + mlPerBar * bar(n)) * 1000) / MASTER + 1.5) * ratio;
          const split = splitTravel({ lightMm: travel(LIGHT_N), hardMm: travel(HARD_N), padArmMm, rodArmMm, masterMm2: MASTER });
          expect(split.freeMl).to.be.closeTo(freeMl, 1e-9);
          expect(split.softMl).to.be.closeTo(mlPerBar * bar(HARD_N), 1e-9);
          expect(split.pressureBar).to.be.closeTo(bar(HARD_N), 1e-9);
        },
      ),
    );
  });
  it('refuses arms and bores of nothing, and a hard push that went less far than a light one', () => {
    const sound = { lightMm: 30, hardMm: 50, padArmMm: 250, rodArmMm: 50, masterMm2: MASTER };
    expect(() => splitTravel({ ...sound, rodArmMm: 0 })).to.throw(DomainError, /above 0/);
    expect(() => splitTravel({ ...sound, hardMm: 29 })).to.throw(DomainError, /measure again/);
  });

  class Pressed extends JobFixture {
    travel(light: string, hard: string, arms = true): void {
      const set = this.gauge(this.slot('pedal', null), [], { measurement: 'pedal_travel', partId: null });
      for (const [place, typed] of [
        ['light', light],
        ['hard', hard],
        ...(arms
          ? [
              ['pad arm', '260'],
              ['rod arm', '50'],
            ]
          : []),
      ] as const)
        this.read(set, null, 'place', place ?? null, typed ?? '');
    }
    clamp(corner: Corner): string {
      const clamp = { ...base(this.next()), slotId: this.slot('hose', corner), what: 'clamp' as const, note: '' };
      this.file.putIns = [...this.file.putIns, clamp];
      return clamp.id;
    }
    out(putInId: string): void {
      this.file.takenOuts = [...this.file.takenOuts, { ...base(this.next()), putInId }];
    }
    tells() {
      return pedalTells(openHistory(this.file));
    }
  }
  it('with one hose clamped the volume has a wheel, and the arms are taken once', () => {
    const t = new Pressed(FOUR);
    expect(t.tells()).to.equal(null);
    t.travel('70', '100');
    const all = t.tells()!;
    expect(all.at).to.deep.equal([]);
    expect(all.all.softMl).to.be.greaterThan(2);
    const clamp = t.clamp('FL');
    t.travel('60', '72', false);
    t.out(clamp);
    const tells = t.tells()!;
    expect(tells.all).to.deep.equal(all.all);
    expect(tells.at.map((a) => a.corner)).to.deep.equal(['FL']);
    expect(tells.at[0]!.softMl).to.be.closeTo(all.all.softMl * (1 - 12 / 30), 1e-9);
    const words = pedalWords(tells, (c) => CORNER_NAME[c]).join(' ');
    expect(words).to.match(/^\d\.\d mL soft, \d\.\d mL of it front left; /);
    expect(words).to.contain('Most of it is beyond the clamp front left');
    expect(shutWhenever(openHistory(t.file))).to.deep.equal([]);
    // Measured with a clamp in is never taken for the whole.
    t.clamp('FR');
    t.travel('50', '52', false);
    expect(t.tells()!.all).to.deep.equal(all.all);
  });
  it('taken only with a wheel shut off it says nothing of the whole, and says so', () => {
    const t = new Pressed(FOUR);
    t.clamp('FL');
    t.travel('60', '72');
    expect(t.tells()).to.equal(null);
    expect(shutWhenever(openHistory(t.file))).to.deep.equal(['FL']);
  });
  it('it is evidence: too soft, or as firm as hoses and units are; and it ends when something is changed', () => {
    const soft = new Pressed(FOUR);
    soft.travel('50', '115');
    const known = (t: Pressed) => toTrace(deriveJob(t.file, NOW)).evidence;
    expect(known(soft).observations['pedal_spongy']).to.equal('seen');
    expect(known(soft).learntFrom['pedal_spongy']).to.equal('measured');
    const firm = new Pressed(FOUR);
    firm.travel('30', '36');
    expect(known(firm).observations['pedal_spongy']).to.equal('not_seen');
    expect(pedalWords(firm.tells()!, (c) => CORNER_NAME[c]).join(' ')).to.contain('Another bleed will not make it harder');
    soft.part(soft.slot('hose', 'FL'), 'fitted');
    expect(known(soft).observations).to.not.have.property('pedal_spongy');
  });
  it('what is expected grows with the wheels that the fluid reaches and with the pressure', () => {
    const { layout } = new JobFixture(FOUR);
    const one = expectedVolume(layout, ['FL'], 50);
    const two = expectedVolume(layout, ['FL', 'FR'], 50);
    expect(two.freeMl).to.be.closeTo(2 * one.freeMl, 1e-9);
    expect(two.softMl).to.be.greaterThan(one.softMl);
    expect(expectedVolume(layout, ['FL', 'FR'], 100).softMl).to.be.closeTo(2 * two.softMl, 1e-9);
    expect(expectedVolume(layout, ['FL', 'FR'], 100).freeMl).to.equal(two.freeMl);
  });
});
