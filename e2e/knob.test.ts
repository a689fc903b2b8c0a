import { expect, test } from './support/workshop';
import { partIsBuilt } from './support/acts';
import type { Page } from '@playwright/test';

/** Everything here is done with a finger: taps, and numbers typed into the field that a tap opened. */
const tap = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: true }).tap();

async function set(page: Page, chip: RegExp, mm: string): Promise<void> {
  await page.getByRole('listitem').last().getByRole('button', { name: chip }).tap();
  await page.getByLabel(/^Type a number/).fill(mm);
  await tap(page, 'Use this number');
}
async function addStep(page: Page, name: RegExp): Promise<void> {
  await page.getByRole('button', { name: 'Add a step', exact: true }).tap();
  await page.getByRole('button', { name }).tap();
}
async function choose(page: Page, what: RegExp, word: string): Promise<void> {
  await page.getByRole('listitem').last().getByRole('button', { name: what }).tap();
  await tap(page, word);
}

test('a knob with a captive bolt, the bolt and a lid, from nothing and by touch', async ({
  page,
  workshop,
}) => {
  await page.goto(`${workshop.address}/new`);
  await page.getByLabel('What is it?').fill('Stove knob');
  await tap(page, 'Begin');
  await page.waitForURL(/repair\//);
  const id = /repair\/([^/]+)/.exec(page.url())![1]!;
  await page.goto(`${workshop.address}/repair/${id}/shape`);

  // The knob.
  await tap(page, 'Add the first step');
  await page.getByRole('button', { name: /^Turn a wheel/ }).tap();
  await set(page, /^across: /, '34');
  await set(page, /^width: /, '14');
  await partIsBuilt(page);

  // The bolt that it is to hold: a shank and a hexagonal head.
  await tap(page, 'Bodies');
  await tap(page, 'Add a counterpart');
  await page.getByRole('button', { name: /^Raise or cut/ }).tap();
  await set(page, /^across: /, '8');
  await set(page, /^height: /, '7');
  await addStep(page, /^Raise or cut/);
  await choose(page, /^what it does/, 'Raise');
  await choose(page, /^the outline/, 'a polygon');
  await set(page, /^across: /, '13');
  await choose(page, /^how far it goes/, 'high');
  await set(page, /^height: /, '5');
  await partIsBuilt(page);

  // Back to the knob: room for the bolt, put in from the top, and a seat for the lid.
  await page.getByRole('radio', { name: 'Spare', exact: true }).tap();
  await addStep(page, /^Make room for/);
  await expect(page.getByRole('listitem').last()).toContainText('the room for Counterpart');
  await expect(page.getByRole('listitem').last()).toContainText('to be put in from the top');
  await addStep(page, /^Raise or cut/);
  await set(page, /^across: /, '22');
  await choose(page, /^how far it goes/, 'deep');
  await set(page, /^height: /, '2');
  await partIsBuilt(page);
  // Nothing of the knob is where the bolt is.
  await expect(page.getByText(/overlaps/)).toHaveCount(0);

  // The lid.
  await tap(page, 'Bodies');
  await tap(page, 'Add a spare');
  await page.getByRole('button', { name: /^Turn a wheel/ }).tap();
  await set(page, /^across: /, '21.8');
  await set(page, /^width: /, '2');
  await addStep(page, /^Move turn or scale/);
  await set(page, /^distance to the right: /, '0');
  await set(page, /^distance up: /, '12');
  await partIsBuilt(page);

  // All three at once, cut open: the knob's section and the lid's in it.
  await tap(page, 'Cut open');
  await expect(page.getByText(/mm² cut/)).toBeVisible();
  // By hand, in square millimetres: knob 34 × 14 less the seat 22 × 2, the head 13.4 × sec 30° × 5 (it opens to the
  // seat), the shank 8.4 × 6.8; and the lid 21.8 × 2.
  const area = async () => Number(/([\d.]+) mm² cut/.exec(await page.getByText(/mm² cut/).innerText())![1]);
  const head = 13.4 / Math.cos(Math.PI / 6);
  const [across, flats] = [head, 13.4].map(
    (wide) => 34 * 14 - 22 * 2 - wide * (12 - 6.8) - 8.4 * 6.8 + 21.8 * 2,
  );
  await expect.poll(area).toBeGreaterThan(across! - 3);
  expect(await area()).toBeLessThan(flats! + 3);
});

test('a starter is turned into a different part', async ({ page, workshop }) => {
  await page.goto(`${workshop.address}/new`);
  await page.getByLabel('What is it?').fill('Drawer roller');
  await tap(page, 'Begin');
  await page.waitForURL(/repair\//);
  const id = /repair\/([^/]+)/.exec(page.url())![1]!;
  await page.goto(`${workshop.address}/repair/${id}/shape`);
  await tap(page, 'Add the first step');
  await tap(page, 'A starter: a whole recipe to change');
  await page.getByRole('button', { name: /^Wheel/ }).tap();
  await expect(page.getByRole('img', { name: /where each number is taken/ })).toBeVisible();
  await page.getByLabel(/Rim, outside/).fill('3o');
  await tap(page, 'Begin');
  await expect(page.getByRole('alert')).toContainText('is not a length');
  await page.getByLabel(/Rim, outside/).fill('30');
  await tap(page, 'Begin');
  await partIsBuilt(page);
  const findings = page.getByRole('group', { name: 'Findings' });
  await expect(findings).toContainText('30.0 × 30.0 × 8.0 mm outside');

  // It was measured, and is a size like any other; the rest waits to be.
  await page
    .getByRole('navigation')
    .getByRole('link', { name: /^Sizes/ })
    .tap();
  await expect(page.getByRole('button', { name: /^Size A, Rim, outside/ })).toBeVisible();
  await page
    .getByRole('navigation')
    .getByRole('link', { name: /^Shape/ })
    .tap();

  // The groove goes, a collar comes on top: a roller that is no wheel any more.
  await tap(page, 'More for step 2');
  await tap(page, 'Take out step 2');
  await tap(page, 'More for step 1');
  await tap(page, 'Put a step after it');
  await page.getByRole('button', { name: /^Raise a peg/ }).tap();
  await expect(page.getByRole('listitem').nth(1)).toContainText('a peg 10.00');
  await partIsBuilt(page);
  await expect(findings).not.toContainText('× 8.0 mm outside');

  // And back again, one change after the other, and on.
  await tap(page, 'Take back the last change');
  await expect(page.getByRole('listitem').nth(1)).toContainText('Drill');
  await tap(page, 'Take back the last change');
  await expect(page.getByRole('listitem').nth(1)).toContainText('Cut a groove');
  await tap(page, 'Make the change again');
  await expect(page.getByRole('listitem').nth(1)).toContainText('Drill');
});
