import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

import { expect, test } from './support/workshop';

async function violations(page: Page): Promise<string[]> {
  const { violations: found } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa'])
    .analyze();
  return found.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`);
}

/** Screens that are worked with calipers in the other hand. */
const THUMB = /(sizes|layouts|fits|shape|make|trial|layers)$/;

/** Buttons and choices that are lower than a thumb is sure of, by their words. */
const lowControls = (page: Page): Promise<string[]> =>
  page
    .locator('button, [role=button], [role=radio]')
    .evaluateAll((all) =>
      all
        .filter((one) => one.checkVisibility() && one.getBoundingClientRect().height < 44)
        .map((one) => one.getAttribute('aria-label') ?? one.textContent ?? ''),
    );

test('every screen passes the checks of WCAG AA that can be made by machine, and thumbs reach its controls', async ({
  page,
  workshop,
  isMobile,
}) => {
  const id = await workshop.open('locker-hinge-plate');
  const screens = [
    '',
    'new',
    'workshop',
    'deleted',
    ...[
      'brief',
      'sizes',
      'layouts',
      'photos',
      'sheet',
      'fits',
      'shape',
      'make',
      'trial',
      'layers',
      'revisions',
    ].map((s) => `repair/${id}/${s}`),
  ];
  // Wide, those that are laid out otherwise there; the rest differ in width alone.
  const otherwise = /^$|fits$|shape$|layers$/;
  for (const screen of isMobile ? screens : screens.filter((name) => otherwise.test(name))) {
    await page.goto(`${workshop.address}/${screen}`);
    await expect(page.getByRole('heading').first()).toBeVisible();
    await page.waitForTimeout(600);
    expect(await violations(page), screen).toEqual([]);
    if (THUMB.test(screen)) expect(await lowControls(page), screen).toEqual([]);
  }
});

test('the pad works from a keyboard alone', async ({ page, workshop }) => {
  const id = await workshop.open('rack-wheel');
  await page.goto(`${workshop.address}/repair/${id}/sizes`);
  const row = page.getByRole('button', { name: /^Size C/ });
  await row.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Reading', { exact: true })).toBeFocused();
  await page.keyboard.type('8.03');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Reading 4, 8.03 mm' })).toBeVisible();
  // And on to the next reading, as calipers that type do.
  await page.keyboard.type('8.04');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Reading 5, 8.04 mm' })).toBeVisible();
});
