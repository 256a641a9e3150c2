import { expect } from 'chai';
import { deriveJob } from '../src/job/job.ts';
import { checkLayout } from '../src/layout/check.ts';
import { type Layout, placeName } from '../src/layout/graph.ts';
import { KIND_FACTS } from '../src/layout/kinds.ts';
import { isStandalone, buildStandalone, STANDALONE_KINDS } from '../src/layout/standaloneUnits.ts';
import type { JobRecords } from '../src/ledger/jobRecords.ts';
import type { Job } from '../src/ledger/job.ts';
import { mayMove } from '../src/views/mayMove.ts';
import { base, id, JobFixture } from './jobFixture.ts';

const NOW = '2026-05-20T12:00:00.000Z';
const build = (units: Parameters<typeof buildStandalone>[0]): Layout => buildStandalone(units, 'l', 'car', id);

describe('units that came without their vehicle', () => {
  const layout = build([
    { kind: 'caliper', count: 2, pistons: 2 },
    { kind: 'rotor', count: 1, pistons: 0 },
    { kind: 'master_cylinder', count: 1, pistons: 0 },
  ]);
  const fileOf = (): { file: JobRecords; told: JobFixture } => {
    const told = new JobFixture();
    const job: Job = {
      ...told.file.job,
      kind: 'unit',
      scopeCorners: [],
      scopeIn: layout.slots.map((s) => s.id),
      complaint: 'Seized',
      wants: 'Freed and sealed',
    };
    const parts = layout.slots.map((s) => ({ id: `part:${s.id}`, tag: null, kind: s.kind, name: s.name, partNumber: null, note: '' }));
    const partEvents = layout.slots.map((s) => ({
      ...base(told.next()),
      ...{
        partId: `part:${s.id}`,
        kind: 'found' as const,
        slotId: s.id,
        note: '',
        temporary: false,
        until: null,
        lot: null,
        lineOn: false,
      },
    }));
    return { told, file: { ...told.file, job, layout, parts, partEvents, vehicle: { ...told.file.vehicle, distanceUnit: 'none' } } };
  };

  it('each have a place of their own, with their pistons, and nothing is wrong with lying loose', () => {
    expect(isStandalone(layout)).to.equal(true);
    expect(checkLayout(layout)).to.deep.equal([]);
    expect(layout.slots.filter((s) => s.kind === 'piston')).to.have.length(4);
    expect(new Set(layout.slots.map(placeName)).size).to.equal(layout.slots.length);
    const all = build(STANDALONE_KINDS.map((kind) => ({ kind, count: 3, pistons: 6 })));
    expect(checkLayout(all)).to.deep.equal([]);
    for (const s of all.slots) expect(KIND_FACTS[s.kind].article, s.kind).to.equal(true);
    expect(checkLayout({ ...layout, slots: [] }).map((f) => f.code)).to.deep.equal(['empty']);
  });

  it('are traced, bled and driven by nobody, and proved on the bench', () => {
    const { file: records } = fileOf();
    const state = deriveJob(records, NOW);
    const note = (stage: string) => state.stages.find((s) => s.stage === stage)!.notApplicable;
    expect([note('trace'), note('bleed')]).to.deep.equal([{ kind: 'units_alone' }, { kind: 'units_alone' }]);
    const asked = state.context.proofItems.map((i) => i.question);
    const wet = layout.slots.filter((s) => s.parentId === null && s.kind !== 'rotor').map((s) => placeName(s));
    for (const unit of wet) expect(asked, 'each unit by itself').to.include(`${unit}: every piston moves by itself and goes back`);
    expect(asked.filter((q) => q.endsWith('ports plugged, machined faces covered'))).to.have.length(
      layout.slots.filter((s) => s.parentId === null).length,
    );
    expect(
      asked.some((q) => /^Rotor.*(piston|pressure)/.test(q)),
      'a rotor holds no fluid',
    ).to.equal(false);
    expect(state.obligations.filter((o) => o.stage === 'trace' || o.stage === 'bleed')).to.deep.equal([]);
    expect(state.obligations.some((o) => o.key.startsWith('torque:') || o.key.includes('parking') || o.key.includes('road'))).to.equal(
      false,
    );
    expect(mayMove(state).level).to.not.equal('do_not_move');
  });

  it('are gauged and decided upon like any others', () => {
    const { file: records } = fileOf();
    const state = deriveJob(records, NOW);
    const rotor = layout.slots.find((s) => s.kind === 'rotor')!;
    const component = state.components.find((c) => c.slot.id === rotor.id)!;
    expect(component.inScope).to.equal(true);
    expect(component.required.map((r) => r.measurement.id)).to.include('rotor_thickness');
    for (const stage of ['gauge', 'decide'] as const)
      expect(state.obligations.filter((o) => o.stage === stage).length, stage).to.be.above(0);
  });
});
