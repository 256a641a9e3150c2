import { deriveJob } from '../src/job/job.ts';
import { slotById } from '../src/layout/graph.ts';
import type { JointEventKind } from '../src/ledger/families/jointEvents.ts';
import type { PutInKind } from '../src/ledger/families/putIns.ts';
import { jointsOf } from '../src/readiness/joints.ts';
import { base, NOW, JobFixture } from './jobFixture.ts';

/** A job in which joints, things put in, proofs and what was seen are told. */
export class ReworkFixture extends JobFixture {
  joint(slotId: string, kind: JointEventKind): string {
    const j = jointsOf(this.layout).find((x) => x.slot.id === slotId)!;
    const row = { ...base(this.next()), connectionId: j.connection.id, slotId, kind, seal: null, typed: null, torqueNm: null, note: '' };
    this.file.jointEvents = [...this.file.jointEvents, row];
    return j.key;
  }
  putIn(slotId: string, what: PutInKind, at = this.next()): string {
    const row = { ...base(at), slotId, what, note: '' };
    this.file.putIns = [...this.file.putIns, row];
    return row.id;
  }
  prove(item: string): void {
    this.sound(item);
    this.file.proofs = [...this.file.proofs, { ...base(this.next()), item, slotId: null, corner: null, result: 'passed', note: '' }];
  }
  see(code: string, corner: 'FL' | null): void {
    this.file.observations = [...this.file.observations, { ...base(this.next()), code, corner, state: 'seen' }];
  }
  state() {
    return deriveJob(this.file, NOW);
  }
  open(prefix: string) {
    return this.state().obligations.filter((o) => o.key.startsWith(prefix) && o.state === 'open');
  }
  name(slotId: string): string {
    const s = slotById(this.layout, slotId);
    return `${s?.kind ?? ''}@${s?.corner ?? ''}`;
  }
}
