import { expect } from 'chai';
import { openHistory } from '../src/history/jobHistory.ts';
import { deriveJob } from '../src/job/job.ts';
import { isCharged, madeSafe } from '../src/readiness/storedEnergy.ts';
import { whyNotDone } from '../src/readiness/workRefusal.ts';
import { possibleChecks } from '../src/views/trace/possible.ts';
import { toTrace } from '../src/views/trace/tracing.ts';
import { base, FOUR, JobFixture, NOW } from './jobFixture.ts';

class Lorry extends JobFixture {
  constructor(stored: 'none' | 'air' | 'accumulator' | null) {
    super(FOUR);
    this.file.vehicle = { ...this.file.vehicle, stored };
  }
  state() {
    return deriveJob(this.file, NOW);
  }
  safe(): string {
    const row = { ...base(this.next()), slotId: this.slot('pedal', null), what: 'made_safe' as const, note: '' };
    this.file.putIns = [...this.file.putIns, row];
    return row.id;
  }
  out(putInId: string): void {
    this.file.takenOuts = [...this.file.takenOuts, { ...base(this.next()), putInId }];
  }
  refusal(kind: 'hose' | 'servo' | 'pads', event: 'removed' | 'opened' = 'removed', at = NOW): string | null {
    const slotId = this.slot(kind, kind === 'servo' ? null : 'FL');
    const partId = this.component(slotId).part!.id;
    return whyNotDone(openHistory(this.file), { id: '', partId, kind: event, slotId, lot: null, lineOn: true }, at);
  }
  opens(): number {
    const state = this.state();
    return possibleChecks(state, toTrace(state).network).filter((c) => c.kind.hazards.includes('opens')).length;
  }
}

describe('energy that a vehicle stores', () => {
  for (const stored of ['air', 'accumulator'] as const)
    it(`${stored}: no line is opened and nothing wet comes off until somebody says that it was made safe`, () => {
      const t = new Lorry(stored);
      expect(isCharged(openHistory(t.file))).to.equal(true);
      expect(t.refusal('servo')).to.match(/^The vehicle stores energy\. Drain the tanks and cage the springs first/);
      expect(t.refusal('hose')).to.match(/^The vehicle stores energy/);
      expect(t.refusal('pads'), 'what holds neither').to.equal(null);
      expect(t.opens(), 'no check that opens anything is proposed').to.equal(0);
      const before = NOW;
      const put = t.safe();
      const said = t.file.putIns.at(-1)!.happenedAt;
      expect(t.refusal('servo', 'removed', new Date(Date.parse(said) - 1).toISOString()), 'not before it was said').to.match(
        /stores energy/,
      );
      expect(t.refusal('servo')).to.not.match(/stores energy/);
      expect(t.opens()).to.be.greaterThan(0);
      expect(t.state().context.proofStatus.locks, 'it makes no press dangerous').to.deep.equal([]);
      const owed = t.state().obligations.find((o) => o.key === `out:${put}`)!;
      expect(owed.what).to.equal('Uncage the springs and fill the tanks again, once every line is closed');
      t.out(put);
      expect(isCharged(openHistory(t.file), before)).to.equal(true);
    });

  it('none, or nobody said: nothing is asked', () => {
    for (const stored of ['none', null] as const) {
      const t = new Lorry(stored);
      expect(isCharged(openHistory(t.file))).to.equal(false);
      expect(t.refusal('servo') ?? '').to.not.match(/stores energy/);
      expect(t.opens()).to.be.greaterThan(0);
    }
  });

  it('what was made safe on an earlier job is filled again by now', () => {
    const t = new Lorry('air');
    t.safe();
    t.file.putIns = t.file.putIns.map((p) => ({ ...p, jobId: 'an earlier one' }));
    expect(madeSafe(openHistory(t.file))).to.equal(null);
  });
});
