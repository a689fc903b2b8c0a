import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { chromium } from '@playwright/test';
import pino from 'pino';

import { startServer } from '@server/start';

import { figure, type Figure } from './figure';

const BROWSER = '/usr/bin/chromium';

type Nine = [number, number, number, number, number, number, number, number, number];

/** A heavy part and a heavy job in their views, against their triangles and lines drawn plainly, in the browser without a graphics card. */
export async function frameFigures(): Promise<Figure[]> {
  const webFolder = join(__dirname, '..', '..', 'dist');
  if (!existsSync(BROWSER) || !existsSync(webFolder)) {
    console.error('Frames are left out: build the screens and install the browser first.');
    return [];
  }
  const dataFolder = mkdtempSync(join(tmpdir(), 'even-spare-frames-'));
  const config = { host: '127.0.0.1', port: 0, passphrase: null, dataFolder, webFolder };
  const server = await startServer(config, pino({ level: 'silent' }));
  const browser = await chromium.launch({
    executablePath: BROWSER,
    args: [
      '--no-sandbox',
      '--use-angle=swiftshader',
      '--enable-unsafe-swiftshader',
      '--disable-background-networking',
    ],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
    await page.goto(`${server.address}/bench`);
    const status = page.getByRole('status').filter({ hasText: 'plainly' });
    await status.waitFor({ timeout: 120_000 });
    const [triangles, part, plain, lines, layers, drawn, moved, thumb, still] = (await status.innerText())
      .match(/[\d.]+/g)!
      .map(Number) as Nine;
    const perSecond = (ms: number) => 1000 / ms;
    const row = (name: string, oursMs: number, plainMs: number, atLeast = 0.7) =>
      figure(name, 'frames/s', perSecond(oursMs), perSecond(plainMs), { atLeast });
    return [
      row(
        `a part of ${triangles} triangles turned in the part view, against the triangles drawn plainly`,
        part,
        plain,
      ),
      row(
        `a part of ${moved} triangles under the thumb, against its triangles drawn plainly and still`,
        thumb,
        still,
        50 / 60,
      ),
      row(`a job of ${lines} lines turned in the layer view, against the lines drawn plainly`, layers, drawn),
    ];
  } finally {
    await browser.close();
    await server.stop();
    rmSync(dataFolder, { recursive: true });
  }
}
