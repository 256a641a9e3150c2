import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ENDPOINTS } from '@dauer/contract';
import { familyOf } from '@dauer/core/ledger';
import * as prettier from 'prettier';
import { ROOT } from './lib/machine.mjs';

/** What an endpoint of a family of events takes, and whether it is asked of a server that answers and of no other. */
const ofFamily = (family) => ({ family, ...(familyOf(family).sending === 'online' && { online: true }) });

/** Where every endpoint is asked, written down for the page: it needs no more of the contract before somebody is signed in. */
const routes = () =>
  Object.fromEntries(
    Object.entries(ENDPOINTS)
      .map(
        ([name, line]) =>
          /** @type {const} */ ([name, { method: line.method, path: line.path, ...('family' in line && ofFamily(line.family)) }]),
      )
      .sort(([a], [b]) => (a < b ? -1 : 1)),
  );

const file = join(ROOT, 'web/src/app/routes.json');
writeFileSync(file, await prettier.format(JSON.stringify(routes()), { ...(await prettier.resolveConfig(file)), parser: 'json' }));
