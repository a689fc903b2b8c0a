import { readFileSync } from 'node:fs';

import { strFromU8, unzipSync } from 'fflate';

import { goTo, partIsBuilt } from './support/acts';
import { expect, test } from './support/workshop';

test('a spare is sliced: way up, layers looked at, other settings, printers compared, the job saved', async ({
  page,
  workshop,
}) => {
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/shape`);
  await partIsBuilt(page);
  await goTo(page, 'Make');
  await page.getByRole('button', { name: 'Slice it' }).click();
  await expect(page.getByText(/^Layer 40 of 40, up to 8\.00 mm/)).toBeVisible({ timeout: 90_000 });
  await expect(page.getByText(/min for 40 layers; .*Longest: top and bottom layers/)).toBeVisible();

  // The groove begins to close over air: its height says so.
  await expect(page.getByText(/^At 6\.00 mm above the bed .* overhang/)).toBeVisible();
  const rule = page.getByRole('slider', { name: 'Layer' });
  await rule.fill('30');
  await expect(page.getByText(/^Layer 31 of 40, up to 6\.20 mm/)).toContainText('An overhang starts.');
  await rule.press('ArrowUp');
  await expect(page.getByText(/^Layer 32 of 40/)).toBeVisible();
  await page.getByRole('button', { name: 'From above' }).click();
  const box = (await page.getByRole('img', { name: /^Layer 32 of 40/ }).boundingBox())!;
  await page.mouse.click(box.x + box.width / 2, box.y + 4 + box.height / 2);
  await expect(page.getByText('Nothing is printed here in this layer.')).toBeVisible();

  // Supports take away the warning, and are kept with the repair.
  await page.getByRole('radio', { name: 'Everywhere' }).click();
  await expect(page.getByText(/min for 40 layers/)).toBeVisible({ timeout: 90_000 });
  await expect(page.getByText(/mm² overhang\. Turn/)).toHaveCount(0);
  await expect(page.getByRole('row', { name: /^supports/ })).toBeVisible();
  // Two at once take as much again, told for each.
  await page.getByRole('button', { name: 'One piece more' }).click();
  await expect(page.getByText(/For each of 2 pieces \d+ min/)).toBeVisible({ timeout: 90_000 });
  // They are packed side by side; one is moved on, and too near it is told.
  const second = page.getByRole('button', { name: /^Wheel, piece 2, at / });
  await second.press('ArrowLeft');
  await expect(page.getByText(/^Wheel, piece 1 and Wheel, piece 2 are too close/).last()).toBeVisible();
  for (let press = 0; press < 4; press += 1) await second.press('ArrowRight');
  await expect(page.getByText(/For each of 2 pieces \d+ min/)).toBeVisible({ timeout: 90_000 });
  const bed = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the bed (3MF)' }).click();
  const file = unzipSync(readFileSync(await (await bed).path()));
  const places = strFromU8(file['3D/3dmodel.model']!).match(/<item objectid="2" transform="[^"]*"/g)!;
  const across = places.map((item) => Number(item.split(' ').at(-3)));
  expect(places).toHaveLength(2);
  expect(across[1]! - across[0]!).toBeCloseTo(43.23 + 15, 0);
  await page.getByRole('button', { name: 'One piece less' }).click();
  await page.getByRole('radio', { name: 'Draft' }).click();
  await expect(page.getByText(/^Layer \d+ of 29/)).toBeVisible({ timeout: 90_000 });
  await expect(page.getByRole('radio', { name: /^Suggested\. / })).toBeChecked();

  await page.getByRole('button', { name: 'Compare printers, settings and materials' }).click();
  const table = page.getByRole('table', { name: 'Time, weight and cost of each' });
  await expect(table.getByRole('row')).toHaveCount(14, { timeout: 120_000 });
  const minutes = async (name: string) => {
    const words = await table.getByRole('row', { name }).innerText();
    const [, hours = '0', rest] = /(?:(\d+) h )?(\d+) min/.exec(words)!;
    return 60 * Number(hours) + Number(rest);
  };
  await expect(table.getByRole('row', { name: /^TPU, soft/ })).toContainText('%');
  expect(await minutes('Quick printer, draft')).toBeLessThan(await minutes('Bench printer, draft'));

  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save G-code' }).click();
  const job = readFileSync(await (await saved).path(), 'utf8');
  expect(job).toMatch(/^; Even Spare job: Rack wheel, /);
  expect(job.match(/^; layer /gm)).toHaveLength(29);

  await page.reload();
  await expect(page.getByRole('radio', { name: 'Everywhere' })).toBeChecked();
  await expect(page.getByRole('radio', { name: 'Draft' })).toBeChecked();

  // The file that was saved is read back, as one from last year would be; what is no job says so.
  await page.getByRole('button', { name: 'Back to Make' }).click();
  await page
    .getByLabel('Job file')
    .setInputFiles({ name: 'notes.gcode', mimeType: 'text/plain', buffer: Buffer.from('none') });
  await expect(page.getByText('This file prints nothing.')).toBeVisible();
  await page.getByRole('button', { name: 'Back to Make' }).click();
  await page
    .getByLabel('Job file')
    .setInputFiles({ name: 'last-year.gcode', mimeType: 'text/plain', buffer: Buffer.from(job) });
  await expect(page.getByRole('heading', { name: 'last-year.gcode' })).toBeVisible();
  await expect(page.getByText(/^Layer 29 of 29, up to .*: outer walls/)).toBeVisible();
  await page.getByRole('button', { name: 'Back to Make' }).click();

  // In resin it is the same page: what is no resin is told, then layers are lit, and saved as pictures.
  await page.getByRole('radio', { name: 'Resin printer', exact: true }).click();
  await page.getByRole('button', { name: 'Slice it' }).click();
  await expect(page.getByText(/^PETG is not a resin/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Back to Make' }).click();
  await page.getByLabel('Material', { exact: true }).selectOption('resin');
  await page.getByRole('button', { name: 'Slice it' }).click();
  await expect(page.getByText(/min for 80 layers; .* with supports/)).toBeVisible({ timeout: 90_000 });
  await expect(page.getByText(/^Cure it under the lamp, 15 min\. It shrinks by 0\.4 %/)).toBeVisible();
  const lit = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the layers (ZIP of pictures)' }).click();
  const pictures = Object.keys(unzipSync(readFileSync(await (await lit).path())));
  expect(pictures).toHaveLength(81);
});

test('a machine that lays no layers is told; one that is added lays them as the Workshop says', async ({
  page,
  workshop,
}) => {
  const id = await workshop.open('loom-spool-holder');
  await page.goto(`${workshop.address}/repair/${id}/layers`);
  await expect(page.getByText(/prints no layers, so there is nothing to slice/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Slice it for Bench printer' })).toBeVisible();
  await page.goto(`${workshop.address}/workshop`);
  await page.getByRole('button', { name: /^Machines and what they do/ }).click();
  await page.getByRole('button', { name: 'Add a machine' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Old printer');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await page.getByRole('button', { name: /^Old printer/ }).click();
  await page.getByRole('button', { name: 'Printer settings' }).click();
  await expect(page.getByText(/^Not set yet/)).toBeVisible();
  await page.getByLabel('Nozzle', { exact: true }).fill('0.6');
  await page.getByLabel('To the right').fill('40 cm');
  await page.getByLabel('To the back').fill('400');
  await page.getByLabel('Up', { exact: true }).fill('400');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await page.getByRole('button', { name: /^Print settings/ }).click();
  await page.getByRole('button', { name: 'Draft', exact: true }).click();
  await page.getByLabel('Infill share', { exact: true }).fill('8');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await page.getByRole('button', { name: 'Back' }).click();

  await page.goto(`${workshop.address}/repair/${id}/make`);
  await page.getByRole('radio', { name: 'Old printer' }).click();
  await page.getByLabel('Material', { exact: true }).selectOption('petg');
  await page.getByRole('button', { name: 'Slice it' }).first().click();
  await page.getByRole('radio', { name: 'Draft' }).click();
  await expect(page.getByText(/walls of 0\.66 mm, .* 8 % infill\./)).toBeVisible();
  await expect(page.getByText(/min for \d+ layers/)).toBeVisible({ timeout: 120_000 });
});
