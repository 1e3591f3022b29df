import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['.next/**', '.shingle/**', 'node_modules/**', 'next-env.d.ts'] },
  ...tseslint.configs.recommended,
  // What the bundler and the tests both load.
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: {
      ...hooks.configs.recommended.rules,
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
                '^@/core/(plan/plan|ask/(whatIf|choices|sequences|running|sensitivity)|formats/(planner|planFile)|read/(readRun|readShop|schemas))$',
              allowTypeImports: true,
              message: 'It brings the whole planner to the page: ask a worker, and import its types alone.',
            },
          ],
        },
      ],
    },
  },
  {
    // Figures in words have the mark that the device wants; paths of drawings are for a program, and have a point.
    files: ['src/**/*.{ts,tsx}'],
    ignores: [
      'src/**/*.test.ts',
      'src/core/model/units/**',
      'src/core/rack/rack.ts',
      'src/ui/drawing/**',
      'src/ui/sheet/{RouteDrawn,GearsPart}.tsx',
      'src/ui/part/DxfSeen.tsx',
      'src/ui/times/LineChart.tsx',
      'src/ui/devices/StandIn.tsx',
    ],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            ':matches(TemplateLiteral, JSXExpressionContainer) > CallExpression[callee.property.name=/^to(Fixed|Precision|LocaleString)$/]',
          message: 'People read it: sayFixed or sayFigure of core/model/units/mark.',
        },
      ],
    },
  },
  {
    // A function fits a screen; a long one is several ideas.
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/**/*.test.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 80 }] },
  },
  {
    files: ['src/ui/**/*.{ts,tsx}', 'src/cli/**/*.ts'],
    ignores: ['src/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: '^@/core/(model/shop/dial|plan/stops/devices)',
              message: 'What the machine shows is worked out once: ask @/core/present.',
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
