import { expect, test } from './support/workshop';

test('a hole is drilled by pointing at a face, typed on our own pad, seen before it is kept, and undone late', async ({
  page,
  workshop,
}) => {
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/shape`);
  await expect(page.getByRole('group', { name: 'Findings' })).toBeVisible({ timeout: 90_000 });
  const picture = page.getByRole('img', { name: /^Drawing of Rack wheel/ });
  const box = (await picture.boundingBox())!;
  // The upper face of the wheel, left of its bore.
  const face = page.getByRole('group', { name: 'What can be done at this face' });
  await expect(async () => {
    await page.touchscreen.tap(box.x + 0.38 * box.width, box.y + 0.46 * box.height);
    await expect(face).toBeVisible({ timeout: 2000 });
  }).toPass();
  await expect(face.getByRole('status')).toContainText('step 1');
  await face.getByRole('button', { name: 'Drill here' }).click();
  const steps = page.getByRole('list', { name: 'Recipe of Wheel' }).getByRole('listitem');
  await expect(steps).toHaveCount(6);

  await steps
    .last()
    .getByRole('button', { name: /^hole: / })
    .click();
  const field = page.getByLabel(/^Type a number/);
  const pad = page.getByRole('group', { name: 'Number pad' });
  await expect(pad).toBeVisible();
  // Neither the number nor the part lies under the keys.
  await expect(async () => {
    // The sheet slides in.
    const [fieldBox, padBox] = [(await field.boundingBox())!, (await pad.boundingBox())!];
    expect(fieldBox.y + fieldBox.height).toBeLessThanOrEqual(padBox.y);
    expect(fieldBox.y).toBeGreaterThan(box.y + box.height / 2);
    expect(padBox.y + padBox.height).toBeLessThanOrEqual(844);
  }).toPass();
  await field.selectText();
  for (const key of ['1', '8', 'halve']) await pad.getByRole('button', { name: key, exact: true }).click();
  await expect(field).toHaveValue('18/2');
  await expect(page.getByText('The part is shown with this number. It is not kept yet.')).toBeVisible();
  await page.getByRole('button', { name: '0.1 more', exact: true }).click();
  await expect(field).toHaveValue('9.1');
  // The part goes with the thumb, between builds, and is built at the number once it stops. The keys stay.
  const slider = page.getByRole('slider', { name: 'Slide the number' });
  await page.waitForFunction(() => document.activeElement?.tagName === 'INPUT');
  const thumb = (await slider.boundingBox())!;
  const at = (share: number) => [thumb.x + share * thumb.width, thumb.y + thumb.height / 2] as const;
  await expect(page.getByText('Tried, not kept')).toBeVisible();
  await expect(async () => {
    // Both ends are built once the number rests.
    await page.mouse.up();
    await page.waitForTimeout(3000);
    await page.mouse.move(...at(0.52));
    await page.mouse.down();
    await page.mouse.move(...at(0.7), { steps: 5 });
    await expect(page.getByText('On its way: exact when you stop')).toBeVisible({ timeout: 1000 });
  }).toPass({ timeout: 90_000 });
  await page.mouse.up();
  await expect(pad).toBeVisible();
  await expect(field).toBeFocused();
  await expect(page.getByText('On its way: exact when you stop')).toBeHidden();
  await expect(page.getByText('Tried, not kept')).toBeVisible();
  await expect(field).not.toHaveValue('9.1');
  await field.fill('9.1');
  await pad.getByRole('button', { name: 'Use this number' }).click();
  await expect(steps.last().getByRole('button', { name: 'hole: 9.10' })).toBeVisible();

  // The notice goes by itself; its undo does not.
  await expect(page.getByText('The hole is changed.')).toBeHidden();
  await page.getByRole('button', { name: 'Undo: The hole is changed.' }).click();
  await expect(steps.last().getByRole('button', { name: 'hole: 9.10' })).toBeHidden();
  await expect(steps).toHaveCount(6);

  // The arrow of its size is pulled on the picture: the part goes along, and what it comes to is kept.
  const hole = steps.last().getByRole('button', { name: /^hole: / });
  const millimetres = async () => Number(/[\d.]+/.exec((await hole.getAttribute('aria-label'))!)![0]);
  const before = await millimetres();
  const arrow = page.locator('[data-arrow=diameter]').first();
  await expect(page.getByText('Tried, not kept')).toBeHidden();
  const grip = (await arrow.boundingBox())!;
  const [x, y] = [grip.x + grip.width / 2, grip.y + grip.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 12, y, { steps: 3 });
  await expect(page.getByText('Tried, not kept')).toBeVisible();
  const pulled = page.getByRole('status').filter({ hasText: /^[\d.]+ mm$/ });
  const to = /[\d.]+/.exec(await pulled.innerText())![0];
  expect(Number(to)).not.toBe(before);
  await page.mouse.up();
  await expect(hole).toHaveAttribute('aria-label', `hole: ${to} mm`);
  await page
    .getByRole('button', { name: /^Undo: Step 6: / })
    .or(page.getByRole('button', { name: 'Undo', exact: true }))
    .first()
    .click();
  await expect.poll(millimetres).toBe(before);

  // A swipe over the steps takes the one before in hand.
  const inHand = page.getByRole('list', { name: 'Recipe of Wheel' }).locator('[aria-current=step]');
  await expect(inHand).toHaveText(/^6/);
  const touch = await page.context().newCDPSession(page);
  await expect(async () => {
    // On a busy machine a swipe may take so long that it is none.
    const row = (await inHand.boundingBox())!;
    const finger = (dx: number) => [{ x: row.x + row.width / 3 + dx, y: row.y + 12 }];
    await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: finger(0) });
    await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: finger(60) });
    await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: finger(130) });
    await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    await expect(inHand).toHaveText(/^5/, { timeout: 2000 });
  }).toPass({ timeout: 40_000 });
});
