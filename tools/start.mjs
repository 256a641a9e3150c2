import { join } from 'node:path';
import { DAUER, runShop } from './lib/runShop.mjs';
import { run, say } from './lib/say.mjs';

/** The shop's own book. With DATABASE_URL set, that server is used and no cluster is made. */
await run(() =>
  runShop({
    command: 'start',
    home: join(DAUER, 'shop'),
    ready: ({ url }) => {
      say(`\nDauer is at ${url}\nThe first one to open it makes the first lead’s account. Ctrl-C stops it; everything is kept in .dauer.`);
    },
  }),
);
