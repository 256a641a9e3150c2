import { join } from 'node:path';
import { openCluster } from './lib/cluster.mjs';
import { checkNode, ensureBuilt, ensureModules, ensurePackages, portFree, ROOT } from './lib/machine.mjs';
import { run, say, Stop } from './lib/say.mjs';
import { asksForLan, ensureCertificate, keepCertificate, lanUrl } from './lib/authority.mjs';
import { keeper, startServer } from './lib/serve.mjs';

/** The shop's own book. With DATABASE_URL set, that server is used and no cluster is made. */
await run(async () => {
  const port = Number(process.env.PORT ?? 4680);
  checkNode();
  if (!(await portFree(port))) throw new Stop(`Port ${port} is taken. Stop what uses it, or choose another: PORT=4690 npm start`);
  const own = !process.env.DATABASE_URL;
  if (own) ensurePackages();
  ensureModules();
  ensureBuilt();
  const kept = keeper();
  const authority = join(ROOT, '.dauer', 'authority');
  const lan = asksForLan() ? { ...ensureCertificate(authority), url: lanUrl(port) } : null;
  if (lan) kept.add(keepCertificate(authority));
  const server = await kept.starting(async () => {
    const cluster = own ? await openCluster(join(ROOT, '.dauer', 'shop')) : null;
    if (cluster) kept.add(cluster.stop);
    return startServer({ databaseUrl: process.env.DATABASE_URL ?? cluster.database('dauer'), port, lan, onSpawn: kept.add });
  });
  say(
    `\nDauer is at ${server.url}\nThe first one to open it makes the first lead’s account. Ctrl-C stops it; everything is kept in .dauer.`,
  );
  if (lan) say(`On the network over HTTPS. Shop, “Add a tablet”, shows each tablet the way; its authority is ${server.url}/authority.crt`);
  await kept.untilStopped(server);
});
