import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { spawn, type ChildProcess } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { expect, test as base } from '@playwright/test';

const root = join(__dirname, '..', '..');

/** A real server on a folder of its own, which can be stopped and started again at the same address. */
export class Workshop {
  #process: ChildProcess | null = null;
  #folder = mkdtempSync(join(tmpdir(), 'even-spare-e2e-'));
  #port = 0;

  get address(): string {
    return `http://127.0.0.1:${this.#port}`;
  }

  async start(): Promise<void> {
    const child = spawn(
      process.execPath,
      // In the very process, and not in a child of it, so that stopping it stops it.
      ['tools/setup/serve.mjs'],
      {
        cwd: root,
        env: { ...process.env, EVEN_SPARE_PORT: String(this.#port), EVEN_SPARE_DATA: this.#folder },
        stdio: ['ignore', 'pipe', 'inherit'],
      },
    );
    this.#process = child;
    this.#port = await new Promise<number>((resolve, reject) => {
      child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
      child.stdout.on('data', (text: Buffer) => {
        const found = /127\.0\.0\.1:(\d+)/.exec(text.toString());
        if (found) resolve(Number(found[1]));
      });
    });
  }

  async stop(): Promise<void> {
    const child = this.#process;
    if (!child) return;
    this.#process = null;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGTERM');
    await ended;
  }

  /** Opens one of the demo's repair files through the API, as a person's file goes; gives its id. */
  async open(file: string): Promise<string> {
    const response = await fetch(`${this.address}/api/repair-files`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: readFileSync(join(root, 'demo', 'repairs', `${file}.json`), 'utf8'),
    });
    expect(response.status).toBe(201);
    return ((await response.json()) as { id: string }).id;
  }

  async remove(): Promise<void> {
    await this.stop();
    rmSync(this.#folder, { recursive: true, force: true });
  }
}

/** Tests with a workshop of their own, which fail when the page logs an error that was not expected. */
export const test = base.extend<{ workshop: Workshop; expectedErrors: RegExp[] }>({
  workshop: async ({}, use) => {
    const workshop = new Workshop();
    await workshop.start();
    await use(workshop);
    await workshop.remove();
  },
  expectedErrors: async ({}, use) => use([]),
  // Asks for the workshop so that the page is done with before the server goes.
  page: async ({ page, workshop: _workshop, expectedErrors }, use) => {
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.message));
    page.on('console', (message) => {
      if (message.type() === 'error') errors.push(message.text());
    });
    await use(page);
    expect(errors.filter((text) => !expectedErrors.some((known) => known.test(text)))).toEqual([]);
  },
});

export { expect };
