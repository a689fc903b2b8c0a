import { defineConfig } from '@playwright/test';

/** Flags for Debian's Chromium without a graphics card and without a network. */
const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--use-angle=swiftshader',
  // Pages are put together by the processor anyway: by way of a graphics card that it plays takes it a fifth longer.
  '--disable-gpu-compositing',
  '--enable-unsafe-swiftshader',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
];

const result = process.env.EVEN_SPARE_E2E_RESULT;

export default defineConfig({
  testDir: 'e2e',
  // Each test has a server of its own; two at a time suit two cores.
  workers: 2,
  fullyParallel: true,
  retries: process.env.CI ? 1 : 0,
  timeout: 300_000,
  expect: { timeout: 40_000 },
  reporter: [['list'], ...(result ? [['json', { outputFile: result }] as const] : [])],
  use: {
    launchOptions: { executablePath: '/usr/bin/chromium', args: CHROMIUM_FLAGS },
    // Long enough for a first build of the part on a slow machine, short enough to tell what was waited for.
    actionTimeout: 60_000,
    // Told only where it is asked for: it takes one part in fourteen of the whole.
    trace: process.env.CI ? 'on-first-retry' : 'off',
  },
  projects: [
    { name: 'phone', use: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true } },
    { name: 'wide', use: { viewport: { width: 1280, height: 800 } }, testMatch: /journey|accessibility/ },
  ],
});
