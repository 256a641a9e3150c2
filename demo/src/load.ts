import { IMPORT_TYPE } from '@dauer/contract';
import type { JobRecords } from '@dauer/core/ledger';
import { v7 } from 'uuid';
import { laidOut, pittedPiston } from './drawings.ts';
import { tellOfPrices } from './prices.ts';
import { DEMO_SHOP, fillRack, PEOPLE } from './shop.ts';
import { tellOfSupply } from './supply.ts';
import { Story } from './story.ts';
import { corrie } from './vehicles/corrie.ts';
import { earlier, fleet } from './vehicles/earlier.ts';
import { marl } from './vehicles/marl.ts';
import { marrek } from './vehicles/marrek.ts';
import { osken } from './vehicles/osken.ts';
import { pellam } from './vehicles/pellam.ts';
import { parcel } from './vehicles/parcel.ts';
import { quillon } from './vehicles/quillon.ts';
import { rooke } from './vehicles/rooke.ts';
import { sallow } from './vehicles/sallow.ts';

export { PEOPLE } from './shop.ts';

/** The whole demonstration shop as records of the past, dated relative to `today` (milliseconds). */
export function demoStory(today: number): Story {
  const story = new Story(today);
  const rack = fillRack(story);
  earlier(story);
  fleet(story);
  marl(story);
  pellam(story, rack);
  quillon(story, rack);
  sallow(story, rack);
  marrek(story, rack);
  osken(story);
  rooke(story, rack);
  corrie(story, rack);
  parcel(story);
  return story;
}

/** Sends as the lead of the shop, and gives what was answered. */
type Post = (path: string, body: object) => Promise<{ readonly hash?: string }>;

/** What is known of two gauges beside their figures: a calibration, the setting piece, the same place read by two people. */
async function tellOfRack(post: Post, { gauges }: Story): Promise<void> {
  const of = (tag: string): string => gauges.find((g) => g.tag === tag)?.gaugeId ?? '';
  const [mic, dial] = [of('M-03'), of('D-02')];
  const due = (tag: string): string | null => gauges.find((g) => g.tag === tag)?.calibrationDue ?? null;
  const on = (tag: string): string => `${Number((due(tag) ?? '').slice(0, 4)) - 1}${(due(tag) ?? '').slice(4)}`;
  for (const [id, tag] of [
    [mic, 'M-03'],
    [dial, 'D-02'],
  ] as const)
    await post(`/api/gauges/${id}/calibrations`, {
      ...{
        id: v7(),
        versionId: v7(),
        on: on(tag),
        by: 'Lintel test house',
        result: 'good',
        offBy: null,
        certificate: `${tag} / 1`,
        nextDue: due(tag),
      },
    });
  const read = (person: string, figures: readonly number[]) => figures.map((value) => ({ person, value }));
  await post(`/api/gauges/${mic}/studies`, {
    ...{ id: v7(), versionId: v7(), place: 'Rotor on the bench, one mark' },
    readings: [...read('Tomasz', [12.081, 12.08, 12.081, 12.082, 12.081]), ...read('Ruth', [12.081, 12.081, 12.082, 12.081, 12.08])],
  });
  await post(`/api/gauges/${mic}/checks`, { id: v7(), read: 25.001 });
}

const carOf = (story: Story, tag: string): string | undefined => story.vehicles.find((v) => v.vehicle.tag === tag)?.vehicle.id;

/** Drawings where a real shop has photographs: a piston of V 071, and what came with V 076. */
async function showDrawings(post: Post, { vehicles, jobs }: Story): Promise<void> {
  const carOf = (tag: string) => vehicles.find((v) => v.vehicle.tag === tag);
  const jobOf = (vehicleId: string | undefined): string | undefined =>
    jobs.filter((j) => j.vehicleId === vehicleId).sort((a, b) => (a.openedAt < b.openedAt ? 1 : -1))[0]?.id;
  const [corrie, osken] = [carOf('V 071'), carOf('V 076')];
  const piston = corrie?.layout.slots.find((s) => s.corner === 'FL' && s.name === 'Piston 2')?.id ?? null;
  for (const [jobId, base64, of, slotId, note] of [
    [jobOf(corrie?.vehicle.id), await pittedPiston(), 'place', piston, 'Three pits under where new pads put the seal'],
    [jobOf(osken?.vehicle.id), await laidOut(), 'came_with', null, 'As it came in the box'],
  ] as const) {
    const { hash } = await post('/api/pictures', { base64 });
    await post(`/api/jobs/${jobId}/pictures`, { id: v7(), happenedAt: new Date().toISOString(), device: 'desk', hash, of, slotId, note });
  }
}

