import { expect } from 'chai';
import { findingsOn } from '../src/catalogue/findingCatalogue.ts';
import { isAssumed } from '../src/history/assumed.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { arrivalsOf } from '../src/history/arrivals.ts';
import { deriveJob } from '../src/job/job.ts';
import { neighbours, placeName } from '../src/layout/graph.ts';
import { controlsOf } from '../src/layout/reach.ts';
import { ASSUMED_THERE, connectionAt, RUN_KINDS, withRuns } from '../src/layout/runs.ts';
import { buildLayout, TEMPLATES } from '../src/layout/templates.ts';
import type { JointEvent } from '../src/ledger/families/jointEvents.ts';
import { bleedersFedThrough, disturbs } from '../src/readiness/disturbed.ts';
import { optionsOf } from '../src/readiness/options.ts';
import { whyNotDone } from '../src/readiness/workRefusal.ts';
import { hiddenPlaces } from '../src/views/hiddenPlaces.ts';
import { base, FOUR, id, JobFixture, NOW } from './jobFixture.ts';

class Shop extends JobFixture {
  readonly line = this.layout.connections.find((c) => c.kind === 'line' && c.to === this.slot('hose'))!;
  readonly cable = this.layout.connections.find((c) => c.kind === 'cable')!;
  state() {
    return deriveJob(this.file, NOW);
  }
  owed(slotId: string): string[] {
    return this.state()
      .obligations.filter((o) => o.slotId === slotId && o.state === 'open')
      .map((o) => o.duty.kind);
  }
  joint(slotId: string, kind: JointEvent['kind']): void {
    const row = { ...base(this.next()), connectionId: this.line.id, slotId, kind, seal: null, typed: null, torqueNm: null, note: '' };
    this.file.jointEvents = [...this.file.jointEvents, row];
  }
  refusal(slotId: string, kind: 'removed' | 'fitted' | 'resealed' | 'freed', partId = slotId): string | null {
    return whyNotDone(openHistory(this.file), { id: '', partId, kind, slotId, lot: '', lineOn: false }, NOW);
  }
}

