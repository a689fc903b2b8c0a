import { chanceOf, goTo, layOutPracticeCaliper, openSize, takeReading } from './support/acts';
import { expect, test } from './support/workshop';

test('a read-through with the practice caliper: nothing is touched but its button', async ({
  page,
  workshop,
}) => {
  const id = await workshop.open('cabin-window-stay');
  await page.goto(workshop.address);
  await layOutPracticeCaliper(page);
  await page.goto(`${workshop.address}/repair/${id}/sizes`);
  await page.getByRole('button', { name: /^Read through/ }).click();
  const held = page.getByLabel('What the practice caliper is held to');
  await held.selectOption({ label: 'Rim, outside' });
  // A, C and D have two readings and E none; each is brought to three, and the next opens by itself.
  for (const [tag, wanted] of [
    ['A', 1],
    ['C', 1],
    ['D', 1],
    ['E', 3],
  ] as const) {
    await expect(page.getByRole('button', { name: `More for size ${tag}` })).toBeVisible();
    for (let taken = 0; taken < wanted; taken += 1) {
      const before = await page.getByRole('button', { name: /^Reading \d/ }).count();
      await page.getByRole('button', { name: 'Press' }).click();
      if (taken < wanted - 1) {
        await expect(page.getByRole('button', { name: /^Reading \d/ })).toHaveCount(before + 1);
      }
    }
  }
  await expect(page.getByText('Read through: all sizes were visited.')).toBeVisible();
  await openSize(page, 'E');
  await expect(page.getByRole('button', { name: /^Reading 3, 38\.\d\d mm/ })).toBeVisible();
  // What the caliper truly holds is 38.213, and it shows hundredths.
  await expect(page.getByLabel(/^Value 38\.(19|2\d)/)).toBeVisible();
});

test('a size worked out by a drawing follows its inputs, with its doubt', async ({ page, workshop }) => {
  const id = await workshop.open('locker-hinge-plate');
  await page.goto(`${workshop.address}/repair/${id}/sizes`);
  await page.getByRole('button', { name: 'Add a size' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Web between hole and edge');
  await page.getByRole('radio', { name: 'Worked out' }).click();
  await page.getByRole('button', { name: 'Next' }).click();
  await page.getByRole('button', { name: 'Wall', exact: true }).click();
  const figure = page.getByRole('group', { name: 'Figure: Wall' });

  await figure.getByRole('button', { name: 'outside: not chosen yet' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Plate, breadth/ })
    .click();
  await figure.getByRole('button', { name: 'inside: not chosen yet' }).click();
  await page.getByLabel('Type it').fill('60');
  await page.getByRole('button', { name: 'Use this number' }).click();
  await expect(page.getByRole('alert')).toContainText('the outside must be more than the inside');

  await figure.getByRole('button', { name: 'inside: 60.00' }).click();
  await page.getByLabel('Type it').fill('2 * 15');
  await page.getByRole('button', { name: 'Use this number' }).click();
  // (48.01 − 30) / 2, and half the doubt of the width.
  await expect(page.getByRole('status').filter({ hasText: 'P =' })).toContainText(/P = 9\.0[01] mm ± 0\.02/);
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByLabel(/^Value 9\.0/)).toBeVisible();
  await page.getByRole('button', { name: 'All sizes' }).click();

  await openSize(page, 'I');
  await page.getByRole('button', { name: /^Reading 1/ }).click();
  await page.getByLabel('Reading', { exact: true }).fill('50.00');
  await page.getByRole('button', { name: 'Correct reading 1' }).click();
  await page.getByRole('button', { name: 'All sizes' }).click();
  await expect(page.getByRole('button', { name: /^Size P, .*, 9\.50 mm/ })).toBeVisible();
});

test('formulas that go in a circle are told in order, and nothing else is lost', async ({
  page,
  workshop,
}) => {
  const id = await workshop.open('locker-hinge-plate');
  await page.goto(`${workshop.address}/repair/${id}/sizes`);
  await openSize(page, 'O');
  await page.getByRole('button', { name: 'Change how it is worked out' }).click();
  const formula = page.getByLabel('Formula over tags');
  for (const [text, sentence] of [
    ['O + 1', /O is worked out from itself/],
    ['(H - B) / (A - A)', /divides by zero|gives/],
    ['H + 30°', /angle/],
    ['H + ZZ', /ZZ/],
  ] as const) {
    await formula.fill(text);
    await expect(page.getByRole('alert')).toContainText(sentence);
  }
  await formula.fill('(H - (B - A)) * 2 + 1 mm');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.getByRole('status').filter({ hasText: 'O =' })).toContainText('O = 36.94 mm');
});

