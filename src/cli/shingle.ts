import { readFileSync } from 'node:fs';
import { startValues } from '@/core/shop/startValues';
import { planFile } from '@/core/plan';
import { planFileOf } from '@/core/formats/planFile';
import type { Problem } from '@/core/result';
import { describe } from './describe';

const USAGE =
  'usage: npm run --silent shingle -- plan FILE [--json]\n       FILE is a run file (docs/run-file.md), or - for standard input';

/** Ends with 2: the input was at fault, and every problem has its path and its reason. */
function refuse(problems: Problem[]): void {
  for (const { path, message } of problems) process.stderr.write(`${path || 'file'}: ${message}\n`);
  process.exitCode = 2;
}

function read(file: string): string | undefined {
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch {
    refuse([{ path: file, message: 'cannot be read; check its name' }]);
    return undefined;
  }
}

function parsed(text: string, file: string): { value: unknown } | undefined {
  try {
    return { value: JSON.parse(text) };
  } catch (error) {
    refuse([{ path: file, message: `is not JSON: ${error instanceof Error ? error.message : ''}` }]);
    return undefined;
  }
}

function main(words: string[]): void {
  const options = words.filter((word) => word.startsWith('--'));
  const [command, file, ...more] = words.filter((word) => !word.startsWith('--'));
  if (command !== 'plan' || file === undefined || more.length > 0 || options.some((option) => option !== '--json')) {
    process.stderr.write(`${USAGE}\n`);
    process.exitCode = 2;
    return;
  }
  const text = read(file);
  const json = text === undefined ? undefined : parsed(text, file);
  if (!json) return;
  const plan = planFile(json.value, startValues);
  if (!plan.ok) return refuse(plan.problems);
  process.stdout.write(
    options.includes('--json') ? `${JSON.stringify(planFileOf(plan.value), null, 2)}\n` : `${describe(plan.value)}\n`,
  );
}

main(process.argv.slice(2));
