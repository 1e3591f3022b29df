import { expect, expectAccessible, openMade, test } from './page';

const numberOf = (name: string) => `${name}-${Date.now()}-${Math.floor(Math.random() * 1000)}`;

test('a run keeps its revision until it is planned with the newer one, and the difference is shown', async ({
  page,
}) => {
  const number = numberOf('T-REV');
  // From the bar, so that something stops where the length ends.
  const fromBar = { way: 'from-bar' };
  const first = await openMade(page, number, fromBar);
  await page.getByRole('link', { name: 'Revisions' }).click();
  await expect(page.getByText('This part has one revision so far')).toBeVisible();

  // Another run of the part, from the next revision of the drawing.
  await openMade(page, number, fromBar);
  await page.getByLabel('Revision', { exact: true }).fill('B');
  await page.getByLabel('Length of step 1').fill('33');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: /^saved/ })).toBeVisible();

  await page.goto(`/?find=${number}`);
  await expect(page.getByRole('listitem').filter({ hasText: number }).filter({ hasText: 'rev A' })).toContainText(
    'drawing now at rev B',
  );
  await page.goto(`${first}/part`);
  await expect(page.getByLabel('Length of step 1')).toHaveValue('30');
  await page.getByRole('link', { name: 'See what would change' }).click();

  const drawing = page.getByRole('table', { name: 'In the drawing' });
  await expect(drawing.getByRole('row', { name: /Step 1 · Length/ })).toContainText('30');
  await expect(drawing.getByRole('row', { name: /Step 1 · Length/ })).toContainText('33');
  await expect(drawing.getByRole('row', { name: /Part · Revision/ })).toContainText('B');
  await expect(page.getByRole('table', { name: 'Stock' }).getByRole('row', { name: /Length taken/ })).toContainText(
    '+3.00 mm',
  );
  await expect(page.getByRole('table', { name: 'Stops' }).getByRole('row', { name: /Part off/ })).toContainText(
    '+3.00 mm',
  );
  await expect(page.getByRole('img', { name: 'Both revisions over one another' })).toBeVisible();
  await expectAccessible(page);

  await page.getByRole('button', { name: 'Plan this run with revision B' }).click();
  await expect(page.getByRole('heading', { level: 1 }).locator('..')).toContainText('rev B');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: /^saved/ })).toBeVisible();
  await page.goto(`${first}/part`);
  await expect(page.getByLabel('Length of step 1')).toHaveValue('33');
  await expect(page.getByText('The drawing of')).toHaveCount(0);
});

test('without the server the revisions say so, and the run stays', async ({ page }) => {
  await page.goto(`${await openMade(page, numberOf('T-AWAY'))}/part`);
  await page.route('**/api/parts?**', (route) => route.abort());
  await page.getByRole('link', { name: 'Revisions' }).click();
  await expect(page.getByText('The server does not answer, and the revisions are kept there')).toBeVisible();
  await page.getByRole('link', { name: 'Part' }).click();
  await expect(page.getByLabel('Length of step 1')).toHaveValue('30');
});
