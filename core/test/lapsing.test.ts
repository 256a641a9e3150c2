import { expect } from 'chai';
import fc from 'fast-check';
import { proofItems } from '../src/catalogue/proofItems.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { deriveJob } from '../src/job/job.ts';
import { placeName, type Slot, slotById } from '../src/layout/graph.ts';
import { type Corner, KIND_FACTS } from '../src/layout/kinds.ts';
import type { PartEventKind } from '../src/ledger/families/partEvents.ts';
import type { Proof } from '../src/ledger/families/proofs.ts';
import { bleedersFedThrough } from '../src/readiness/disturbed.ts';
import { ENDINGS } from '../src/readiness/lapsing.ts';
import { openProofStatus, wouldUndo } from '../src/readiness/proofStatus.ts';
import { base, NOW, JobFixture, FOUR } from './jobFixture.ts';

class Proving extends JobFixture {
  prove(item: string, corner: Corner | null = null, result: Proof['result'] = 'passed'): void {
    this.file.proofs = [...this.file.proofs, { ...base(this.next()), item, slotId: null, corner, result, note: '' }];
  }
  pull(slotId: string): void {
    this.file.bleedPulls = [
      ...this.file.bleedPulls,
      { ...base(this.next()), slotId, volumeTyped: '100', volumeMl: 100, colour: 'clear', air: 'none', closed: true, method: null },
    ];
  }
  torque(point: string, slotId: string | null): void {
    const row = {
      ...base(this.next()),
      slotId,
      point,
      targetTyped: '60',
      target: 60,
      typed: '60',
      unit: 'Nm' as const,
      canonical: 60,
      wrench: '',
    };
    this.file.torques = [...this.file.torques, row];
  }
  again(slotId: string): void {
    const part = this.component(slotId).part!.id;
    this.part(slotId, 'removed');
    this.part(slotId, 'fitted', part);
  }
  proveAll(): void {
    for (const s of this.bleeders()) this.pull(s.id);
    for (const i of deriveJob(this.file, NOW).context.proofItems) this.prove(i.item, i.corner);
    for (const c of FOUR) this.torque(`wheel:${c}`, null);
    for (const s of this.layout.slots.filter((x) => x.kind === 'hose' || x.kind === 'caliper')) this.torque(`${s.kind}:${s.id}`, s.id);
  }
  bleeders(): Slot[] {
    return this.layout.slots.filter((s) => s.kind === 'bleeder');
  }
  /** What no longer stands of what was proved, by name. */
  lapsed(): string[] {
    const state = deriveJob(this.file, NOW);
    const { proofStatus: standing, proofItems: items } = state.context;
    return [
      ...items.filter((i) => standing.answer(i)?.lapsed).map((i) => `${i.item}${i.corner ? `@${i.corner}` : ''}`),
      ...this.bleeders()
        .filter((b) => standing.pull(b.id)?.lapsed)
        .map((b) => `bleed@${b.corner}`),
      ...[...new Set(this.file.torques.map((t) => t.point))].filter((p) => standing.torque(p)?.lapsed).map((p) => p.replace(/:.{8,}/, '')),
    ];
  }
}

