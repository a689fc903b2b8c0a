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

/** Buttons and choices of which a part lies outside the page, unless they can be scrolled to. */
const cutOff = (page: Page, besides = 'a'): Promise<string[]> =>
  page.locator(`button, a, input, select, [role=button], [role=radio], ${besides}`).evaluateAll((all) => {
    const isScrolled = (one: Element | null): boolean =>
      one !== null &&
      ((one.scrollWidth > one.clientWidth && /auto|scroll/.test(getComputedStyle(one).overflowX)) ||
        isScrolled(one.parentElement));
    return all
      .filter((one) => {
        const { left, right, width } = one.getBoundingClientRect();
        const isOut = width > 0 && (left < -1 || right > window.innerWidth + 1);
        return isOut && one.checkVisibility() && !isScrolled(one.parentElement);
      })
      .map((one) => one.getAttribute('aria-label') ?? one.textContent ?? one.outerHTML.slice(0, 80));
  });

/** As the Workshop sets it. */
const setType = async (page: Page, type: number): Promise<void> => {
  await page.evaluate((times) => {
    document.documentElement.style.setProperty('--type', String(times));
    document.documentElement.dataset.type = times > 1 ? 'large' : 'usual';
  }, type);
  await page.waitForTimeout(150);
};

/** From the narrowest phone, lying and upright, to a wide screen. */
const WIDTHS = [
  { width: 320, height: 640 },
  { width: 844, height: 390 },
  { width: 1920, height: 1080 },
];

const DRAWERS = [
  'For you',
  'Instruments',
  'Machines and what they do to sizes',
  'Materials',
  'Print settings',
];

test('every screen passes the checks of WCAG AA that can be made by machine, and thumbs reach its controls', async ({
  page,
  workshop,
  isMobile,
}) => {
  const id = await workshop.open('locker-hinge-plate');
  const lever = await workshop.open('clamp-lamp-lever');
  const { bodies } = (await (await fetch(`${workshop.address}/api/repairs/${lever}`)).json()) as {
    bodies: { id: string; steps: { id: string }[] }[];
  };
  const drawing = `repair/${lever}/outline?body=${bodies[0]!.id}&step=${bodies[0]!.steps[0]!.id}&field=outline`;
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
    drawing,
  ];
  // Wide, those that are laid out otherwise there, by the colours of a dim bench.
  const otherwise = /^$|workshop$|brief$|sizes$|fits$|shape$|make$|trial$|layers$|outline\?/;
  await page.addInitScript(
    ([light, drawers]) =>
      localStorage.setItem(
        'even-spare-preferences',
        JSON.stringify({ state: { light, drawers }, version: 0 }),
      ),
    [isMobile ? 'bright' : 'dim', DRAWERS] as const,
  );
  for (const screen of isMobile ? screens : screens.filter((name) => otherwise.test(name))) {
    await page.goto(`${workshop.address}/${screen}`);
    await expect(page.getByRole('heading').first()).toBeVisible();
    await page.waitForTimeout(600);
    expect(await violations(page), screen).toEqual([]);
    if (THUMB.test(screen)) expect(await lowControls(page), screen).toEqual([]);
    if (!isMobile) continue;
    const size = page.viewportSize()!;
    for (const other of WIDTHS) {
      await page.setViewportSize(other);
      await page.waitForTimeout(150);
      expect(await cutOff(page), `${screen} at ${other.width}`).toEqual([]);
    }
    await page.setViewportSize(size);
    // Letters of twice the size, of which none is cut off either.
    await setType(page, 2);
    expect(await cutOff(page, '[dir=auto]'), `${screen} with large type`).toEqual([]);
    await setType(page, 1);
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
