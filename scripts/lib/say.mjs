/** A sentence for the person at the terminal: what is in the way and what would do. Ends the command without a trace. */
export class Refusal extends Error {}

/** Says what is being done, does it, and says how long it took. */
export async function step(name, work) {
  process.stdout.write(`${name} … `);
  const from = performance.now();
  const note = await work();
  const seconds = ((performance.now() - from) / 1000).toFixed(1);
  process.stdout.write(`${typeof note === 'string' && note ? `${note} ` : ''}(${seconds} s)\n`);
}

/** Runs a script's main function; a refusal is one sentence and exit code 1, anything else a bug with its trace. */
export async function main(work) {
  try {
    process.exitCode = (await work()) ?? 0;
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    process.stdout.write('\n');
    process.stderr.write(`${error.message}\n`);
    process.exitCode = 1;
  }
}
