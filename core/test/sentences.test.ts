import { ESLint } from 'eslint';
import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { ACCESSES } from '../src/catalogue/accessRules.ts';
import { MEASUREMENT_IDS } from '../src/catalogue/measurements.ts';
import { plannedPositions } from '../src/catalogue/positions.ts';
import { TABLES } from '../src/catalogue/trace/tables.ts';

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

/** Storeys in which rules stand: they give reasons, and the wording folder says them. */
const RULES = ['estimate', 'verdict', 'inference', 'metrology', 'history', 'judging', 'service', 'readiness', 'stages', 'job', 'views'];

/** What looks like words to be shown: two of them beside each other, one with a capital, or a full stop after one. */
const LIKE_WORDS = /[a-zé]{2,},? [a-z(]{2,}|[a-z]{3,}[.:?] |^[A-Z][a-z]{2,}$|[a-z]{3} \{|\} [a-z]{3}/;

/** Stored names that have a space in them: positions, accesses, tools. */
const NAMES = new Set<string>([
  ...MEASUREMENT_IDS.flatMap((id) => plannedPositions(id, 12).flatMap((p) => [p.place ?? '', ...(p.place ?? '').split(': ')])),
  ...ACCESSES.map((a) => a.name),
  ...TABLES.checks.flatMap((c) => c.tools?.split(',').map((t) => t.trim()) ?? []),
]);

/** Literals of a file that look like words; those of an error stand where it is thrown, under its code. */
function wordsIn(file: string): string[] {
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    if (ts.isNewExpression(node) && /Error$/.test(node.expression.getText())) return;
    if (ts.isCallExpression(node) && node.expression.kind === ts.SyntaxKind.SuperKeyword) return;
    const text = ts.isStringLiteralLike(node)
      ? node.text
      : ts.isTemplateExpression(node)
        ? node.head.text + node.templateSpans.map((s) => `{}${s.literal.text}`).join('')
        : '';
    if (LIKE_WORDS.test(text) && !NAMES.has(text.replace(/^\{\}:/, ''))) found.push(text);
    ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true));
  return found;
}

describe('words', () => {
  it('stand in the wording folder, and in no rule', () => {
    for (const storey of RULES)
      for (const name of readdirSync(join(ROOT, 'core/src', storey), { recursive: true, encoding: 'utf8' }))
        if (name.endsWith('.ts')) expect(wordsIn(join(ROOT, 'core/src', storey, name)), `${storey}/${name}`).to.deep.equal([]);
  });
  it('are seen where they are', () => {
    expect(wordsIn(join(ROOT, 'core/src/wording/en/verdicts.ts')).length).to.be.greaterThan(60);
  });
});
