import { stopsCsv } from '@/core/formats/stopsCsv';
import { readCutList, cutsFileOf } from '@/core/formats/cutListFile';
import { planFileOf, proofData } from '@/core/formats/planFile';
import { settingData } from '@/core/formats/setupData';
import { readPlanFile } from '@/core/formats/readPlanFile';
import type { RunFile } from '@/core/read/runFile';
import { planFile, planRun, type Plan } from '@/core/plan/plan';
import { prove } from '@/core/plan/proof/prove';
import { writtenPlan } from '@/core/plan/written';
import { readRun } from '@/core/read/readRun';
import { describeStops } from './describeStops';
import { describeProof } from './describeProof';
import { andThen, good, type Problem, type Result } from '@/core/model/result';
import { limitsWithin, solveCuts } from '@/core/saw/solveCuts';
import { waysOfRunning } from '@/core/ask/running';
import { familyStops } from '@/core/ask/familyStops';
import { refusalOf } from '@/core/ask/refusal';
import { refusalFileOf } from '@/core/formats/refusalFile';
import { describeFamily, familyData } from './describeFamily';
import { describeRefusal } from './describeRefusal';
import { compareSequences } from '@/core/ask/sequences';
import { startValues } from '@/core/model/shop/startValues';
import { describe } from './describe';
import { describeCuts } from './describeCuts';
import { describeDifference, whatIf } from './whatIf';

const USAGE = `usage: npm run --silent shingle -- plan FILE [--json] [--within SECONDS] [--proven]
       npm run --silent shingle -- stops FILE [--json | --csv]
       npm run --silent shingle -- stops FILE FILE … [--json] (one set of stops for a family)
       npm run --silent shingle -- prove FILE [--plan FILE] [--json]
       npm run --silent shingle -- cut FILE [--json]
       npm run --silent shingle -- what-if FILE --set PATH=VALUE [--set …] [--json]
       npm run --silent shingle -- backup FILE | restore FILE [--replace] | log RUN [--csv | --json] | passcode | certificate [NAME …]
       FILE is a run file (docs/run-file.md) or a cut list (docs/cut-list.md), or - for standard input
`;

/**
 * What a call says on standard output and standard error, and how it ends: with 1 when a plan is not proved, with 2 when
 * the input was at fault.
 */
export interface Said {
  code: 0 | 1 | 2;
  out: string;
  err: string;
}

/** What a command makes of its file, for people and as data; worked out when it is asked for. */
interface Answer {
  text: () => string;
  data: () => unknown;
  /** The same as rows, where it has them. */
  csv?: () => string;
  /** It was asked whether something is right, and it is not. */
  isWrong?: boolean;
}

const refused = (problems: readonly Problem[]): Said => ({
  code: 2,
  out: '',
  err: problems.map(({ path, message }) => `${path || 'file'}: ${message}\n`).join(''),
});

/** Why there is no plan, what was tried, and what would do: for people on standard error, as data on standard output. */
function noPlan(file: RunFile, problems: readonly Problem[], asData: boolean): Said {
  const refusal = refusalOf(file, startValues, problems);
  const said = refused(problems);
  if (asData) return { ...said, out: `${JSON.stringify(refusalFileOf(refusal), null, 2)}\n` };
  return { ...said, err: [said.err, ...describeRefusal(refusal)].join('') };
}

function parsed(file: string, read: (file: string) => string): Result<unknown> {
  let text: string;
  try {
    text = read(file);
  } catch {
    return { ok: false, problems: [{ path: file, message: 'cannot be read; check its name' }] };
  }
  try {
    return good(JSON.parse(text));
  } catch (error) {
    return {
      ok: false,
      problems: [{ path: file, message: `is not JSON: ${error instanceof Error ? error.message : ''}` }],
    };
  }
}

/** Seconds for a cut list. */
const SAW_SECONDS = 1.8;

/** What was typed beside the file: what is set otherwise, the plan file that is asked about, how far to search. */
interface Options {
  sets: readonly string[];
  plan: unknown;
  /** Further run files, of the same family. */
  others: readonly unknown[];
  /** Whether to search on for quicker routes, as long as that was asked for. */
  goOn: (() => boolean) | undefined;
}

type Command = (value: unknown, options: Options) => Promise<Result<Answer>>;

/** One set of stops for several runs; what is wrong with one of their files is said with its place among them. */
function familyAnswer(values: readonly unknown[]): Result<Answer> {
  const plans: Plan[] = [];
  for (const [index, value] of values.entries()) {
    const plan = planFile(value, startValues, 'wanted');
    if (!plan.ok)
      return {
        ok: false,
        problems: plan.problems.map(({ path, message }) => ({ path: `file ${index + 1}: ${path}`, message })),
      };
    plans.push(plan.value);
  }
  const family = familyStops(plans);
  if ('message' in family) return { ok: false, problems: [family] };
  return good({ text: () => describeFamily(plans, family), data: () => familyData(plans, family) });
}

