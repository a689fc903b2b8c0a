import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';

import { readRepairFile, type RepairFileContent } from '@core/model';
import { sentenceOf } from '@core/wording';

import { build, buildStarters } from './build';
import { sizes } from './sizes';

const USAGE = `Even Spare on the command line

  build FILE.json --out DIR   build every body; write STL, 3MF and STEP of each spare; one JSON line per body
  sizes FILE.json             working sizes with their trails, as JSON
  starters --out DIR          as build, of every starter at its usual numbers

Ends with 0 when all went well, 1 when a body could not be built, 2 when the call or the file is wrong.`;

/** Says what is wrong and ends with 2. */
function refuse(sentence: string): never {
  console.error(sentence);
  process.exit(2);
}

function readFile(path: string): RepairFileContent {
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch {
    return refuse(`${path} can’t be read. Check the name and try again.`);
  }
  const file = readRepairFile(text);
  return file.ok ? file.value : refuse(`${path}: ${sentenceOf(file.fault)}`);
}

function parseCall() {
  try {
    return parseArgs({ options: { out: { type: 'string' } }, allowPositionals: true });
  } catch {
    return refuse(USAGE);
  }
}

async function main(): Promise<void> {
  const { positionals, values } = parseCall();
  const [command, path, ...rest] = positionals;
  if (command === 'starters') {
    if (!values.out || path) refuse('Say where the files should go: starters --out DIR');
    const well = await buildStarters(values.out, (line) => console.log(line));
    process.exit(well ? 0 : 1);
  }
  if (!path || rest.length > 0) refuse(USAGE);
  if (command === 'sizes') {
    console.log(JSON.stringify(sizes(readFile(path)), null, 2));
  } else if (command === 'build') {
    if (!values.out) refuse(`Say where the files should go: build ${path} --out DIR`);
    const well = await build(readFile(path), values.out, (line) => console.log(line));
    process.exit(well ? 0 : 1);
  } else {
    refuse(USAGE);
  }
}

void main();
