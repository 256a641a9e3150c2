import { expect } from 'chai';
import { deriveJob } from '../src/job/job.ts';
import { partFacts } from '../src/ledger/families/partFacts.ts';
import { isDuty } from '../src/ledger/obligation.ts';
import { BLUED } from '../src/supply/rating.ts';
import { base, FOUR, JobFixture, NOW } from './jobFixture.ts';

function braked(): JobFixture {
  const told = new JobFixture(FOUR);
  for (const kind of ['rotor', 'pads']) {
    const slotId = told.slot(kind);
    if (!told.file.partEvents.some((e) => e.slotId === slotId)) told.part(slotId, 'found', `${kind}-old`);
  }
  return told;
}
function rated(told: JobFixture, partId: string, typed: string): void {
  const sent = {
    ...base(told.next()),
    ...{ fact: 'rated', slotId: told.slot('pads'), partId, lineId: null, typed, unit: null, gaugeVersionId: null, canonical: null },
  };
  const canonical = partFacts.derive?.(sent, { vehicleId: 'car', measurement: null, gaugeKind: null }).canonical ?? null;
  told.file.partFacts = [...told.file.partFacts, { ...sent, canonical }];
}
const partAt = (told: JobFixture, kind: string): string => told.file.partEvents.find((e) => e.slotId === told.slot(kind))!.partId;
function painted(told: JobFixture, turned: string): void {
  const set = told.gauge(told.slot('rotor'), [], { measurement: 'rotor_paint', count: 2 });
  told.read(set, null, 'place', 'hottest turned', turned);
}
const owed = (told: JobFixture) => deriveJob(told.file, NOW).obligations.filter((o) => isDuty(o, 'application'));

describe('a part that got hotter than it is meant for', () => {
  it('is a wrong application, by paint or by colour, where it is known what it is rated to', () => {
    const told = braked();
    painted(told, '450');
    expect(owed(told), 'nobody said what it is rated to').to.deep.equal([]);
    rated(told, partAt(told, 'pads'), '450');
    expect(owed(told), 'it bore that').to.deep.equal([]);
    painted(told, '460');
    expect(owed(told).map((o) => [o.state, o.slotId, o.acceptBy])).to.deep.equal([['open', told.slot('pads'), 'lead']]);
    expect(owed(told)[0]?.why).to.contain('460 °C').and.contain('450 °C');
    const blue = braked();
    rated(blue, partAt(blue, 'pads'), String(BLUED - 1));
    blue.find(blue.slot('rotor'), { code: 'blue', severity: 'doubt' });
    expect(owed(blue)).to.have.length(1);
  });

  it('is closed by another grade, and not by a like part or one that nobody knows of', () => {
    const told = braked();
    rated(told, partAt(told, 'pads'), '300');
    painted(told, '460');
    const pads = told.slot('pads');
    told.part(pads, 'removed');
    told.part(pads, 'fitted', 'new-pads');
    expect(owed(told)[0]?.state).to.equal('open');
    expect(owed(told)[0]?.why).to.contain('nobody said');
    rated(told, 'new-pads', '300');
    expect(owed(told)[0]?.why).to.contain('rated lower');
    rated(told, 'new-pads', '600');
    expect(owed(told)[0]?.state).to.equal('closed');
  });
});
