// Everything that has to hold, from a fresh clone. The last line counts unit and end-to-end tests together.
import { spawnSync } from 'node:child_process';
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

function step(what, name, args, environment = {}) {
  say(what);
  const { status } = spawnSync(join(root, 'node_modules', '.bin', name), args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...environment },
  });
  if (status !== 0) problems.push(what);
}
function readResult(name) {
  try {
    return JSON.parse(readFileSync(join(results, name), 'utf8'));
  } catch {
    problems.push(`${name} was not written`);
    return null;
  }
}

step('Lint', 'eslint', ['.', '--max-warnings', '0']);
step('Format', 'prettier', ['--check', '--log-level', 'warn', '.']);
step('Types', 'tsc', ['--noEmit']);

step('Unit tests', 'jest', ['--ci', '--json', `--outputFile=${join(results, 'unit.json')}`], {
  NODE_NO_WARNINGS: '1',
});
const unit = readResult('unit.json');
if (unit) {
  passed += unit.numPassedTests;
  // A file that does not even load runs no test; it counts as one that failed.
  failed += unit.numFailedTests + unit.numRuntimeErrorTestSuites;
}

await buildWeb();
step('End-to-end tests', 'playwright', ['test'], { EVEN_SPARE_E2E_RESULT: join(results, 'e2e.json') });
const e2e = readResult('e2e.json');
if (e2e) {
  passed += e2e.stats.expected + e2e.stats.flaky;
  failed += e2e.stats.unexpected;
}
rmSync(results, { recursive: true });

if (problems.length > 0) console.log(`\nNot right: ${problems.join(', ')}`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(problems.length > 0 || failed > 0 ? 1 : 0);
