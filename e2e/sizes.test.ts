import { goTo, takeReading } from './support/acts';
import { expect, test } from './support/workshop';

test('a reading can be corrected, left out with a reason, deleted and brought back', async ({
  page,
  workshop,
}) => {
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/sizes`);
  await page.getByRole('button', { name: /^Size A/ }).click();
  const value = page.getByLabel(/^Value/);
  await expect(value).toContainText('38.20');

  await page.getByRole('button', { name: 'Reading 2, 38.19 mm' }).click();
  await page.getByLabel('Reading', { exact: true }).fill('38.49');
  await page.getByRole('button', { name: 'Correct reading 2' }).click();
  await expect(value).toContainText('38.30');

  await page.getByRole('button', { name: 'Reading 2, 38.49 mm' }).click();
  await page.getByRole('button', { name: 'Leave out…' }).click();
  await page.getByRole('button', { name: 'jaws were tilted' }).click();
  await expect(
    page.getByRole('button', { name: 'Reading 2, 38.49 mm, left out: jaws were tilted' }),
  ).toBeVisible();
  await expect(value).toContainText('38.21');

  await page.getByRole('button', { name: /^Reading 3/ }).click();
  await page.getByRole('button', { name: 'Delete reading' }).click();
  await expect(value).toContainText('38.20');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(value).toContainText('38.21');

  await page.getByRole('button', { name: /^Reading 3/ }).click();
  await page.getByRole('button', { name: 'Delete reading' }).click();
  await page.getByRole('button', { name: 'Bring back 38.21' }).click();
  await expect(page.getByRole('button', { name: 'Reading 3, 38.21 mm' })).toBeVisible();

  await page.reload();
  await page.getByRole('button', { name: /^Size A/ }).click();
  await expect(page.getByRole('button', { name: /left out: jaws were tilted/ })).toBeVisible();
});

test('the pad says what is wrong at the place, and keeps what was typed', async ({ page, workshop }) => {
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/sizes`);
  await page.getByRole('button', { name: /^Size C/ }).click();
  const pad = page.getByLabel('Reading', { exact: true });
  const wrong = page.getByRole('alert');
  for (const [typed, sentence] of [
    ['', 'There is no number yet'],
    ['wheel', '“wheel” is not a length'],
    ['0', 'a size is more than zero'],
    ['-8', 'a size is more than zero'],
    ['2000', 'more than the bench caliper can reach (200 mm)'],
    ['8.0.1', 'two decimal marks'],
    ['3/16', 'Fractions are inches'],
  ] as const) {
    await pad.fill(typed);
    await page.getByRole('button', { name: 'Take reading 4' }).click();
    await expect(wrong).toContainText(sentence);
    await expect(pad).toHaveValue(typed);
  }
  // Commas, spaces and inches are all right.
  await pad.fill('  8,02 ');
  await pad.press('Enter');
  await expect(page.getByRole('button', { name: 'Reading 4, 8.02 mm' })).toBeVisible();
  await takeReading(page, '5/16in');
  await expect(page.getByRole('button', { name: 'Reading 5, 7.94 mm' })).toBeVisible();
  await pad.fill('0.315"');
  await pad.press('Enter');
  await expect(page.getByRole('button', { name: 'Reading 6, 8.00 mm' })).toBeVisible();
});

test('names: empty, twice the same, 300 characters, markup', async ({ page, workshop }) => {
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/sizes`);
  await page.getByRole('button', { name: 'Add a size' }).click();
  const add = page.getByRole('button', { name: 'Add and measure' });
  await add.click();
  await expect(page.getByRole('alert')).toContainText('The size needs a name');
  await page.getByLabel('Name', { exact: true }).fill(' width ');
  await add.click();
  await expect(page.getByRole('alert')).toContainText('Size C is called “Width” already');
  await page.getByLabel('Name', { exact: true }).fill('n'.repeat(300));
  await add.click();
  await expect(page.getByRole('alert')).toContainText('has 300 characters; there is room for 80');
  await page.getByLabel('Name', { exact: true }).fill('<img src=x onerror=alert(1)>');
  await add.click();
  await expect(page.getByText('<img src=x onerror=alert(1)>')).toBeVisible();
});

test('a size on the picture opens that size, and a deleted size can be brought back', async ({
  page,
  workshop,
}) => {
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/shape`);
  await page
    .getByRole('button', { name: 'A, Rim, outside, 38.20 mm', exact: true })
    .click({ timeout: 60_000 });
  await expect(page.getByRole('button', { name: 'Take reading 4' })).toBeVisible();
  await page.getByRole('button', { name: 'More for size A' }).click();
  await page.getByRole('button', { name: 'Delete size A' }).click();
  await goTo(page, 'Shape');
  await expect(page.getByRole('listitem').first()).toContainText('used a size that is no longer there');
  await goTo(page, 'Sizes');
  await page.getByRole('button', { name: 'Bring back A' }).click();
  await expect(page.getByRole('button', { name: /^Size A/ })).toBeVisible();
});
