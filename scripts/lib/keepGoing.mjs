import { setTimeout as sleep } from 'node:timers/promises';
import { atEnd, end } from './processes.mjs';
import { say } from './say.mjs';

/** Pauses before a child is begun again, s: the first, and the longest. */
const FIRST = 0.5;
const LONGEST = 30;

/** Between two questions whether a child still answers, and how long it may take to answer, s. */
const LOOK = 1;
const PATIENCE = 10;

/** Having gone this long, a child is well again, s. */
const WELL = 60;

const isGone = (child) => !child || child.exitCode !== null || child.signalCode !== null;

/**
 * Keeps a lasting child going until the command ends: ended by itself or by somebody, it is begun again after a pause
 * that grows; one that is there and gives no answer for ten seconds is ended for good and begun again.
 * @param begin starts it and waits until it serves; fails with a sentence
 * @param answers asks it for a sign of life; a refusal is one too, silence is none
 * @param patience for its end when the command ends, ms
 */
export async function keepGoing(name, begin, answers, patience = 8000) {
  let child = await begin();
  const over = new AbortController();
  const { signal } = over;
  /** Sleeps, but not beyond the end of the command. */
  const pauseFor = (seconds, until = signal) =>
    sleep(seconds * 1000, undefined, { signal: until }).catch(() => undefined);
  const inTime = async () => {
    const answered = new AbortController();
    const late = pauseFor(PATIENCE, AbortSignal.any([signal, answered.signal])).then(() => false);
    const came = await Promise.race([
      answers().then(
        () => true,
        () => true,
      ),
      late,
    ]);
    answered.abort();
    return came || signal.aborted;
  };

  const watch = async () => {
    let [pause, since] = [FIRST, Date.now()];
    while (!signal.aborted) {
      await pauseFor(LOOK);
      if (signal.aborted || (!isGone(child) && (await inTime()))) continue;
      if (!isGone(child)) {
        say(`${name} has given no answer for ${PATIENCE} s and is ended\n`);
        child.kill('SIGKILL');
        await end(child);
      }
      if (Date.now() - since > WELL * 1000) pause = FIRST;
      say(`${name} has ended; it is begun again in ${pause} s\n`);
      await pauseFor(pause);
      if (signal.aborted) return;
      [pause, since] = [Math.min(2 * pause, LONGEST), Date.now()];
      child = await begin().catch((error) => void say(`${error.message}\n`));
      if (child) say(`${name} serves again\n`);
    }
  };
  const watching = watch();
  atEnd(async () => {
    over.abort();
    await watching;
    if (child) await end(child, patience);
  });
}
