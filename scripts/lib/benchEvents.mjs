import { randomUUID } from 'node:crypto';

/** A run of 500 pieces, each of so many steps, from so many devices that send so many at a time. */
const PIECES = 500;
const STEPS = 40;
const DEVICES = 20;
const BATCH = 10;

const median = (times) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)];

/**
 * What happens at the lathe, from many devices at once: events a second, how long each batch waits until it is kept, and how long all of them take
 * to be read and to be shown. @param run address of the run, @param row puts a row into the table
 */
export async function benchEvents(browser, run, row) {
  const { origin, pathname } = new URL(run);
  const waits = [];
  const device = async (_, index) => {
    const own = Array.from({ length: (PIECES * STEPS) / DEVICES }, (_, seq) => ({
      id: randomUUID(),
      device: `tablet ${index}`,
      seq,
      at: new Date(Date.UTC(2026, 10, 30, 7) + seq * 30_000).toISOString(),
      revision: 1,
      piece: 1 + Math.floor((index * PIECES) / DEVICES + seq / STEPS),
      operation: `step ${seq % STEPS}`,
      kind: 'done',
    }));
    for (let from = 0; from < own.length; from += BATCH) {
      const sent = performance.now();
      const answer = await fetch(`${origin}/api${pathname}/events`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', origin },
        body: JSON.stringify({ events: own.slice(from, from + BATCH) }),
      });
      if (!answer.ok) throw new Error(`events were not kept: ${await answer.text()}`);
      waits.push(performance.now() - sent);
    }
  };
  const from = performance.now();
  await Promise.all(Array.from({ length: DEVICES }, device));
  const took = (performance.now() - from) / 1000;
  const count = PIECES * STEPS;
  row(
    `${count} events of ${DEVICES} devices at once, ${BATCH} at a time`,
    `${(count / took).toFixed(0)} a second, a batch kept after ${median(waits).toFixed(0)} ms, at worst ${Math.max(...waits).toFixed(0)}`,
    '≥ 200 a second',
  );
  const reads = [];
  for (let time = 0; time < 5; time += 1) {
    const asked = performance.now();
    await (await fetch(`${origin}/api${pathname}/events`)).json();
    reads.push(performance.now() - asked);
  }
  row(`a run with ${count} events read`, `${median(reads).toFixed(0)} ms`, '≤ 200 ms');
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const opened = performance.now();
  await page.goto(`${run}/lathe`);
  await page
    .getByText(/^piece/)
    .first()
    .waitFor();
  row(`a run with ${count} events at the lathe`, `shown after ${(performance.now() - opened).toFixed(0)} ms`, '');
  await page.close();
}
