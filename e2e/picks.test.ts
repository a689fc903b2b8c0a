import { partIsBuilt } from './support/acts';
import { expect, test } from './support/workshop';

test('a pick is lost, told in words, and picked again', async ({ page, workshop }) => {
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/shape`);
  await partIsBuilt(page);
  const press = (name: string | RegExp) => page.getByRole('button', { name, exact: true }).click();

  // A peg on the picked top of the wheel, aside of its bore.
  await press('Add a step');
  await page.getByRole('button', { name: /^Raise a peg/ }).click();
  const step = page.getByRole('listitem').last();
  await step.getByRole('button', { name: /^what it starts from/ }).click();
  await press('Pick a flat face on the part');
  const bar = page.getByRole('group', { name: /^Picking/ });
  await expect(bar).toContainText('Tap a face.');
  // The making of the part up to this step is what is picked on; the keys go through its faces one by one.
  for (let tries = 0; tries < 12; tries += 1) {
    await press('Next face');
    if (/the top of step 1/.test(await bar.innerText())) break;
  }
  await expect(bar).toContainText('the top of step 1');
  await press('Take it');
  await expect(step).toContainText('on the face that was picked');
  await step.getByRole('button', { name: /^across: / }).click();
  await page.getByLabel(/^Type a number/).fill('4');
  await press('Use this number');
  await step.getByRole('button', { name: /^where it is/ }).click();
  await press('aside of the middle');
  await step.getByRole('button', { name: /^place along: / }).click();
  await page.getByLabel(/^Type a number/).fill('11');
  await press('Use this number');
  await partIsBuilt(page);

  // A lid over the whole top takes that face away.
  await press('More for step 5');
  await press('Put a step after it');
  await page.getByRole('button', { name: /^Raise a peg/ }).click();
  // Until it is there, the sixth is still the peg.
  await expect(page.getByRole('listitem')).toHaveCount(7);
  const lid = page.getByRole('listitem').nth(5);
  await lid.getByRole('button', { name: /^across: / }).click();
  await page.getByLabel(/^Type a number/).fill('60');
  await press('Use this number');
  const peg = page.getByRole('listitem').nth(6);
  await expect(peg).toContainText('This step was looking for the top of step 1 and can’t find it');
  await press('Pick again');
  for (let tries = 0; tries < 14; tries += 1) {
    await press('Next face');
    if (/the top of step 6/.test(await bar.innerText())) break;
  }
  await press('Take it');
  await expect(peg).not.toContainText('can’t find it');
  await partIsBuilt(page);
});

test('measured on the part, and kept as a size', async ({ page, workshop }) => {
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/shape`);
  await partIsBuilt(page);
  await page.getByRole('button', { name: 'Plan', exact: true }).click();
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  const bar = page.getByRole('group', { name: 'Measuring' });
  await expect(bar).toContainText('Tap a face, an edge or a corner');
  const picture = page.getByRole('img', { name: /^Drawing of Rack wheel/ });
  const box = (await picture.boundingBox())!;
  // Half way out on the right: the flat top of the wheel.
  await picture.tap({ position: { x: box.width / 2 + 40, y: box.height / 2 } });
  await expect(bar).toContainText(/Flat face of [\d.]+ mm²; wall under it 8.00 mm/);
  await page.getByRole('button', { name: 'Keep as a size' }).click();
  await expect(page.getByText('Kept as size G.')).toBeVisible();
  await page.getByRole('button', { name: 'Done measuring' }).click();

  // Which edges a rule takes is shown and counted before it is used.
  await page
    .getByRole('listitem')
    .last()
    .getByRole('button', { name: /^which edges/ })
    .click();
  await expect(page.getByRole('button', { name: 'the outer edges', exact: true })).toContainText(
    'catches 2 edges',
  );
  await page.getByRole('button', { name: 'both mouths of the hole', exact: true }).click();
  await page.getByRole('button', { name: 'Use these edges' }).click();
  await expect(page.getByRole('listitem').last()).toContainText('both mouths of the hole');
});

test('steps are moved with the keys, and the making is stepped through', async ({ page, workshop }) => {
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/shape`);
  await partIsBuilt(page);
  const handle = page.getByRole('button', { name: 'Move step 5' });
  await handle.focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText('Step 5 is now step 4.')).toBeVisible();
  await expect(page.getByRole('listitem').nth(3)).toContainText('the outer edges');

  await page.getByRole('button', { name: 'Making', exact: true }).click();
  const making = page.getByRole('group', { name: 'The making of the part' });
  await expect(making).toContainText('After 1 of 5: turn');
  await page.getByRole('button', { name: 'One step on' }).click();
  await expect(making).toContainText('After 2 of 5: cut');
  await page.getByRole('button', { name: 'Whole part' }).click();
  await expect(making).toHaveCount(0);
});
