import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ENDPOINTS } from '@dauer/contract';
import * as prettier from 'prettier';
import { ROOT } from './lib/machine.mjs';

/** Where every endpoint is asked, written down for the page: it needs no more of the contract before somebody is signed in. */
const routes = () =>
  Object.fromEntries(
    Object.entries(ENDPOINTS)
      .map(
        ([name, line]) =>
          /** @type {const} */ ([name, { method: line.method, path: line.path, ...('family' in line && { family: line.family }) }]),
      )
      .sort(([a], [b]) => (a < b ? -1 : 1)),
  );

const file = join(ROOT, 'web/src/app/routes.json');
writeFileSync(file, await prettier.format(JSON.stringify(routes()), { ...(await prettier.resolveConfig(file)), parser: 'json' }));
