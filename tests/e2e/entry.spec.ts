import { expect, expectAccessible, makeRun, openMade, test } from './page';

test('a new run by keyboard alone, growing as it is typed, planned from the first moment it can be', async ({
  page,
}) => {
  await page.goto('/runs/new/part');
  await expect(page.getByLabel('Part number')).toBeFocused();
  const needs = page.getByText('What the plan still needs').locator('..');
  await expect(needs).toContainText('Material');
  await expect(page.getByText('The drawing grows here')).toBeVisible();
  const type = async (text: string, then = 'Tab') => {
    await page.keyboard.type(text);
    await page.keyboard.press(then);
  };
  await type('WS-330');
  await type('Gland cap');
  await type('B');
  await page.keyboard.press('Tab'); // units stay mm
  await type('brass');
  await type('40');
  await page.keyboard.press('Tab'); // general tolerance stays medium
  // The day has three parts and a button of its own.
  await page.getByLabel('Diameter of step 1').focus();
  await type('12 h9');
  await type('10');
  await expect(page.getByRole('group', { name: /Section of the part, 10 mm long/ })).toBeVisible();
  await type('0.5');
  await page.keyboard.press('Enter'); // the next step
  await expect(page.getByLabel('Diameter of step 2')).toBeFocused();
  await type('3/4 in');
  await type('14 ±0.1');
  await expect(page.getByRole('group', { name: /24 mm long: ⌀19.05, ⌀12 h9 0\/−0.043/ })).toBeVisible();
  await expect(page.getByText('The plan is there')).toBeVisible();
  // A step that waits to be filled in is not in the way.
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Diameter of step 3')).toBeFocused();
  await expect(page.getByText('The plan is there')).toBeVisible();
  await page.getByRole('button', { name: 'Hole', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Diameter of hole 1')).toBeFocused();
  await type('5');
  await expect(page.getByText('The plan is there')).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Control+s');
  await page.waitForURL(/\/runs\/\d+\/part/);
  await page.reload();
  await expect(page.getByLabel('Diameter of step 2')).toHaveValue('3/4 in');
  await expect(page.getByLabel('Length of step 2')).toHaveValue('14 ±0.1');
  await page.goto('/?find=Gland cap');
  await expect(page.getByRole('listitem').filter({ hasText: 'Gland cap' }).first()).toContainText('40');
});

test('a wrong entry is said where it is, stays as typed, and is in nobody’s way', async ({ page }) => {
  await openMade(page, 'T-WRONG');
  await expect(page.getByText('The plan is there')).toBeVisible();
  await page.getByLabel('Diameter of step 1').fill('12 z9');
  await expect(page.getByText('Diameter: “z9” is not a fit in the tables')).toBeVisible();
  await page.getByLabel('Chamfer front of step 1').fill('0.5');
  await page.getByLabel('Quantity').fill('2.5');
  await expect(page.getByText('“2.5” must be a whole number of pieces').first()).toBeVisible();
  await expect(page.getByLabel('Diameter of step 1')).toHaveValue('12 z9');
  await expectAccessible(page);
  // On the sheet the last possible plan stays, dimmed, and says so.
  await page.getByRole('link', { name: 'Sheet' }).click();
  await expect(page.getByText('cannot be planned; the sheet shows the last plan that could be')).toBeVisible();
});

test('a diameter changed on the sheet: stock, passes and times follow; undo, redo, save, reload', async ({ page }) => {
  const address = await makeRun(page, 'T-EDIT');
  await page.goto(address);
  const mass = page.getByRole('button', { name: /^mass of the stock/ });
  const was = await mass.textContent();
  await page.getByRole('button', { name: '⌀12, change this diameter' }).click();
  const field = page.getByRole('dialog', { name: 'Diameter of step 1' }).getByRole('textbox');
  await field.fill('17.5');
  await expect(page.getByRole('option', { name: /Finish ⌀17.5/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: '⌀17.5, change this diameter' })).toBeFocused();
  await expect(mass).not.toHaveText(was ?? '');
  await expect(page.getByRole('status').filter({ hasText: 'unsaved changes' })).toBeVisible();

  await page.keyboard.press('Control+z');
  await expect(mass).toHaveText(was ?? '');
  await page.keyboard.press('Control+y');
  await expect(page.getByRole('option', { name: /Finish ⌀17.5/ })).toBeVisible();

  // Not saved yet: a reload brings it back from the browser.
  await page.reload();
  await expect(page.getByText('Changes that were not saved last time are here again')).toBeVisible();
  await expect(page.getByRole('option', { name: /Finish ⌀17.5/ })).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: /^saved/ })).toBeVisible();
  await page.evaluate(() => localStorage.clear());
  await page.reload();
  await expect(page.getByRole('option', { name: /Finish ⌀17.5/ })).toBeVisible();
});

test('a typed word is one step of undo', async ({ page }) => {
  const address = await makeRun(page, 'T-UNDO');
  await page.goto(`${address}/part`);
  const length = page.getByLabel('Length of step 1');
  await length.focus();
  await page.keyboard.press('End');
  await page.keyboard.type('.25');
  await expect(length).toHaveValue('30.25');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(length).toHaveValue('30');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('steps are inserted, moved and taken out by key', async ({ page }) => {
  const address = await makeRun(page, 'T-STEPS');
  await page.goto(`${address}/part`);
  await page.getByLabel('Length of step 1').press('Enter');
  await page.keyboard.type('16');
  await page.getByLabel('Length of step 2').fill('8');
  await page.getByLabel('Length of step 2').press('Alt+ArrowUp');
  await expect(page.getByLabel('Diameter of step 1')).toHaveValue('16');
  await expect(page.getByLabel('Length of step 1')).toBeFocused();
  await page.getByRole('button', { name: 'Remove step 1' }).click();
  await expect(page.getByLabel('Diameter of step 1')).toHaveValue('12');
});