test('a likely standard is accepted, keeps the readings, and is undone', async ({ page, workshop }) => {
  const id = await workshop.open('easel-foot');
  await page.goto(`${workshop.address}/repair/${id}/sizes`);
  await openSize(page, 'A');
  await page.getByRole('button', { name: /^Is this a standard size/ }).click();
  await page.getByRole('radio', { name: 'Smooth round' }).click();
  await page.getByRole('button', { name: /^Bar or tube 22/ }).click();
  // What it would change is told before it is taken.
  await expect(page.getByLabel('Value 21.97 mm')).toBeVisible();
  await page.getByRole('button', { name: 'Use 22.00 mm instead (+0.03)' }).click();
  await expect(page.getByLabel('Value 22.00 mm')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Go back to its 3 readings' })).toBeVisible();
  await page.getByRole('button', { name: /^Undo: / }).click();
  await expect(page.getByLabel('Value 21.97 mm')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Reading 3, 21.98 mm' })).toBeVisible();
});

test('a doubtful reading is pointed out, and another value can be taken with its reason', async ({
  page,
  workshop,
}) => {
  const id = await workshop.open('loom-spool-holder');
  await page.goto(`${workshop.address}/repair/${id}/sizes`);
  await openSize(page, 'B');
  await takeReading(page, '8.94');
  await expect(page.getByText(/8\.94 stands far from the others/)).toBeVisible();
  await page.getByRole('button', { name: 'Reading 4, 8.94 mm, doubtful' }).click();
  await page.getByRole('button', { name: 'Leave out…' }).click();
  await page.getByRole('button', { name: 'jaws were tilted' }).click();
  await expect(page.getByText(/stands far/)).toHaveCount(0);

  await page.getByRole('button', { name: 'More for size B' }).click();
  await page.getByRole('button', { name: 'Choose which value is taken' }).click();
  await page.getByRole('radio', { name: /Largest/ }).click();
  await page.getByLabel('Why not the mean?').fill('worn on one side');
  await page.getByRole('button', { name: 'Take this value' }).click();
  await expect(page.getByLabel('Value 7.95 mm')).toBeVisible();
  await page.getByRole('button', { name: 'All sizes' }).click();
  await expect(page.getByRole('button', { name: /^Size B/ })).toContainText('largest');
});

test('a fit is surer after two more readings', async ({ page, workshop }) => {
  const id = await workshop.open('loom-spool-holder');
  await page.goto(`${workshop.address}/repair/${id}/sizes`);
  await openSize(page, 'B');
  // Two readings far apart: their mean is known badly.
  await page.getByRole('button', { name: /^Reading 3/ }).click();
  await page.getByRole('button', { name: 'Delete reading' }).click();
  await page.getByRole('button', { name: /^Reading 1/ }).click();
  await page.getByLabel('Reading', { exact: true }).fill('7.97');
  await page.getByRole('button', { name: 'Correct reading 1' }).click();
  await goTo(page, 'Fits');
  const before = await chanceOf(page, 'Hole on the pin');
  await goTo(page, 'Sizes');
  await takeReading(page, '7.95');
  await takeReading(page, '7.95');
  await goTo(page, 'Fits');
  await expect.poll(() => chanceOf(page, 'Hole on the pin')).toBeGreaterThan(before);
});

test('the sheet of sizes is saved as comma-separated values', async ({ page, workshop }) => {
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/sheet`);
  const table = page.getByRole('table', { name: 'Sizes of Rack wheel' });
  await expect(table.getByRole('row').filter({ hasText: 'Axle it runs on' })).toContainText('6.32');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/^rack-wheel.*\.csv$/);
});
