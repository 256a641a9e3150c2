import { EVENT_ENDPOINT, ENDPOINTS, EVENTS, type EventFamily } from '@dauer/contract';
import { plannedPositions } from '@dauer/core/catalogue';
import { openHistory } from '@dauer/core/history';
import { familyOf } from '@dauer/core/ledger';
import { cardContent } from '@dauer/core/readiness';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { type Booked, bookIn, openShop, PASSWORD, type Shop, takeOff } from './harness.ts';

/** Fields of an event that hold an id, or several. */
function idsOf(family: EventFamily): string[] {
  const shape: Record<string, { safeParse: (value: unknown) => { success: boolean } }> = EVENTS[family].sent.shape;
  const names = ([, schema]: [string, (typeof shape)[string]]): boolean =>
    [v7(), [v7()]].some((id) => schema.safeParse(id).success) && ![`no id`, ['no id']].some((text) => schema.safeParse(text).success);
  return Object.entries(shape)
    .filter(names)
    .map(([field]) => field)
    .filter((field) => field !== 'id' && field !== 'corrects');
}

const SUPPLIER = v7();
const ORDER = {
  ...{ supplierId: SUPPLIER, supplier: 'Turner', name: 'Puller', partNumber: null, supply: 'piece', count: 1, places: [], need: null },
  ...{ price: 4000, core: null, shopsOwn: true, note: '' },
};
const MARK = { x: 0.2, y: 0.4, what: 'Long spring', fate: 'back' };
const PARKED = { standsOn: 'stands', heldBy: 'Four stands, chocks', knows: 'Ines' };
const BEDDING = { product: 'Pads 12', steps: [{ stops: 10, fromKmh: 50, toKmh: 10, coolS: 30 }], source: 'Its slip' };
const SESSION = {
  ...{ circuits: [1], method: 'vacuum', product: 'Fluid', fluidClass: '4', fullMl: 200, safeMl: 40, strokeMl: 20 },
  ...{ prepared: ['reservoir_filled'], ordered: null, orderSource: null },
};
const sendOut = (slotId: string, partId: string) => ({
  ...{ supplierId: SUPPLIER, supplier: 'Turner', batch: 'Monday', partId, slotId, process: 'machine', size: '11.6 mm', colour: '' },
  ...{ gloss: '', masks: [], count: 1, note: '' },
});
const LOT = {
  ...{ id: v7(), seriesId: v7(), label: 'L 1', kind: 'lining', name: 'Pads', partNumber: null, supplierId: null, made: null, bought: null },
  ...{ opened: null, batch: '', torque: '', bedding: '', cure: '', note: '', compound: '', grade: '', meantFor: '', coating: '' },
  ...{ ratedC: null, lifted: 'unknown', shelfYears: null, closed: false, recalled: '' },
};

