import { goTo, takeReading } from './support/acts';
import { expect, test } from './support/workshop';

test('readings wait on the device while the server is away, and are sent when it returns', async ({
  page,
  workshop,
  expectedErrors,
}) => {
  expectedErrors.push(/ERR_CONNECTION_REFUSED|Failed to load resource/);
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/sizes`);
  await page.getByRole('button', { name: /^Size C/ }).click();
  await workshop.stop();
  await takeReading(page, '8.05');
  await expect(page.getByRole('button', { name: 'Reading 4, 8.05 mm' })).toBeVisible();
  await expect(page.getByText(/The server can’t be reached. 1 change is kept on this device/)).toBeVisible();
  await takeReading(page, '8.07');
  await expect(page.getByText(/2 changes are kept on this device/)).toBeVisible();

  await workshop.start();
  await expect(page.getByText(/The server can’t be reached/)).toHaveCount(0, { timeout: 40_000 });
  await page.reload();
  await page.getByRole('button', { name: /^Size C/ }).click();
  await expect(page.getByRole('button', { name: 'Reading 5, 8.07 mm' })).toBeVisible();
});

test('what waits survives the page being left before the server is back', async ({
  page,
  context,
  workshop,
  expectedErrors,
}) => {
  expectedErrors.push(/ERR_CONNECTION_REFUSED|Failed to load resource/);
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/sizes`);
  await page.getByRole('button', { name: /^Size C/ }).click();
  await workshop.stop();
  await takeReading(page, '8.05');
  await expect(page.getByText(/1 change is kept on this device/)).toBeVisible();
  await page.waitForTimeout(300);
  await page.close();
  await workshop.start();
  const again = await context.newPage();
  await again.goto(`${workshop.address}/repair/${id}/sizes`);
  await again.getByRole('button', { name: /^Size C/ }).click();
  await expect(again.getByRole('button', { name: 'Reading 4, 8.05 mm' })).toBeVisible();
  await expect
    .poll(async () => {
      const repair = (await (await fetch(`${workshop.address}/api/repairs/${id}`)).json()) as {
        readings: { value: number }[];
      };
      return repair.readings.some((reading) => reading.value === 8.05);
    })
    .toBe(true);
});

test('two tabs change one fit: the later one is offered both versions', async ({
  page,
  context,
  workshop,
  expectedErrors,
}) => {
  expectedErrors.push(/409/);
  const id = await workshop.open('rack-wheel');
  const address = `${workshop.address}/repair/${id}/fits`;
  await page.goto(address);
  const other = await context.newPage();
  await other.goto(address);
  await expect(page.getByRole('radio', { name: 'Turns' })).toBeChecked();
  await expect(other.getByRole('radio', { name: 'Turns' })).toBeChecked();

  await other.getByRole('radio', { name: 'Loose' }).click();
  await expect(other.getByLabel(/^Trail of/)).toContainText('6.54');
  await other.waitForTimeout(500);
  await page.getByRole('radio', { name: 'Snug' }).click();
  await expect(page.getByRole('heading', { name: 'Changed in two places' })).toBeVisible();
  await expect(page.getByText('loose', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Use mine' }).click();
  await expect(page.getByRole('radio', { name: 'Snug' })).toBeChecked();
  await expect(page.getByLabel(/^Trail of/)).toContainText('6.17');
  await other.reload();
  await expect(other.getByRole('radio', { name: 'Snug' })).toBeChecked();
});

test('a repair that is refused is told at the form, with what was typed still there', async ({
  page,
  workshop,
  expectedErrors,
}) => {
  expectedErrors.push(/ERR_CONNECTION_REFUSED|Failed to load resource/);
  await page.goto(`${workshop.address}/new`);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('alert')).toContainText('The repair needs a name');
  await workshop.stop();
  await page.getByLabel('What is it?').fill('Lamp knob');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('alert')).toContainText('The server can’t be reached');
  await workshop.start();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('heading', { name: 'Lamp knob' })).toBeVisible();
  await goTo(page, 'Shape');
  await expect(page.getByText('A recipe is a short list of sentences')).toBeVisible();
});
