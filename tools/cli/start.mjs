/**
 * Starts the command line from one bundled file: loading a thousand modules one by one takes seconds before anything is built. The
 * bundle is made anew whenever a source is newer than it.
 */
import { existsSync, mkdirSync, readdirSync, renameSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..');
const bundle = join(root, 'node_modules', '.cache', 'even-spare', 'cli.cjs');
const SOURCES = ['core', 'tools', 'package-lock.json', 'tsconfig.json'];

/** When the newest of the sources was written. */
function newest(path) {
  const { mtimeMs } = statSync(path);
  if (!statSync(path).isDirectory()) return mtimeMs;
  return readdirSync(path, { withFileTypes: true }).reduce((latest, entry) => {
    const isSource = entry.isDirectory() || /\.(ts|json)$/.test(entry.name);
    return isSource ? Math.max(latest, newest(join(path, entry.name))) : latest;
  }, mtimeMs);
}

const written = existsSync(bundle) ? statSync(bundle).mtimeMs : 0;
if (SOURCES.some((source) => newest(join(root, source)) > written)) {
  const { build } = await import('esbuild');
  mkdirSync(dirname(bundle), { recursive: true });
  // Under a name of its own first: another call may be reading the one that is there.
  const fresh = `${bundle}.${process.pid}`;
  await build({
    absWorkingDir: root,
    entryPoints: ['tools/cli/main.ts'],
    outfile: fresh,
    bundle: true,
    platform: 'node',
    format: 'cjs',
    target: 'node20',
    tsconfig: 'tsconfig.json',
    // They read files that lie beside them.
    external: ['replicad-opencascadejs'],
    logLevel: 'error',
  });
  renameSync(fresh, bundle);
}
await import(bundle);
