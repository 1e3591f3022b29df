import { readFileSync } from 'node:fs';
import { expect, expectAccessible, openSaved, openUnplanned, test } from './page';

test('a run that nothing holds: what was tried, and a change that works, one press away', async ({ page }) => {
  await openUnplanned(
    page,
    {
      number: 'WS-961',
      material: 'brass-cw614n',
      outside: [
        { shape: 'cylinder', diameter: 6, length: 1.5 },
        { shape: 'cylinder', diameter: 20, length: 1.5 },
      ],
    },
    { quantity: 20, way: 'from-bar' },
  );
  await expect(page.getByRole('heading', { name: 'There is no plan yet' })).toBeVisible();
  const offers = page.getByRole('region', { name: 'What would do' });
  await expect(offers).toContainText('a piece');
  await expectAccessible(page);
  await page.getByText(/routes were tried/).click();
  await expect(page.getByText('nothing finished in the first set-up').first()).toBeVisible();
  await offers.getByRole('button', { name: 'Take it' }).first().click();
  await expect(page.getByRole('heading', { name: 'There is no plan yet' })).toHaveCount(0);
  // It is an edit like any other: one undo brings it back.
  await page.keyboard.press('Control+z');
  await expect(page.getByText('What is entered now cannot be planned')).toBeVisible();
  await expect(offers.getByRole('button', { name: 'Take it' }).first()).toBeVisible();
});

test('another route that could be is taken by a press, and one undo brings the first back', async ({ page }) => {
  // Nothing makes its groove in a face yet, so other routes are tried for it, and each could be as well.
  await openSaved(
    page,
    {
      number: 'WS-962',
      material: 'brass-cw614n',
      outside: [{ shape: 'cylinder', diameter: 30, length: 30 }],
      details: [{ kind: 'face-groove', face: 'front', inner: 14, outer: 20, depth: 2 }],
    },
    { quantity: 60, way: 'choose' },
  );
  await page.getByText(/routes tried/).click();
  await page
    .getByRole('button', { name: /^Take From sawn blanks/ })
    .first()
    .click();
  await expect(page.getByText('unsaved changes')).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Control+z');
  await expect(page.getByText('unsaved changes')).toHaveCount(0);
});

test('a quicker route than the one that is shown is offered while the run is edited, and taken by a press', async ({
  page,
}) => {
  const cap = JSON.parse(readFileSync('examples/sensor-cap.json', 'utf8')) as { part: object };
  await openSaved(page, { ...cap.part, number: 'WS-964', name: 'Second cap' }, { ...cap, firstEnd: 'front' });
  await page.getByRole('link', { name: 'Part' }).click();
  await page.getByLabel('First end').selectOption('choose');
  await page.getByRole('link', { name: 'Sheet', exact: true }).click();
  const offer = page.getByRole('status').filter({ hasText: 'A quicker route was found' });
  await expect(offer).toContainText('the back first');
  await expectAccessible(page);
  await offer.getByRole('button', { name: 'Take it' }).click();
  await expect(offer).toHaveCount(0);
  await expect(page.getByText('in a collet, on the bar, from the back')).toBeVisible();
});