/** What the shop does otherwise at two of its cards. */
async function tellOfCards(post: Post): Promise<void> {
  const as = { changes: [], own: [], replaces: null };
  const step = { after: null, kind: 'do', ready: '', hazard: '', obliged: true, second: false };
  await post('/api/shop-cards', {
    ...{ ...as, id: v7(), cardId: 'caliper_fixed', reason: 'Two halves went back crossed in one winter' },
    own: [
      {
        ...{ ...step, id: 'own_1', group: 'strip', minutes: 3, words: 'Lay the pistons on the numbered tray, each at its bore' },
        ...{ why: 'A piston that ran in one bore fits no other.', ready: 'Numbered tray' },
      },
    ],
  });
  await post('/api/shop-cards', {
    ...{ ...as, id: v7(), cardId: 'pads', reason: 'Every rattle that came back was a worn clip' },
    own: [
      {
        ...{
          ...step,
          id: 'own_1',
          group: 'after',
          kind: 'look',
          minutes: 2,
          words: 'Shake each pad by hand in its carrier, old clips beside new',
        },
        ...{ why: 'A clip that lets it move now rattles on the road.', obliged: false },
      },
    ],
  });
}

/** What a browser does: sends, and keeps the cookie that it is given. */
function somebody(url: string) {
  let cookie = '';
  const send = async (path: string, type: string, body: string): Promise<unknown> => {
    const reply = await fetch(`${url}${path}`, { method: 'POST', headers: { 'content-type': type, cookie }, body });
    if (!reply.ok) throw new Error(`${path}: ${reply.status} ${(await reply.text()).slice(0, 2000)}`);
    cookie = reply.headers.getSetCookie()[0]?.split(';')[0] ?? cookie;
    return reply.json();
  };
  const file = async (jobId: string): Promise<JobRecords> =>
    (await (await fetch(`${url}/api/jobs/${jobId}`, { headers: { cookie } })).json()) as JobRecords;
  return {
    send,
    file,
    post: async (path: string, body: object) => (await send(path, 'application/json', JSON.stringify(body))) as { hash?: string },
  };
}

/** Takes a story in as its lead; every job of it has to come in. */
export type TakeIn = (story: Story, source: string) => Promise<void>;

/** Fills a new shop through the same interface that the application uses. Returns how to take more in, as its lead. */
export async function loadDemo(url: string, password: string, today: number): Promise<TakeIn> {
  const lead = somebody(url);
  const { ines, ...others } = PEOPLE;
  await lead.post('/api/first-lead', {
    id: ines.id,
    shopName: DEMO_SHOP.name,
    timeZone: DEMO_SHOP.timeZone,
    name: ines.name,
    login: ines.login,
    password,
  });
  for (const p of Object.values(others)) await lead.post('/api/people', { ...p, password });
  const takeIn: TakeIn = async (story, source) => {
    const { refused } = (await lead.send('/api/import', IMPORT_TYPE, story.lines(source, password).join('\n'))) as { refused: object[] };
    if (refused.length > 0) throw new Error(`not taken in: ${JSON.stringify(refused)}`);
  };
  const story = demoStory(today);
  await takeIn(story, 'the demonstration’s story');
  // A limit is checked by a second person, here as in any shop.
  const second = somebody(url);
  await second.post('/api/sign-in', { login: PEOPLE.tomasz.login, password });
  for (const limit of story.limits.filter((l) => l.checkedBy !== null)) await second.post(`/api/limits/${limit.id}/check`, {});
  await tellOfRack(lead.post, story);
  await showDrawings(lead.post, story);
  await tellOfCards(lead.post);
  const entered = await tellOfPrices(lead.post, (n) => story.day(n));
  await tellOfSupply(lead, story, entered);
  // V 071 stands before its owner: he was asked, and has not answered.
  const offered = story.jobs.find((j) => j.complaint !== '' && j.authorisedMinor === 90_000 && j.vehicleId === carOf(story, 'V 071'));
  if (offered) await lead.post(`/api/jobs/${offered.id}/offers`, { id: v7() });
  return takeIn;
}
