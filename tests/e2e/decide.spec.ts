import type { Page } from '@playwright/test';
import { expect, expectAccessible, foot, openSaved, test } from './page';

/** A post with a wide groove and a chamfer, saved as a new run; its sheet is open. */
const openPost = (page: Page, number: string) =>
  openSaved(
    page,
    {
      number,
      name: 'Guy post',
      revision: 'A',
      material: 'brass-cw614n',
      outside: [
        { shape: 'cylinder', diameter: '12 h8', length: 14, chamfers: { front: 0.5 } },
        { shape: 'cylinder', diameter: 20, length: 14 },
      ],
      details: [{ kind: 'groove', at: 5, width: 4, bottom: 9 }],
      bores: [{ from: 'front', shape: 'drill', diameter: 5, depth: 10 }],
    },
    { firstEnd: 'front' },
  );

const panel = (page: Page) => page.getByRole('complementary', { name: 'Selected operation' });
const setup = (page: Page) => page.getByRole('complementary', { name: 'Set-up' });

test('another tool is chosen with its price in sight, told on the tile, and taken back', async ({ page }) => {
  await openPost(page, 'WS-931');
  await page.getByRole('option', { name: /Groove/ }).click();
  await expect(panel(page)).toContainText('parting blade 4 wide');
  await panel(page).getByRole('button', { name: 'Other tool' }).click();
  const window = page.getByRole('dialog', { name: /A tool for .* Groove/ });
  await expect(window.getByRole('row', { name: /parting blade 4 wide/ })).toContainText('the plan');
  await expect(window.getByRole('row', { name: /parting blade 2 wide/ })).toContainText(/\+\d\.\d\d/);
  await expectAccessible(page);
  await window.getByRole('button', { name: 'Take parting blade 2 wide' }).click();
  await expect(panel(page)).toContainText('parting blade 2 wide');
  await expect(panel(page).getByRole('list', { name: 'Decided' })).toContainText(
    /with parting blade 2 wide: so decided/,
  );
  await expect(panel(page)).toContainText(/It costs \d\.\d\d min a piece/);
  await expect(page.getByRole('option', { name: /Groove/ }).getByLabel('place decided')).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/^saved/)).toBeVisible();
  await page.reload();
  await page.getByRole('option', { name: /Groove/ }).click();
  await expect(panel(page)).toContainText('parting blade 2 wide');
  await panel(page).getByRole('button', { name: 'Let Shingle decide again' }).click();
  await expect(panel(page)).toContainText('parting blade 4 wide');
});

test('stops are compared, and by the keyboard alone an operation is given another, with its price in sight', async ({
  page,
}) => {
  await openPost(page, 'WS-933');
  const setup = page.getByRole('complementary', { name: 'Set-up' });
  await setup.getByRole('button', { name: 'Stops compared' }).click();
  const compared = page.getByRole('dialog', { name: 'Stops of set-up 1' });
  await expect(compared.getByRole('row', { name: /^B .*station 1/ })).toContainText(/min$/);
  await expectAccessible(page);
  await page.keyboard.press('Escape');

  await page.getByRole('option', { name: /Groove/ }).click();
  await panel(page).getByRole('button', { name: 'Other stop' }).focus();
  await page.keyboard.press('Enter');
  const window = page.getByRole('dialog', { name: /What stops the slide for .* Groove/ });
  await expect(window.locator('tr[aria-current=true]')).toContainText('the plan');
  await window.getByRole('button', { name: 'Take by the read-out' }).focus();
  await page.keyboard.press('Enter');
  await expect(panel(page).getByRole('list', { name: 'Decided' })).toContainText(/by read-out: so decided/);
  await expect(panel(page)).toContainText('by the read-out');
  await panel(page).getByRole('button', { name: 'Let Shingle decide again' }).click();
  await expect(panel(page).getByRole('list', { name: 'Decided' })).toHaveCount(0);
});

