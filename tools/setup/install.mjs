// Installs what is missing. Runs before any package is there, so it uses only what ships with Node.
import { execFileSync, spawnSync } from 'node:child_process';
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

/** Debian's Chromium, for the end-to-end tests. */
export function installBrowser() {
  if (existsSync('/usr/bin/chromium')) return;
  say('Installing Chromium from Debian');
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => {
    const [command, ...rest] = [...sudo, 'apt-get', ...args];
    execFileSync(command, rest, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  };
  apt('update');
  apt('install', '-y', '--no-install-recommends', 'chromium');
}
