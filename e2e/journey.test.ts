import { readFileSync } from 'node:fs';

import type { Download, Page } from '@playwright/test';

import { readRepairFile } from '@core/record/model';

import { addSize, goTo, partIsBuilt, takeReading } from './support/acts';
import { expect, test } from './support/workshop';

const contentOf = async (download: Download) => readFileSync(await download.path());

test('from three readings to a checked, exportable spare, and back after a restart', async ({
  page,
  workshop,
  expectedErrors,
}) => {
  // The page looks for the server while it is down.
  expectedErrors.push(/ERR_CONNECTION_REFUSED|Failed to load resource/);

  let saved = '';
  await test.step('a new repair', async () => {
    await page.goto(workshop.address);
    await expect(page.getByText('No repairs yet.')).toBeVisible();
    await page.getByRole('link', { name: 'New repair' }).click();
    await page.getByLabel('What is it?').fill('Rack wheel');
    await page.getByLabel(/Where does it belong/).fill('Dish rack, lower basket');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('heading', { name: 'Rack wheel' })).toBeVisible();
  });

  await test.step('sizes with the pad', async () => {
    await addSize(page, 'Rim, outside');
    await page.getByRole('button', { name: 'Add and measure' }).click();
    for (const text of ['38.20', '38.19', '38.2']) await takeReading(page, text);
    await expect(page.getByText('mean 38.197 mm · spread 0.01 mm')).toBeVisible();
    await page.getByRole('button', { name: 'All sizes' }).click();

    await addSize(page, 'Axle it runs on', ['The mating part']);
    await page.getByRole('button', { name: 'Add and measure' }).click();
    for (const text of ['6.02', '6.01', '6.03']) await takeReading(page, text);
    await expect(page.getByText('± 0.03', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'All sizes' }).click();

    await addSize(page, 'Width');
    await page.getByRole('button', { name: 'Add and measure' }).click();
    await takeReading(page, '8.00');
    await page.getByRole('button', { name: 'All sizes' }).click();
    await expect(page.getByRole('button', { name: 'Size A, Rim, outside, 38.20 mm' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Size B, Axle it runs on, 6.02 mm' })).toBeVisible();
  });

  await test.step('a fit with its trail', async () => {
    await goTo(page, 'Fits');
    await page.getByRole('button', { name: 'Add a fit' }).click();
    await page.getByRole('button', { name: 'Add this fit' }).click();
    const trail = page.getByLabel('Trail of Hole over Axle it runs on');
    await expect(trail).toContainText('6.02');
    await expect(trail).toContainText('+0.18');
    await expect(trail).toContainText('+0.12');
    await expect(trail).toContainText('6.32');
  });

  await test.step('the recipe, built as it is written', async () => {
    await goTo(page, 'Shape');
    await page.getByRole('button', { name: 'Add the first step' }).click();
    await page.getByRole('button', { name: /^Turn a wheel/ }).click();
    await partIsBuilt(page);
    await addStep(page, /^Cut a groove/);
    await addStep(page, /^Drill a hole/);
    await addStep(page, /^Ease edges/);
    await expect(page.getByRole('listitem')).toHaveCount(4);
    await expect(page.getByRole('button', { name: /^hole: .*working size 6.32 mm/ })).toBeVisible();
    await partIsBuilt(page);
  });

  await test.step('a reading that is changed goes through to the solid', async () => {
    const findings = page.getByRole('group', { name: 'Findings' });
    await expect(findings).toContainText('38.2 × 38.2 × 8.0 mm');
    await goTo(page, 'Sizes');
    await page.getByRole('button', { name: /^Size C, Width/ }).click();
    await page.getByRole('button', { name: 'Reading 1, 8.00 mm' }).click();
    await page.getByLabel('Reading', { exact: true }).fill('9');
    await page.getByRole('button', { name: 'Correct reading 1' }).click();
    await page.getByRole('button', { name: 'All sizes' }).click();
    await goTo(page, 'Shape');
    await expect(findings).toContainText('38.2 × 38.2 × 9.0 mm');
    await expect(page.getByRole('button', { name: 'width: C, Width, 9.00 mm' })).toBeVisible();
  });

  await test.step('files that hold what was built', async () => {
    await goTo(page, 'Make');
    await expect(page.getByRole('group', { name: 'Findings' })).toContainText('38.20 × 38.20 × 9.00 mm');
    const save = async (name: string) => {
      const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('button', { name, exact: true }).click(),
      ]);
      return download;
    };
    const stl = await save('STL');
    expect(stl.suggestedFilename()).toBe('rack-wheel-spare.stl');
    saved = await stl.path();
    const bytes = await contentOf(stl);
    expect(bytes.length).toBe(84 + 50 * bytes.readUInt32LE(80));
    expect((await contentOf(await save('3MF'))).subarray(0, 2).toString()).toBe('PK');
    expect((await contentOf(await save('STEP'))).toString()).toContain('Rack wheel, Spare');
    const file = await save('Save the repair file');
    const read = readRepairFile((await contentOf(file)).toString());
    expect(read).toMatchObject({ ok: true, value: { repair: { head: { name: 'Rack wheel' } } } });
  });

  await test.step('two revisions, compared by number', async () => {
    await page.getByRole('button', { name: 'Freeze revision A' }).click();
    await expect(page.getByRole('link', { name: 'Revisions, newest A' })).toBeVisible();
    await goTo(page, 'Fits');
    await page.getByRole('radio', { name: 'Loose' }).click();
    await goTo(page, 'Make');
    await expect(page.getByText('Newest revision: A')).toBeVisible();
    await page.getByRole('button', { name: 'Freeze revision B' }).click();
    await page.getByRole('link', { name: 'Revisions, newest B' }).click();
    const table = page.getByRole('table', { name: 'Differences between Rev A and Rev B' });
    await expect(table.getByRole('row').filter({ hasText: 'how freely' })).toContainText('Loose');
    const working = table.getByRole('row').filter({ hasText: 'working size' });
    await expect(working).toContainText('6.32');
    await expect(working).toContainText('6.54');
    await expect(working).toContainText('+0.22');
    await expect(table.getByRole('row').filter({ hasText: 'volume' })).toHaveCount(1);
  });

  await test.step('what was made by revision A, laid over B as a scan: its bore is 0.22 narrower', async () => {
    const scanned = page.getByRole('group', { name: 'Spare beside a scanned piece' });
    await scanned.getByLabel('Scanned piece for Spare').setInputFiles(saved);
    await expect(scanned).toContainText(/38\.\d\d mm × 38\.\d\d mm × 9\.00 mm/);
    await scanned.getByRole('button', { name: 'Align it with the spare' }).click();
    await scanned.getByRole('radio', { name: '0.1', exact: true }).click({ timeout: 60_000 });
    await expect(scanned.getByRole('status', { name: 'Deviation' })).toContainText(
      /Furthest outside the spare by 0\.1[01] mm/,
    );
    await scanned.getByRole('slider').fill('50');
    await scanned.getByRole('button', { name: 'Keep the scan with the repair' }).click();
    await expect(scanned).toContainText('Saved with the repair in this position.');
  });

  await test.step('all of it again after the server was restarted', async () => {
    await workshop.stop();
    await workshop.start();
    await page.goto(workshop.address);
    const card = page.getByRole('link', { name: /^Rack wheel/ });
    await expect(card).toContainText('Rev B');
    // The part that was built on this device stands in the list as a drawing.
    await expect(card.locator('svg path[fill-rule="evenodd"]')).toHaveCount(1);
    await card.click();
    await goTo(page, 'Fits');
    await expect(page.getByLabel(/^Trail of/)).toContainText('6.54');
    await goTo(page, 'Shape');
    await partIsBuilt(page);
    await page.getByRole('link', { name: 'Revisions, newest B' }).click();
    await page.getByRole('button', { name: /^Compare the scan / }).click();
    await expect(page.getByRole('status', { name: 'Deviation' })).toContainText(/of it is within 0\.20 mm/);
  });
});

async function addStep(page: Page, name: RegExp): Promise<void> {
  await page.getByRole('button', { name: 'Add a step', exact: true }).click();
  await page.getByRole('button', { name }).click();
  await expect(page.getByRole('button', { name: 'Close' })).toHaveCount(0);
}
