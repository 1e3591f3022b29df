import { expect, expectAccessible, openMade, test } from './page';

const numberOf = (name: string) => `${name}-${Date.now()}-${Math.floor(Math.random() * 1000)}`;

test('lengths from the datum of the drawing give the lengths of the steps, and a chain that is too close for stops is measured', async ({
  page,
}) => {
  await openMade(page, numberOf('T-CHAIN'));
  await page.getByLabel('Name of step 1').fill('seat');
  await page.getByLabel('Name of step 1').press('Enter');
  await page.getByLabel('Diameter of step 2').fill('16');
  await page.getByLabel('Length of step 1').fill('');
  await page.getByRole('button', { name: 'Length', exact: true }).click();
  await page.getByLabel('To of length 1').selectOption('seat');
  await page.getByLabel('Length of length 1').fill('20 ±0.05');
  await page.getByLabel('Length of length 1').press('Enter');
  // The second goes from the front to the back.
  await page.getByLabel('Length of length 2').fill('31 ±0.05');
  await expect(page.getByLabel('Length of step 2')).toHaveAttribute('placeholder', '= 11');
  await expect(page.getByText('The plan is there')).toBeVisible();
  await expect(page.getByRole('table', { name: 'Lengths as they are worked' })).toContainText('Shoulder behind step 1');

  // 11 ±0.02 between them is the difference of two stops, and closer than two of them repeat: it is measured.
  await page.getByLabel('Length of length 2').press('Enter');
  await page.getByLabel('From of length 3').selectOption('seat');
  await page.getByLabel('Length of length 3').fill('11 ±0.02');
  await expect(page.getByRole('table', { name: 'Lengths that add up' })).toContainText('measured and cut to');
  await page.getByLabel('Length of length 3').fill('12');
  await expect(page.getByText('says 31 mm').or(page.getByText('says 12 mm')).first()).toBeVisible();
  await expectAccessible(page);
});

test('a fit is proposed by its purpose, with the limits of both mates, and taken', async ({ page }) => {
  await openMade(page, numberOf('T-FIT'));
  await page.getByLabel('Diameter of step 1').focus();
  await page.getByRole('button', { name: 'Fits …' }).click();
  const fits = page.getByRole('dialog', { name: 'Fits' });
  await fits.getByLabel('What for').selectOption('running');
  // H8 0/27 and f7 −34/−16 at 12 mm: 16 to 61 µm.
  await expect(fits.getByRole('listitem').filter({ hasText: 'H8 / f7' })).toContainText('0.016 to 0.061 mm clearance');
  await fits.getByLabel(/Its mate as it is/).fill('12 H9');
  await expect(fits.getByRole('status')).toContainText('clearance');
  await expectAccessible(page);
  await fits.getByRole('button', { name: 'Use f7' }).click();
  await expect(page.getByLabel('Diameter of step 1')).toHaveValue('12 f7');
});

test('a critical dimension says why, on the page and after a reload', async ({ page }) => {
  const address = await openMade(page, numberOf('T-WHY'));
  await page.getByLabel('Step 1 is critical').check();
  await page.getByLabel('Why step 1 is critical').fill('the bearing sits here');
  await expect(page.getByRole('table', { name: 'What matters, and why' })).toContainText('the bearing sits here');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: /^saved/ })).toBeVisible();
  await page.goto(`${address}/part`);
  await expect(page.getByLabel('Why step 1 is critical')).toHaveValue('the bearing sits here');
});
