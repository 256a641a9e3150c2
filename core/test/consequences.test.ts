import { expect } from 'chai';
import { findingsOn } from '../src/catalogue/findingCatalogue.ts';
import { deriveJob } from '../src/job/job.ts';
import { KIND_FACTS } from '../src/layout/kinds.ts';
import { FOUR, JobFixture, base, NOW } from './jobFixture.ts';

const owed = (t: JobFixture, finding: string, kind: string): string[] =>
  deriveJob(t.file, NOW)
    .obligations.filter((o) => o.key.startsWith(`because:${finding}:`) && o.state === 'open')
    .filter((o) => t.layout.slots.some((s) => s.id === o.slotId && s.kind === kind))
    .map((o) => o.what);

describe('what follows from deposits', () => {
  it('every unit of that circuit is opened, or put off until a day, whatever its pistons do', () => {
    const t = new JobFixture(FOUR);
    const bleeder = t.slot('bleeder');
    const { circuits } = t.layout.slots.find((s) => s.id === bleeder)!;
    const units = t.layout.slots.filter((s) => s.kind === 'caliper' && s.circuits.some((c) => circuits.includes(c)));
    t.find(bleeder, { code: 'deposits', severity: 'watch', words: 'Sludge' });
    expect(owed(t, 'deposits', 'caliper')).to.have.length(units.length);
    expect(owed(t, 'deposits', 'master_cylinder')).to.deep.equal([
      'Master cylinder: seals, but has deposits behind: open it, or put it off until a day',
    ]);
    const [first, second] = units;
    t.part(first!.id, 'opened');
    expect(owed(t, 'deposits', 'caliper')).to.have.length(units.length - 1);
    t.decide(second!.id, 'put_off');
    expect(owed(t, 'deposits', 'caliper'), 'without a day it is not put off').to.have.length(units.length - 1);
    t.file.decisions = t.file.decisions.map((d) => ({ ...d, reviewOn: '2027-01-01' }));
    expect(owed(t, 'deposits', 'caliper')).to.have.length(units.length - 2);
  });
  it('sludge seen at Trace says it of all that the reservoir feeds', () => {
    const t = new JobFixture(FOUR);
    t.file.observations = [{ ...base(t.next()), code: 'fluid_sludge', corner: null, state: 'seen' }];
    expect(owed(t, 'deposits', 'caliper')).to.have.length(4);
  });
});

describe('what follows at an axle with one hose', () => {
  it('a unit that is seized or wet owes that hose', () => {
    for (const code of ['seized', 'fluid_here'] as const) {
      const t = new JobFixture(FOUR);
      const hose = t.layout.slots.find((s) => s.kind === 'hose' && s.corner === null)!;
      t.find(t.slot('caliper', 'FL'), { code, severity: 'doubt', words: code });
      expect(
        owed(t, code, 'hose').some((w) => w.startsWith(hose.name)),
        `${code}, the other axle`,
      ).to.equal(false);
      t.find(t.slot('caliper', 'RL'), { code, severity: 'doubt', words: code });
      expect(
        owed(t, code, 'hose').some((w) => w.startsWith(hose.name)),
        code,
      ).to.equal(true);
    }
  });
});

describe('what is found on any unit', () => {
  it('has its name on every article: broken, stripped, corroded outside and inside, and who was here last', () => {
    for (const kind of ['caliper', 'drum', 'master_cylinder', 'hose', 'servo', 'hub', 'clutch_slave'] as const) {
      expect(KIND_FACTS[kind].article).to.equal(true);
      const ids = findingsOn(kind).map((f) => f.id);
      expect(ids, kind).to.include.members(['fastener_broken', 'thread_bad', 'corroded_outside', 'corroded_inside', 'here_before']);
    }
    expect(findingsOn('bleeder').map((f) => f.id)).to.include('deposits_here');
    expect(findingsOn('pads').map((f) => f.id)).to.not.include('seal_bad');
  });
});