test('an operation is left out: the plan says what the drawing then lacks; one that is needed stays', async ({
  page,
}) => {
  await openPost(page, 'WS-932');
  await page.getByRole('option', { name: /Chamfer/ }).click();
  await panel(page).getByRole('button', { name: 'Leave out' }).click();
  await expect(page.getByRole('option', { name: /Chamfer/ })).toHaveCount(0);
  await expect(page.getByText('no operation yet for 1 feature of the part')).toBeVisible();
  await expect(setup(page).getByRole('list', { name: 'Decided' })).toContainText('Without Chamfer 0.5 mm');
  await page.getByRole('option', { name: /Finish ⌀12/ }).click();
  await panel(page).getByRole('button', { name: 'Leave out' }).click();
  await expect(panel(page)).toContainText('The part is not made without it.');
  await expect(page.getByRole('option', { name: /Finish ⌀12/ })).toBeVisible();
  // One of two is taken back; the other stays.
  await page.keyboard.press('Escape');
  await setup(page).getByRole('button', { name: 'Let Shingle decide again: Without Chamfer 0.5 mm' }).click();
  await expect(page.getByRole('option', { name: /Chamfer/ })).toHaveCount(1);
  await expect(setup(page).getByRole('list', { name: 'Decided' })).not.toContainText('Chamfer');
});

test('work of one’s own is added with a wrong entry on the way, and its minutes are in the piece', async ({ page }) => {
  await openPost(page, 'WS-933');
  const before = await foot(page, 'a piece').first().textContent();
  await setup(page).getByRole('button', { name: 'Add work' }).click();
  const window = page.getByRole('dialog', { name: 'Add work of your own' });
  await window.getByLabel('What is done').fill('Stamp the number');
  await window.getByLabel('Minutes a piece').fill('a while');
  await window.getByRole('button', { name: 'Add it' }).click();
  await expect(window.getByText('minutes a piece, 0 to 1000')).toBeVisible();
  await expect(window.getByLabel('What is done')).toHaveValue('Stamp the number');
  await window.getByLabel('Minutes a piece').fill('1,5');
  await window.getByRole('button', { name: 'Add it' }).click();
  await page.getByRole('option', { name: /Stamp the number/ }).click();
  await expect(panel(page)).toContainText('stopped');
  await expect(panel(page)).toContainText('Stamp the number added, 1.5 min: so decided. It costs 1.68 min a piece.');
  await expect(foot(page, 'a piece').first()).not.toHaveText(before ?? '');
});

test('the second side is held otherwise: the means that could, their minutes, and what may be held at every step', async ({
  page,
}) => {
  await openPost(page, 'WS-934');
  await page.getByRole('button', { name: 'Set-up 2' }).click();
  await expect(page.getByText('in a collet, on ⌀20, from the back')).toBeVisible();
  await setup(page).getByRole('button', { name: 'Hold it otherwise' }).click();
  const window = page.getByRole('dialog', { name: 'What holds the second side' });
  await window.getByRole('button', { name: 'Take in a four-jaw chuck, dialled true, on ⌀20' }).click();
  await expect(page.getByText('in a four-jaw chuck, dialled true, on ⌀20, from the back')).toBeVisible();
  await page.getByRole('button', { name: 'Set-up 1' }).click();
  await expect(setup(page).getByRole('list', { name: 'Decided' })).toContainText('The second side');
  await expect(page.getByText('May be gripped')).toBeVisible();
  await expect(page.getByText(/⌀20 × \d.* · by jaws/).first()).toBeVisible();
});

