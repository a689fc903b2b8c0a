import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import type { Browser } from '@playwright/test';
import pino from 'pino';

import { startServer } from '@server/start';

import { BROWSER, launchBrowser } from '../browser/launchBrowser';
import type { Figure } from './figure';

/**
 * Measures in the built app, on a server and in a browser of its own; says so and gives nothing where there is none.
 *
 * @param what is measured, for that sentence.
 */
export async function inApp(
  what: string,
  measure: (address: string, browser: Browser) => Promise<Figure[]>,
): Promise<Figure[]> {
  const webFolder = join(__dirname, '..', '..', 'dist');
  if (!existsSync(BROWSER) || !existsSync(webFolder)) {
    console.error(`${what} left out: build the screens and install the browser first.`);
    return [];
  }
  const dataFolder = mkdtempSync(join(tmpdir(), 'even-spare-bench-'));
  const config = { host: '127.0.0.1', port: 0, passphrase: null, dataFolder, webFolder };
  const server = await startServer(config, pino({ level: 'silent' }));
  const browser = await launchBrowser();
  try {
    return await measure(server.address, browser);
  } finally {
    await browser.close();
    await server.stop();
    rmSync(dataFolder, { recursive: true });
  }
}
