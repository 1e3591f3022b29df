import { schedule } from '../src/core/schedule/best';
import { workTime } from '../src/core/schedule/hours';
import type { Job } from '../src/core/schedule/job';
import type { Lathes } from '../src/core/schedule/place';
import { playWeeks } from '../src/core/schedule/play';
import { seeded } from '../src/core/model/seeded';

/** Eight and a half hours a day, as many days as it wants. */
const time = workTime(Array.from({ length: 400 }, (_, day) => ({ from: day * 1440 + 420, to: day * 1440 + 930 })));

/** Runs of one to fifteen hours, each on some of the lathes, promised within two or three weeks. */
function jobsOf(count: number, lathes: readonly string[], seed: number): Job[] {
  const random = seeded(seed);
  return Array.from({ length: count }, (_, index) => {
    const can = lathes.filter((_, at) => at === index % lathes.length || random() < 0.6);
    const due = 930 + 1440 * Math.floor((random() * 0.8 * count) / lathes.length + 1);
    const on = Object.fromEntries(
      can.map((lathe) => [lathe, { ready: 30 + 60 * random(), work: 60 + 840 * random() }]),
    );
    return {
      id: index + 1,
      run: index + 1,
      release: 0,
      weight: 1 + Math.floor(3 * random()),
      lead: 0,
      after: [],
      due,
      on,
    };
  });
}

/** So many runs on so many lathes placed, and their weeks played. */
function timeDays(runs: number, machines: number) {
  const names = Array.from({ length: machines }, (_, index) => `lathe ${index + 1}`);
  const lathes: Lathes = Object.fromEntries(names.map((name) => [name, { time }]));
  const jobs = jobsOf(runs, names, 7);
  const from = performance.now();
  const { proven, worth, lateAtLeast, order } = schedule({ jobs, lathes, now: 0, effort: { rounds: 20, seed: 1 } });
  const placed = performance.now() - from;
  const off = () => ({ setup: { down: 0.2, up: 0.3 }, pieces: { down: 0.1, up: 0.3 } });
  const begun = performance.now();
  playWeeks(order, new Map(jobs.map((job) => [job.id, job])), lathes, 0, off, { weeks: 10_000, seed: 1 });
  return { runs, machines, placed, proven, late: worth.late, lateAtLeast, played: performance.now() - begun };
}

process.stdout.write(JSON.stringify([timeDays(12, 3), timeDays(30, 4), timeDays(60, 6)]));
