import { expect, expectSettled, openSaved, test } from './page';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

test('nothing of a run or of the lists runs over the edge of a phone, and nothing lies below its foot', async ({
  page,
}) => {
  await openSaved(page, {
    number: 'WS-390',
    name: 'Stud for a phone',
    material: 'mild-steel',
    outside: [
      { shape: 'cylinder', diameter: 12, length: 28 },
      { shape: 'cylinder', diameter: 20, length: 8 },
    ],
  });
  await expectSettled(page);
  const run = new URL(page.url()).pathname;
  const overflow = () =>
    page.evaluate(() => {
      const below = Math.max(...[...document.body.children].map((child) => child.getBoundingClientRect().bottom));
      const { scrollWidth, scrollHeight, clientHeight } = document.documentElement;
      return {
        across: scrollWidth - window.innerWidth,
        // A fraction of a pixel is no room.
        down: Math.max(0, scrollHeight - Math.max(clientHeight, Math.ceil(below + window.scrollY))),
      };
    });
  for (const place of [
    run,
    `${run}/part`,
    `${run}/stock`,
    `${run}/times`,
    `${run}/revisions`,
    '/runs/new/part',
    '/',
    '/rack',
    '/shop',
  ]) {
    await page.goto(place);
    await expect(page.getByRole('main')).toBeVisible();
    expect({ place, ...(await overflow()) }).toEqual({ place, across: 0, down: 0 });
  }
});
