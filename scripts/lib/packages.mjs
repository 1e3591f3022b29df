import { existsSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { alone, digest, peek, project } from './folder.mjs';
import { mustRun } from './processes.mjs';
import { Refusal, step } from './say.mjs';

/** Packages from the lock file, when they are not there as it says. */
export const ensurePackages = () =>
  step('packages', () =>
    alone('packages', async () => {
      const stamp = join(project, 'node_modules/.shingle-lock');
      const wanted = digest('package-lock.json');
      if (peek(stamp) === wanted) return 'as the lock file says';
      await mustRun('npm', ['ci', '--include=dev', '--no-audit', '--no-fund'], { cwd: project, env: { NODE_ENV: '' } });
      writeFileSync(stamp, wanted);
      return 'installed';
    }),
  );

/** Finds the first of some programs, or installs a Debian package that has it; who may not is told what to do. */
export async function ensureProgram(programs, packages) {
  const found = programs.find((program) => existsSync(program));
  if (found) return found;
  const command = `apt-get install --no-install-recommends ${packages.join(' ')}`;
  if (process.getuid?.() !== 0)
    throw new Refusal(
      `${programs[0]} is missing and installing it needs root rights. Ask for, or run: sudo ${command}`,
    );
  await alone('apt', async () => {
    if (programs.some((program) => existsSync(program))) return;
    const env = { DEBIAN_FRONTEND: 'noninteractive' };
    await mustRun('apt-get', ['update'], { env });
    await mustRun('apt-get', ['install', '-y', '--no-install-recommends', ...packages], { env });
  });
  const now = programs.find((program) => existsSync(program));
  if (!now)
    throw new Refusal(
      `${packages.join(' ')} did not bring ${programs[0]}. Install MariaDB and Chromium as this system has them.`,
    );
  return now;
}
