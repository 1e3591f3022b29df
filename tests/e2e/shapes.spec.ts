import { readFileSync } from 'node:fs';
import { DxfWriter, point3d } from '@tarikjabiri/dxf';
import { expect, expectAccessible, openMade, test } from './page';

/** Twelve features as someone types them who reads them off a drawing. */
const LINES = `10 h9; 12; front 1; name thread end
14; 6; ra 1.6; name seat; critical
hex 17; 8
cone 14; 9; 6
groove 9; 3; 7.6; 0.4
thread 0; 9; M10x1
radius 18; 0.4
vee 30; 60; 0.5
drill front; 4.8; through
ream front; 5 H7; 14
countersink back; 7
counterbore front; 7; 3`;

test('a part of twelve features by the keyboard alone, as lines; its drawing, its doubts, and it comes back the same', async ({
  page,
}) => {
  await page.goto(`${await openMade(page, 'K-12')}/part`);
  await page.getByRole('button', { name: 'As lines …' }).focus();
  await page.keyboard.press('Enter');
  const lines = page.getByLabel('Lines of the part');
  await expect(lines).toHaveValue('12; 30');
  await page.keyboard.press('Control+a');
  await page.keyboard.insertText(`${LINES}\nblob 3`);
  await expect(page.getByText('line 13: “blob” is not a word')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Use these lines' })).toBeDisabled();
  for (let index = 0; index < '\nblob 3'.length; index++) await page.keyboard.press('Backspace');
  await page.keyboard.press('Control+Enter');
  const drawing = page.getByRole('group', { name: /Section of the part, 32 mm long/ });
  for (const words of ['M10x1', '⌀14 Ra 1.6', 'hexagon 17', 'vee 60° × 0.5', '⌀5 H7 +0.012/0', 'R0.4'])
    await expect(drawing).toHaveAccessibleName(new RegExp(words.replace(/[+/.]/g, '\\$&')));
  const doubts = page.getByRole('list', { name: 'What the plan does not do' });
  await expect(doubts.getByText(/a wall of 0.5 mm under ⌀8/)).toBeVisible();
  await expect(doubts.getByText('no operation yet')).toHaveCount(0);
  await expect(page.getByText('1 × hex 17')).toBeVisible();
  await expectAccessible(page);

  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('status').getByText(/^saved/)).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'As lines …' }).click();
  await expect(lines).toHaveValue(LINES);
});

test('a shape is chosen in its row, its figures with it; what is wrong stands on the drawing and blocks nothing', async ({
  page,
}) => {
  await page.goto(`${await openMade(page, 'K-13')}/part`);
  // Something to hold it by; a cone alone is not.
  await page.getByLabel('Length of step 1').press('Enter');
  await page.getByLabel('Diameter of step 2').fill('26');
  await page.getByLabel('Length of step 2').fill('14');
  await page.getByLabel('Shape of step 1').selectOption('cone');
  await expect(page.getByLabel('Front ⌀ of step 1')).toHaveValue('12');
  await page.getByLabel('Half angle of step 1').fill('10');
  await expect(page.getByRole('group', { name: /Section of the part/ })).toHaveAccessibleName(/20° incl\./);
  await page.getByRole('button', { name: 'Detail' }).click();
  await expect(page.getByLabel('Kind of detail 1')).toBeFocused();
  await page.getByLabel('At of detail 1').fill('2');
  await page.getByLabel('Width of detail 1').fill('2');
  await page.getByLabel('Bottom ⌀ of detail 1').fill('40');
  await expect(page.getByText(/Detail 1 bottom: ⌀40 is not below/)).toBeVisible();
  await page.getByRole('button', { name: 'Hole', exact: true }).click();
  await expect(page.getByLabel('Diameter of hole 1')).toBeFocused();
  await page.keyboard.type('4');
  await page.getByLabel('Bottom ⌀ of detail 1').fill('9');
  await expect(page.getByText('The plan is there')).toBeVisible();
  await expect(page.getByRole('group', { name: /Section of the part/ })).toHaveAccessibleName(/20° incl\..*⌀9/);
  await page.getByLabel('Kind of detail 1').selectOption('vee');
  await expect(page.getByLabel('At of detail 1')).toHaveValue('2');
  await expect(page.getByLabel('Included angle of detail 1')).toHaveValue('');
});

