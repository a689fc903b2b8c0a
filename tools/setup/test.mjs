// Everything that has to hold, from a fresh clone. The last line counts unit and end-to-end tests together.
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { buildWeb } from './buildWeb.mjs';
import { installBrowser, installPackages, root, say } from './install.mjs';

installPackages();
installBrowser();

const results = mkdtempSync(join(tmpdir(), 'even-spare-results-'));
const problems = [];
let [passed, failed] = [0, 0];

/** Runs one of the tools; with `quiet` its words come in one piece, when it is done, since others speak meanwhile. */
function step(what, name, args, { environment = {}, quiet = false } = {}) {
  if (!quiet) say(what);
  return new Promise((resolve) => {
    const child = spawn(join(root, 'node_modules', '.bin', name), args, {
      cwd: root,
      stdio: ['ignore', quiet ? 'pipe' : 'inherit', quiet ? 'pipe' : 'inherit'],
      env: { ...process.env, ...environment },
    });
    const words = [];
    for (const stream of quiet ? [child.stdout, child.stderr] : [])
      stream.on('data', (text) => words.push(text));
    child.once('close', (status) => {
      if (quiet) say(`${what}: ${status === 0 ? 'right' : 'not right'}`);
      process.stdout.write(Buffer.concat(words));
      if (status !== 0) problems.push(what);
      resolve();
    });
  });
}
function readResult(name) {
  try {
    return JSON.parse(readFileSync(join(results, name), 'utf8'));
  } catch {
    problems.push(`${name} was not written`);
    return null;
  }
}

say('Lint, format and types');
await Promise.all([
  step('Lint', 'eslint', ['.', '--max-warnings', '0'], { quiet: true }).then(() =>
    step('Files and packages in use', 'knip', ['--include', 'files,dependencies,unlisted,unresolved'], {
      quiet: true,
    }),
  ),
  step('Types', 'tsc', ['--noEmit'], { quiet: true }).then(() =>
    step('Format', 'prettier', ['--check', '--log-level', 'warn', '.'], { quiet: true }),
  ),
]);
await step('Unit tests', 'jest', ['--ci', '--json', `--outputFile=${join(results, 'unit.json')}`], {
  environment: { NODE_NO_WARNINGS: '1' },
});
const unit = readResult('unit.json');
if (unit) {
  passed += unit.numPassedTests;
  // A file that does not even load runs no test; it counts as one that failed.
  failed += unit.numFailedTests + unit.numRuntimeErrorTestSuites;
}

await buildWeb();
await step('End-to-end tests', 'playwright', ['test'], {
  environment: { EVEN_SPARE_E2E_RESULT: join(results, 'e2e.json') },
});
const e2e = readResult('e2e.json');
if (e2e) {
  passed += e2e.stats.expected + e2e.stats.flaky;
  failed += e2e.stats.unexpected;
}
rmSync(results, { recursive: true });

if (problems.length > 0) console.log(`\nNot right: ${problems.join(', ')}`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(problems.length > 0 || failed > 0 ? 1 : 0);
