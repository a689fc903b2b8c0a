import { chromium, type Browser } from '@playwright/test';

/** Debian's own browser. */
export const BROWSER = '/usr/bin/chromium';

/** Starts it without a graphics card and without a network. */
export const launchBrowser = (): Promise<Browser> =>
  chromium.launch({
    executablePath: BROWSER,
    args: [
      '--no-sandbox',
      '--use-angle=swiftshader',
      '--enable-unsafe-swiftshader',
      '--disable-background-networking',
    ],
  });
