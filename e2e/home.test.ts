import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { REPAIR_FILE_VERSION } from '@core/record/model';

import { expect, test } from './support/workshop';

const demo = (name: string) => join(__dirname, '..', 'demo', 'repairs', `${name}.json`);

test('the list: search, stage, next thing to do; deleting a repair and taking it back', async ({
  page,
  workshop,
}) => {
  for (const file of ['rack-wheel', 'easel-foot', 'cabin-window-stay']) await workshop.open(file);
  await page.goto(workshop.address);
  await expect(
    page.getByRole('link', { name: 'Cabin window stay, Sizes: 4 of 5 sizes taken' }),
  ).toBeVisible();
  await expect(
    page.getByRole('link', { name: 'Easel foot, Fits: Choose how freely it goes on' }),
  ).toBeVisible();
  const search = page.getByLabel('Find a repair or a size');
  await search.fill('wind');
  await expect(page.getByRole('link', { name: /^Easel foot/ })).toHaveCount(0);
  await search.fill('38.2');
  await expect(page.getByRole('link', { name: /^Rack wheel/ })).toBeVisible();
  await search.fill('zebra');
  await expect(page.getByText('No repair has “zebra” in it.')).toBeVisible();
  await search.fill('');

  await page.getByRole('link', { name: /^Easel foot/ }).click();
  await page.getByRole('link', { name: /^Brief/ }).click();
  await page.getByRole('button', { name: 'Delete this repair' }).click();
  await expect(page.getByRole('link', { name: /^Rack wheel/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Easel foot/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /^Easel foot/ })).toBeVisible();
});

test('a repair file opens as a new repair; bad files are told apart', async ({ page, workshop }) => {
  await page.goto(workshop.address);
  const open = async (file: string | { name: string; mimeType: string; buffer: Buffer }) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Open a repair file' }).click(),
    ]);
    await chooser.setFiles(file);
  };
  const text = (content: string) => ({
    name: 'x.json',
    mimeType: 'application/json',
    buffer: Buffer.from(content),
  });
  await open(text(`{"format":"even-spare-repair","version":${REPAIR_FILE_VERSION + 1}}`));
  await expect(page.getByRole('alert')).toContainText(
    `version ${REPAIR_FILE_VERSION + 1}; versions up to ${REPAIR_FILE_VERSION} can be read here`,
  );
  await open(text('{"format":"even-'));
  await expect(page.getByRole('alert')).toContainText('may have been cut short');
  await open(text('{"format":"other"}'));
  await expect(page.getByRole('alert')).toContainText('This is not a repair file');
  const huge = join(mkdtempSync(join(tmpdir(), 'even-spare-huge-')), 'huge.json');
  writeFileSync(huge, ' '.repeat(97 * 1024 * 1024));
  await open(huge);
  await expect(page.getByRole('alert')).toContainText('repair files of up to 96 MB');
  await open(demo('rack-wheel'));
  await expect(page.getByRole('heading', { name: 'Rack wheel' })).toBeVisible();
});

test('the brief is kept, and a page that is not there leads back', async ({ page, workshop }) => {
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/brief`);
  await page.getByLabel('Where it belongs').fill('Dish rack, upper basket');
  await page.getByRole('button', { name: 'Keep the brief' }).click();
  await expect(page.getByText('The brief is kept.')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Where it belongs')).toHaveValue('Dish rack, upper basket');

  // Where it lives says what to make it of, and what not to make at all; clues say what the old one was.
  await page.getByRole('checkbox', { name: 'Sun', exact: true }).click();
  await page.getByRole('radio', { name: 'Hot, 80 °C' }).click();
  await expect(page.getByRole('alert')).toContainText(
    /PETG is chosen and unsuited\. Softens at that temperature/,
  );
  await page.getByRole('button', { name: /^ASA, / }).click();
  await expect(page.getByText('It is to be made of ASA.')).toBeVisible();
  await expect(page.getByText(/is chosen and unsuited/)).toHaveCount(0);
  await page.getByRole('checkbox', { name: 'Brakes' }).click();
  await expect(page.getByRole('alert')).toContainText('Stop: It is part of a brake');
  await page.getByRole('radio', { name: 'Floats' }).click();
  await expect(page.getByText(/^The old part is most likely polypropylene/)).toBeVisible();
  await page.reload();
  await expect(page.getByRole('radio', { name: 'Floats' })).toBeChecked();
  await page.goto(`${workshop.address}/nowhere`);
  await page.getByRole('button', { name: 'Go to the list of repairs' }).click();
  await expect(page.getByRole('link', { name: /^Rack wheel/ })).toBeVisible();
});
