import { chanceOf } from './support/acts';
import { expect, test } from './support/workshop';

test('what a machine does to holes goes into every working size', async ({ page, workshop }) => {
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/fits`);
  const trail = page.getByLabel('Trail of Bore on the axle');
  await expect(trail).toContainText('6.32');
  const before = await chanceOf(page, 'Bore on the axle');

  await page.goto(`${workshop.address}/workshop`);
  await page.getByRole('button', { name: /^Machines and what they do/ }).click();
  await page.getByRole('button', { name: /^Bench printer/ }).click();
  const holes = page.getByRole('group', { name: 'Insides, such as holes' });
  await holes.getByLabel('Add').fill('zero');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByRole('alert')).toContainText('zero');
  await holes.getByLabel('Add').fill('0.12');
  await holes.getByLabel('plus or minus').fill('0.01');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Bench printer is kept.')).toBeVisible();

  await page.goto(`${workshop.address}/repair/${id}/fits`);
  await expect(trail).toContainText('+0.12');
  await expect(trail).toContainText('6.32');
  // What this device kept of the workshop stands there until the server has answered.
  await expect.poll(() => chanceOf(page, 'Bore on the axle')).toBeGreaterThan(before);
});

test('lengths in inches for one person, and inch calipers for another', async ({ page, workshop }) => {
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/workshop`);
  await page.getByRole('radio', { name: 'inch', exact: true }).click();
  await page.goto(`${workshop.address}/repair/${id}/sizes`);
  await expect(page.getByRole('button', { name: 'Size A, Rim, outside, 1.504 in' })).toBeVisible();
  await page.getByRole('button', { name: /^Size C/ }).click();
  const pad = page.getByLabel('Reading', { exact: true });
  await pad.fill('0.315');
  await pad.press('Enter');
  await expect(page.getByRole('button', { name: 'Reading 4, 0.315 in' })).toBeVisible();
  await pad.fill('8.01 mm');
  await pad.press('Enter');
  await expect(page.getByRole('button', { name: 'Reading 5, 0.315 in' })).toBeVisible();
});

test('ISO limits for a machined fit, and a clearance typed per side', async ({ page, workshop }) => {
  const id = await workshop.open('loom-spool-holder');
  await page.goto(`${workshop.address}/repair/${id}/fits`);
  const trail = page.getByLabel('Trail of Hole on the pin');
  await page.getByRole('button', { name: 'Use ISO limits, such as H7/g6' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /H7\/g6/ })
    .click();
  await expect(page.getByRole('group', { name: 'ISO limits' })).toContainText('H7');
  await page.getByRole('button', { name: 'Other ISO limits, or none' }).click();
  await page.getByRole('button', { name: 'Go back to a named class' }).click();

  await page.getByRole('button', { name: 'Type the clearance yourself' }).click();
  await page.getByRole('radio', { name: /per side/i }).click();
  await page.getByLabel(/^Clearance per side/).fill('0.1');
  await page.getByRole('button', { name: 'Use this clearance' }).click();
  await expect(trail).toContainText('+0.20');
});
