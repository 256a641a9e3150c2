/** Fills a new shop with the demonstration and one long life beside it, for the bench to grow. */
import { loadDemo } from './load.ts';
import { longLife } from './longLife.ts';

const url = process.argv[2];
if (!url) throw new Error('the address of a new, empty shop is needed');
const now = Date.now();
const takeIn = await loadDemo(url, 'brakes-hold-lives', now);
await takeIn(longLife(now), 'a long life, made up');
