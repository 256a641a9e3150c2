import type { Bundle } from '@dauer/contract';
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

/** Fills a new shop through the same interface that the application uses. */
export async function loadDemo(url: string, password: string, today: number): Promise<void> {
  let cookie = '';
  const post = async (path: string, body: object): Promise<void> => {
    const reply = await fetch(`${url}${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie },
      body: JSON.stringify(body),
    });
    if (!reply.ok) throw new Error(`${path}: ${reply.status} ${(await reply.text()).slice(0, 2000)}`);
    cookie = reply.headers.getSetCookie()[0]?.split(';')[0] ?? cookie;
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
  await post('/api/import', demoBundle(today, password));
}
