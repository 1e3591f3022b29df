import boundaries from 'eslint-plugin-boundaries';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const only = (from, ...to) => ({
  from: { element: { type: from } },
  allow: to.map((type) => ({ to: { element: { type } } })),
});

export default tseslint.config(
  { ignores: ['.next/**', '.shingle/**', 'node_modules/**', 'next-env.d.ts'] },
  ...tseslint.configs.recommended,
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { boundaries, 'react-hooks': hooks },
    settings: {
      'import/resolver': { typescript: { project: './tsconfig.json' } },
      'boundaries/elements': ['core', 'server', 'app', 'ui', 'workers', 'cli'].map((type) => ({
        type,
        pattern: `src/${type}`,
      })),
    },
    rules: {
      ...hooks.configs.recommended.rules,
      // One way only: everything may use the core, the core nothing; the page and the database never each other.
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          policies: [
            only('core', 'core'),
            only('server', 'core', 'server'),
            only('ui', 'core', 'ui', 'workers'),
            only('workers', 'core', 'workers'),
            only('cli', 'core', 'server', 'cli'),
            only('app', 'core', 'server', 'ui', 'app'),
          ],
        },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
    },
  },
  {
    files: ['src/ui/**/*.{ts,tsx}'],
    ignores: ['src/**/*.test.ts'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex:
                '^@/core/(plan|whatIf|choices|sequences|running|sensitivity|formats/(planner|planFile|readRun|readShop|schemas))$',
              allowTypeImports: true,
              message: 'It brings the whole planner to the page: ask a worker, and import its types alone.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts', 'src/core/testing.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: [
                'react',
                'react-*',
                'next',
                'next/*',
                'knex',
                'mysql2',
                'styled-components',
                'node:*',
                'fs',
                'path',
              ],
              message: 'The core knows no interface, database, file or clock.',
            },
          ],
        },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random' },
        { object: 'Date', property: 'now' },
      ],
    },
  },
);
