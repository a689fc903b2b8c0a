import { expect, test } from './support/workshop';

test('a slot is cut out, made a hexagon that is raised, and switched off', async ({ page, workshop }) => {
  const id = await workshop.open('locker-hinge-plate');
  await page.goto(`${workshop.address}/repair/${id}/shape`);
  const findings = page.getByRole('group', { name: 'Findings' });
  await expect(findings).toContainText(/closed, 1 piece/i, { timeout: 60_000 });
  const weight = async () => Number(/([\d.]+) g/.exec(await findings.innerText())![1]);
  const whole = await weight();

  await page.getByRole('button', { name: 'Add a step', exact: true }).click();
  await page.getByRole('button', { name: /^Raise or cut/ }).click();
  await page.getByRole('button', { name: 'the outline: a circle' }).click();
  await page.getByRole('button', { name: 'a slot', exact: true }).click();
  const step = page.getByRole('listitem').last();
  await step.getByRole('button', { name: /^length: / }).click();
  await page.getByLabel(/^Type a number/).fill('30');
  await page.getByRole('button', { name: 'Use this number' }).click();
  await step.getByRole('button', { name: /^how far it goes/ }).click();
  await page.getByRole('button', { name: 'right through', exact: true }).click();
  await expect(step).toContainText('Cut out');
  await expect.poll(weight).toBeLessThan(whole);
  const slotted = await weight();

  // Undone by the offer, and made again as a hexagon.
  await page.getByRole('button', { name: 'Undo' }).click();
  await step.getByRole('button', { name: 'the outline: a slot' }).click();
  await page.getByRole('button', { name: 'a polygon', exact: true }).click();
  await step.getByRole('button', { name: 'what it does: Cut out' }).click();
  await page.getByRole('button', { name: 'Raise', exact: true }).click();
  await expect.poll(weight).toBeGreaterThan(slotted);

  await page
    .getByRole('button', { name: /^More for step/ })
    .last()
    .click();
  await page.getByRole('button', { name: 'Switch it off' }).click();
  await expect(step).toContainText('Switched off');
  await expect.poll(weight).toBe(whole);
});