const commands: Record<string, Command> = {
  plan: async (value, { goOn }) =>
    andThen(planFile(value, startValues, 'all', goOn ? { goOn } : {}), (plan) =>
      good({
        text: () =>
          describe(plan, compareSequences(value as RunFile, startValues), waysOfRunning(value as RunFile, startValues)),
        data: () => planFileOf(plan, waysOfRunning(value as RunFile, startValues)),
      }),
    ),
  stops: async (value, { others }) => {
    if (others.length > 0) return familyAnswer([value, ...others]);
    return andThen(planFile(value, startValues, 'wanted'), (plan) =>
      good({
        text: () => describeStops(plan),
        csv: () => stopsCsv(plan.setups),
        data: () => plan.setups.map((planned) => ({ setup: planned.setup.number, settingSheet: settingData(planned) })),
      }),
    );
  },
  cut: async (value) => {
    const list = readCutList(value);
    if (!list.ok) return list;
    // Loaded for cut lists alone: it is large.
    const { default: loadHighs } = await import('highs');
    const highs = await loadHighs({});
    const limits = limitsWithin(SAW_SECONDS, () => performance.now());
    return andThen(solveCuts(list.value, highs, undefined, limits), (cuts) =>
      good({
        text: () => describeCuts(cuts, list.value, list.value.units),
        data: () => cutsFileOf(cuts, list.value.units),
      }),
    );
  },
  prove: async (value, { plan }) =>
    andThen(readRun(value, startValues), (run) =>
      andThen(
        plan === undefined ? andThen(planRun(run), (plan) => good(writtenPlan(plan))) : readPlanFile(plan, run),
        (written) => {
          const proof = prove(written, run);
          return good({
            text: () => describeProof(proof, run).join('\n'),
            data: () => proofData(proof),
            isWrong: !proof.passed,
          });
        },
      ),
    ),
  'what-if': async (value, { sets }) =>
    andThen(whatIf(value, startValues, sets), (difference) =>
      good({ text: () => describeDifference(difference), data: () => difference }),
    ),
};

/** What was typed: the command, its file, and its options. */
function readWords(words: readonly string[]) {
  const plain: string[] = [];
  const sets: string[] = [];
  const unknown: string[] = [];
  let json = false;
  let csv = false;
  let plan: string | undefined;
  let within: number | undefined;
  for (let index = 0; index < words.length; index += 1) {
    const word = words[index] ?? '';
    if (word === '--json') json = true;
    else if (word === '--csv') csv = true;
    else if (word === '--set') sets.push(words[(index += 1)] ?? '');
    else if (word === '--proven') within = Infinity;
    else if (word === '--within') within = Number(words[(index += 1)]);
    else if (word === '--plan') plan = words[(index += 1)] ?? '';
    else if (word.startsWith('--')) unknown.push(word);
    else plain.push(word);
  }
  const [name = '', file, ...others] = plain;
  const wrong =
    (others.length > 0 && (name !== 'stops' || csv)) || unknown.length > 0 || (within !== undefined && !(within >= 0));
  return { name, file, others, json, csv, sets, plan, within, wrong };
}

/**
 * The command line, without its process.
 * @param read the text of a file by its name, `-` being standard input; throws where there is none
 */
export async function shingle(words: readonly string[], read: (file: string) => string): Promise<Said> {
  const { name, file, others, json: asData, csv: asCsv, sets, plan, within, wrong } = readWords(words);
  const command = Object.hasOwn(commands, name) ? commands[name] : undefined;
  if (
    !command ||
    file === undefined ||
    wrong ||
    (name === 'what-if') !== sets.length > 0 ||
    (plan !== undefined && name !== 'prove') ||
    (within !== undefined && name !== 'plan') ||
    (asCsv && name !== 'stops')
  )
    return { code: 2, out: '', err: USAGE };
  const json = parsed(file, read);
  if (!json.ok) return refused(json.problems);
  const about: Result<unknown> = plan === undefined ? good(undefined) : parsed(plan, read);
  if (!about.ok) return refused(about.problems);
  const further = others.map((other) => parsed(other, read));
  for (const one of further) if (!one.ok) return refused(one.problems);
  const begun = performance.now();
  const goOn = within === undefined ? undefined : () => performance.now() - begun < 1000 * within;
  const answer = await command(json.value, {
    sets,
    plan: about.value,
    others: further.flatMap((one) => (one.ok ? [one.value] : [])),
    goOn,
  });
  if (!answer.ok)
    return name === 'plan' ? noPlan(json.value as RunFile, answer.problems, asData) : refused(answer.problems);
  const { text, data, csv, isWrong } = answer.value;
  if (asCsv && csv) return { code: 0, out: csv(), err: '' };
  return { code: isWrong ? 1 : 0, out: asData ? `${JSON.stringify(data(), null, 2)}\n` : `${text()}\n`, err: '' };
}
