module.exports = {
  testEnvironment: 'node',
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
