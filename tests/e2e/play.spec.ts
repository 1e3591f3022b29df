import { expect, expectAccessible, openRun, openSaved, test } from './page';

test('the cuts are played: tile and pass follow, step by step, by the scrubber, to the end', async ({ page }) => {
  await openRun(page, 'Sensor spacer');
  await page.getByRole('button', { name: 'Play the cuts' }).click();
  const player = page.getByRole('group', { name: 'Play the cuts' });
  const selected = page.getByRole('option', { selected: true });
  await expect(player).toContainText('10 Face the front');
  await expect(selected).toContainText('Face the front');
  const work = page.getByRole('img', { name: 'Set-up 1: the cut as it goes' });
  const whole = await work.innerHTML();
  await page.keyboard.press('.');
  await page.keyboard.press('.');
  await expect(async () => expect(await work.innerHTML()).not.toBe(whole)).toPass();
  await expectAccessible(page);
  // The scrubber goes by keys as well; at its end the piece is parted off.
  const scrubber = player.getByRole('slider', { name: 'Time in this set-up' });
  await scrubber.focus();
  await page.keyboard.press('End');
  await expect(player).toContainText('110 Part off');
  await expect(selected).toContainText('Part off');
  // Whoever selects an operation meanwhile sees that one.
  await page.getByRole('option', { name: /Finish ⌀14 h8/ }).click();
  await expect(player).toContainText('70 Finish ⌀14 h8');
  await player.getByRole('button', { name: /^Speed/ }).click();
  await player.getByRole('button', { name: 'Play', exact: true }).click();
  await expect(player).toContainText('110 Part off');
  await page.keyboard.press('Escape');
  await expect(player).toBeHidden();
});

test('a plan that is not proved says so on sheet and paper; played, it stops where something meets', async ({
  page,
}) => {
  // Without motion it goes from pass to pass.
  await page.emulateMedia({ reducedMotion: 'reduce' });
  // The tap goes through to where its hole is not as wide any more; face, centre, drill and lead-in come before it.
  await openSaved(
    page,
    {
      number: 'WS-939',
      material: 'brass-cw614n',
      outside: [{ shape: 'hex', across: 10, length: 8 }],
      bores: [
        { from: 'front', shape: 'drill', diameter: 5, depth: 'through' },
        { from: 'front', shape: 'tap', designation: 'M6', depth: 'through' },
      ],
    },
    { firstEnd: 'front' },
  );
  const alert = page.getByRole('alert').filter({ hasText: 'Not proved' });
  await alert.getByText('Not proved').click();
  await expect(alert).toContainText('50, pass 1: the tool meets the work behind its edge');
  await page.getByRole('option', { name: /Tap M6/ }).click();
  await page.getByRole('button', { name: 'Play the cuts' }).click();
  const player = page.getByRole('group', { name: 'Play the cuts' });
  await player.getByRole('button', { name: 'Play', exact: true }).click();
  await expect(player).toContainText('the tool meets the work behind its edge');
  await expect(player.getByRole('button', { name: 'Play', exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Print' }).click();
  await expect(page.getByRole('heading', { name: 'Not proved: do not cut by this sheet as it is' })).toBeVisible();
});
