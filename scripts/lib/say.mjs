/** A sentence for the person at the terminal: what is in the way and what would do. Ends the command without a trace. */
export class Refusal extends Error {}

/** Prints; when nobody listens any more, it is not an error of what was said. */
export function say(text, out = process.stdout) {
  try {
    out.write(text);
  } catch {
    // The terminal is gone; the command is told so by itself.
  }
}

/** Says what is being done, does it, and says how long it took; by its name again, since others may be at it beside it. */
export async function step(name, work) {
  say(`${name} …\n`);
  const from = performance.now();
  const note = await work();
  const seconds = ((performance.now() - from) / 1000).toFixed(1);
  say(`${name}: ${typeof note === 'string' && note ? note : 'done'} (${seconds} s)\n`);
}

/** Runs a script's main function; a refusal is one sentence and exit code 1, anything else a bug with its trace. */
export async function main(work) {
  try {
    process.exitCode = (await work()) ?? 0;
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    say(`\n`);
    say(`${error.message}\n`, process.stderr);
    process.exitCode = 1;
  }
}
