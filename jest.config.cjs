module.exports = {
  testEnvironment: 'node',
  // A test runs in a context of its own, where every look at one of these would go through a proxy: a third of the planner's time.
  sandboxInjectedGlobals: ['Math', 'Object', 'Array', 'Number'],
  // What hangs is broken off; what is slow on a busy machine is not wrong.
  testTimeout: 120_000,
  roots: ['<rootDir>/src', '<rootDir>/scripts'],
  testMatch: ['**/*.test.ts'],
  transform: {
    '^.+\\.m?[jt]sx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
          target: 'es2022',
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  // These ship as modules only.
  transformIgnorePatterns: ['/node_modules/(?!(d3-[a-z-]+|internmap)/)'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
};
