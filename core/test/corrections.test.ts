import { expect } from 'chai';
import fc from 'fast-check';
import { openHistory } from '../src/history/jobHistory.ts';
import { moveTo, swapSides } from '../src/history/swapSides.ts';
import { deriveJob } from '../src/job/job.ts';
import { buildSheet } from '../src/views/handback.ts';
import { base, NOW, JobFixture } from './jobFixture.ts';

class Bench extends JobFixture {
  swap(): void {
    const moves = swapSides(openHistory(this.file), this.slot('rotor', 'FL'), this.slot('rotor', 'FR'), 'rotor_thickness', 'as_found');
    this.file.setMoves = [
      ...this.file.setMoves,
      ...moves.map((m) => ({ ...base(this.next(), { corrects: m.setId }), ...m, supersedes: null })),
    ];
  }
  figures(corner: 'FL' | 'FR'): string[] {
    return this.component(this.slot('rotor', corner)).judged.map((j) => `${j.characteristic.id} ${j.reduced.value.toFixed(3)}`);
  }
}
const ring = (figure: number): string[] => Array.from({ length: 8 }, (_, i) => (figure + (i % 3) / 100).toFixed(2));

describe('swapping left and right', () => {
  it('a set that was taken elsewhere is of the part that sat there then, whatever was fitted since', () => {
    const t = new JobFixture(['FL', 'FR']);
    const right = t.slot('rotor', 'FR');
    const then = t.file.partEvents.find((e) => e.slotId === right)!.partId;
    const set = t.gauge(t.slot('rotor', 'FL'), ['12.10']);
    t.part(right, 'removed');
    t.part(right, 'fitted', 'another');
    const history = openHistory(t.file);
    expect(moveTo(history, set, right)).to.deep.equal({ setId: set.id, slotId: right, partId: then });
    expect(moveTo(history, { ...set, happenedAt: NOW }, right).partId).to.equal('another');
  });
  it('puts the figures on the other side, with the part that sits there, and judges them there', () => {
    const t = new Bench(['FL', 'FR']);
    t.gauge(t.slot('rotor', 'FL'), ring(10.8));
    t.gauge(t.slot('rotor', 'FR'), ring(12.4));
    expect([t.component(t.slot('rotor', 'FL')).judged[0]?.verdict, t.component(t.slot('rotor', 'FR')).judged[0]?.verdict]).to.deep.equal([
      'past',
      'holds',
    ]);
    t.swap();
    expect([t.component(t.slot('rotor', 'FL')).judged[0]?.verdict, t.component(t.slot('rotor', 'FR')).judged[0]?.verdict]).to.deep.equal([
      'holds',
      'past',
    ]);
    const sheet = buildSheet(deriveJob(t.file, NOW), NOW);
    expect(sheet.figures.find((f) => f.characteristic === 'Rotor thickness' && f.verdict === 'Past limit')?.place).to.equal(
      'Front right rotor',
    );
  });

  it('works where only one side was taken', () => {
    const t = new Bench(['FL', 'FR']);
    t.gauge(t.slot('rotor', 'FL'), ring(12.1));
    t.swap();
    expect(t.figures('FL')).to.deep.equal([]);
    expect(t.figures('FR')[0]).to.equal('rotor_thickness 12.100');
  });

  it('twice is as if never, and so is taking the moves back; every other figure stays as it was', () => {
    const figure = fc.integer({ min: 1050, max: 1270 }).map((n) => n / 100);
    fc.assert(
      fc.property(figure, figure, figure, fc.boolean(), (left, right, rear, byTakeBack) => {
        const t = new Bench(['FL', 'FR', 'RL', 'RR']);
        t.gauge(t.slot('rotor', 'FL'), ring(left));
        t.gauge(t.slot('rotor', 'FR'), ring(right));
        t.gauge(t.slot('rotor', 'RL'), ring(rear));
        t.gauge(t.slot('rotor', 'FL'), ['0.00', '0.01', '0.02', '0.02', '0.01', '0.00', '0.00', '0.00'], { measurement: 'rotor_runout' });
        const others = (): string[] =>
          t
            .component(t.slot('rotor', 'RL'))
            .judged.concat(t.component(t.slot('rotor', 'FL')).judged.filter((j) => j.characteristic.id === 'rotor_runout'))
            .map((j) => `${j.characteristic.id} ${j.reduced.value}`);
        const [before, apart] = [[t.figures('FL'), t.figures('FR')], others()];
        t.swap();
        expect(others()).to.deep.equal(apart);
        if (byTakeBack) for (const m of t.file.setMoves) t.takeBack(m.id);
        else t.swap();
        expect([t.figures('FL'), t.figures('FR')]).to.deep.equal(before);
      }),
      { numRuns: 40 },
    );
  });

  it('a later part that sits there does not take the figures of the one before', () => {
    const t = new Bench(['FL', 'FR']);
    t.gauge(t.slot('rotor', 'FL'), ring(12.1));
    const right = t.component(t.slot('rotor', 'FR')).part!.id;
    t.part(t.slot('rotor', 'FR'), 'removed');
    t.part(t.slot('rotor', 'FR'), 'fitted', 'new-rotor');
    t.swap();
    expect(openHistory(t.file).sets[0]?.partId).to.equal(right);
    expect(t.figures('FR')).to.deep.equal([]);
  });
});
