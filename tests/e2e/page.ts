import AxeBuilder from '@axe-core/playwright';
import { expect, test as base, type Page } from '@playwright/test';

/** Waits until what a page has to press and to type in has come to life: before that, it hears nobody. */
const untilAlive = (page: Page): Promise<unknown> =>
  page.waitForFunction(() => {
    const first = document.querySelector('button, input');
    return !first || Object.keys(first).some((key) => key.startsWith('__reactProps'));
  });

/** A page on which nothing is pressed before it is alive, whenever it is opened or loaded again. */
export function living(page: Page): Page {
  const { goto, reload } = { goto: page.goto.bind(page), reload: page.reload.bind(page) };
  page.goto = async (...to) => {
    const answer = await goto(...to);
    await untilAlive(page);
    return answer;
  };
  page.reload = async (...how) => {
    const answer = await reload(...how);
    await untilAlive(page);
    return answer;
  };
  return page;
}

/**
 * A test whose page must say nothing on its console and throw nothing, and hears what is pressed. A refusal of ours is a
 * 4xx or 5xx, and may be.
 */
export const test = base.extend<{ page: Page }>({
  page: async ({ page }, use) => {
    const said: string[] = [];
    page.on('pageerror', (error) => said.push(error.message));
    page.on('console', (message) => {
      if (message.type() === 'error' && !/Failed to load resource/.test(message.text())) said.push(message.text());
    });
    await use(living(page));
    expect(said).toEqual([]);
  },
});

/** Asks the server as a page of ours does: what changes something says from where it comes. */
export const send = (page: Page, method: 'post' | 'put' | 'delete', path: string, data?: unknown) =>
  page.request[method](path, {
    headers: { origin: process.env.BASE_URL ?? '', 'content-type': 'application/json' },
    ...(data === undefined ? {} : { data: Buffer.from(typeof data === 'string' ? data : JSON.stringify(data)) }),
  });

/** No finding at all on the page as it is. */
export async function expectAccessible(page: Page): Promise<void> {
  // The title comes with what is streamed behind the page.
  await expect(page).toHaveTitle(/Shingle/);
  // One page without frames of others: looked at in place, and only what is wrong is written down.
  // The button of the library that only who hears the page closes a pane by stands beside the pane's own dialog.
  const axe = new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'] })
    .exclude('div[style="display: contents;"]');
  const { violations } = await axe.analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 140)).join(' | ')}`),
  ).toEqual([]);
}

/** What the night changes is colours: their contrast is looked at once more. */
export async function expectReadableByNight(page: Page): Promise<void> {
  await page.evaluate(() => document.documentElement.setAttribute('data-theme', 'night'));
  const axe = new AxeBuilder({ page }).setLegacyMode(true).withRules(['color-contrast']);
  const { violations } = await axe.analyze();
  expect(violations.flatMap(({ nodes }) => nodes.map(({ html }) => html.slice(0, 140)))).toEqual([]);
}

/** The figure above a word in the foot of the sheet. */
export const foot = (page: Page, name: string) =>
  page
    .getByRole('contentinfo')
    .locator('div', { has: page.getByText(name, { exact: false }) })
    .locator('dd');

/** Opens a demo run from the board. */
export async function openRun(page: Page, name: string): Promise<void> {
  await page.goto(`/?find=${encodeURIComponent(name)}`);
  await page.getByRole('link', { name: new RegExp(name) }).click();
  await expectSettled(page);
}

/** A sheet is there and stands: a better plan, coming, would move what is pressed from under the pointer. */
export async function expectSettled(page: Page): Promise<void> {
  await expect(page.getByRole('listbox')).toBeVisible();
  await expect(page.locator('[aria-busy=true]')).toHaveCount(0);
}

/** Saves a run that a journey brings, and opens its sheet. */
export async function openSaved(page: Page, part: object, more: object = {}): Promise<void> {
  await openUnplanned(page, part, more);
  await expectSettled(page);
}

/** The same for a run that may have no plan. */
export async function openUnplanned(page: Page, part: object, more: object = {}): Promise<void> {
  const file = { format: 'shingle-run/1', units: 'mm', quantity: 20, way: 'from-bar', ...more, part };
  const answer = await send(page, 'post', '/api/runs', { file });
  const { run } = (await answer.json()) as { run: { id: number } };
  await page.goto(`/runs/${run.id}`);
}

/** Opens a tab; pressed before the page has come to life it does nothing, and is pressed again. */
export async function openTab(page: Page, name: string): Promise<void> {
  const tab = page.getByRole('tab', { name });
  await expect(async () => {
    await tab.click();
    await expect(tab).toHaveAttribute('aria-selected', 'true', { timeout: 1000 });
  }).toPass();
}

/** A new run that has a plan, saved; returns its address. How one is entered has a journey of its own. */
export async function makeRun(page: Page, number: string, more: object = {}): Promise<string> {
  const outside = [{ shape: 'cylinder', diameter: '12', length: '30' }];
  const part = { number, name: 'Test spigot', revision: 'A', material: 'brass-cw614n', outside };
  const file = { format: 'shingle-run/1', units: 'mm', part, quantity: '25', ...more };
  const answer = await send(page, 'post', '/api/runs', { file });
  const { run } = (await answer.json()) as { run: { id: number } };
  return `/runs/${run.id}`;
}

/** The same, with its part open. */
export async function openMade(page: Page, number: string, more: object = {}): Promise<string> {
  const address = await makeRun(page, number, more);
  await page.goto(`${address}/part`);
  await expect(page.getByText('The plan is there')).toBeVisible();
  return address;
}

/** Unfolds what stands folded under a name, where there is so much that it does. */
export async function unfold(page: Page, name: RegExp): Promise<void> {
  await expect(page.getByText('Open runs')).toBeVisible();
  for (const summary of await page.locator('summary').filter({ hasText: name }).all()) await summary.click();
}

export { expect };