test('a shoulder is dragged and moved by key, and a typed figure wins', async ({ page }) => {
  await page.goto(`${await openMade(page, 'K-14')}/part`);
  await page.getByLabel('Length of step 1').press('Enter');
  await page.getByLabel('Diameter of step 2').fill('18');
  await page.getByLabel('Length of step 2').fill('10');
  const shoulder = page.getByRole('slider', { name: 'End of step 1' });
  await expect(shoulder).toHaveAttribute('aria-valuenow', '30');
  await shoulder.press('ArrowLeft');
  await expect(page.getByLabel('Length of step 1')).toHaveValue('30.5');
  await expect(page.getByLabel('Length of step 2')).toHaveValue('9.5');
  // Drawn anew, it stands where it will be taken hold of.
  await expect(shoulder).toHaveAttribute('aria-valuenow', '30.5');
  const box = await shoulder.boundingBox();
  if (!box) throw new Error('no shoulder');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 40, y, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByLabel('Length of step 1')).not.toHaveValue('30.5');
  await page.getByLabel('Length of step 1').fill('28');
  await expect(page.getByRole('slider', { name: 'End of step 1' })).toHaveAttribute('aria-valuenow', '28');
});

test('turned end for end and back it is the same part; the drawing comes out as SVG and DXF', async ({ page }) => {
  await page.goto(`${await openMade(page, 'K-15')}/part`);
  await page.getByLabel('Length of step 1').press('Enter');
  await page.getByLabel('Diameter of step 2').fill('18');
  await page.getByLabel('Length of step 2').fill('10');
  await page.getByLabel('Chamfer front of step 1').fill('0.5');
  await page.getByRole('button', { name: 'Turn end for end' }).click();
  await expect(page.getByLabel('Diameter of step 1')).toHaveValue('18');
  await expect(page.getByLabel('Chamfer back of step 2')).toHaveValue('0.5');
  await page.getByRole('button', { name: 'Turn end for end' }).click();
  await expect(page.getByLabel('Diameter of step 1')).toHaveValue('12');
  // A variant of another size, and back.
  await page.getByRole('button', { name: 'Another size …' }).click();
  await page.getByLabel('Times').fill('0');
  await expect(page.getByText(/a figure from 0.01 to 100/)).toBeVisible();
  await page.getByLabel('Times').fill('3/2');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Take this size' }).click();
  await expect(page.getByLabel('Diameter of step 1')).toHaveValue('18');
  await expect(page.getByLabel('Chamfer front of step 1')).toHaveValue('0.75');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Diameter of step 1')).toHaveValue('12');
  for (const [kind, words] of [
    ['SVG', 'scale'],
    ['DXF', 'LWPOLYLINE'],
  ] as const) {
    const file = page.waitForEvent('download');
    await page.getByRole('button', { name: kind, exact: true }).click();
    const download = await file;
    expect(download.suggestedFilename()).toBe(`K-15.${kind.toLowerCase()}`);
    expect(readFileSync(await download.path(), 'utf8')).toContain(words);
  }
});

test('half a profile comes in from a DXF drawing: its units are asked for, what is not understood is listed', async ({
  page,
}) => {
  await page.goto(`${await openMade(page, 'K-16')}/part`);
  const writer = new DxfWriter();
  const places = [
    [60, 6],
    [40, 6],
    [40, 11],
    [20, 11],
    [20, 0],
    [60, 0],
  ];
  places.slice(1).forEach(([x = 0, y = 0], index) => {
    const [from = 0, at = 0] = places[index] ?? [];
    writer.addLine(point3d(from, at, 0), point3d(x, y, 0));
  });
  writer.addText(point3d(0, 20, 0), 3, 'gland');
  await page.getByLabel('DXF drawing').setInputFiles({
    name: 'gland.dxf',
    mimeType: 'image/vnd.dxf',
    buffer: Buffer.from(writer.stringify()),
  });
  await expect(page.getByText('are they millimetres or inches?')).toBeVisible();
  await page.getByLabel('Units of the drawing').selectOption('mm');
  await expect(page.getByLabel('What was found')).toHaveText('12; 20\n22; 20');
  await expect(page.getByText('dimensions and words: 1 left out')).toBeVisible();
  await expect(page.getByRole('img', { name: /^The part as it was read/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Use this profile' }).click();
  await expect(page.getByLabel('Diameter of step 2')).toHaveValue('22');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Diameter of step 1')).toHaveValue('12');
  await expect(page.getByLabel('Diameter of step 2')).toHaveCount(0);
});
