import js from '@eslint/js';
import { defineConfig } from 'eslint/config';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import ts from 'typescript-eslint';

/**
 * Which rooms of the core may be entered from which: dependencies point one way. A room is entered by its
 * index only.
 */
const coreRooms = {
  keeping: [],
  length: [],
  gift: ['length'],
  gaps: ['length'],
  print: ['length'],
  paper: ['length', 'gaps', 'print'],
  tools: ['length'],
  piece: ['length'],
  marks: ['length', 'gaps'],
  fold: ['length', 'piece'],
  forms: ['length', 'gift', 'paper', 'tools', 'piece', 'gaps', 'marks', 'fold'],
  styles: ['length', 'gift', 'paper', 'tools', 'piece', 'gaps', 'marks', 'fold', 'forms'],
  make: ['length', 'paper', 'tools', 'piece', 'gaps', 'marks', 'fold'],
  additions: ['length', 'gift', 'paper', 'tools', 'piece', 'fold', 'forms', 'make'],
  export: ['length', 'piece'],
  request: ['length', 'gift', 'paper', 'tools', 'piece', 'make', 'styles', 'additions'],
  planning: [
    'length',
    'gift',
    'paper',
    'tools',
    'piece',
    'gaps',
    'marks',
    'fold',
    'forms',
    'styles',
    'make',
    'additions',
    'request',
  ],
  words: ['keeping', 'length', 'paper', 'tools', 'piece', 'fold', 'make', 'request', 'planning'],
  compare: ['length', 'gift', 'piece', 'styles', 'make', 'request', 'planning'],
  'ways-out': ['length', 'gift', 'paper', 'tools', 'styles', 'additions', 'request', 'planning'],
  trial: ['length', 'paper', 'request', 'planning'],
  rescue: ['length', 'paper', 'piece', 'make', 'request', 'planning', 'words', 'compare'],
};

/** What files of a room may import when they lie so deep in it; within the room they are free. */
function roomRule(room, open, files, wayOut) {
  const rooms = ['-', ...open].join('|');
  return {
    files,
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: `^${wayOut}(?!(${rooms})/index\\.ts$)`,
              message: `core/${room} may use ${open.join(', ') || 'no other room'}, each by its index.`,
            },
            { regex: '^(node:|vue|express|knex|@rangoli)', message: 'The core is pure.' },
          ],
        },
      ],
    },
  };
}

const coreRules = Object.entries(coreRooms).flatMap(([room, open]) => [
  roomRule(room, open, [`core/src/${room}/*.ts`], '\\.\\./'),
  roomRule(room, open, [`core/src/${room}/*/*.ts`], '\\.\\./\\.\\./'),
]);

function forbid(files, regex, message) {
  return {
    files,
    rules: { 'no-restricted-imports': ['error', { patterns: [{ regex, message }] }] },
  };
}

export default defineConfig(
  {
    ignores: [
      '**/dist/**',
      '**/dist-server/**',
      '**/node_modules/**',
      'data/**',
      '.cache/**',
      '**/test-results/**',
    ],
  },
  js.configs.recommended,
  {
    files: ['**/*.ts', '**/*.vue'],
    extends: [ts.configs.strictTypeChecked, ts.configs.stylisticTypeChecked],
    languageOptions: {
      parserOptions: {
        project: [
          './core/tsconfig.test.json',
          './server/tsconfig.test.json',
          './web/tsconfig.json',
          './e2e/tsconfig.json',
          './tsconfig.tools.json',
        ],
        tsconfigRootDir: import.meta.dirname,
        extraFileExtensions: ['.vue'],
      },
    },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_$' }],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/consistent-type-assertions': ['error', { assertionStyle: 'never' }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      'no-restricted-syntax': [
        'error',
        { selector: 'ExportDefaultDeclaration', message: 'Export by name.' },
      ],
    },
  },
  {
    files: ['**/*.ts'],
    rules: {
      // `as const` narrows without silencing anything; every other assertion is refused.
      '@typescript-eslint/consistent-type-assertions': 'off',
      'no-restricted-syntax': [
        'error',
        { selector: 'ExportDefaultDeclaration', message: 'Export by name.' },
        {
          selector: 'TSAsExpression:not([typeAnnotation.typeName.name="const"])',
          message: 'No casts: narrow with a check.',
        },
      ],
    },
  },
  ...coreRules,
  forbid(['core/src/*.ts'], '^(node:|vue|express|knex|@rangoli)', 'The core is pure.'),
  forbid(
    ['server/src/**/*.ts'],
    '^(@rangoli/web|vue|pinia|primevue)',
    'The server knows the core only.',
  ),
  forbid(
    ['web/src/**/*.{ts,vue}'],
    '^(@rangoli/server|express|knex|node:)',
    'The client knows the core only.',
  ),
  vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: ts.parser } },
    rules: {
      'vue/multi-word-component-names': 'off',
      'no-restricted-syntax': 'off',
      'no-undef': 'off',
    },
  },
  {
    files: ['**/*.{js,mjs}', '**/*.config.ts', '**/*.d.ts'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        setTimeout: 'readonly',
        clearTimeout: 'readonly',
        fetch: 'readonly',
        performance: 'readonly',
      },
    },
    rules: { 'no-restricted-syntax': 'off' },
  },
  prettier,
);
