import { defineConfig } from 'eslint/config';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import scopedCss from 'eslint-plugin-vue-scoped-css';
import globals from 'globals';
import tseslint from 'typescript-eslint';

/** Fields that carry a sentence: shown to people, read by no rule. What a rule asks is typed. */
const SENTENCES = '/^(why|what|brief|because|words|ruledOut|closedWhy|lapsed|sentence|question)$/';
const READING = '/^(startsWith|endsWith|includes|indexOf|match|matchAll|replace|replaceAll|search|slice|split|substring)$/';
const unread = [
  `CallExpression[callee.property.name=${READING}][callee.object.property.name=${SENTENCES}]`,
  `CallExpression[callee.property.name=${READING}][callee.object.expression.property.name=${SENTENCES}]`,
  `CallExpression[callee.property.name=${READING}][callee.object.type='Identifier'][callee.object.name=${SENTENCES}]`,
  `CallExpression[callee.property.name=${READING}][callee.object.object.name=/^(TITLE|REASON)$/]`,
  `CallExpression[callee.property.name=${READING}][callee.object.callee.name=/Words$/]`,
  `CallExpression[callee.property.name=${READING}][callee.object.left.property.name=${SENTENCES}]`,
  `CallExpression[callee.property.name='test'][arguments.0.property.name=${SENTENCES}]`,
  `BinaryExpression[operator=/^[!=]==$/][left.property.name=${SENTENCES}][right.type='Literal'][right.value=/[ ]/]`,
].map((selector) => ({ selector, message: 'a sentence is shown, not read: ask for what it was made from' }));
const checked = { selector: 'TSAsExpression > TSUnknownKeyword', message: 'a cast through unknown silences the checker' };

export default defineConfig(
  { ignores: ['**/dist/**', '**/node_modules/**', '.dauer/**', 'server/migrations/**'] },
  ...tseslint.configs.strict,
  ...vue.configs['flat/recommended'],
  prettier,
  { linterOptions: { reportUnusedDisableDirectives: 'error' } },
  {
    files: ['**/*.ts', '**/*.vue'],
    languageOptions: {
      parserOptions: { parser: tseslint.parser, extraFileExtensions: ['.vue'] },
      globals: { ...globals.browser, ...globals.node },
    },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports', prefer: 'type-imports' }],
      '@typescript-eslint/no-invalid-void-type': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-console': 'error',
      'no-restricted-syntax': ['error', checked, ...unread],
    },
  },
  {
    // A participle says what happened to a thing, not which thing it is. Names that are stored are what they are.
    files: ['*/src/**/*.ts', '*/src/**/*.vue'],
    ignores: ['core/src/catalogue/proofItems.ts', 'web/src/app/kept.ts'],
    rules: { 'id-denylist': ['error', 'given', 'asked', 'told', 'gone', 'kept', 'so', 'with_'] },
  },
  {
    files: ['**/*.vue'],
    plugins: { 'vue-scoped-css': scopedCss },
    // A style that nothing of its component carries was left behind, or its class was renamed without it.
    rules: { 'vue/no-restricted-syntax': ['error', ...unread], 'vue-scoped-css/no-unused-selector': 'error' },
  },
  {
    files: ['**/*.test.ts', '**/test/**/*.ts', 'e2e/**/*.ts'],
    languageOptions: { globals: globals.mocha },
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-expressions': 'off',
      'no-restricted-syntax': ['error', checked],
    },
  },
  {
    files: ['**/*.mjs', '**/*.cjs'],
    languageOptions: { globals: globals.node },
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
);
