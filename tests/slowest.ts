import type { Reporter, TestCase, TestResult } from '@playwright/test/reporter';

/** Prints what took longest, so that it is seen where time goes. */
export default class Slowest implements Reporter {
  private took: { title: string; seconds: number }[] = [];

  onTestEnd(test: TestCase, { duration }: TestResult): void {
    this.took.push({ title: test.titlePath().slice(2).join(' › '), seconds: duration / 1000 });
  }

  onEnd(): void {
    const slowest = this.took.sort((a, b) => b.seconds - a.seconds).slice(0, 10);
    process.stdout.write(`\nthe ten slowest of ${this.took.length}:\n`);
    for (const { title, seconds } of slowest) process.stdout.write(`${seconds.toFixed(1).padStart(6)} s  ${title}\n`);
  }
}
