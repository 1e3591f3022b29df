import { expect, expectAccessible, openMade, send, test } from './page';

const numberOf = (name: string) => `${name}-${Date.now()}-${Math.floor(Math.random() * 1000)}`;

test('both ways side by side as figures and as the bar; a way is kept, and let go again', async ({ page }) => {
  const address = await openMade(page, numberOf('T-STOCK'));
  await page.getByRole('link', { name: 'Stock' }).click();
  const bar = page.getByRole('region', { name: 'From the bar', exact: true });
  const blanks = page.getByRole('region', { name: 'From sawn blanks', exact: true });
  // 25 and two spares; ⌀12 by 30: 30 + 0.3 + 1.5 + 0.3; 30 + 1 + 1.
  await expect(bar.getByRole('img', { name: /27 pieces of 32.10 mm.* left over of 3000 mm/ })).toBeVisible();
  await expect(blanks.getByRole('img', { name: /27 pieces of 32.00 mm/ })).toBeVisible();
  await expect(bar.getByRole('img', { name: /blade 1.5 mm/ })).toBeVisible();
  await expectAccessible(page);

  await blanks.getByRole('button', { name: /it this way/ }).click();
  await expect(blanks).toContainText('named by the run');
  await blanks.getByRole('button', { name: 'Let Shingle choose' }).click();
  await expect(blanks).not.toContainText('named by the run');
  await bar.getByRole('button', { name: /^pieces per bar/i }).click();
  await expect(page.getByRole('dialog')).toContainText('round down ((B − e − g − c) / P)');
  expect(address).toContain('/runs/');
});

test('what is on the rack is reserved for the run, and the plan says that nothing must be ordered', async ({
  page,
}) => {
  // A size of its own, so that no other test is at this bar.
  await send(page, 'post', '/api/rack', {
    material: 'brass-cw614n',
    size: 33.3,
    length: 2000,
    place: 'T9',
    batch: 'T-batch',
  });
  await openMade(page, numberOf('T-RACKED'));
  await page.getByLabel('Bar', { exact: true }).selectOption('this one');
  await page.getByLabel('Diameter of the bar').fill('33.3');
  await page.getByLabel('Diameter of step 1').fill('32');
  await page.getByRole('link', { name: 'Stock' }).click();
  const rack = page.getByRole('region', { name: 'On the rack' });
  await expect(rack).toContainText('All of it is there.');
  await expect(rack.getByRole('row', { name: /T9 · T-batch/ })).toContainText('27');
  await rack.getByRole('button', { name: 'Reserve these for this run' }).click();
  await expect(rack.getByRole('button', { name: 'Reserved for this run' })).toBeDisabled();
  await expect(rack.getByRole('row', { name: /T9 · T-batch/ })).toContainText('for this run');
});

test('a section is watched: below its level it stands on the low-stock list', async ({ page }) => {
  await send(page, 'post', '/api/rack', { material: 'bronze', size: 27.7, length: 1500 });
  await page.goto('/rack');
  const lot = page.getByRole('region', { name: 'bronze ⌀27.7 drawn' });
  await lot.getByRole('button', { name: /^keep/ }).click();
  await page.getByLabel(/At least, beyond what the runs need/).fill('much');
  await page.getByRole('button', { name: 'Keep this much' }).click();
  await expect(page.getByRole('dialog')).toContainText('“much” is not a length');
  await page.getByLabel(/At least, beyond what the runs need/).fill('4 m');
  await page.getByRole('button', { name: 'Keep this much' }).click();
  const short = page.getByRole('listitem').filter({ hasText: 'bronze ⌀27.7 drawn' });
  await expect(short).toContainText('2.50 m of bronze ⌀27.7 drawn: 4.00 m to be kept, 1.50 m free');
  await short.getByRole('button', { name: /Change how much/ }).click();
  await page.getByLabel(/At least, beyond what the runs need/).fill('');
  await page.getByRole('button', { name: 'Keep this much' }).click();
  await expect(short).toHaveCount(0);
});

test('a piece as it is: typed as lines, drawn with the part in it, made in one holding', async ({ page }) => {
  await openMade(page, numberOf('T-PIECE'));
  await page.getByLabel('Bar', { exact: true }).selectOption('a piece as it is');
  // It begins as the part is, ⌀12 by 30, and 1 before its face: that much is missing behind it.
  await expect(page.getByText(/1 mm are missing at the back/).first()).toBeVisible();
  const lines = page.getByLabel(/^The piece from its front end/);
  await lines.fill('16; 31\nlump 4');
  await expect(page.getByText(/^line 2:/)).toBeVisible();
  await lines.fill('16; 31\nharden 58 HRC');
  await expect(page.getByText('a piece as it is has steps, holes and what is cut into it')).toBeVisible();
  await lines.fill('16; 31\n24; 20');
  await page.getByLabel('Surface').selectOption('with its skin on');
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Stock' }).click();
  const piece = page.getByRole('region', { name: 'From the piece as it arrives', exact: true });
  await expect(piece.getByRole('img', { name: /before its face 1 · piece 30 · behind it 20 mm/ })).toBeVisible();
  await expect(piece).not.toContainText('Bars');
  await expectAccessible(page);
});
