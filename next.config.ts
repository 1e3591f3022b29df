import type { NextConfig } from 'next';

const language = process.env.SHINGLE_LANGUAGE;

/** In another language every source is said in it as it is built; in English none is touched. */
const said = { condition: { path: /^src\// }, loaders: ['./scripts/lib/inLanguage.cjs'] };

const config: NextConfig = {
  // Start and test build into folders of their own, so that they can run side by side.
  distDir: process.env.SHINGLE_BUILD ?? '.next',
  compiler: { styledComponents: true },
  env: { SHINGLE_LANGUAGE: language ?? 'en-GB' },
  serverExternalPackages: ['knex', 'mysql2', 'highs'],
  turbopack: {
    root: import.meta.dirname,
    rules: {
      '*.mjs': { condition: { path: /private\/intl\// }, loaders: ['./scripts/lib/oneLanguage.cjs'], as: '*.js' },
      ...(language && { '*.ts': said, '*.tsx': said }),
    },
  },
  // `npm test` checks the types, once, and those of tests and scripts with them.
  typescript: { ignoreBuildErrors: true },
  // The server packs what it sends (scripts/serve.mjs).
  compress: false,
  poweredByHeader: false,
  devIndicators: false,
};

export default config;