test('a hole is made from the other end, and work elsewhere goes between the set-ups; both keep over a reload', async ({
  page,
}) => {
  // Alike from both ends: which comes first is said.
  await openSaved(
    page,
    {
      number: 'WS-936',
      name: 'Stay collar',
      material: 'brass-cw614n',
      outside: [
        { shape: 'cylinder', diameter: 18, length: 14 },
        { shape: 'cylinder', diameter: 26, length: 16 },
        { shape: 'cylinder', diameter: 18, length: 14 },
      ],
      bores: [{ from: 'front', shape: 'drill', diameter: 8, depth: 'through' }],
      details: [{ kind: 'cross-hole', at: 22, diameter: 4 }],
    },
    { firstEnd: 'front' },
  );
  await page.getByRole('option', { name: /Drill ⌀8/ }).click();
  await expect(panel(page)).toContainText('set-up 1');
  await panel(page).getByRole('button', { name: 'Other end' }).click();
  const window = page.getByRole('dialog', { name: /The end for .* Drill ⌀8/ });
  await expect(window.getByRole('row', { name: /from the front/ })).toContainText('the plan');
  await expectAccessible(page);
  await window.getByRole('button', { name: 'Take from the back' }).click();
  // The sheet goes along to where it is made now.
  await expect(panel(page)).toContainText('set-up 2');
  await expect(panel(page).getByRole('list', { name: 'Decided' })).toContainText('from the back: so decided');
  await page.keyboard.press('Escape');
  await setup(page)
    .getByRole('button', { name: /before set-up 2/ })
    .click();
  // Not here any more: there.
  await expect(setup(page)).not.toContainText('Then, elsewhere');
  await page.getByRole('button', { name: 'Set-up 1' }).click();
  await expect(setup(page)).toContainText('Then, elsewhere');
  await expect(setup(page).getByRole('list', { name: 'Decided' }).first()).toContainText('after set-up 1: so decided');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/^saved/)).toBeVisible();
  await page.reload();
  await expect(setup(page)).toContainText('Then, elsewhere');
  await page.getByRole('option', { name: /Finish ⌀26/ }).click();
  await panel(page).getByRole('button', { name: 'Other end' }).click();
  const ends = page.getByRole('dialog', { name: /The end for .* Finish ⌀26/ });
  await expect(ends.getByRole('row', { name: /from the (front|back)/ })).toHaveCount(2);
});

test('an operation is tried otherwise: everything moves against its limits, a wrong entry is told, and it is kept or not', async ({
  page,
}) => {
  await openPost(page, 'WS-937');
  await page.getByRole('option', { name: /Finish ⌀12/ }).click();
  await panel(page).getByRole('button', { name: 'Try otherwise' }).click();
  const window = page.getByRole('dialog', { name: /Try .* Finish ⌀12 .*otherwise/ });
  const roughness = window.getByRole('row', { name: /roughness Ra/ });
  await expect(roughness).toBeVisible();
  await window.getByLabel('Feed, mm/rev', { exact: true }).fill('slow');
  await expect(window.getByText('“slow” is no number above nothing')).toBeVisible();
  await window.getByLabel('Feed, mm/rev', { exact: true }).fill('0.07');
  await expect(window.getByRole('alert')).toContainText('has no feed of 0.07 mm/rev');
  await expect(window.getByRole('button', { name: 'Keep it so' })).toBeDisabled();
  await expectAccessible(page);
  await window.getByLabel('Feed, mm/rev, moved along').press('Home');
  await expect(window.getByLabel('Feed, mm/rev', { exact: true })).toHaveValue('0.04');
  await expect(window.getByRole('alert')).toHaveCount(0);
  await window.getByRole('button', { name: 'Keep it so' }).click();
  await expect(panel(page).getByRole('list', { name: 'Decided' })).toContainText('at 0.04 mm/rev: so decided');
  await expect(panel(page)).toContainText('0.040');
  await panel(page).getByRole('button', { name: 'Let Shingle decide again' }).click();
  await expect(panel(page).getByRole('list', { name: 'Decided' })).toHaveCount(0);
});

test('how far the work stands out and the nose of a tool are tried, too short is told, and both are kept', async ({
  page,
}) => {
  await openPost(page, 'WS-938');
  await page.getByRole('option', { name: /Finish ⌀12/ }).click();
  await panel(page).getByRole('button', { name: 'Try otherwise' }).click();
  const window = page.getByRole('dialog', { name: /Try .* Finish ⌀12 .*otherwise/ });
  const out = window.getByLabel('The work stands out, mm', { exact: true });
  await out.fill('12');
  await expect(window.getByRole('alert')).toContainText('A piece and the blade take');
  await out.fill('2 1/2 in');
  await expect(window.getByRole('alert')).toHaveCount(0);
  await window.getByLabel('Nose radius, mm', { exact: true }).fill('0.8');
  await expect(window.getByRole('row', { name: /roughness Ra/ })).toBeVisible();
  await window.getByRole('button', { name: 'Keep it so' }).click();
  await expect(panel(page).getByRole('list', { name: 'Decided' })).toContainText('a nose of 0.8 mm: so decided');
  await expect(panel(page)).toContainText('nose 0.8');
  await page.getByRole('button', { name: 'Set-up 1' }).click();
  await expect(setup(page)).toContainText('Set-up 1, 63.5 mm standing out');
  await expect(setup(page)).toContainText('63.50');
});