describe('what is told of one vehicle', function () {
  this.timeout(60000);
  let shop: Shop;
  let mine: Booked;
  let other: Booked;
  /** An id of every kind, of another vehicle. */
  const foreign: Record<string, string> = {};
  const stored = async (path: string, body: object): Promise<string> => {
    const answer = await shop.technician.event<'takeBacks'>(other.jobId, path, body as never);
    expect(answer.status, `${path}: ${answer.body.detail}`).to.equal(200);
    return answer.body.record.id;
  };
  before(async () => {
    shop = await openShop();
    [mine, other] = [await bookIn(shop.technician), await bookIn(shop.technician)];
    const records = await shop.technician.file(other.jobId);
    const slotId = other.slot('rotor', 'FL');
    foreign['slotId'] = slotId;
    foreign['closedBy'] = slotId;
    foreign['partId'] = records.partEvents.find((e) => e.slotId === slotId)!.partId;
    foreign['otherId'] = foreign['partId'];
    foreign['connectionId'] = other.layout.connections.find((c) => c.kind === 'line')!.id;
    foreign['port'] = foreign['connectionId'];
    foreign['setId'] = await stored('sets', {
      ...{
        slotId,
        partId: null,
        measurement: 'rotor_thickness',
        phase: 'as_found',
        surface: 'clean',
        cold: true,
        averages: false,
        count: 4,
      },
    });
    foreign['operationId'] = await stored('operations', { slotId: null, title: 'Wash', attendedMinutes: 5 });
    foreign['sessionId'] = await stored('bleed-sessions', SESSION);
    foreign['runId'] = await begun(other);
    foreign['planId'] = await stored('bedding-plans', BEDDING);
    foreign['putInId'] = await stored('put-ins', { slotId, what: 'block', note: '' });
    foreign['findingId'] = await stored('findings', {
      ...{ slotId, partId: null, words: 'Blue.', severity: 'doubt', cleaning: 'after', rulesOut: [], settles: null },
    });
    foreign['settles'] = foreign['findingId'];
    foreign['supersedes'] = await stored('decisions', { slotId, partId: null, option: 'replace', reason: 'worn', reviewOn: null });
    foreign['corrects'] = foreign['findingId'];
    foreign['gaugeVersionId'] = v7();
    foreign['place'] = slotId;
    foreign['eventId'] = foreign['findingId'];
    foreign['offerId'] = v7();
    foreign['ordered'] = slotId;
    foreign['places'] = slotId;
    foreign['supplierId'] = v7();
    foreign['articleId'] = v7();
    foreign['lotId'] = v7();
    foreign['repairedIn'] = other.jobId;
    await shop.lead.ask('POST', '/api/suppliers', { id: SUPPLIER, name: 'Turner', contact: '' });
    await shop.technician.ask('POST', '/api/lots', LOT);
    foreign['lineId'] = await stored('order-lines', ORDER);
    foreign['sendOutId'] = await stored('send-outs', sendOut(slotId, foreign['partId']));
    foreign['markId'] = await stored('strip-marks', { ...MARK, slotId });
    foreign['noteId'] = await stored('shop-notes', { pin: 'vehicle', words: 'The key is under the seat' });
    foreign['timerId'] = await stored('timers', { slotId, process: 'soak', minutes: 1440 });
    await stored('bleed-steps', { sessionId: foreign['sessionId'], kind: 'ended', slotId: null });
    foreign['parkingId'] = await stored('parkings', PARKED);
    await stored('take-overs', { parkingId: foreign['parkingId'] });
  });
  after(() => shop.close());

  /** A card as it is now, of a rotor that is decided to be renewed. */
  const card = async (at: Booked, corner: 'FR' | 'RR'): Promise<Record<string, unknown>> => {
    const slotId = at.slot('rotor', corner);
    const decided = (await shop.technician.file(at.jobId)).decisions.some((d) => d.slotId === slotId);
    const decision = { slotId, partId: null, option: 'replace', reason: 'worn', reviewOn: null } as const;
    if (!decided) await shop.technician.event<'decisions'>(at.jobId, 'decisions', decision);
    const history = openHistory(await shop.technician.file(at.jobId));
    const slot = history.records.layout.slots.find((s) => s.id === slotId)!;
    return { slotId, option: 'replace', ...cardContent(history, slot, 'replace') };
  };
  const begun = async (at: Booked): Promise<string> => {
    const run = async () => (await shop.technician.file(at.jobId)).cardRuns.find((r) => r.slotId === at.slot('rotor', 'RR'));
    if (!(await run())) await shop.technician.event<'cardRuns'>(at.jobId, 'card-runs', (await card(at, 'RR')) as never);
    return (await run())!.id;
  };

  /** The record that pads which lie on the bench were coated. */
  const coatedAt = async (at: Booked): Promise<string> => {
    const slotId = at.slot('pads', 'FR');
    const events = async () => (await shop.technician.file(at.jobId)).partEvents;
    const partId = (await events()).find((e) => e.slotId === slotId)!.partId;
    const had = (await events()).find((e) => e.partId === partId && e.kind === 'coated');
    if (had) return had.id;
    const tell = (body: object) =>
      shop.technician.event<'partEvents'>(at.jobId, 'part-events', { partId, note: '', lot: null, lineOn: false, ...body } as never);
    await tell({ kind: 'removed', slotId });
    return (await tell({ kind: 'coated', slotId: null, lot: 'Black' })).body.record.id;
  };

  /** An event of a family as it would be taken, of the vehicle of its job. */
  const bodyOf = async (family: EventFamily): Promise<Record<string, unknown>> => {
    const slotId = mine.slot('rotor', 'FL');
    const partId = (await shop.technician.file(mine.jobId)).partEvents.find((e) => e.slotId === slotId)!.partId;
    const line = mine.layout.connections.find((c) => c.kind === 'line')!;
    const own = async (path: string, body: object): Promise<string> =>
      (await shop.technician.event<'takeBacks'>(mine.jobId, path, body as never)).body.record.id;
    const set = {
      slotId,
      partId,
      measurement: 'rotor_thickness',
      phase: 'as_found',
      surface: 'clean',
      cold: true,
      averages: false,
      count: 4,
    };
    const finding = { slotId, partId, words: 'x', severity: 'note', cleaning: 'after', rulesOut: [], settles: null };
    const bodies: Record<EventFamily, () => Promise<object> | object> = {
      sets: () => set,
      readings: async () => ({
        ...{
          setId: await own('sets', set),
          ...plannedPositions('rotor_thickness', 4)[0]!,
          pass: 1,
          gaugeVersionId: null,
          typed: '12.1',
          unit: 'mm',
        },
      }),
      takeBacks: async () => ({ corrects: await own('findings', finding), reason: '' }),
      findings: () => finding,
      observations: () => ({ code: 'judder_pedal', corner: null, state: 'seen' }),
      decisions: () => ({ slotId, partId, option: 'replace', reason: 'worn', reviewOn: null }),
      operations: () => ({ slotId, title: 'Wash', attendedMinutes: 5 }),
      cardRuns: () => card(mine, 'FR'),
      cardTells: async () => ({ runId: await begun(mine), stepId: 'hub_face', kind: 'not_here', note: 'new hub' }),
      lineShapes: () => ({
        ...{ connectionId: line.id, outsideMm: 4.75, bendRadiusMm: 15, slackMm: 0, by: 'wire' },
        stretches: [{ lengthMm: 300, deflectionDeg: 0, turnDeg: 0 }],
        first: { flare: 'double', thread: 'M10 x 1', usedMm: 2.5 },
        last: { flare: 'double', thread: 'M10 x 1', usedMm: 2.5 },
      }),
      timers: () => ({ slotId, process: 'soak', minutes: 1440 }),
      timerSteps: async () => ({
        ...{ timerId: await own('timers', { slotId, process: 'dry', minutes: 120 }), kind: 'broken_off', note: 'wet again' },
      }),
      // Nothing is left in the middle of a bleeding.
      parkings: async () => {
        const [session] = (await shop.technician.file(mine.jobId)).bleedSessions;
        for (const kind of ['closed_under_flow', 'pedal_felt', 'dry'])
          await own('bleed-steps', { sessionId: session!.id, kind, slotId: mine.slot('bleeder', 'FL') });
        await own('bleed-steps', { sessionId: session!.id, kind: 'ended', slotId: null });
        return PARKED;
      },
      // The one that was just parked.
      takeOvers: async () => ({ parkingId: (await shop.technician.file(mine.jobId)).parkings[0]!.id }),
      portFacts: async () => {
        const sits = (await shop.technician.file(mine.jobId)).partEvents.find((e) => e.slotId === line.to)?.partId ?? null;
        return { slotId: line.to, partId: sits, port: line.id, seat: 'cone', thread: 'M10 x 1', lies: 'Inboard' };
      },
      coats: async () => ({ eventId: await coatedAt(mine), way: 'spray' }),
      coatLooks: async () => ({ eventId: await coatedAt(mine), state: 'sound' }),
      stripMarks: () => ({ ...MARK, slotId }),
      stripTells: async () => ({ markId: await own('strip-marks', { ...MARK, slotId }), kind: 'in' }),
      kitCounts: async () => ({
        slotId: mine.slot('rotor', 'RR'),
        runId: await begun(mine),
        pieces: [{ name: 'Seal', wanted: 1, found: 1 }],
      }),
      fastenerFacts: () => ({ point: 'wheel:FL', form: 'stud_nut', count: 4, hand: 'right' }),
      shopNotes: () => ({ pin: 'vehicle', slotId, words: 'Tight behind the arm' }),
      noteTells: async () => ({ noteId: await own('shop-notes', { pin: 'vehicle', slotId, words: 'Once more' }), kind: 'useful' }),
      ladderTries: () => ({ slotId, ladderId: 'rotor', rungId: 'soak', moved: false, minutes: 5 }),
      operationEvents: async () => ({
        ...{ operationId: await own('operations', { slotId: null, title: 'Wash', attendedMinutes: 5 }), kind: 'start', note: '' },
      }),
      torques: () => ({ slotId, point: 'x', targetTyped: '100', typed: '100', unit: 'Nm', wrench: 'W' }),
      bleedPulls: () => ({ slotId: mine.slot('bleeder', 'FL'), volumeTyped: '300 ml', colour: 'clear', air: 'none', closed: true }),
      beddingPlans: () => BEDDING,
      beddingStops: async () => ({ planId: await own('bedding-plans', BEDDING), step: 0 }),
      exercises: () => ({ what: 'driven' }),
      bleedSessions: () => SESSION,
      bleedSteps: async () => {
        const [session] = (await shop.technician.file(mine.jobId)).bleedSessions;
        return { sessionId: session!.id, kind: 'stroke', slotId: mine.slot('bleeder', 'FL'), colour: 'dark', air: 'none' };
      },
      fluidServices: () => ({ product: 'Fluid', fluidClass: '4', batch: '', lowMoisture: false }),
      proofs: () => ({ item: 'leak_look', slotId, corner: null, result: 'not_tried', note: '' }),
      acceptances: () => ({ obligation: 'x', reason: 'none at all', password: PASSWORD }),
      costEntries: () => ({ slotId, option: 'replace', term: 'parts', amount: 1200, reason: '' }),
      ownerChoices: async () => {
        const offer = await shop.technician.ask<{ id: string }>('POST', `/api/jobs/${mine.jobId}/offers`, { id: v7() });
        return { offerId: offer.body.id, answer: 'no', picks: [], sum: 0, by: 'The owner', how: 'in_shop' };
      },
      orderLines: () => ({ ...ORDER, places: [slotId] }),
      orderSteps: async () => ({ lineId: await own('order-lines', ORDER), kind: 'chased', slotId }),
      partFacts: () => ({ fact: 'height', slotId, partId, typed: '48', unit: 'mm' }),
      orderLooks: () => ({ corner: 'FL', thing: 'hoses', answer: 'needed' }),
      sendOuts: () => sendOut(slotId, partId),
      sendOutSteps: async () => {
        const at = mine.slot('rotor', 'FR');
        const other = (await shop.technician.file(mine.jobId)).partEvents.find((e) => e.slotId === at)!.partId;
        return { sendOutId: await own('send-outs', sendOut(at, other)), kind: 'chased' };
      },
      comebacks: () => ({ slotId, repairedIn: mine.jobId, answer: 'other_fault' }),
      lotUses: () => ({ lotId: LOT.seriesId, slotId, partId }),
      cautionAcks: () => ({ caution: 'x' }),
      partEvents: () => ({ partId, kind: 'found', slotId, note: '', temporary: false, part: null }),
      putIns: () => ({ slotId, what: 'block', note: '' }),
      takenOuts: async () => ({ putInId: await own('put-ins', { slotId, what: 'block', note: '' }) }),
      setMoves: async () => ({ setId: await own('sets', set), slotId: mine.slot('rotor', 'FR'), partId: null }),
      counters: () => ({ typed: '100 km', unit: 'km' }),
      pictures: () => ({ hash: 'a'.repeat(64), of: 'place', slotId, findingId: null, note: '' }),
      intakeLooks: () => ({ corner: 'FL', thing: 'bleeders', state: 'sound', note: '' }),
      cameWith: () => ({ name: 'Pads', kind: 'pads', slotId, partNumber: null, count: 1, fits: 'not_tried', note: '' }),
      earlierWork: () => ({
        ...{ what: 'fluid_changed', slotId, on: '2020', about: false, knownFrom: 'owner', source: '', km: null, note: '' },
      }),
      leavings: () => ({ how: 'not_driven', note: 'It leaves on a trailer, the brakes untried' }),
      fluidSamples: () => ({ slotId, waterPercent: 2.5, boilC: null, fluidClass: null, how: 'Pen' }),
      leftItems: () => ({ slotId, closedBy: null, item: 'look:x', what: 'the hose' }),
      causeLooks: () => ({ fault: 'nothing_else', place: 'system', state: 'found', said: null, rank: null }),
      jointEvents: () => ({ connectionId: line.id, slotId: line.from, kind: 'looked', note: '' }),
      partCorrections: () => ({ kind: 'split', partId, otherId: v7(), since: new Date().toISOString(), reason: 'two articles' }),
      voids: () => ({ reason: 'booked twice' }),
      afterCares: () => ({ item: 'x', result: 'done', note: '' }),
      afterPulls: () => ({ slotId: mine.slot('bleeder', 'FL'), volumeTyped: '20 mL', air: 'none', closed: true }),
      amendments: () => ({ words: 'more', reason: 'late' }),
      handIns: () => ({ eventId: v7() }),
      redactions: () => ({ corrects: foreign['corrects'], field: 'words', reason: 'a name' }),
    };
    return { ...(await bodies[family]()) };
  };

  const send = (family: EventFamily, body: object) =>
    shop.lead.ask<{ code: string; detail: string }>('POST', ENDPOINTS[EVENT_ENDPOINT[family]].path.replace(':jobId', mine.jobId), {
      id: v7(),
      happenedAt: new Date().toISOString(),
      device: 'test',
      ...body,
    });

  /** Families whose own body is refused here for what it asks, not for what it names. */
  const NOT_NOW: readonly EventFamily[] = [
    'acceptances',
    'comebacks',
    'afterCares',
    'afterPulls',
    'amendments',
    'redactions',
    'observations',
    'exercises',
    'beddingStops',
    // The card of a rotor takes no pieces.
    'kitCounts',
  ];

  for (const family of Object.keys(EVENTS) as EventFamily[]) {
    it(`names nothing of another one: ${family}`, async () => {
      const body = await bodyOf(family);
      const fields = idsOf(family);
      for (const field of [...fields, 'corrects']) {
        expect(foreign[field], `a foreign ${field}`).to.be.a('string');
        const several = Array.isArray(
          (EVENTS[family].sent.shape as Record<string, { safeParse: (v: unknown) => { data?: unknown } }>)[field]?.safeParse([v7()]).data,
        );
        const answer = await send(family, { ...body, [field]: several ? [foreign[field]] : foreign[field] });
        expect(answer.status, `${family}.${field}: ${answer.body.detail}`).to.be.within(400, 499);
      }
      if (NOT_NOW.includes(family)) return;
      const good = await send(family, family === 'voids' ? { reason: '' } : body);
      expect(good.status, `${family}: ${good.body.detail}`).to.equal(family === 'voids' ? 400 : 200);
    });
  }

  it('and the list of what is looked at knows every field that names something', () => {
    const elsewhere: Partial<Record<EventFamily, readonly string[]>> = {
      partEvents: ['partId'],
      partCorrections: ['partId', 'otherId'],
      causeLooks: ['place'],
      handIns: ['eventId'],
      ownerChoices: ['offerId'],
      orderLines: ['supplierId', 'articleId'],
      sendOuts: ['supplierId'],
      lotUses: ['lotId'],
      comebacks: ['repairedIn'],
      noteTells: ['noteId'],
      putIns: ['port'],
      portFacts: ['port'],
    };
    for (const family of Object.keys(EVENTS) as EventFamily[])
      for (const field of idsOf(family))
        expect([...Object.keys(familyOf(family).names), ...(elsewhere[family] ?? [])], family).to.include(field);
  });

  it('a part that lies on the shelf comes over from another vehicle; one that sits there does not', async () => {
    const slotId = mine.slot('rotor', 'RL');
    const theirs = other.slot('rotor', 'RL');
    const partId = (await shop.technician.file(other.jobId)).partEvents.find((e) => e.slotId === theirs)!.partId;
    const fit = () => shop.technician.event<'partEvents'>(mine.jobId, 'part-events', { partId, kind: 'fitted', slotId, note: '' });
    await takeOff(shop.technician, mine, mine.slot('caliper', 'RL'), slotId);
    await takeOff(shop.technician, other, other.slot('caliper', 'RL'));
    const sits = await fit();
    expect([sits.status, sits.body.code]).to.deep.equal([409, 'other_vehicle']);
    await shop.technician.event<'partEvents'>(other.jobId, 'part-events', { partId, kind: 'removed', slotId: theirs, note: '' });
    expect((await fit()).status).to.equal(200);
    const back = await shop.technician.event<'partEvents'>(other.jobId, 'part-events', {
      partId,
      kind: 'fitted',
      slotId: theirs,
      note: '',
    });
    expect([back.status, back.body.code]).to.deep.equal([409, 'other_vehicle']);
  });
});
