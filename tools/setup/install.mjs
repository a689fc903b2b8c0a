// Installs what is missing. Runs before any package is there, so it uses only what ships with Node.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..');
const stamp = join(root, 'node_modules', '.even-spare-installed');

/** Runs a program in the project folder and stops everything if it fails. */
export function run(command, args, environment = {}) {
  const result = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...environment },
  });
  if (result.status !== 0) process.exit(result.status ?? 1);
}

/** Runs a program that a package brought. */
export function runTool(name, args, environment) {
  run(join(root, 'node_modules', '.bin', name), args, environment);
}

export function say(text) {
  console.log(`\n— ${text}`);
}

/** Packages, as the lock file has them. Skipped when they are there already. */
export function installPackages() {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  say('Installing packages (once, a few minutes)');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(stamp, lock);
}

/** How often, and for how long in all, another program is asked to let go of Debian's packages, ms. */
const [ASK_AGAIN_MS, PATIENCE_MS] = [5000, 10 * 60 * 1000];
const LOCKED = /Could not get lock|Unable to (acquire|lock)|is another process using it/i;

/** Runs a program of Debian's until no other one holds its lock; ends with what it says if it fails otherwise. */
export function whileLocked(attempt, { askAgainMs = ASK_AGAIN_MS, patienceMs = PATIENCE_MS } = {}) {
  const until = Date.now() + patienceMs;
  let told = false;
  for (;;) {
    const { status, stderr = '', error } = attempt();
    if (status === 0) return;
    if (!LOCKED.test(stderr) || Date.now() > until) {
      throw new Error(`apt-get failed (${error?.message ?? `status ${status}`}). ${stderr}`);
    }
    if (!told) say('Waiting for another program that is installing packages');
    told = true;
    Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, askAgainMs);
  }
}

/** Debian's Chromium, for the end-to-end tests. */
export function installBrowser() {
  if (existsSync('/usr/bin/chromium')) return;
  say('Installing Chromium from Debian');
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => {
    const [command, ...rest] = [...sudo, 'apt-get', '-o', 'DPkg::Lock::Timeout=60', ...args];
    whileLocked(() =>
      spawnSync(command, rest, {
        stdio: ['ignore', 'ignore', 'pipe'],
        encoding: 'utf8',
        env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      }),
    );
  };
  apt('update');
  apt('install', '-y', '--no-install-recommends', 'chromium');
}
