import { expect, expectAccessible, makeRun, send, test } from './page';

test('runs are chosen, put away and taken back; found by customer, narrowed by state and promised day', async ({
  page,
}) => {
  await makeRun(page, 'WS-961', { customer: 'hill station east', due: '2027-03-01' });
  await makeRun(page, 'WS-962', { customer: 'hill station east', order: 'E-77' });
  await page.goto('/?find=hill station east');
  const runs = page.getByRole('list', { name: 'Runs' }).getByRole('listitem');
  await expect(runs).toHaveCount(2);
  await page.getByRole('checkbox').first().check();
  await page.getByRole('checkbox').nth(1).check();
  const bar = page.getByRole('group', { name: 'Runs that are chosen' });
  await expect(bar).toContainText('2 runs chosen');
  await expectAccessible(page);
  await bar.getByRole('button', { name: 'Put away' }).click();
  await expect(runs).toHaveCount(0);
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(runs).toHaveCount(2);

  await page.getByRole('checkbox').first().check();
  await bar.getByRole('button', { name: 'Release' }).click();
  await page.locator('select[name=state]').selectOption('released');
  await expect(runs).toHaveCount(1);
  await expect(page).toHaveURL(/state=released/);
  await page.reload();
  await expect(runs.first()).toContainText('released');
  await page.locator('select[name=state]').selectOption('work');
  await page.locator('select[name=due]').selectOption('none');
  await expect(runs).toHaveCount(1);
  await expect(runs.first()).toContainText('E-77');
  await page.locator('select[name=due]').selectOption('any');
  await page.locator('select[name=group]').selectOption('customer');
  await expect(page.getByRole('heading', { name: 'hill station east' })).toBeVisible();
});

test('a run is duplicated, and its copy opens at its part', async ({ page }) => {
  await makeRun(page, 'WS-963', { order: 'E-78', due: '2027-03-01' });
  await page.goto('/?find=WS-963');
  await page.getByRole('checkbox').first().check();
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await page.waitForURL(/\/runs\/\d+\/part/);
  await expect(page.getByLabel('Part number')).toHaveValue('WS-963');
  await expect(page.getByLabel('Their order')).toHaveValue('');
  await page.goto('/?find=WS-963');
  await expect(page.getByRole('list', { name: 'Runs' }).getByRole('listitem')).toHaveCount(2);
});

test('a number that is known brings its part into a new run', async ({ page }) => {
  await makeRun(page, 'WS-964');
  await page.goto('/runs/new/part');
  await page.getByLabel('Part number').fill('WS-964');
  await expect(page.getByText(/WS-964 Test spigot is known, revision A/)).toBeVisible();
  await page.getByRole('button', { name: 'Begin with it' }).click();
  await expect(page.getByLabel('Diameter of step 1')).toHaveValue('12');
  await expect(page.getByLabel('Material')).toHaveValue('brass-cw614n');
  await expect(page.getByRole('button', { name: 'Begin with it' })).toHaveCount(0);
});

test('what a run made to hold others is kept as a holder of the shop', async ({ page }) => {
  await send(page, 'post', '/api/runs', {
    file: {
      format: 'shingle-run/1',
      units: 'mm',
      quantity: 1,
      part: {
        number: 'WS-965',
        name: 'Holder for studs',
        material: 'mild-steel',
        outside: [{ shape: 'cylinder', diameter: 24, length: 30 }],
        bores: [{ from: 'front', shape: 'tap', designation: 'M10', depth: 12 }],
      },
    },
  });
  await page.goto('/?find=WS-965');
  await page.getByRole('checkbox').first().check();
  await page.getByRole('button', { name: 'Keep as a holder …' }).click();
  const window = page.getByRole('dialog', { name: 'Holder for studs, WS-965' });
  await expect(window.getByLabel('Holds ⌀')).toHaveValue('10');
  await expect(window.getByLabel('Thread, M10x1')).toHaveValue('M10');
  await window.getByLabel('Kept at').fill('drawer 3');
  await window.getByRole('button', { name: 'Take over' }).click();
  await expect(page.getByText('kept at drawer 3')).toBeVisible();
});
