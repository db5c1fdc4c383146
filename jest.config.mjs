export default {
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  testMatch: ['<rootDir>/{packages,apps}/**/*.test.{ts,tsx}', '<rootDir>/tools/test/*.test.mjs'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/', ...(process.env.GAMBITO_DATABASE ? [] : ['<rootDir>/apps/server/test/'])],
  modulePathIgnorePatterns: ['/dist/'],
  moduleNameMapper: { '^@gambito/(core|contract)$': '<rootDir>/packages/$1/src/index.ts' },
  transform: {
    '^.+\\.tsx?$': [
      '<rootDir>/tools/lib/jest-transform.mjs',
      {
        jsc: { parser: { syntax: 'typescript', tsx: true }, target: 'es2022', transform: { react: { runtime: 'automatic' } } },
        module: { type: 'es6' },
        sourceMaps: 'inline',
      },
    ],
  },
  testTimeout: 30000,
};
