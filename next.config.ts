import type { NextConfig } from 'next';

const config: NextConfig = {
  // Start and test build into folders of their own, so that they can run side by side.
  distDir: process.env.SHINGLE_BUILD ?? '.next',
  compiler: { styledComponents: true },
  serverExternalPackages: ['knex', 'mysql2', 'highs'],
  turbopack: {
    root: import.meta.dirname,
    rules: {
      '*.mjs': { condition: { path: /private\/intl\// }, loaders: ['./scripts/lib/english.cjs'], as: '*.js' },
    },
  },
  // `npm test` checks the types, once, and those of tests and scripts with them.
  typescript: { ignoreBuildErrors: true },
  poweredByHeader: false,
  devIndicators: false,
};

export default config;
