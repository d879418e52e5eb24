import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import boundaries from 'eslint-plugin-boundaries';
import importX from 'eslint-plugin-import-x';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Which room may import which; a room may always import itself. */
const ROOMS = {
  core: [],
  shapes: ['core'],
  store: ['core'],
  server: ['core', 'shapes', 'store'],
  drawing: ['core'],
  ui: ['core', 'drawing'],
  client: ['core'],
  device: ['core', 'client'],
  workers: ['core'],
  views: ['core', 'shapes', 'drawing', 'ui', 'client', 'device', 'workers'],
  pages: ['server', 'views', 'ui'],
  demo: ['core', 'server'],
  cli: ['core', 'server', 'demo'],
};
/** Rooms inside the core, each may import those before it. */
const CORE = [
  'quantity', 'measuring', 'hazard', 'defects', 'earth', 'gland', 'mineral', 'transit', 'instrument',
  'record', 'kinds', 'rulebook', 'commands', 'finder', 'makeoff', 'programme', 'words', 'bulk', 'doors',
]; // prettier-ignore
/** Rooms inside the server, each may import those before it; the doors stand by themselves. */
const SERVER = [
  'base',
  'doors',
  'commands',
  'instruments',
  'keep',
  'files',
  'jobs',
  'writing',
  'app',
  'http',
  'main',
];

/** Rooms that every view may use, each may import those before it; a view imports no other view. */
const SHARED_VIEWS = ['hand', 'testing', 'judging', 'frame'];
const VIEWS = [
  'bench',
  'certificates',
  'clocks',
  'defects',
  'desk',
  'dossier',
  'makeoff',
  'mineral',
  'report',
  'site',
  'transit',
];

/** What files of a house of rooms may import of each other. */
const inOrder = (house, rooms) =>
  rooms.map((room, i) => ({
    from: { element: { type: `${house}/${room}` } },
    allow: { to: { element: { type: rooms.slice(0, i + 1).map((one) => `${house}/${one}`) } } },
  }));
/** A house by its name, and by the rooms in it. */
const whole = (name) =>
  name === 'core'
    ? CORE.map((room) => `core/${room}`)
    : name === 'server'
      ? SERVER.map((room) => `server/${room}`)
      : name === 'views'
        ? [...SHARED_VIEWS, ...VIEWS].map((room) => `views/${room}`)
        : [name];

/** Longest function and longest file, lines. */
const MOST_IN_FUNCTION = 60;
const MOST_IN_FILE = 350;
/** Tables of data, which are as long as what they list. */
const DATA_TABLES = [
  'demo/instruments.ts',
  'demo/plant.ts',
  'demo/series.ts',
  'src/core/words/en/kinds/looks.ts',
  'src/drawing/looks/pictures.ts',
  '**/*.test.data.ts',
];
/** The core uses mathematics and hashing only: everything else, Node included, is out of bounds. */
const CORE_PACKAGES = '^(?!\\.|@stdlib/|@noble/hashes/|canonicalize$)';

const SQL_ELSEWHERE = {
  selector: "CallExpression[callee.property.name='prepare']",
  message: 'SQL stands in src/store only.',
};

/** No control is written by hand: the library's are dressed by the one theme. */
const bare = (names) => ({
  selector: `JSXOpeningElement[name.name=/^(${names})$/]`,
  message: 'Take the control from Mantine; what is drawn by hand stands in src/ui/heart.',
});

export default tseslint.config(
  { ignores: ['dist/', 'node_modules/', '.astro/', 'data/'] },
  {
    files: ['**/*.{ts,tsx}'],
    extends: [...tseslint.configs.recommended],
    plugins: { boundaries, 'react-hooks': hooks, 'import-x': importX },
    languageOptions: { parserOptions: { projectService: true } },
    settings: {
      'import-x/resolver-next': [createTypeScriptImportResolver({ project: './tsconfig.json' })],
      'import-x/extensions': ['.ts', '.tsx'],
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
      'import/resolver': { typescript: { project: './tsconfig.json' } },
      'boundaries/elements': [
        ...Object.keys(ROOMS)
          .flatMap(whole)
          .filter((room) => room !== 'demo')
          .map((room) => ({ type: room, pattern: `src/${room}` })),
        { type: 'demo', pattern: 'demo' },
      ],
    },
    rules: {
      ...hooks.configs.recommended.rules,
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-console': 'off',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
      'import-x/no-cycle': ['error', { ignoreExternal: true }],
    },
  },
  { files: ['src/**/*.tsx'], ...a11y.flatConfigs.recommended },
  {
    files: ['src/**/*.{ts,tsx}', 'demo/**/*.ts'],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          policies: [
            ...Object.entries(ROOMS).map(([from, to]) => ({
              from: { element: { type: whole(from) } },
              allow: {
                to: { element: { type: [...(whole(from).length > 1 ? [] : [from]), ...to.flatMap(whole)] } },
              },
            })),
            ...inOrder('core', CORE),
            ...inOrder('server', SERVER),
            ...inOrder('views', SHARED_VIEWS),
            ...VIEWS.flatMap((view) => inOrder('views', [...SHARED_VIEWS, view]).slice(-1)),
          ],
        },
      ],
    },
  },
  {
    files: ['**/*.{ts,tsx}'],
    ignores: [...DATA_TABLES],
    rules: { 'max-lines': ['error', MOST_IN_FILE] },
  },
  {
    // A test's block holds many tests.
    files: ['**/*.{ts,tsx}'],
    ignores: [...DATA_TABLES, '**/*.test.{ts,tsx}', 'tests/bench/**'],
    rules: { 'max-lines-per-function': ['error', MOST_IN_FUNCTION] },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: CORE_PACKAGES, message: 'The core knows no React, Node, SQL or browser.' }] },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'localStorage', 'Buffer'],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/store/**', '**/*.test.ts'],
    rules: { 'no-restricted-syntax': ['error', SQL_ELSEWHERE] },
  },
  {
    files: ['src/views/**/*.tsx', 'src/ui/**/*.tsx'],
    ignores: ['**/*.test.tsx', 'src/ui/heart/**'],
    rules: {
      'no-restricted-syntax': ['error', SQL_ELSEWHERE, bare('input|select|textarea|dialog|button|table')],
      'no-restricted-globals': ['error', { name: 'confirm', message: 'A Modal asks.' }],
    },
  },
);