describe('lines, cables, rods and levers', () => {
  for (const { id: template, name } of TEMPLATES) {
    it(`${name}: every line, cable and rod is a place with a name of its own, reached by what reaches its ends`, () => {
      const layout = withRuns(buildLayout(template, 'l', 'v', id));
      const runs = layout.slots.filter((s) => RUN_KINDS.includes(s.kind));
      expect(runs.map((s) => s.id).sort()).to.deep.equal(
        layout.connections
          .filter((c) => c.kind !== 'feed')
          .map((c) => c.id)
          .sort(),
      );
      expect(new Set(runs.map(placeName)).size).to.equal(runs.length);
      for (const run of runs) {
        const c = connectionAt(layout, run.id)!;
        expect(neighbours(layout, run.id)).to.deep.equal([c.from, c.to]);
        for (const control of controlsOf(layout))
          if (control.reach.has(run.id)) expect(control.reach.has(c.from) && control.reach.has(c.to), run.name).to.equal(true);
      }
      expect(withRuns(layout), 'the same once it is whole').to.equal(layout);
    });
  }

  it('are there from the first, asked about by nobody, until something is found', () => {
    const t = new Shop(FOUR);
    const { records } = openHistory(t.file);
    const places = records.layout.slots.filter((s) => ASSUMED_THERE.includes(s.kind));
    expect(records.partEvents.filter(isAssumed).map((e) => e.slotId)).to.have.members(places.map((s) => s.id));
    const state = t.state();
    for (const s of places) {
      const c = state.components.find((x) => x.slot.id === s.id)!;
      expect([c.empty, c.verdict], s.name).to.deep.equal([false, null]);
      if (RUN_KINDS.includes(s.kind)) expect(c.part?.id).to.equal(s.id);
      expect(
        t.owed(s.id).filter((d) => d !== 'proof'),
        s.name,
      ).to.deep.equal([]);
    }
    const rows = arrivalsOf(openHistory(t.file));
    for (const s of places) expect(rows.find((r) => r.slot.id === s.id)?.arrival, s.name).to.equal('there');
  });

  it('a rusted line is decided upon, cannot be used again, and is off once both its ends are open', () => {
    const t = new Shop(FOUR);
    const rusted = findingsOn('line').find((f) => f.id === 'line_rusted')!;
    t.find(t.line.id, { partId: t.line.id, words: rusted.name, severity: rusted.severity, rulesOut: rusted.rulesOut });
    expect(t.owed(t.line.id)).to.deep.equal(['decide', 'finding']);
    const options = optionsOf(openHistory(t.file), t.component(t.line.id));
    expect(options.filter((o) => o.ruledOut !== null).map((o) => o.id)).to.deep.equal(['use_again', 'for_now', 'put_off']);
    t.decide(t.line.id, 'replace');
    expect(t.owed(t.line.id)).to.have.members(['work', 'finding']);
    expect(t.refusal(t.line.id, 'removed')).to.match(/still made at the .* and at the front left hose/);
    t.joint(t.line.from, 'opened');
    expect(t.refusal(t.line.id, 'removed')).to.match(/still made at the front left hose\. /);
    t.joint(t.line.to, 'opened');
    expect(t.refusal(t.line.id, 'removed')).to.equal(null);
    t.part(t.line.id, 'removed', t.line.id);
    const off = t.state();
    expect(off.context.proofStatus.locks.some((l) => !l.passable && l.by.some((p) => p.slot.id === t.line.id))).to.equal(true);
    expect(off.components.find((c) => c.slot.id === t.line.id)?.empty).to.equal(true);
    t.part(t.line.id, 'fitted', 'a new line');
    expect(t.state().components.find((c) => c.slot.id === t.line.id)?.fittedHere).to.equal(true);
    expect(t.owed(t.line.id)).to.deep.equal([]);
    const ends = t.state().obligations.filter((o) => o.duty.kind === 'joint' && o.state === 'open');
    expect(ends.map((o) => o.slotId)).to.include.members([t.line.from, t.line.to]);
  });

  it('what is found on one goes with it: a new one has none of it', () => {
    const t = new Shop(FOUR);
    t.find(t.cable.id, { partId: t.cable.id, words: 'Frayed', severity: 'reject', rulesOut: ['use_again'] });
    expect(t.component(t.cable.id).findings).to.have.length(1);
    t.part(t.cable.id, 'removed', t.cable.id);
    t.part(t.cable.id, 'fitted', 'a new cable');
    expect(t.component(t.cable.id).findings).to.deep.equal([]);
  });

  it('a line lets air in at the bleeders behind it, and nowhere else; a cable into none', () => {
    const t = new Shop(FOUR);
    const layout = withRuns(t.layout);
    const slotOf = (x: string) => layout.slots.find((s) => s.id === x)!;
    expect(bleedersFedThrough(layout, slotOf(t.line.id)).map((b) => slotOf(b).corner)).to.deep.equal(['FL']);
    expect(bleedersFedThrough(layout, slotOf(t.cable.id))).to.deep.equal([]);
    expect(disturbs(layout, slotOf(t.line.id), 'fitted')).to.deep.equal(['hydraulic', 'fastener']);
    expect(disturbs(layout, slotOf(t.cable.id), 'fitted')).to.include('parking');
    expect(disturbs(layout, slotOf(t.slot('pedal', null)), 'fitted')).to.include('control');
  });

  it('nothing is resealed in a line, and a stiff cable is freed where it is', () => {
    const t = new Shop(FOUR);
    expect(t.refusal(t.line.id, 'resealed')).to.match(/nothing that can be resealed/);
    expect(t.refusal(t.cable.id, 'freed')).to.equal(null);
  });
});

describe('the hidden places', () => {
  it('are each shown with when they were last seen, on whatever job, and what was found of them', () => {
    const t = new Shop(FOUR);
    const at = (slotId: string) => hiddenPlaces(t.state()).find((h) => h.slot.id === slotId)!;
    const kinds = new Set(hiddenPlaces(t.state()).map((h) => h.slot.kind));
    for (const kind of ['line', 'hose', 'rotor', 'servo', 'cable', 'pedal'] as const) expect(kinds.has(kind), kind).to.equal(true);
    expect([at(t.line.id).seenAt, at(t.line.id).what]).to.deep.equal([null, 'over the tank, under its clips']);
    t.find(t.line.id, { partId: t.line.id, words: 'Rusted', severity: 'reject', jobId: 'an earlier one' });
    const seen = t.file.findings.at(-1)!.happenedAt;
    expect([at(t.line.id).seenAt, at(t.line.id).found, at(t.line.id).off]).to.deep.equal([seen, ['Rusted'], false]);
    t.part(t.cable.id, 'removed', t.cable.id);
    expect([at(t.cable.id).seenAt, at(t.cable.id).off]).to.deep.equal([t.file.partEvents.at(-1)!.happenedAt, true]);
    t.takeBack(t.file.findings.at(-1)!.id);
    expect(at(t.line.id).seenAt).to.equal(null);
  });
});
