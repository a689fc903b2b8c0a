import { readdirSync } from 'node:fs';

import prettier from 'eslint-config-prettier';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

import { ownKeys } from './tools/lint/ownKeys.mjs';

/** Wings of core and their rooms, so that a path which climbs out of one into another can be told from one that stays inside. */
const coreWings = readdirSync('core').filter((name) => !name.includes('.'));
const coreFolders = [...coreWings, ...coreWings.flatMap((wing) => readdirSync(`core/${wing}`))];
const outOfCoreFolder = `^(\\.\\./)+(${coreFolders.join('|')})(/|$)`;
const outOfTop = '^(\\.\\./)+(core|ui|server|app|tools|devices|demo|e2e)(/|$)';

/** Dependencies point one way: app -> ui -> core and server -> core; core knows nobody. */
const border = (files, message, ...patterns) => ({
  files,
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...patterns.map((regex) => ({ regex, message })),
          { regex: outOfTop, message: 'Import another top folder by its alias: @core/…, @ui/…, @server/….' },
          {
            regex: '^@core/(?!testing/|shaping/steps/)[^/]+/[^/]+/',
            message: 'Import a room of core as a whole, through its index.ts.',
          },
        ],
      },
    ],
  },
});

export default tseslint.config(
  {
    ignores: [
      'dist/',
      'node_modules/',
      'data/',
      'public/',
      '.expo/',
      'test-results/',
      'playwright-report/',
      'expo-env.d.ts',
    ],
  },
  ...tseslint.configs.recommended,
  {
    linterOptions: { reportUnusedDisableDirectives: 'error' },
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': [
        'error',
        { fixStyle: 'inline-type-imports', disallowTypeAnnotations: false },
      ],
      eqeqeq: 'error',
      'no-console': ['error', { allow: ['error'] }],
    },
  },
  {
    // Rules that need types: no promise is left to itself, and a switch over a union answers all of it.
    files: ['**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: { own: { rules: { 'own-keys': ownKeys } } },
    rules: {
      'own/own-keys': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true, requireDefaultForNonUnion: false },
      ],
      '@typescript-eslint/no-for-in-array': 'error',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-base-to-string': 'error',
      '@typescript-eslint/restrict-plus-operands': 'error',
      '@typescript-eslint/only-throw-error': 'error',
      '@typescript-eslint/no-unsafe-argument': 'error',
      '@typescript-eslint/no-unsafe-assignment': 'error',
      '@typescript-eslint/no-unsafe-member-access': 'error',
      '@typescript-eslint/no-unsafe-return': 'error',
      '@typescript-eslint/no-unsafe-call': 'error',
    },
  },
  {
    // Jest's matchers and what is drawn in a test renderer have no types.
    files: ['**/*.test.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
    },
  },
  {
    // What tests and tools look up, they have written themselves.
    files: ['**/*.test.{ts,tsx}', 'tools/**/*.ts', 'core/testing/**/*.ts'],
    rules: { 'own/own-keys': 'off' },
  },
  {
    files: ['**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  border(
    ['core/**/*.ts'],
    'core computes only: no screens, no server, no Node, no DOM.',
    '^@(ui|server|devices)/',
    '^(react|react-native|expo|express|knex)(/|-|$)',
    '^node:',
    outOfCoreFolder,
  ),
  border(
    // The font of letters is read from its package for tests.
    ['core/**/*.test.ts', 'core/testing/lettersFont.ts'],
    'Tests of core need neither screens nor server.',
    '^@(ui|server)/',
    outOfCoreFolder,
  ),
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts', 'core/testing/long.ts', 'core/testing/lettersFont.ts'],
    // Types of packages bring those of browsers and of Node along, so that the compiler can't tell.
    rules: {
      'no-restricted-globals': [
        'error',
        ...[
          'window',
          'document',
          'self',
          'navigator',
          'localStorage',
          'indexedDB',
          'Worker',
          'fetch',
          'XMLHttpRequest',
        ],
        ...[
          'process',
          'global',
          'Buffer',
          'require',
          '__dirname',
          'setTimeout',
          'setInterval',
          'requestAnimationFrame',
        ],
      ],
    },
  },
  border(
    ['server/**/*.ts'],
    'The server knows core, not the screens, and nothing of what practice devices hide.',
    '^@ui/',
    '^@devices/',
    '^(react|react-native|expo)(/|-|$)',
  ),
  border(
    ['ui/**/*.{ts,tsx}'],
    'Screens know core, not the server.',
    '^@(server|devices)/',
    '^(express|knex|libsql)(/|$)',
    '^node:',
  ),
  // Where the server is put together, the practice devices are plugged in.
  border(['server/{start,practiceDevices,testing/*}.ts'], 'The server does not know the screens.', '^@ui/'),
  border(['devices/**/*.ts'], 'Practice devices stand for the outside world: they know nobody here.', '^@'),
  border(['devices/**/*.test.ts'], 'Devices are tested through the server.', '^@ui/'),
  border(['app/**/*.{ts,tsx}'], 'Routes only name a screen.', '^@(server|core)/'),
  {
    // The one file that may load the geometry kernel; its name is needed where its file is served and translated.
    files: ['**/*.{ts,tsx}'],
    ignores: ['core/shaping/kernel/kernel.ts', 'ui/solid/kernelFile.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'ImportDeclaration[source.value=/^replicad-opencascadejs/]',
          message: 'Only core/shaping/kernel/kernel.ts loads the geometry kernel.',
        },
      ],
    },
  },
  { files: ['tools/**', 'demo/**', 'server/main.ts'], rules: { 'no-console': 'off' } },
  { files: ['**/*.{js,cjs}'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  { files: ['e2e/**'], rules: { 'no-empty-pattern': 'off', 'react-hooks/rules-of-hooks': 'off' } },
  prettier,
);
