import tseslint from 'typescript-eslint';

/** Imports run one way: core ← contract ← server, web, cli; the faces never import each other. */
const oneWay = (files, forbidden, message) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: forbidden.map((group) => ({ group: [group], message })) }] },
});

export default tseslint.config(
  { ignores: ['**/dist/**', '**/.units/**', '**/node_modules/**', '.data/**', 'test-results/**', 'apps/web/public/**'] },
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  {
    files: ['packages/core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        ...['window', 'document', 'process', 'fetch', 'localStorage', 'setTimeout', 'performance'].map((name) => ({
          name,
          message: 'core is pure: no DOM, no Node, no clock.',
        })),
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Chance in core is seeded: units/random.ts.' },
        { object: 'Date', property: 'now', message: 'core has no clock.' },
      ],
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: ['@gambito/*', '**/apps/**', '**/contract/**', 'node:*', 'react*', 'fastify*', 'zod'], message: 'core imports nothing of the others.' },
          ],
        },
      ],
    },
  },
  oneWay(['packages/contract/src/**/*.ts'], ['**/apps/**', 'react*', 'fastify*'], 'contract imports core only.'),
  oneWay(['apps/server/**/*.ts'], ['**/web/**', '**/cli/**', '@gambito/web', '@gambito/cli'], 'The faces never import each other.'),
  oneWay(['apps/web/**/*.{ts,tsx}'], ['**/server/**', '**/cli/**', '@gambito/server', '@gambito/cli', 'node:*'], 'The faces never import each other.'),
  oneWay(['apps/cli/**/*.ts'], ['**/server/**', '**/web/**', '@gambito/server', '@gambito/web'], 'The faces never import each other.'),
);
