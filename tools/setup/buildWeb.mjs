// Exports the screens and packs what is large, so that the server only has to hand files out.
import { createHash } from 'node:crypto';
import {
  copyFileSync,
  createReadStream,
  createWriteStream,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { constants, createBrotliCompress, createGzip } from 'node:zlib';

import { root, runTool, say } from './install.mjs';

const SOURCES = [
  'app',
  'core',
  'ui',
  'public/index.html',
  'public/favicon.svg',
  'app.json',
  'babel.config.js',
  'metro.config.js',
  'tailwind.config.js',
  'package-lock.json',
];
const dist = join(root, 'dist');
const stamp = join(dist, '.sources');

/** Builds dist/ unless it is there already, from these very sources. */
export async function buildWeb() {
  const sources = hashOf(SOURCES.map((name) => join(root, name)));
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === sources) return;
  copyKernel();
  say('Building the screens (a minute or two)');
  rmSync(dist, { recursive: true, force: true });
  runTool('expo', ['export', '--platform', 'web', '--output-dir', 'dist'], {
    EXPO_NO_TELEMETRY: '1',
    EXPO_OFFLINE: '1',
    CI: '1',
  });
  askForFonts();
  say('Packing files');
  await packFolder(dist);
  writeFileSync(stamp, sources);
}

/** The geometry kernel, and the font of letters on parts, are handed out as they are, under names that have their versions. */
function copyKernel() {
  const kernelPackage = join(root, 'node_modules', 'replicad-opencascadejs');
  const { version } = JSON.parse(readFileSync(join(kernelPackage, 'package.json'), 'utf8'));
  const folder = join(root, 'public', 'kernel');
  mkdirSync(folder, { recursive: true });
  copyFileSync(join(kernelPackage, 'dist', 'replicad_single.wasm'), join(folder, `kernel-${version}.wasm`));
  const fontPackage = join(root, 'node_modules', '@expo-google-fonts', 'barlow');
  const font = JSON.parse(readFileSync(join(fontPackage, 'package.json'), 'utf8')).version;
  copyFileSync(
    join(fontPackage, '600SemiBold', 'Barlow_600SemiBold.ttf'),
    join(folder, `letters-${font}.ttf`),
  );
}

/** The start page asks for the fonts at once, and not only when its script has been read and run. */
function askForFonts() {
  const fonts = readdirSync(join(dist, 'assets'), { recursive: true })
    .map((path) => path.replaceAll('\\', '/'))
    .filter((path) => /Barlow[^/]*\.ttf$/.test(path));
  const links = fonts.map(
    (path) => `<link rel="preload" href="/assets/${path}" as="font" type="font/ttf" crossorigin>`,
  );
  const page = join(dist, 'index.html');
  writeFileSync(page, readFileSync(page, 'utf8').replace('</head>', `${links.join('\n')}</head>`));
}

function hashOf(paths) {
  const hash = createHash('sha256');
  for (const path of paths) {
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort()) {
        if (!/\.test\.tsx?$/.test(name)) hash.update(hashOf([join(path, name)]));
      }
    } else {
      hash.update(path.slice(root.length)).update(readFileSync(path));
    }
  }
  return hash.digest('hex');
}

async function packFolder(folder) {
  for (const name of readdirSync(folder)) {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) await packFolder(path);
    else if (/\.(js|css|wasm|ttf|html|json)$/.test(name) && statSync(path).size > 1024) await pack(path);
  }
}

async function pack(path) {
  // The kernel's 23 MB take a minute at Brotli's best and a few seconds at 6, for 8 % more.
  const quality = path.endsWith('.wasm') ? 6 : 9;
  const brotli = createBrotliCompress({
    params: {
      [constants.BROTLI_PARAM_QUALITY]: quality,
      [constants.BROTLI_PARAM_SIZE_HINT]: statSync(path).size,
    },
  });
  await Promise.all([
    pipeline(createReadStream(path), brotli, createWriteStream(`${path}.br`)),
    pipeline(createReadStream(path), createGzip({ level: 7 }), createWriteStream(`${path}.gz`)),
  ]);
}
