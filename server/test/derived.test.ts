import { demoStory } from '@dauer/demo';
import { expect } from 'chai';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { projectionOf } from './derived/projection.ts';
import { addStoryPeople, openShop, PASSWORD, type Shop, takeIn } from './harness.ts';

/** The day on which the demonstration’s story is told, and the moment at which it is looked at. */
const TOLD = Date.UTC(2026, 9, 1, 9);
const LOOKED = new Date(TOLD + 3600000).toISOString();
const KEPT = join(import.meta.dirname, 'derived', 'demo.txt');

/** What the demonstration shop comes to, fact by fact: a change of the code that is not meant to change it shows here. */
describe('the demonstration shop, derived', function () {
  this.timeout(120000);
  let shop: Shop;
  before(async () => {
    shop = await openShop();
    await addStoryPeople(shop.lead);
  });
  after(() => shop.close());

  it('comes to the same as it did, byte for byte', async () => {
    const story = demoStory(TOLD);
    expect((await takeIn(shop.lead, story.lines('a story', PASSWORD))).body.refused).to.deep.equal([]);
    const files = [];
    for (const job of story.jobs) files.push(await shop.lead.file(job.id));
    const found = projectionOf(files, LOOKED);
    // Where it is meant to change, it is written anew and read before it is kept: DAUER_WRITE_DERIVED=1.
    if (process.env['DAUER_WRITE_DERIVED'] === '1' || !existsSync(KEPT)) writeFileSync(KEPT, found);
    expect(found).to.equal(readFileSync(KEPT, 'utf8'));
  });
});