describe('standing and lapsing', () => {
  it('the table ends only what there is to end', () => {
    const items = proofItems({
      complaint: 'x',
      seen: [],
      hydraulic: true,
      parking: true,
      corners: FOUR,
      controls: [{ slotId: 'p', name: 'Pedal', wet: true, pushed: true, servo: true }],
      clutch: true,
      tandem: true,
    }).map((i) => i.item);
    const units = proofItems({
      ...{ complaint: '', seen: [], hydraulic: true, parking: false, corners: [], controls: [], tandem: false },
      units: [{ slotId: 'u', name: 'Caliper', moves: true, wet: true }],
    }).map((i) => i.item);
    for (const e of ENDINGS) expect([...items, ...units, 'again', 'bleed', 'wheel_torque', 'torque']).to.include(e.ends);
  });

  it('a hose that was opened ends what went through it, and nothing on the other circuit', () => {
    const t = new Proving(FOUR);
    t.proveAll();
    expect(t.lapsed()).to.deep.equal([]);
    t.again(t.slot('hose'));
    expect(t.lapsed()).to.have.members([
      'complaint',
      ...['pedal_hold', 'pedal_reserve', 'hose_clear', 'leak_look', 'pedal_return', 'release@FL', 'road_walk', 'road', 'bleed@FL', 'hose'],
    ]);
  });

  it('a rotor turned ends its wheel nuts, its release and the road, not the bleeding', () => {
    const t = new Proving(FOUR);
    t.proveAll();
    t.part(t.slot('rotor'), 'machined');
    expect(t.lapsed()).to.have.members(['complaint', 'release@FL', 'pedal_hold', 'pedal_reserve', 'wheel:FL', 'road_walk', 'road']);
  });

  it('a master cylinder ends the bleeding everywhere', () => {
    const t = new Proving(FOUR);
    t.proveAll();
    t.again(t.slot('master_cylinder', null));
    expect(t.lapsed()).to.include.members(['bleed@FL', 'bleed@FR', 'bleed@RL', 'bleed@RR', 'leak_look', 'road']);
  });

  it('comes back as an obligation that names the event, and closes when it is proved again', () => {
    const t = new Proving();
    t.prove('leak_look');
    const find = () => deriveJob(t.file, NOW).obligations.find((o) => o.key === 'proof:leak_look')!;
    expect(find().state).to.equal('closed');
    t.again(t.slot('hose'));
    expect([find().state, find().why]).to.deep.equal(['open', 'Lapsed: front left hose fitted since.']);
    t.prove('leak_look');
    expect(find().state).to.equal('closed');
  });

  it('a lapse is no waiver’s business', () => {
    const t = new Proving();
    t.prove('complaint', null, 'same');
    const key = (k: string) => deriveJob(t.file, NOW).obligations.find((o) => o.key === k)!;
    expect(key('proof:complaint').acceptBy).to.equal('lead');
    t.prove('road');
    t.again(t.slot('rotor'));
    expect(key('proof:road').acceptBy).to.equal(null);
  });

  it('an event taken back ends nothing', () => {
    const t = new Proving();
    t.proveAll();
    t.again(t.slot('hose'));
    for (const e of t.file.partEvents.filter((x) => x.kind !== 'found')) t.takeBack(e.id);
    expect(t.lapsed()).to.deep.equal([]);
  });

  it('what a step would undo is what it then undoes', () => {
    const kinds: PartEventKind[] = ['removed', 'machined', 'resealed'];
    const sample = new Proving(FOUR);
    const slots = sample.layout.slots.filter((s) => KIND_FACTS[s.kind].article).map((s) => placeName(s));
    fc.assert(
      fc.property(fc.constantFrom(...slots), fc.constantFrom(...kinds), (place, kind) => {
        const t = new Proving(FOUR);
        t.proveAll();
        const slot = t.layout.slots.find((s) => placeName(s) === place)!;
        const history = openHistory(t.file);
        const items = deriveJob(t.file, NOW).context.proofItems;
        const told = wouldUndo(history, openProofStatus(history), items, slot, kind);
        t.part(slot.id, kind);
        expect(told).to.have.length(t.lapsed().length);
      }),
      { numRuns: 60 },
    );
  });

  it('no proof stands that a later event ends, in whatever order events arrive', () => {
    const place = fc.constantFrom('hose@FL', 'hose@FR', 'caliper@FL', 'rotor@FL', 'pads@FR', 'master_cylinder@', 'servo@', 'hub@RL');
    const step = fc.oneof(place, fc.constantFrom('all', 'leak_look', 'road'));
    fc.assert(
      fc.property(fc.array(step, { maxLength: 8 }), fc.integer(), (steps, seed) => {
        const t = new Proving(FOUR);
        for (const s of steps) {
          const [kind, corner] = s.split('@');
          if (s === 'all') t.proveAll();
          else if (corner === undefined) t.prove(s);
          else t.again(t.slot(kind!, (corner || null) as Corner | null));
        }
        // Plain re-reading: forwards through the events, forgetting whatever each one ends.
        const alive = new Map<string, string>();
        const moves = t.file.partEvents.filter((e) => e.kind !== 'found').map((e) => ({ at: e.happenedAt, move: e }));
        const proofs = t.file.proofs.map((p) => ({ at: p.happenedAt, proof: p }));
        const pulls = t.file.bleedPulls.map((p) => ({ at: p.happenedAt, pull: p }));
        for (const e of [...moves, ...proofs, ...pulls].sort((a, b) => (a.at < b.at ? -1 : 1))) {
          if ('proof' in e) alive.set(`${e.proof.item}@${e.proof.corner ?? ''}`, e.at);
          else if ('pull' in e) alive.set(`bleed@${e.pull.slotId}`, e.at);
          else {
            const slot = slotById(t.layout, e.move.slotId!)!;
            const fed = KIND_FACTS[slot.kind].hydraulic ? bleedersFedThrough(t.layout, slot) : [];
            for (const b of fed) {
              alive.delete(`bleed@${b}`);
              alive.delete(`release@${slotById(t.layout, b)?.corner ?? ''}`);
            }
            if (KIND_FACTS[slot.kind].hydraulic) alive.delete('leak_look@');
            alive.delete('road@');
            alive.delete('road_walk@');
            if (['rotor', 'pads', 'hub'].includes(slot.kind)) alive.delete(`release@${slot.corner ?? ''}`);
          }
        }
        const shuffle = <T extends { id: string }>(list: readonly T[]): T[] =>
          [...list].sort((a, b) => ((a.id.charCodeAt(8) * 31 + seed) % 7) - ((b.id.charCodeAt(8) * 31 + seed) % 7));
        const file = {
          ...t.file,
          partEvents: shuffle(t.file.partEvents),
          proofs: shuffle(t.file.proofs),
          bleedPulls: shuffle(t.file.bleedPulls),
        };
        const { context: situation } = deriveJob(file, NOW);
        for (const i of situation.proofItems.filter((x) => ['leak_look', 'road', 'road_walk', 'release'].includes(x.item))) {
          const now = situation.proofStatus.answer(i);
          expect(now !== null && now.lapsed === null, i.item).to.equal(alive.has(`${i.item}@${i.corner ?? ''}`));
        }
        for (const b of t.bleeders()) {
          const now = situation.proofStatus.pull(b.id);
          expect(now !== null && now.lapsed === null, placeName(b)).to.equal(alive.has(`bleed@${b.id}`));
        }
      }),
      { numRuns: 80 },
    );
  });
});
