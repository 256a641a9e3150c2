import type { Bundle } from '@dauer/contract';
import { v7 } from 'uuid';
import { laidOut, pittedPiston } from './drawings.ts';
import { DEMO_SHOP, fillRack, PEOPLE } from './shop.ts';
import { Story } from './story.ts';
import { corrie } from './vehicles/corrie.ts';
import { marl } from './vehicles/marl.ts';
import { marrek } from './vehicles/marrek.ts';
import { osken } from './vehicles/osken.ts';
import { pellam } from './vehicles/pellam.ts';
import { quillon } from './vehicles/quillon.ts';
import { rooke } from './vehicles/rooke.ts';
import { sallow } from './vehicles/sallow.ts';

/** The whole demonstration shop as an import bundle, dated relative to `today` (milliseconds). */
export function demoBundle(today: number, password: string): Bundle {
  const story = new Story(today);
  const { ines: _ines, ...others } = PEOPLE;
  for (const p of Object.values(others)) story.people.push({ ...p, password });
  const rack = fillRack(story);
  marl(story);
  pellam(story, rack);
  quillon(story, rack);
  sallow(story, rack);
  marrek(story, rack);
  osken(story);
  rooke(story, rack);
  corrie(story, rack);
  return story.bundle();
}

/** Sends as the lead of the shop, and gives what was answered. */
type Post = (path: string, body: object) => Promise<{ readonly hash?: string }>;

/** What is known of two gauges beside their figures: a calibration, the setting piece, the same place read by two people. */
async function tellOfRack(post: Post, { gauges = [] }: Bundle): Promise<void> {
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

/** Drawings where a real shop has photographs: a piston of V 071, and what came with V 076. */
async function showDrawings(post: Post, bundle: Bundle): Promise<void> {
  const carOf = (tag: string) => bundle.vehicles?.find((v) => v.vehicle.tag === tag);
  const jobOf = (vehicleId: string | undefined): string | undefined =>
    bundle.jobs?.filter((j) => j.vehicleId === vehicleId).sort((a, b) => (a.openedAt < b.openedAt ? 1 : -1))[0]?.id;
  const [corrie, osken] = [carOf('V 071'), carOf('V 076')];
  const piston = corrie?.layout.slots.find((s) => s.corner === 'FL' && s.name === 'Piston 2')?.id ?? null;
  for (const [jobId, base64, of, slotId, note] of [
    [jobOf(corrie?.vehicle.id), pittedPiston(), 'place', piston, 'Three pits under where new pads put the seal'],
    [jobOf(osken?.vehicle.id), laidOut(), 'came_with', null, 'As it came in the box'],
  ] as const) {
    const { hash } = await post('/api/pictures', { base64 });
    await post(`/api/jobs/${jobId}/pictures`, { id: v7(), happenedAt: new Date().toISOString(), device: 'desk', hash, of, slotId, note });
  }
}

/** Fills a new shop through the same interface that the application uses. Returns how to send more, as its lead. */
export async function loadDemo(url: string, password: string, today: number): Promise<Post> {
  let cookie = '';
  const post: Post = async (path, body) => {
    const reply = await fetch(`${url}${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie },
      body: JSON.stringify(body),
    });
    if (!reply.ok) throw new Error(`${path}: ${reply.status} ${(await reply.text()).slice(0, 2000)}`);
    cookie = reply.headers.getSetCookie()[0]?.split(';')[0] ?? cookie;
    return (await reply.json()) as { hash?: string };
  };
  const { ines } = PEOPLE;
  await post('/api/first-lead', {
    id: ines.id,
    shopName: DEMO_SHOP.name,
    timeZone: DEMO_SHOP.timeZone,
    name: ines.name,
    login: ines.login,
    password,
  });
  const story = demoBundle(today, password);
  await post('/api/import', story);
  await tellOfRack(post, story);
  await showDrawings(post, story);
  return post;
}
