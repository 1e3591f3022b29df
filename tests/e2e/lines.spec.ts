import { expect, expectAccessible, test } from './page';

/** Twelve features as someone types them who knows the notation, and as a newcomer does, by the words in full. */
const KNOWN = [
  '10 h9 16 c1',
  'M10 12',
  'gr 2 8',
  '14 6',
  '22 8 c.5',
  'kn .8',
  '16 h8 12 ra1.6',
  '12 10 c1',
  're 6 H7 16',
];
const NEW = [
  '10 h9 16 c1',
  'thread M10 12',
  'groove 2 8',
  '14 6',
  '22 8 c0.5',
  'knurl diamond 0.8',
  '16 h8 12 ra1.6',
  '12 10 c1',
  'ream 6 H7 16',
];

/** Two steps with a chamfer are two features each: six steps, three chamfers, thread, groove, knurl, hole, in all thirteen. */
const FEATURES = 13;

test('a part of twelve features in at most a hundred keys, the drawing following while it is typed', async ({
  page,
}) => {
  await page.goto('/runs/new/part');
  const line = page.getByLabel('Line by line');
  let keys = 0;
  const type = async (text: string) => {
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
    keys += text.length + 1;
  };
  await page.getByLabel('Quantity').focus();
  await page.keyboard.type('40');
  await page.keyboard.press('Enter'); // the tolerance stays, and Enter in the day's place goes to the line
  await line.focus();
  for (const text of KNOWN) {
    await type(text);
    await expect(line).toHaveValue('');
  }
  expect(FEATURES).toBeGreaterThanOrEqual(12);
  expect(keys).toBeLessThanOrEqual(100);
  expect(NEW.reduce((sum, text) => sum + text.length + 1, 0)).toBeLessThanOrEqual(150);
  // 16 + 6 + 8 + 12 + 10; what is typed shows before it is taken.
  await expect(page.getByRole('group', { name: /Section of the part, 52 mm long/ })).toBeVisible();
  await page.keyboard.type('20 4');
  await expect(page.getByRole('group', { name: /Section of the part, 56 mm long/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('group', { name: /Section of the part, 52 mm long/ })).toBeVisible();
  await expect(page.getByLabel('Diameter of step 5')).toHaveValue('12');
  await expectAccessible(page);
});

test('a mistake is told in the word that is wrong and stays as typed; a word is completed; undo takes a line back', async ({
  page,
}) => {
  await page.goto('/runs/new/part');
  const line = page.getByLabel('Line by line');
  await line.fill('10 16 x9');
  await line.press('Enter');
  await expect(line).toHaveValue('10 16 x9');
  await expect(page.getByText(/“x9” is not known here/)).toBeVisible();
  await line.fill('10,16');
  await line.press('Enter');
  await expect(page.getByText(/is 10\.16 or 10 16\?/)).toBeVisible();
  await line.fill('10 16');
  await line.press('Enter');
  await line.pressSequentially('kn');
  await line.press('Tab');
  await expect(line).toHaveValue('knurl ');
  await line.pressSequentially('.8');
  await expect(page.getByText('Knurl: at 0, length 16, pattern diamond, pitch .8')).toBeVisible();
  await line.press('Enter');
  await expect(page.getByText('Details of the outside')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Diameter of step 1')).toHaveValue('10');
});
