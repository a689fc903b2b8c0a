import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import type { Page } from '@playwright/test';
import pino from 'pino';

import { startServer } from '@server/start';

import { fillWorkshop } from '../../demo/fillWorkshop';
import { launchBrowser } from '../browser/launchBrowser';

const root = join(__dirname, '..', '..');
const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };

/** Takes the pictures of docs/screenshots from the demo data. Build the screens first. */
async function main(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'even-spare-pictures-'));
  const config = {
    host: '127.0.0.1',
    port: 0,
    passphrase: null,
    dataFolder: folder,
    webFolder: join(root, 'dist'),
  };
  const server = await startServer(config, pino({ level: 'silent' }));
  const repairs = join(root, 'demo', 'repairs');
  await fillWorkshop(
    server.address,
    readdirSync(repairs).map((name) => readFileSync(join(repairs, name), 'utf8')),
    () => {},
  );
  const browser = await launchBrowser();
  const open = async (viewport: typeof PHONE) => {
    const phone = viewport === PHONE;
    const context = await browser.newContext({ viewport, hasTouch: phone, isMobile: phone });
    // As they are after the first visit.
    await context.addInitScript(() => {
      const key = 'even-spare-preferences';
      const hintsSeen = ['sizes', 'fits', 'shape', 'layers'];
      if (!localStorage.getItem(key))
        localStorage.setItem(key, JSON.stringify({ state: { hintsSeen }, version: 0 }));
    });
    const page = await context.newPage();
    await page.goto(server.address);
    await page.getByRole('link', { name: /^Rack wheel/ }).waitFor();
    return page;
  };
  const shoot = async (page: Page, name: string) => {
    await page.waitForTimeout(900);
    await page.screenshot({ path: join(root, 'docs', 'screenshots', `${name}.png`) });
    console.log(name);
  };
  const goTo = (page: Page, stage: string) =>
    page
      .getByRole('navigation')
      .getByRole('link', { name: new RegExp(`^${stage}`) })
      .click();
  const built = (page: Page) => page.getByRole('group', { name: 'Findings' }).waitFor({ timeout: 60_000 });

  const phone = await open(PHONE);
  await shoot(phone, 'home');
  await phone.getByRole('link', { name: /^Rack wheel/ }).click();
  await phone.getByRole('img', { name: /^Clearance/ }).waitFor();
  await phone.waitForTimeout(4000);
  await shoot(phone, 'trial');
  await goTo(phone, 'Make');
  await built(phone);
  await shoot(phone, 'make');
  await phone.getByRole('button', { name: 'Slice it' }).click();
  await phone.getByText(/^Layer 40 of 40/).waitFor({ timeout: 60_000 });
  await phone.getByRole('slider', { name: 'Layer' }).fill('24');
  await phone.getByRole('button', { name: 'From above' }).click();
  await shoot(phone, 'layers');
  await goTo(phone, 'Brief');
  await shoot(phone, 'brief');
  await goTo(phone, 'Sizes');
  await phone.getByRole('button', { name: /^Size A/ }).click();
  await phone.getByLabel('Reading', { exact: true }).fill('38.2');
  await shoot(phone, 'sizes-pad');
  await goTo(phone, 'Fits');
  await shoot(phone, 'fits');
  await goTo(phone, 'Shape');
  await shoot(phone, 'shape');
  await phone.getByRole('button', { name: /worth a look$/ }).click();
  await phone.getByRole('button', { name: 'Show it on the part' }).first().click();
  await shoot(phone, 'finding');
  await phone.getByRole('button', { name: 'Done', exact: true }).click();
  await phone.getByRole('link', { name: /^Revisions/ }).click();
  await shoot(phone, 'revisions');

  await phone.goto(server.address);
  await phone.getByRole('link', { name: /^Locker hinge plate/ }).click();
  await goTo(phone, 'Make');
  await built(phone);
  await goTo(phone, 'Sizes');
  await phone.getByRole('button', { name: /^Size N/ }).click();
  await shoot(phone, 'sizes-worked-out');
  await phone.getByRole('button', { name: 'All sizes' }).click();
  await phone.getByRole('button', { name: /^Layouts/ }).click();
  await shoot(phone, 'layout');
  await openDrawing(phone, server.address);
  await shoot(phone, 'outline');
  await phone.goto(`${server.address}/workshop`);
  await phone.getByRole('button', { name: /^For you/ }).click();
  await phone.getByRole('button', { name: /^Machines and what they do/ }).click();
  await shoot(phone, 'workshop');
  await phone.getByRole('button', { name: /^Bench printer/ }).click();
  await phone.getByRole('button', { name: 'What trials taught' }).click();
  await phone.getByRole('img', { name: /made less asked/ }).waitFor();
  await shoot(phone, 'habits');
  await shootStarter(phone, server.address, shoot);

  const wide = await open(WIDE);
  await wide.getByRole('link', { name: /^Rack wheel/ }).click();
  await goTo(wide, 'Shape');
  await built(wide);
  await wide.getByRole('button', { name: /^Trail of Bore/ }).click();
  await wide.getByRole('button', { name: 'Corner', exact: true }).click();
  await wide.getByRole('button', { name: 'Cut open' }).click();
  await wide.getByText('mm² cut').waitFor();
  await shoot(wide, 'shape-wide');
  await openDrawing(wide, server.address);
  await shoot(wide, 'outline-wide');

  await browser.close();
  await server.stop();
  rmSync(folder, { recursive: true });
}

/** A knob from a starter: what it asks for, the knob measured, a face being picked, and its making. */
async function shootStarter(
  phone: Page,
  address: string,
  shoot: (page: Page, name: string) => Promise<void>,
): Promise<void> {
  const press = (name: string | RegExp) => phone.getByRole('button', { name, exact: true }).click();
  await phone.goto(`${address}/new`);
  await phone.getByRole('button', { name: /^Wheel: / }).waitFor();
  await shoot(phone, 'new-repair');
  await phone.getByLabel('What is it?').fill('Stove knob');
  await phone.getByRole('button', { name: /^Bracket with screw holes/ }).click();
  await phone.getByRole('img', { name: /where each number is taken/ }).waitFor({ timeout: 60_000 });
  await press('Another starter');
  await phone.getByRole('button', { name: /^Knob with/ }).click();
  await press('Begin');
  await phone.getByText(/Closed, 1 piece/).waitFor({ timeout: 60_000 });
  await phone.getByText(/under Sizes\.$/).waitFor({ state: 'hidden', timeout: 20_000 });
  await press('Measure');
  const picture = phone.getByRole('img', { name: /^Drawing of/ });
  const box = (await picture.boundingBox())!;
  await picture.tap({ position: { x: box.width * 0.5, y: box.height * 0.66 } });
  await phone.getByRole('button', { name: 'Keep as a size' }).waitFor();
  await shoot(phone, 'measure');
}

/** The board of the lever's outline. */
async function openDrawing(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await page.getByRole('link', { name: /^Clamp lamp lever/ }).click();
  await page
    .getByRole('navigation')
    .getByRole('link', { name: /^Shape/ })
    .click();
  await page.getByRole('button', { name: /^drawing: / }).click();
  await page.getByRole('button', { name: 'Lines', exact: true }).waitFor();
}

main().then(
  () => process.exit(0),
  (error: unknown) => {
    console.error(error);
    process.exit(1);
  },
);
