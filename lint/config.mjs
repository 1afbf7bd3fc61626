import { readdirSync } from 'node:fs';
import path from 'node:path';
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import importX from 'eslint-plugin-import-x';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** One direction of imports: app → features → {ui, devices, data, workers/client} → shop → records → core. */
const zone = (target, from, except, message) => ({ target, from, except, message });
/** Knows what every screen says, so that a shop is tried through all of them before it is put in place. */
const EVERY_VIEW = './everyView';
/** Zones of a tree whose sources stand in `root`/src. */
const zonesOf = (root) => {
  const src = (name) => path.join(root, 'src', name);
  const features = readdirSync(src('features'));
  return [
    zone(src('core'), src(''), ['./core'], 'core imports core only'),
    zone(src('workers'), src(''), ['./core', './workers'], 'workers import core only'),
    zone(src('records'), src(''), ['./core', './records'], 'records import core only'),
    zone(src('shop'), src(''), ['./core', './records', './shop'], 'shop imports core and records'),
    zone(
      src('data'),
      src(''),
      ['./core', './records', './shop', './data'],
      'data imports core, records and shop',
    ),
    zone(src('ui'), src(''), ['./ui'], 'ui imports nothing of ours'),
    zone(src('devices'), src(''), ['./core', './devices'], 'devices import core only'),
    zone(
      src('demo'),
      src(''),
      ['./core', './records', './shop', './data', './demo'],
      'the demo imports core, records, shop and data',
    ),
    zone(
      src('features'),
      src(''),
      [
        ...['./core', './records', './shop', './data', './devices', './ui', './features'],
        ...['./workers/client.ts', './workers/shopClient.ts', './demo/index.ts'],
        // What the worker of the shop is made with.
        ...['./workers/job.ts', './workers/jobServer.ts'],
      ],
      'features import core, records, shop, data, ui and workers/client',
    ),
    ...features
      .filter((name) => name !== 'common' && `./${name}` !== EVERY_VIEW && !name.includes('.'))
      .map((name) =>
        zone(
          src(`features/${name}`),
          src('features'),
          [`./${name}`, './common', ...(name === 'book' ? [EVERY_VIEW] : [])],
          'a feature imports no other feature',
        ),
      ),
    zone(
      src('features/common'),
      src('features'),
      ['./common'],
      'features/common imports no feature',
    ),
    zone(
      src('app'),
      src(''),
      [
        './app',
        './features',
        './ui',
        './workers/server.ts',
        './devices/simulatedRoom.ts',
        './devices/simulatedScale.ts',
      ],
      'routes render features',
    ),
  ];
};

const CORE_STRANGERS = ['react', 'react-dom', 'next', 'dexie', 'recharts'];

/**
 * The rules for a tree whose sources stand in `root`/src: ours, and the planted one that shows that they bite.
 * @param {string} root absolute path
 */
export const lintConfig = (root) =>
  tseslint.config(
    {
      ignores: [
        '.next/**',
        'node_modules/**',
        'next-env.d.ts',
        'test-results/**',
        '.tmp/**',
        'coverage/**',
      ],
    },
    ...tseslint.configs.recommended,
    {
      files: ['**/*.{ts,tsx}'],
      languageOptions: {
        parserOptions: { project: ['./tsconfig.json'], tsconfigRootDir: root },
      },
      plugins: { 'import-x': importX },
      settings: {
        'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
        'import-x/extensions': ['.ts', '.tsx', '.mjs', '.js'],
        'import-x/resolver-next': [
          createTypeScriptImportResolver({ project: path.join(root, 'tsconfig.json') }),
        ],
      },
      rules: {
        'import-x/no-restricted-paths': ['error', { zones: zonesOf(root) }],
        'import-x/no-cycle': ['error', { ignoreExternal: true }],
        'import-x/no-default-export': 'error',
        '@typescript-eslint/no-floating-promises': 'error',
        '@typescript-eslint/consistent-type-imports': [
          'error',
          { fixStyle: 'inline-type-imports' },
        ],
        '@typescript-eslint/switch-exhaustiveness-check': 'error',
        'no-restricted-syntax': [
          'error',
          { selector: 'ExportAllDeclaration', message: 'Name each export.' },
        ],
        'no-console': 'error',
        'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
      },
    },
    {
      // Where components and hooks stand: its rules read each file a second time.
      files: ['src/{app,features,ui}/**/*.{ts,tsx}', 'src/data/hooks/**'],
      ignores: ['**/*.test.ts'],
      plugins: { 'react-hooks': reactHooks },
      rules: reactHooks.configs.recommended.rules,
    },
    {
      files: ['src/core/**/*.ts'],
      ignores: ['**/*.test.ts'],
      rules: {
        'no-restricted-imports': [
          'error',
          { paths: CORE_STRANGERS, patterns: ['next/*', 'react/*', '@chakra-ui/*'] },
        ],
        'no-restricted-globals': [
          'error',
          'window',
          'document',
          'localStorage',
          'indexedDB',
          'fetch',
        ],
        'no-restricted-properties': [
          'error',
          { object: 'Math', property: 'random', message: 'Pass a random source in.' },
          { object: 'Date', property: 'now', message: 'Pass the time in.' },
          { object: 'crypto', property: 'randomUUID', message: 'Pass identifiers in.' },
        ],
        'max-lines-per-function': ['error', { max: 80, skipBlankLines: true, skipComments: true }],
      },
    },
    {
      files: ['src/{features,ui}/**/*.tsx'],
      rules: {
        'max-lines': ['error', { max: 250, skipBlankLines: true, skipComments: true }],
        'max-lines-per-function': ['error', { max: 100, skipBlankLines: true, skipComments: true }],
      },
    },
    {
      files: ['src/**/*.{ts,tsx}'],
      ignores: [
        'src/data/db.ts',
        'src/data/oldShop.ts',
        'src/workers/client.ts',
        'src/workers/shopClient.ts',
        'src/workers/threadPool.ts',
        '**/*.test.ts',
      ],
      rules: {
        'no-restricted-syntax': [
          'error',
          { selector: 'ExportAllDeclaration', message: 'Name each export.' },
          {
            selector: "NewExpression[callee.name='Dexie']",
            message: 'new Dexie stands in data/db.ts and data/oldShop.ts only.',
          },
          {
            selector: "NewExpression[callee.name='Worker']",
            message:
              'new Worker stands in workers/client.ts, shopClient.ts and threadPool.ts only.',
          },
        ],
      },
    },
    {
      // Tests may take the demo shop and fixtures from anywhere.
      files: ['**/*.test.ts', '**/*.bench.ts', '**/test/**'],
      rules: { 'import-x/no-restricted-paths': 'off' },
    },
    {
      files: ['src/app/**/*.{ts,tsx}', '*.config.ts', 'src/proxy.ts'],
      rules: { 'import-x/no-default-export': 'off' },
    },
  );
