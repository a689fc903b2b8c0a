import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { chromium } from '@playwright/test';
import pino from 'pino';

import { startServer } from '@server/start';

import { figure, type Figure } from './figure';

const BROWSER = '/usr/bin/chromium';

/** A heavy part in the part view against its triangles drawn plainly, in the browser without a graphics card. */
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
    const [triangles, part, plain] = (await status.innerText()).match(/[\d.]+/g)!.map(Number) as [
      number,
      number,
      number,
    ];
    const perSecond = (ms: number) => 1000 / ms;
    return [
      figure(
        `a part of ${triangles} triangles turned in the part view, against the triangles drawn plainly`,
        'frames/s',
        perSecond(part),
        perSecond(plain),
        { atLeast: 0.7 },
      ),
    ];
  } finally {
    await browser.close();
    await server.stop();
    rmSync(dataFolder, { recursive: true });
  }
}
