/**
 * A program of ours in one file: loading a thousand modules one by one takes seconds before anything is done. It is made anew
 * whenever a source is newer than it.
 */
import { existsSync, mkdirSync, readdirSync, renameSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..');
/** Whatever a program is made of, its packages and settings. */
const ALWAYS = ['core', 'package-lock.json', 'tsconfig.json', 'tools/setup/bundle.mjs'];
/** They read files that lie beside them, or hold code for this machine. */
const EXTERNAL = ['replicad-opencascadejs', 'libsql', 'knex', 'pino', 'sharp'];

/** When the newest of the sources was written. */
function newest(path) {
  const found = statSync(path);
  if (!found.isDirectory()) return found.mtimeMs;
  return readdirSync(path, { withFileTypes: true }).reduce((latest, entry) => {
    const isSource = entry.isDirectory() || /\.(ts|json)$/.test(entry.name);
    return isSource ? Math.max(latest, newest(join(path, entry.name))) : latest;
  }, found.mtimeMs);
}

/** Runs a program from its bundle, in this very process: `entry` as a path from the root, `sources` the folders it is made of. */
export async function runBundled(name, entry, sources) {
  const bundle = join(root, 'node_modules', '.cache', 'even-spare', `${name}.cjs`);
  const written = existsSync(bundle) ? statSync(bundle).mtimeMs : 0;
  if ([...ALWAYS, ...sources].some((source) => newest(join(root, source)) > written)) {
    const { build } = await import('esbuild');
    mkdirSync(dirname(bundle), { recursive: true });
    // Under a name of its own first: another call may be reading the one that is there.
    const fresh = `${bundle}.${process.pid}`;
    await build({
      absWorkingDir: root,
      entryPoints: [entry],
      outfile: fresh,
      bundle: true,
      platform: 'node',
      format: 'cjs',
      target: 'node20',
      tsconfig: 'tsconfig.json',
      external: EXTERNAL,
      logLevel: 'error',
    });
    renameSync(fresh, bundle);
  }
  await import(pathToFileURL(bundle).href);
}
