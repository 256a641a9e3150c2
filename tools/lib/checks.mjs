import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './machine.mjs';
import { say } from './say.mjs';

const bin = (name) => join('node_modules', '.bin', name);
const ROOMS = ['core/src', 'contract/src', 'server/src', 'web/src', 'demo/src', 'instruments/src'];
/** The compiler in native code checks what is TypeScript and nothing else; it links the same name as the other, so it is called where it lies. */
const NATIVE_TSC = join('node_modules', 'typescript-native', 'bin', 'tsc');
/** What a check remembers from one time to the next lies there, so that only what changed is looked at again. */
const CACHE = join('node_modules', '.cache', 'dauer');

/**
 * What has to hold of the code without running it: group, name, command and arguments, those that take longest first.
 * @type {readonly (readonly [group: string, name: string, command: string, args: readonly string[]])[]}
 */
export const CHECKS = [
  [
    'types',
    'types of the web',
    bin('vue-tsc'),
    ['-p', 'web/tsconfig.json', '--incremental', '--tsBuildInfoFile', join(CACHE, 'web.tsbuildinfo')],
  ],
  ['lint', 'lint', bin('eslint'), ['.', '--max-warnings', '0']],
  ['types', 'types of core, contract, server and demo', process.execPath, [NATIVE_TSC, '-p', 'tsconfig.node.json']],
  ['types', 'types of the browser tests', process.execPath, [NATIVE_TSC, '-p', 'tsconfig.json']],
  ['types', 'types of the tools', process.execPath, [NATIVE_TSC, '-p', 'tsconfig.tools.json']],
  ['format', 'format', bin('prettier'), ['--check', '--log-level', 'warn', '--cache', '--cache-location', join(CACHE, 'prettier'), '.']],
  ['unused', 'unused', bin('knip'), []],
  ['rules', 'import rules', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', ...ROOMS]],
];

/** @returns {Promise<boolean>} */
function check(name, command, args) {
  const begun = Date.now();
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
    let printed = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (d) => (printed += d));
    child.on('error', (error) => (printed += error.message));
    child.on('close', (status) => {
      const ok = status === 0;
      say(`${ok ? 'ok  ' : 'FAIL'} ${name} (${((Date.now() - begun) / 1000).toFixed(1)} s)`);
      if (!ok) say(printed.trim());
      resolve(ok);
    });
  });
}

/**
 * Runs checks two at a time, as many as there are cores to count on.
 * @param {typeof CHECKS} list
 * @returns {Promise<{ passed: number, failed: number }>}
 */
export async function checkAll(list) {
  const left = [...list];
  const counts = { passed: 0, failed: 0 };
  const next = async () => {
    for (let one = left.shift(); one; one = left.shift()) {
      const [, name, command, args] = one;
      counts[(await check(name, command, args)) ? 'passed' : 'failed'] += 1;
    }
  };
  await Promise.all([next(), next()]);
  return counts;
}
