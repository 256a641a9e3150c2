import { ESLint } from 'eslint';
import { expect } from 'chai';
import { join } from 'node:path';

const ROOT = join(import.meta.dirname, '../..');

/** What the checker says of a line of code, as if it stood in this file. */
async function saidOf(code: string, file = 'core/src/job/job.ts'): Promise<string[]> {
  const [result] = await new ESLint({ cwd: ROOT }).lintText(code, { filePath: join(ROOT, file) });
  return (result?.messages ?? []).filter((m) => m.message.startsWith('a sentence is shown')).map((m) => m.ruleId ?? '');
}

describe('a sentence', function () {
  this.timeout(60000);
  const head = 'declare const o: { why: string; what: string | null };';
  for (const reads of [
    "o.why.startsWith('after')",
    "o.what?.replace('a', '')",
    "(o.why ?? '').includes('lock')",
    '/^after/.test(o.why)',
    "o.why === 'Nothing fitted here yet.'",
    "o.what!.split(':')",
  ])
    it(`may not be read by a rule: ${reads}`, async () => {
      expect(await saidOf(`${head}\nexport const found = ${reads};\n`)).to.deep.equal(['no-restricted-syntax']);
    });

  it('may not be read in a template either', async () => {
    const vue =
      '<script setup lang="ts">\ndefineProps<{ o: { why: string } }>();\n</script>\n\n<template>\n  <p v-if="o.why.startsWith(\'after\')">x</p>\n</template>\n';
    expect(await saidOf(vue, 'web/src/app/BarePlate.vue')).to.deep.equal(['vue/no-restricted-syntax']);
  });

  it('may be shown and joined, and what was typed may be read', async () => {
    const fine =
      "export const a = [o.why, `${o.what ?? ''}.`].join(' ');\nexport const b = (typed: string): boolean => typed.startsWith('-');\n";
    expect(await saidOf(`${head}\n${fine}`)).to.deep.equal([]);
  });
});
