import js from '@eslint/js';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

// The rooms of the interface: each may use those before it and none after.
const ROOMS = [
  'api',
  'ui',
  'edits',
  'bench',
  'path',
  'findings',
  'stations',
  'proof',
  'work',
  'shell',
  'setup',
  'hangar',
  'figures',
];

const NODE = ['process', 'console', 'fetch', 'setTimeout', 'URL', 'document'];

export default ts.config(
  { ignores: ['**/generated/**', '**/bin/**', '**/obj/**', 'artifacts/**'] },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [ts.configs.strictTypeChecked, a11y.flatConfigs.recommended, hooks.configs.flat.recommended],
    languageOptions: {
      parserOptions: {
        project: ['src/frontend/tsconfig.json', 'tests/browser/tsconfig.json'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      // The root element and array positions just checked are the places where we know better.
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-confusing-void-expression': 'off',
    },
  },
  ...ROOMS.map((room, place) => ({
    files: [`src/frontend/src/${room}/**/*.{ts,tsx}`],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: ROOMS.slice(place + 1).map((later) => ({
            regex: `^(\\.\\./)+${later}/`,
            message: `${room} comes before ${later} in the order of the rooms.`,
          })),
        },
      ],
    },
  })),
  // Playwright's fixtures are handed a function called use; it is no hook of React's.
  { files: ['tests/browser/**'], rules: { 'react-hooks/rules-of-hooks': 'off' } },
  {
    files: ['**/*.mjs'],
    languageOptions: { globals: Object.fromEntries(NODE.map((name) => [name, 'readonly'])) },
  },
);
