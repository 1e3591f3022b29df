import { join } from 'node:path';
import { made, project } from './folder.mjs';

/**
 * A script on the core as a bundle has it: without the loader's overhead.
 * @returns the file that node runs
 */
export async function bundle(name) {
  const { build } = await import('esbuild');
  const outfile = join(made, `${name.replace('/', '-')}.mjs`);
  await build({
    entryPoints: [join(project, `scripts/${name}.ts`)],
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile,
    external: ['joi', 'highs'],
    tsconfig: join(project, 'tsconfig.json'),
    logLevel: 'error',
    // A package in it asks for modules the older way.
    banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
  });
  return outfile;
}
