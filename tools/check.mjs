import { checkAll, CHECKS } from './lib/checks.mjs';
import { checkNode, ensureModules } from './lib/machine.mjs';
import { run, say } from './lib/say.mjs';

/** Everything that has to hold of the code without running it: lint, types, import rules, format, what nobody uses. */
await run(async () => {
  checkNode();
  ensureModules();
  const begun = Date.now();
  const { passed, failed } = await checkAll(CHECKS);
  say(`\n${passed} hold, ${failed} do not (${((Date.now() - begun) / 1000).toFixed(0)} s)`);
  process.exit(failed === 0 ? 0 : 1);
});
