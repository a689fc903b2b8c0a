import { expect, type Page } from '@playwright/test';

/** What a person does, in the words of the screen. */

export async function goTo(
  page: Page,
  stage: 'Brief' | 'Sizes' | 'Fits' | 'Shape' | 'Make' | 'Trial',
): Promise<void> {
  await page
    .getByRole('navigation')
    .getByRole('link', { name: new RegExp(`^${stage}`) })
    .click();
}

/** Types a number on the pad's own keys and takes it. */
export async function takeReading(page: Page, text: string): Promise<void> {
  for (const key of text.match(/in|./g) ?? []) {
    const name =
      key === 'in'
        ? 'inch'
        : key === '.'
          ? 'point'
          : key === ' '
            ? 'space'
            : key === '/'
              ? 'over, for fractions'
              : key;
    await page.getByRole('button', { name, exact: true }).click();
  }
  await page.getByRole('button', { name: /^Take reading/ }).click();
}

export async function addSize(page: Page, name: string, choices: string[] = []): Promise<void> {
  await page.getByRole('button', { name: /^Add (a|the first) size/ }).click();
  await page.getByLabel('Name', { exact: true }).fill(name);
  for (const choice of choices) await page.getByRole('radio', { name: choice }).click();
}

/** Waits until the part stands in the picture, built and current. */
export async function partIsBuilt(page: Page): Promise<void> {
  await expect(page.getByRole('group', { name: 'Findings' })).toContainText(/closed, 1 piece/i, {
    timeout: 60_000,
  });
}

/** Opens a size from the list of the Sizes stage. */
export async function openSize(page: Page, tag: string): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^Size ${tag},`) }).click();
}

/** Lays the practice caliper on the bench. */
export async function layOutPracticeCaliper(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Workshop' }).click();
  await page.getByRole('radio', { name: 'On the bench' }).click();
  await page.getByRole('button', { name: 'Back', exact: true }).click();
}

/** The chance of a fit as its card tells it, in percent. */
export async function chanceOf(page: Page, fit: string): Promise<number> {
  const words = await page.getByRole('group', { name: `Chance of ${fit}` }).innerText();
  const found = /(\d+) %/.exec(words);
  if (!found) throw new Error(`no chance in: ${words}`);
  return Number(found[1]);
}
