import { readFileSync } from 'node:fs';
import { startValues } from '@/core/shop/startValues';
import { planFile } from '@/core/plan';
import { compareSequences } from '@/core/sequences';
import type { RunFile } from '@/core/formats/runFile';
import { cutsFileOf, readCutList } from '@/core/formats/cutListFile';
import { planFileOf } from '@/core/formats/planFile';
import { solveCuts } from '@/core/saw/solveCuts';
import type { Problem, Result } from '@/core/result';
import { andThen, good } from '@/core/result';
import { describe } from './describe';
import { describeCuts } from './describeCuts';

const USAGE = `usage: npm run --silent shingle -- plan FILE [--json]
       npm run --silent shingle -- cut FILE [--json]
       FILE is a run file (docs/run-file.md) or a cut list (docs/cut-list.md), or - for standard input`;

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

/** What a command makes of its file: for people, and as data. */
interface Answer {
  text: string;
  data: unknown;
}

/** Seconds for the bound of a cut list; the whole numbers have as much again at most. */
const SAW_SECONDS = 1.1;

const commands: Record<string, (value: unknown) => Promise<Result<Answer>>> = {
  plan: async (value) =>
    andThen(planFile(value, startValues), (plan) =>
      good({
        text: describe(plan, compareSequences(value as RunFile, startValues)),
        data: planFileOf(plan),
      }),
    ),
  cut: async (value) => {
    const list = readCutList(value);
    if (!list.ok) return list;
    // Loaded for cut lists alone: it is large.
    const { default: loadHighs } = await import('highs');
    const highs = await loadHighs({});
    const end = performance.now() + SAW_SECONDS * 1000;
    const limits = { enough: () => performance.now() > end, wholeNumberSeconds: SAW_SECONDS / 2 };
    return andThen(solveCuts(list.value, highs, undefined, limits), (cuts) =>
      good({ text: describeCuts(cuts, list.value, list.value.units), data: cutsFileOf(cuts, list.value.units) }),
    );
  },
};

async function main(words: string[]): Promise<void> {
  const options = words.filter((word) => word.startsWith('--'));
  const [name = '', file, ...more] = words.filter((word) => !word.startsWith('--'));
  const command = Object.hasOwn(commands, name) ? commands[name] : undefined;
  if (!command || file === undefined || more.length > 0 || options.some((option) => option !== '--json')) {
    process.stderr.write(`${USAGE}\n`);
    process.exitCode = 2;
    return;
  }
  const text = read(file);
  const json = text === undefined ? undefined : parsed(text, file);
  if (!json) return;
  const answer = await command(json.value);
  if (!answer.ok) return refuse(answer.problems);
  const { data } = answer.value;
  process.stdout.write(options.includes('--json') ? `${JSON.stringify(data, null, 2)}\n` : `${answer.value.text}\n`);
}

await main(process.argv.slice(2));
