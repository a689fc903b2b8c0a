import { partIsBuilt, takeReading } from './support/acts';
import { expect, test } from './support/workshop';

test('a wrong distance is found, taken again, and the holes follow', async ({ page, workshop }) => {
  const id = await workshop.open('locker-hinge-plate');
  await page.goto(`${workshop.address}/repair/${id}/layouts`);
  const alert = page.getByRole('alert');
  await expect(alert).toContainText('The distance 2 to 3');
  await expect(alert).toContainText('0.50 mm too long');

  await page.getByRole('button', { name: 'Distance 2 to 3, over the far rims, does not agree' }).click();
  await page.getByRole('button', { name: 'Take E again' }).click();
  await takeReading(page, '56.87');
  await page.getByRole('button', { name: 'Reading 1, 57.37 mm' }).click();
  await page.getByRole('button', { name: 'Leave out…' }).click();
  await page.getByRole('button', { name: 'calipers slipped' }).click();
  await page.getByRole('button', { name: /^(Back to the layout|All sizes)$/ }).click();
  await expect(alert).toHaveCount(0);
  await expect(page.getByRole('status').filter({ hasText: 'The distances agree.' })).toBeVisible();

  await page.goto(`${workshop.address}/repair/${id}/shape`);
  await partIsBuilt(page);
  // Half of 41.97 and of 30.03, from the middle of the plate.
  await expect(page.getByText(/1x −20\.9[89]/)).toBeVisible();
  await expect(page.getByText(/1y −15\.0[12]/)).toBeVisible();
});

test('a layout from nothing: points by taps, what is missing in words, a point turned over', async ({
  page,
  workshop,
}) => {
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/layouts`);
  await page.getByRole('button', { name: 'Begin a layout' }).click();
  const board = page.getByRole('button', { name: /^Board/ });
  for (const [x, y] of [
    [90, 220],
    [290, 220],
    [190, 110],
  ] as const) {
    await board.click({ position: { x, y } });
  }
  await expect(page.getByRole('button', { name: /^Point 3/ })).toBeVisible();
  await expect(page.getByText(/^Points 2 and 3 can still move: 3 more distances are needed/)).toBeVisible();

  const between = async (from: number, to: number, mm: string) => {
    await page.getByRole('button', { name: new RegExp(`^Point ${from}`) }).click();
    await page.getByRole('button', { name: new RegExp(`^Point ${to}`) }).click();
    await page.getByRole('radio', { name: /^Cent/ }).click();
    await page.getByLabel('Distance', { exact: true }).fill(mm);
    await page.getByRole('button', { name: 'Use this number' }).click();
  };
  await between(1, 2, '50');
  await between(1, 3, '30');
  await expect(page.getByText(/^Point 3 can still move: 1 more distance is needed/)).toBeVisible();
  await between(2, 3, '100');
  await expect(
    page.getByText(/between 1, 2 and 3 can’t meet: they miss each other by 20.00 mm/),
  ).toBeVisible();
  await page.getByRole('button', { name: /^Distance 2 to 3/ }).click();
  await page.getByLabel('Distance', { exact: true }).fill('40');
  await page.getByRole('button', { name: 'Use this number' }).click();
  await expect(page.getByText('All points are placed, but nothing checks the distances.')).toBeVisible();

  const place = async () => {
    await page.getByRole('button', { name: 'Point 3', exact: true }).click();
    await page.getByRole('button', { name: 'Point 3', exact: true }).click();
    const words = await page.getByText(/(right|left), .*(back|front)$/).innerText();
    await page.getByRole('button', { name: 'Close' }).click();
    return words;
  };
  // A triangle of 30, 40 and 50: 18 along and 24 up; from the middle of the points 7 left and 12 back.
  expect(await place()).toBe('7.00 left, 12.00 back');
});
