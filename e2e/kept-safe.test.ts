import type { Page } from '@playwright/test';

import { goTo, takeReading } from './support/acts';
import { expect, test } from './support/workshop';

const readingsAt = async (address: string, id: string) => {
  const repair = (await (await fetch(`${address}/api/repairs/${id}`)).json()) as {
    readings: { value: number }[];
  };
  return repair.readings.map(({ value }) => value);
};
const openC = (page: Page) => page.getByRole('button', { name: /^Size C/ }).click();

test('a server that fails in between: what was typed stays, is told, and goes out when it is well', async ({
  page,
  workshop,
  expectedErrors,
}) => {
  expectedErrors.push(/500|503|Failed to load resource/);
  const id = await workshop.open('rack-wheel');
  // The very first try fails on the server, and so does the look whether it is well, until it is let go.
  let failing = true;
  const refuse = { status: 503, json: { fault: { code: 'server.diskFull' }, sentence: 'Full.' } };
  await page.route(/\/api\/(health|repairs\/.*\/changes)$/, (route) =>
    failing ? route.fulfill(refuse) : route.continue(),
  );
  await page.goto(`${workshop.address}/repair/${id}/sizes`);
  await openC(page);
  await takeReading(page, '8.05');
  await expect(page.getByText(/disk that the workshop is kept on is full.*1 change is kept/)).toBeVisible();
  await takeReading(page, '8.07');
  await expect(page.getByText(/2 changes are kept on this device/)).toBeVisible();
  // Left and opened again meanwhile, nothing is gone.
  await page.reload();
  await openC(page);
  await expect(page.getByRole('button', { name: 'Reading 5, 8.07 mm' })).toBeVisible();
  failing = false;
  const again = page.getByRole('button', { name: 'Try again' });
  await again.click({ timeout: 5000 }).catch(() => undefined);
  await expect(page.getByText(/kept on this device/)).toHaveCount(0);
  await expect.poll(() => readingsAt(workshop.address, id)).toEqual(expect.arrayContaining([8.05, 8.07]));
});

test('a browser’s small store that is full is no matter, and one that keeps nothing is told', async ({
  page,
  context,
  workshop,
  expectedErrors,
}) => {
  expectedErrors.push(/ERR_CONNECTION_REFUSED|Failed to load resource/);
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/sizes`);
  await page.evaluate(() => {
    for (let length = 1 << 20; length > 0; length >>= 1) {
      try {
        for (let count = 0; ; count += 1)
          localStorage.setItem(`filler-${length}-${count}`, 'x'.repeat(length));
      } catch {
        // Full for pieces of this length.
      }
    }
  });
  await openC(page);
  await workshop.stop();
  await takeReading(page, '8.05');
  await expect(page.getByText(/1 change is kept on this device/)).toBeVisible();
  await page.close();
  await workshop.start();
  const again = await context.newPage();
  await again.goto(`${workshop.address}/repair/${id}/sizes`);
  await expect.poll(() => readingsAt(workshop.address, id)).toContain(8.05);
  await again.close();

  const barred = await context.newPage();
  await barred.addInitScript(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await barred.goto(`${workshop.address}/repair/${id}/sizes`);
  await openC(barred);
  await workshop.stop();
  await takeReading(barred, '8.06');
  await expect(barred.getByText(/1 change not sent yet. This device can’t save anything/)).toBeVisible();
  await workshop.start();
  await expect.poll(() => readingsAt(workshop.address, id)).toContain(8.06);
});

test('a choice between two versions waits when its sheet is closed, and when the page is left', async ({
  page,
  workshop,
  expectedErrors,
}) => {
  expectedErrors.push(/409/);
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/fits`);
  await expect(page.getByRole('radio', { name: 'Turns' })).toBeChecked();
  const api = `${workshop.address}/api/repairs/${id}`;
  const { fits } = (await (await fetch(api)).json()) as { fits: { version: number }[] };
  const elsewhere = {
    changeId: 'else',
    row: 'fit',
    baseVersion: fits[0]!.version,
    value: { ...fits[0]!, fitClass: 'loose' },
  };
  const sent = await fetch(`${api}/changes`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(elsewhere),
  });
  expect(sent.status).toBe(200);
  await page.getByRole('radio', { name: 'Snug' }).click();
  await expect(page.getByRole('heading', { name: 'Changed in two places' })).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await page.reload();
  await expect(page.getByText('One change needs your decision')).toBeVisible();
  await page.getByRole('button', { name: 'Choose' }).click();
  await page.getByRole('button', { name: 'Use mine' }).click();
  await expect(page.getByRole('radio', { name: 'Snug' })).toBeChecked();
  await expect(page.getByText('needs your decision')).toHaveCount(0);
});

test('whatever was deleted can be brought back long after its notice is gone', async ({ page, workshop }) => {
  const id = await workshop.open('locker-hinge-plate');
  const base = `${workshop.address}/repair/${id}`;
  await page.goto(`${base}/fits`);
  const fit = page.getByRole('button', { name: /^Delete fit|^Delete/ }).first();
  await fit.click();
  await page.reload();
  await page
    .getByRole('button', { name: /^Bring back it/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: /^Bring back it/ })).toHaveCount(0);

  await page.goto(`${base}/layouts`);
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('button', { name: /Delete/ }).click();
  await page.reload();
  await page.getByRole('button', { name: /^Bring back it/ }).click();
  await expect(page.getByRole('button', { name: 'More' })).toBeVisible();

  await goTo(page, 'Brief');
  await page.getByRole('button', { name: 'Delete this repair' }).click();
  await page.goto(workshop.address);
  await expect(page.getByText('No repairs yet')).toBeVisible();
  await page.getByRole('button', { name: 'Deleted repairs' }).click();
  await page.getByRole('button', { name: /^Bring it back/ }).click();
  await expect(page.getByText('No deleted repairs')).toBeVisible();
  await page.getByRole('button', { name: 'Back to the list', exact: true }).click();
  await expect(page.getByRole('link', { name: /^Locker hinge plate/ })).toBeVisible();
});
