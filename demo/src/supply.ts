import { completenessOf, estimateOf, needsOf } from '@dauer/core/estimate';
import { openHistory } from '@dauer/core/history';
import { deriveJob } from '@dauer/core/job';
import type { ComponentKind, Corner } from '@dauer/core/layout';
import type { JobRecords } from '@dauer/core/ledger';
import { v7 } from 'uuid';
import { SUPPLIERS, type Told } from './prices.ts';
import type { Story } from './story.ts';

interface Desk {
  readonly post: (path: string, body: object) => Promise<unknown>;
  readonly file: (jobId: string) => Promise<JobRecords>;
}

/** What the demonstration shop has on its way, wrong, away and in its store. */
export async function tellOfSupply(desk: Desk, story: Story, { suppliers, articles }: Told): Promise<void> {
  const jobOf = (tag: string) => {
    const car = story.vehicles.find((v) => v.vehicle.tag === tag);
    const job = story.jobs.filter((j) => j.vehicleId === car?.vehicle.id).sort((a, b) => (a.openedAt < b.openedAt ? 1 : -1))[0];
    if (!car || !job) throw new Error(`${tag} is not in the shop`);
    const slot = (kind: ComponentKind, corner: Corner | null): string =>
      car.layout.slots.find((s) => s.kind === kind && s.corner === corner)?.id ?? '';
    const tell = async (path: string, body: object, days = 0): Promise<string> => {
      const id = v7();
      await desk.post(`/api/jobs/${job.id}/${path}`, { id, happenedAt: story.ago(days), device: 'desk', ...body });
      return id;
    };
    return { jobId: job.id, slot, tell };
  };
  const from = (key: keyof typeof SUPPLIERS) => ({ supplierId: suppliers[key], supplier: SUPPLIERS[key] });
  const lot = async (label: string, body: object): Promise<string> => {
    const seriesId = v7();
    await desk.post('/api/lots', {
      ...{ id: v7(), seriesId, label, partNumber: null, supplierId: suppliers.spares, made: null, bought: null, opened: null, batch: '' },
      ...{ torque: '', bedding: '', cure: '', note: '', compound: '', grade: '', meantFor: '', coating: '', ratedC: null },
      ...{ lifted: 'unknown', shelfYears: null, closed: false, recalled: '' },
      ...body,
    });
    return seriesId;
  };

  // V 063: front shoes on back-order, rear ones here with their core money out, a hose that is too short, drums at the turner.
  const lorry = jobOf('V 063');
  const { tell, slot } = lorry;
  const open = completenessOf(openHistory(await desk.file(lorry.jobId))).filter((c) => c.state === 'nobody');
  for (const c of open) await tell('order-looks', { corner: c.corner, thing: c.thing, answer: 'not_needed' }, 14);
  const now = deriveJob(await desk.file(lorry.jobId), story.ago(0));
  const shoes = needsOf(now.history, estimateOf(now.history, now.components)).filter((n) => n.key.includes('shoes:new'));
  for (const [i, need] of shoes.entries()) {
    const front = i === 0;
    const line = await tell(
      'order-lines',
      {
        ...from('linings'),
        ...{
          name: front ? 'Shoes, front, relined to order' : 'Shoes, rear, exchange',
          partNumber: front ? 'QT 208' : 'QT 211',
          count: need.count,
        },
        ...{
          supply: front ? 'new' : 'exchange',
          places: need.places,
          need: need.key,
          price: front ? 6200 : 4400,
          core: front ? null : 800,
        },
        ...{ expected: story.day(20), note: '' },
      },
      13,
    );
    const step = (kind: string, days: number, more: object = {}) => tell('order-steps', { lineId: line, kind, ...more }, days);
    if (front) {
      await step('chased', 4, { note: 'The press is down; they write when it runs' });
      await step('promised', 3, { day: story.day(6), note: 'On back-order' });
    } else {
      await step('arrived', 5, { count: need.count, day: story.day(9) });
      for (const slotId of need.places) {
        await tell('part-facts', { fact: 'outline', slotId, partId: null, lineId: line, typed: 'like' }, 5);
        await step('checked', 5, { result: 'right', slotId, note: 'Laid on the old ones, width and holes alike' });
      }
    }
  }
  const hose = slot('hose', null);
  const old = (await desk.file(lorry.jobId)).partEvents.find((e) => e.slotId === hose && e.kind === 'found')?.partId ?? null;
  for (const [fact, typed] of [
    ['length', '410'],
    ['thread', 'M10x1'],
  ] as const)
    await tell('part-facts', { fact, slotId: hose, partId: old, typed, unit: fact === 'length' ? 'mm' : null }, 12);
  const line = await tell(
    'order-lines',
    {
      ...from('spares'),
      ...{ name: 'Hose, rear axle', partNumber: 'QT 330', supply: 'new', count: 1, places: [hose], need: null },
      ...{ price: 1850, core: null, expected: story.day(20), note: '' },
    },
    11,
  );
  await tell('order-steps', { lineId: line, kind: 'arrived' }, 2);
  await tell('part-facts', { fact: 'length', slotId: hose, partId: null, lineId: line, typed: '360', unit: 'mm' }, 2);
  await tell(
    'order-steps',
    { lineId: line, kind: 'checked', result: 'wrong', slotId: hose, day: story.day(3), note: 'Five centimetres too short' },
    2,
  );
  for (const corner of ['FL', 'FR', 'RL', 'RR'] as const) {
    const at = slot('drum', corner);
    const partId = (await desk.file(lorry.jobId)).partEvents.find((e) => e.slotId === at)?.partId ?? '';
    const out = await tell(
      'send-outs',
      {
        ...from('turner'),
        ...{ batch: 'Four drums', partId, slotId: at, process: 'machine', size: '280.6 mm at most', colour: '', gloss: '', masks: [] },
        ...{ count: 1, note: 'Hubs go with them' },
      },
      10,
    );
    await tell('send-out-steps', { sendOutId: out, kind: 'promised', day: story.day(2) }, 8);
  }

  // V 059: one drum is at the coater, and waits there for the other of its batch.
  const utility = jobOf('V 059');
  const { partEvents } = await desk.file(utility.jobId);
  for (const corner of ['FL', 'FR'] as const) {
    const at = utility.slot('drum', corner);
    const out = await utility.tell(
      'send-outs',
      {
        ...from('coater'),
        ...{ batch: 'Front drums, outside', partId: partEvents.find((e) => e.slotId === at)?.partId ?? '', slotId: at, process: 'paint' },
        ...{ size: '', colour: 'Black', gloss: 'Satin', masks: ['Friction face', 'Stud holes', 'Hub seat'], count: 1, note: '' },
      },
      6,
    );
    if (corner === 'FL') await utility.tell('send-out-steps', { sendOutId: out, kind: 'promised', day: story.day(4) }, 4);
  }

  // One lot of rubber in three vehicles, a tin of fluid, and a lacquer that brake fluid lifts.
  const rubber = await lot('L 0077', { kind: 'rubber', name: 'Cups and square seals', made: story.day(-500).slice(0, 7), batch: 'K 77' });
  const [bike, quad] = [jobOf('V 074'), jobOf('V 072')];
  for (const [of, at] of [
    [lorry, slot('wheel_cylinder', 'FL')],
    [lorry, slot('wheel_cylinder', 'FR')],
    [bike, bike.slot('caliper', 'F')],
    [quad, quad.slot('caliper', 'FL')],
  ] as const)
    await of.tell('lot-uses', { lotId: rubber, slotId: at, partId: null }, 3);
  const fluid = await lot('L 0522', {
    kind: 'fluid',
    name: 'Class 4 fluid, tin',
    bought: story.day(-90).slice(0, 7),
    opened: story.day(-20),
  });
  await bike.tell('lot-uses', { lotId: fluid, slotId: null, partId: null }, 3);
  await lot('L 0098', {
    ...{
      kind: 'coating',
      name: 'Caliper lacquer',
      bought: story.day(-200).slice(0, 7),
      lifted: 'yes',
      coating: 'Two-part lacquer',
      ratedC: 160,
    },
    cure: 'Two hours at 60 °C, then a night',
  });
  await lot('L 0031', { kind: 'rubber', name: 'Hoses, plain ends', made: story.day(-2300).slice(0, 4), batch: 'H 4' });
  for (const [name, count, level] of [
    ['Copper washer', 34, 20],
    ['Brake fluid', 3, 4],
    ['Split pin', 60, 25],
    ['Pad hardware set', 2, 1],
  ] as const)
    for (const [kind, n] of [
      ['counted', count],
      ['level', level],
    ] as const)
      await desk.post('/api/stock-moves', { id: v7(), seriesId: articles.get(name), kind, count: n, jobId: null, note: '' });
}
