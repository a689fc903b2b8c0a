import sharp from 'sharp';

import { expect, test } from './support/workshop';

test('a photo is taken in, tagged, and its tag opens the size', async ({
  page,
  workshop,
  expectedErrors,
}) => {
  expectedErrors.push(/422/);
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/photos`);
  await expect(page.getByText('A photo of the broken piece shows where each size was taken.')).toBeVisible();
  const picture = page.getByLabel('Photo from a file');

  await picture.setInputFiles({
    name: 'notes.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('no picture'),
  });
  await expect(page.getByRole('alert')).toContainText(/picture|photo/i);

  const jpeg = await sharp({ create: { width: 900, height: 600, channels: 3, background: '#998866' } })
    .jpeg()
    .withMetadata({ orientation: 6 })
    .toBuffer();
  await picture.setInputFiles({ name: 'wheel.jpg', mimeType: 'image/jpeg', buffer: jpeg });
  const photo = page.getByRole('button', { name: 'Place a tag here' });
  await expect(photo).toBeVisible();
  // Turned upright: taller than wide.
  const box = (await photo.boundingBox())!;
  expect(box.height / box.width).toBeCloseTo(1.5, 1);

  await photo.click({ position: { x: box.width / 2, y: box.height / 4 } });
  await page.getByRole('button', { name: /Rim, outside/ }).click();
  await page.getByRole('button', { name: 'Tag A on the photo' }).click();
  await page.getByRole('button', { name: 'Open this size' }).click();
  await expect(page.getByRole('button', { name: 'Take reading 4' })).toBeVisible();

  await page.goto(`${workshop.address}/repair/${id}/photos`);
  await page.getByRole('button', { name: 'Photo Photo 1, 1 tags' }).click();
  await page.getByRole('button', { name: 'Delete this photo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^Photo Photo 1/ })).toBeVisible();
});
