import { goTo, partIsBuilt } from './support/acts';
import { expect, test } from './support/workshop';

test('looked at closely: cut at a slant, slid until it touches, a finding mended, a body lifted', async ({
  page,
  workshop,
}) => {
  await workshop.open('locker-hinge-plate');
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/shape`);
  await partIsBuilt(page);
  const press = (name: string | RegExp) => page.getByRole('button', { name, exact: true }).click();

  // Turned by keys and cut perpendicular to the view: more area than any cut along an axis would show.
  await press('Cut open');
  const area = page.getByText(/mm² cut$/);
  await expect(area).toBeVisible();
  const straight = parseFloat(await area.innerText());
  const picture = page.getByRole('img', { name: /^Drawing of Rack wheel/ });
  await picture.focus();
  for (let key = 0; key < 4; key += 1) await page.keyboard.press('ArrowUp');
  await press('Cut perpendicular to the view');
  await expect.poll(async () => parseFloat(await area.innerText())).toBeGreaterThan(1.1 * straight);
  await press('Cut open');
  await press('Corner');

  // The room between wheel and axle, and how far the wheel can be shaken on it.
  await press('Measure');
  await press('Room between bodies');
  const bar = page.getByRole('group', { name: 'Measuring' });
  await expect(bar).toContainText(/From Wheel to Axle there are 0\.1\d mm at the nearest/);
  await press('Done measuring');
  await press('Bodies');
  await press('Slide it until it touches');
  await press('Slide it');
  await expect(page.getByText(/^Wheel goes 0\.1\d mm, and then touches Axle\.$/)).toBeVisible();
  await press('Show it there');
  await expect(page.getByRole('group', { name: 'Pointed at' })).toContainText('touches Axle');
  await press('Done');

  // A slender peg has a sharp root, which is shown and rounded from its finding.
  await press('Add a step');
  await page.getByRole('button', { name: /^Raise a peg/ }).click();
  const peg = page.getByRole('listitem').last();
  await peg.getByRole('button', { name: /^where it is/ }).click();
  await press('aside of the axle line');
  for (const [chip, mm] of [
    ['across', '4'],
    ['height', '12'],
    ['place right', '14'],
  ]) {
    await peg.getByRole('button', { name: new RegExp(`^${chip}: `) }).click();
    await page.getByLabel(/^Type a number/).fill(mm!);
    await press('Use this number');
  }
  await partIsBuilt(page);
  await page.getByRole('button', { name: /worth a look$/ }).click();
  const finding = page.getByRole('group', { name: /^Finding/ }).filter({ hasText: 'the corner is sharp' });
  await finding.getByRole('button', { name: 'Show it on the part' }).click();
  await expect(page.getByRole('group', { name: 'Pointed at' })).toContainText('step 6 meets step 1');
  await press('Done');
  await page.getByRole('button', { name: /worth a look$/ }).click();
  await finding.getByRole('button', { name: /^Round this corner/ }).click();
  await expect(page.getByRole('listitem')).toHaveCount(7);
  await partIsBuilt(page);
  await expect(page.getByText('the corner is sharp')).toHaveCount(0);

  // A plate from another repair, with its numbers as they are there.
  await press('Bodies');
  await press('Bring one from another repair');
  await page.getByRole('button', { name: /^Locker hinge plate/ }).click();
  await press('Bring Plate as a body');
  await page.getByRole('radio', { name: 'Plate' }).click();
  await expect(page.getByRole('listitem')).toHaveCount(4);
  await expect(page.getByRole('listitem').nth(2)).toContainText('at places of its own');
  await goTo(page, 'Make');
  await expect(page.getByText('Plate', { exact: true }).first()).toBeVisible();
});
