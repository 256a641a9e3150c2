import { plannedPositions } from '@dauer/core/catalogue';
import { deriveJob } from '@dauer/core/job';
import { openHistory } from '@dauer/core/history';
import type { JobRecords } from '@dauer/core/ledger';
import { type CardState, cardState, closesBy, jointsOf, runAt, type StepState } from '@dauer/core/readiness';
import { expect } from 'chai';
import { randomUUID } from 'node:crypto';
import type { Page } from 'playwright-core';
import { allSent, House, signIn, type Yard } from './house.ts';

/**
 * One corner of V 063 and the caliper of V 074, rebuilt by their cards from the first step to the last: every step that does not
 * stand open yet is tried before its turn, at the bench and past it, and refused for what it waits for.
 */
describe('a unit rebuilt by its card alone', function () {
  this.timeout(400000);
  const house = new House();
  let page: Page;
  before(async () => {
    await house.open(true);
    page = await house.page();
    await signIn(page, house.url, 'ines');
  });
  after(() => house.close());

  /** One unit of one vehicle, as its card stands. */
  class Unit {
    readonly refused = new Map<string, string>();
    constructor(
      readonly jobId: string,
      readonly slotId: string,
      readonly name: string,
    ) {}
    async file(): Promise<JobRecords> {
      return (await (await page.request.get(`${house.url}/api/jobs/${this.jobId}`)).json()) as JobRecords;
    }
    async state(): Promise<CardState> {
      const history = openHistory(await this.file());
      const run = runAt(history, this.slotId);
      if (!run) throw new Error('no card runs');
      return cardState(history, run, new Date().toISOString())!;
    }
    async send(path: string, body: object): Promise<{ status: number; detail: string }> {
      const reply = await page.request.post(`${house.url}/api/jobs/${this.jobId}/${path}`, {
        data: { id: randomUUID(), happenedAt: new Date().toISOString(), device: 'test', ...body },
      });
      const { detail = '' } = (await reply.json()) as { detail?: string };
      return { status: reply.status(), detail };
    }
    /** What closes a step by a record, told of the part that sits or sat here. */
    async record(kind: string, lot: string | null = null): Promise<{ status: number; detail: string }> {
      const { partEvents } = await this.file();
      const last = partEvents.findLast((e) => e.slotId === this.slotId)?.partId ?? '';
      const slotId = kind === 'removed' || kind === 'fitted' ? this.slotId : null;
      return this.send('part-events', { partId: last, kind, slotId, note: '', temporary: false, lot, lineOn: false });
    }
    /** Closes a step by what it is closed by: a line, a torque, a record of the part, else its figures. */
    async close({ step }: StepState, figures: readonly string[] = []): Promise<void> {
      const { slot } = await this.state();
      const file = await this.file();
      const by = closesBy(slot, step);
      const replies: { status: number; detail: string }[] = [];
      if (by === 'line')
        for (const j of jointsOf(file.layout).filter((x) => x.slot.id === this.slotId)) {
          const kind = step.enters === 'line_opened' ? 'opened' : 'made';
          const joint = { connectionId: j.connection.id, slotId: j.slot.id, note: '', typed: null };
          replies.push(await this.send('joints', { ...joint, kind, seal: kind === 'made' ? 'washers' : null }));
        }
      else if (by === 'torque') {
        const torque = {
          point: `${slot.kind}:${slot.id}`,
          slotId: slot.id,
          targetTyped: '36',
          targetSource: 'book',
          typed: '36',
          unit: 'Nm',
        };
        replies.push(await this.send('torques', { ...torque, wrench: 'W-02', note: '' }));
      } else if (by === 'part') replies.push(await this.record(step.enters!, step.enters === 'resealed' ? 'kit, batch K 91' : null));
      else {
        const c = deriveJob(file, new Date().toISOString()).components.find((x) => x.slot.id === this.slotId)!;
        for (const r of c.required.filter((x) => !x.done && x.need === 'required')) {
          const id = randomUUID();
          const count = figures.length;
          const set = {
            slotId: this.slotId,
            partId: c.part?.id ?? null,
            measurement: r.measurement.id,
            phase: r.phase,
            surface: 'clean',
            cold: true,
          };
          replies.push(await this.send('sets', { ...set, id, averages: false, count, turn: 0, studs: null, blind: false }));
          for (const [i, at] of plannedPositions(r.measurement.id, count).entries())
            replies.push(
              await this.send('readings', {
                ...{ setId: id, frame: at.frame, angleDeg: at.angleDeg, place: at.place, pass: 1, gaugeVersionId: null },
                ...{ typed: figures[i % figures.length], unit: 'mm' },
              }),
            );
        }
      }
      for (const r of replies) expect(r.status, `${step.words} ${r.detail}`).to.equal(200);
      await page.reload();
      await page.getByRole('region', { name: 'This step' }).waitFor();
    }
    async open(): Promise<void> {
      await page.goto(`${house.url}/jobs/${this.jobId}/rebuild`);
      await page.getByRole('button', { name: `${this.name}: at the bench` }).press('Enter');
      await page.getByRole('region', { name: 'This step' }).waitFor();
      await allSent(page);
    }
    /** Goes to a step by the list of all. */
    async to(s: StepState): Promise<void> {
      const heading = page.locator('.bench h2').filter({ hasText: s.step.words });
      if ((await heading.count()) === 0) {
        await page.getByRole('button', { name: 'All steps' }).click();
        await page.getByRole('button', { name: s.step.words, exact: true }).click();
      }
      await heading.waitFor();
    }
    /** A step before its turn: its button is dead, and sent past it, it is refused for the same. */
    async tooSoon(s: StepState): Promise<void> {
      await this.to(s);
      const done = page.getByRole('region', { name: 'This step' }).getByRole('button', { name: /^Done/ });
      if ((await done.count()) > 0) expect(await done.isDisabled(), s.step.words).to.equal(true);
      const { run } = await this.state();
      const told =
        s.step.enters === null
          ? await this.send('card-tells', { runId: run.id, stepId: s.step.id, kind: 'done' })
          : closesBy((await this.state()).slot, s.step) === 'part'
            ? await this.record(s.step.enters)
            : null;
      if (!told) return;
      expect(told.status, `${s.step.words}: ${told.detail}`).to.be.within(400, 499);
      this.refused.set(s.step.id, told.detail);
    }
    /** Tells steps as they come open, until none is left or one is closed by a record or a figure. */
    async goOn(): Promise<StepState | null> {
      for (let n = 0; n < 60; n += 1) {
        const state = await this.state();
        for (const s of state.steps)
          if (s.status === 'open' && !s.ready && !this.refused.has(s.step.id)) {
            await this.tooSoon(s);
            if (!this.refused.has(s.step.id)) this.refused.set(s.step.id, '');
          }
        const next = state.steps.find((s) => s.status === 'open' && s.ready);
        if (!next) return state.steps.find((s) => s.status === 'open') ?? null;
        if (closesBy(state.slot, next.step) !== null) return next;
        await this.to(next);
        const done = page.getByRole('region', { name: 'This step' }).getByRole('button', { name: /^Done/ });
        if (await done.isDisabled()) return next;
        await done.press('Enter');
        await allSent(page);
        expect((await this.state()).steps.find((s) => s.step.id === next.step.id)?.status, next.step.words).to.equal('done');
      }
      throw new Error('it does not end');
    }
    /** Puts a plug into what stands open, where a step waits for that alone. */
    async cap(): Promise<boolean> {
      const missing = (await this.state()).steps.find((s) => s.status === 'open' && !s.ready)?.needs.filter((n) => !n.held) ?? [];
      if (missing.length === 0 || !missing.every((n) => n.need.of === 'record' && n.need.gate === 'capped')) return false;
      expect((await this.send('put-ins', { slotId: this.slotId, what: 'plug', note: '' })).status).to.equal(200);
      return true;
    }
    /** Takes out what was put in here, before it goes on again. */
    async uncap(): Promise<void> {
      const { putIns, takenOuts } = await this.file();
      for (const p of putIns.filter((x) => x.slotId === this.slotId && !takenOuts.some((t) => t.putInId === x.id)))
        expect((await this.send('taken-outs', { putInId: p.id })).status).to.equal(200);
    }
    /** To the last step; what is closed by figures with those that are given. */
    async finish(figures: Readonly<Record<string, readonly string[]>>): Promise<void> {
      for (let n = 0; n < 30; n += 1) {
        const next = await this.goOn();
        if (!next) return;
        if (await this.cap()) {
          await page.reload();
          await page.getByRole('region', { name: 'This step' }).waitFor();
          continue;
        }
        expect(next.ready, `${next.step.words} ${next.needs.map((x) => x.words).join(' ')}`).to.equal(true);
        if (next.step.enters === 'fitted') await this.uncap();
        await this.close(next, figures[next.step.id] ?? []);
      }
      throw new Error('it does not end');
    }
    /** Nothing is owed by the card any more: who never worked by it was looked at by somebody else. */
    async isDone(): Promise<void> {
      const state = await this.state();
      expect(state.steps.filter((s) => s.status === 'open').map((s) => s.step.words)).to.deep.equal([]);
      if (state.owed > 0) {
        const other = await house.page();
        await signIn(other, house.url, 'tomasz');
        await other.goto(page.url());
        await other.getByRole('button', { name: /^Looked at (all|it)/ }).press('Enter');
        await allSent(other);
        await other.context().close();
      }
      const job = deriveJob(await this.file(), new Date().toISOString());
      expect(job.obligations.find((o) => o.key === `card:${this.slotId}`)?.state).to.equal('closed');
    }
  }
  async function unit(tag: string, kind: string, corner: string, name: string): Promise<Unit> {
    const { jobs } = (await (await page.request.get(`${house.url}/api/yard`)).json()) as Yard;
    const job = jobs.find((j) => j.vehicle.tag === tag)!;
    return new Unit(job.jobId, job.layout.slots.find((s) => s.kind === kind && s.corner === corner)!.id, name);
  }

  it('the front right shoes of V 063', async () => {
    const shoes = await unit('V 063', 'shoes', 'FR', 'Front right shoes');
    const part = { tag: 'P 9301', kind: 'shoes', name: 'Shoes', partNumber: null, note: '' };
    const fitNew = () =>
      shoes.send('part-events', {
        ...{ partId: randomUUID(), kind: 'fitted', slotId: shoes.slotId, note: '', temporary: false, lot: null, lineOn: false, part },
      });
    await shoes.open();
    expect((await shoes.goOn())?.step.id).to.equal('off');
    expect((await shoes.record('removed')).status).to.equal(200);
    expect((await shoes.goOn())?.step.enters, 'what goes in is on order').to.equal('fitted');
    expect((await shoes.record('fitted')).detail, 'the worn ones').to.match(/^Another front right shoes is decided to go in/);
    expect((await fitNew()).detail).to.match(/is on order from/);
    const { orderLines } = await shoes.file();
    const line = orderLines.find((l) => l.places.includes(shoes.slotId))!;
    expect((await shoes.send('order-steps', { lineId: line.id, kind: 'arrived', count: line.count })).status).to.equal(200);
    expect((await fitNew()).detail).to.match(/was not looked at/);
    for (const slotId of line.places) {
      const look = { lineId: line.id, kind: 'checked', result: 'right', slotId, note: 'Laid on the old ones' };
      const outline = await shoes.send('part-facts', { fact: 'outline', slotId, partId: null, lineId: line.id, typed: 'like' });
      for (const reply of [outline, await shoes.send('order-steps', look)]) expect(reply.status, reply.detail).to.equal(200);
    }
    expect((await shoes.goOn())?.step.enters).to.equal('fitted');
    expect((await fitNew()).status).to.equal(200);
    await shoes.finish({ adjusted: ['4.8', '4.9', '4.9', '4.8', '4.9', '4.9'] });
    await shoes.isDone();
    // Each of these was tried before its turn.
    expect([...shoes.refused.keys()]).to.include.members(['lever_over', 'adjusters_in', 'springs', 'centred', 'adjusted', 'lever_pulled']);
    expect(shoes.refused.get('lever_over')).to.match(/not here, or not found right/);
  });

  it('the caliper of V 074', async () => {
    const caliper = await unit('V 074', 'caliper', 'F', 'Front caliper');
    for (const e of [...(await caliper.file()).partEvents].reverse())
      if (e.slotId === caliper.slotId && (e.kind === 'resealed' || e.kind === 'opened'))
        expect((await caliper.send('take-backs', { corrects: e.id, reason: 'Done by the card' })).status).to.equal(200);
    await caliper.open();
    await caliper.finish({});
    await caliper.isDone();
    expect([...caliper.refused.keys()]).to.include.members([
      'off',
      'capped',
      'outside',
      'pistons_out',
      'seals_out',
      'seal_in',
      'piston_in',
    ]);
    for (const [id, words] of [
      ['off', /which joint .* was opened first/],
      ['pistons_out', /has to be off before it can be opened/],
      ['seal_in', /has to be off before it can be resealed/],
      ['wiped', /^Not since the last time it was due/],
    ] as const)
      expect(caliper.refused.get(id), id).to.match(words);
    expect(house.errors).to.deep.equal([]);
  });
});
