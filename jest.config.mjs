/** What tools/lib/unit-bundle.mjs made of the sources; nothing is transformed here. */
const shared = { transform: {}, modulePathIgnorePatterns: ['/dist/'], testPathIgnorePatterns: ['/node_modules/', '/dist/'] };
const withoutDatabase = process.env.GAMBITO_DATABASE ? [] : ['<rootDir>/apps/server/.units/test/'];

export default {
  projects: [
    {
      ...shared,
      displayName: 'units',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{packages,apps}/*/.units/**/*.test.mjs', '<rootDir>/tools/test/*.test.mjs'],
      testPathIgnorePatterns: [...shared.testPathIgnorePatterns, '\\.page\\.test\\.mjs$', ...withoutDatabase],
    },
    {
      ...shared,
      displayName: 'pages',
      testEnvironment: '<rootDir>/apps/web/test/page-environment.mjs',
      testMatch: ['<rootDir>/apps/web/.units/**/*.page.test.mjs'],
    },
  ],
  // a net for what never ends, no measure: as wide as this machine is slow
  testTimeout: 90_000 * Number(process.env.GAMBITO_SLOWNESS ?? 1),
};
