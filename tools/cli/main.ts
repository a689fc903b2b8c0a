import { readFileSync } from 'node:fs';
import { basename } from 'node:path';
import { parseArgs } from 'node:util';
import { isMainThread } from 'node:worker_threads';

import { readRepairFile, type Repair, type RepairFileContent, type Workshop } from '@core/record/model';
import { readMachinesFile, WORLD_NAMES } from '@core/fitting/rehearsal';
import { programFaultOf, programFaultReport, sentenceOf } from '@core/reporting/wording';
import {
  DEFAULT_WORKSHOP,
  LAYER_SETS,
  layerPrinterIn,
  layerSetsIn,
  resinPrinterIn,
  withUsualRows,
} from '@core/record/workshop';

import type { StepAt, Telling } from './build';
import { drawingFileLine } from './drawingFile';
import { learn, learnWorlds } from './learn';
import { outlines } from './outline';
import { sizes } from './sizes';
import type { SliceWish } from './slice';
import { watched, work, type Task } from './watched';

const USUAL_LIMIT_SECONDS = 120;

const USAGE = `Even Spare on the command line

  build FILE.json --out DIR   build every body; write STL, 3MF and STEP of each spare; one JSON line per body
  outline FILE.json --out DIR solve every drawn outline; write each as SVG and DXF at true size; one JSON line per outline
  outline FILE.dxf|FILE.svg   what the drawing holds: curves, layers, unit, area, and what is not taken; one JSON line
  sizes FILE.json             working sizes with their trails, as JSON
  slice FILE.json --out DIR   slice every spare as the repair holds it; write its G-code, or a ZIP of pictures for
                              resin; one JSON line per spare
  learn MACHINES.json         rehearse first prints on printers with hidden habits: how many fit before and after trials,
                              beside those of one who knows each printer; one JSON line per printer, one for all;
                              the file holds machines or a population, or names a world instead:
                              ${WORLD_NAMES.join(', ')}, or all of them: worlds
  starters --out DIR          as build, of every starter at its usual numbers

  --machine NAME              on this machine, instead of the repair’s
  --settings NAME             with these settings, instead of the repair’s: ${LAYER_SETS.map(({ id }) => id).join(', ')}, or one of the file’s workshop
  --best                      on the face that suits best, instead of the repair’s
  --repairs COUNT, --seed N   of a rehearsal: repairs for each printer (200), and what is drawn (1)
  --machines COUNT            printers of a world (30)
  --limit SECONDS             end when a step takes longer than this (${USUAL_LIMIT_SECONDS} without it)
  --progress                  say which step is being built, on standard error; always so in a terminal

Ends with 0 when all went well, 1 when a body could not be built or a step took too long, 2 when the call or the
file is wrong, 130 when it was stopped.`;

/** Says what is wrong and ends with 2. */
function refuse(sentence: string): never {
  console.error(sentence);
  process.exit(2);
}

function textOf(path: string): string {
  try {
    return readFileSync(path, 'utf8');
  } catch {
    return refuse(`${path} can’t be read. Check the name and try again.`);
  }
}

function readFile(path: string): RepairFileContent {
  const file = readRepairFile(textOf(path));
  return file.ok ? file.value : refuse(`${path}: ${sentenceOf(file.fault)}`);
}

/**
 * A repair with the workshop that every command goes by: what the file does not bring along is as in a new workshop, and a machine that it names and does not
 * hold is told.
 */
function contentOf(path: string): RepairFileContent & { workshop: Workshop } {
  const file = readFile(path);
  const workshop = withUsualRows(file.workshop ?? DEFAULT_WORKSHOP);
  const { machineId } = file.repair.head;
  if (file.workshop && !file.workshop.machines.some(({ id }) => id === machineId)) {
    const usual = workshop.machines.find(({ id }) => id === machineId);
    console.error(
      `${path} names the machine “${machineId}” and does not hold it: ${usual ? `the usual “${usual.name}” is taken` : 'nothing is corrected for a machine'}.`,
    );
  }
  return { ...file, workshop };
}

function parseCall() {
  try {
    return parseArgs({
      options: {
        out: { type: 'string' },
        limit: { type: 'string' },
        progress: { type: 'boolean' },
        machine: { type: 'string' },
        settings: { type: 'string' },
        best: { type: 'boolean' },
        repairs: { type: 'string' },
        seed: { type: 'string' },
        machines: { type: 'string' },
      },
      allowPositionals: true,
    });
  } catch {
    return refuse(USAGE);
  }
}

const stepWords = (at: StepAt | null) =>
  at ? `step ${at.place} of ${at.of} of ${at.body}` : 'the very beginning';

/** Which step is being built: one line that is written over in a terminal, elsewhere a line each. */
function progressOn(wanted: boolean): Pick<Telling, 'step'> & { clear(): void } {
  const inTerminal = process.stderr.isTTY === true;
  if (!inTerminal && !wanted) return { step: () => {}, clear: () => {} };
  const clear = () => void (inTerminal && process.stderr.write('\r\u001B[K'));
  return {
    clear,
    step: (at) => {
      clear();
      process.stderr.write(`Building ${stepWords(at)}${inTerminal ? '' : '\n'}`);
    },
  };
}

async function run(task: Task, limitSeconds: number, wantsProgress: boolean): Promise<never> {
  const progress = progressOn(wantsProgress);
  const above = (write: (text: string) => void) => (text: string) => {
    progress.clear();
    write(text);
  };
  const end = await watched(
    task,
    limitSeconds * 1000,
    { print: above(console.log), tell: above(console.error), step: progress.step },
    (stop) => process.once('SIGINT', stop).once('SIGTERM', stop),
  );
  progress.clear();
  if (end.how === 'done') process.exit(end.well ? 0 : 1);
  if (end.how === 'stopped') {
    console.error(`Stopped at ${stepWords(end.at)}. The files of bodies before it are whole.`);
    process.exit(130);
  }
  console.error(
    `Ended at ${stepWords(end.at)}: it took longer than ${limitSeconds} s. Make it simpler, or allow more with --limit.`,
  );
  process.exit(1);
}

async function main(): Promise<void> {
  const { positionals, values } = parseCall();
  const [command, path, ...rest] = positionals;
  const limit = values.limit === undefined ? USUAL_LIMIT_SECONDS : Number(values.limit);
  if (!(limit > 0 && limit <= 86_400))
    refuse('Say the limit in seconds, above 0 and up to 86400: --limit 60');
  const progress = values.progress ?? false;
  if (command === 'starters') {
    if (!values.out || path) refuse('Say where the files should go: starters --out DIR');
    return run({ content: null, outFolder: values.out }, limit, progress);
  }
  if (!path || rest.length > 0) refuse(USAGE);
  if (command === 'sizes') {
    console.log(JSON.stringify(sizes(contentOf(path)), null, 2));
  } else if (command === 'outline') {
    if (/\.(dxf|svg)$/i.test(path)) {
      const { well, line } = drawingFileLine(basename(path), textOf(path));
      console.log(line);
      process.exit(well ? 0 : 1);
    }
    if (!values.out) refuse(`Say where the files should go: outline ${path} --out DIR`);
    const tell = { print: console.log, tell: console.error };
    process.exit((await outlines(contentOf(path), values.out, tell)) ? 0 : 1);
  } else if (command === 'build') {
    if (!values.out) refuse(`Say where the files should go: build ${path} --out DIR`);
    return run({ content: contentOf(path), outFolder: values.out }, limit, progress);
  } else if (command === 'slice') {
    if (!values.out) refuse(`Say where the files should go: slice ${path} --out DIR`);
    const content = contentOf(path);
    const layers = sliceWish(content, values);
    return run({ content, outFolder: values.out, layers }, limit, progress);
  } else if (command === 'learn') {
    runRehearsal(path, values, progress);
  } else {
    refuse(USAGE);
  }
}

function runRehearsal(
  path: string,
  values: { repairs?: string; seed?: string; machines?: string },
  wantsProgress: boolean,
): void {
  const [repairs, seed, count] = [
    Number(values.repairs ?? 200),
    Number(values.seed ?? 1),
    Number(values.machines ?? 30),
  ];
  if (!(Number.isInteger(repairs) && repairs >= 1 && repairs <= 10_000))
    refuse('Say how many repairs, from 1 to 10000: --repairs 200');
  if (!Number.isSafeInteger(seed)) refuse('Say the seed as a whole number: --seed 1');
  if (!(Number.isInteger(count) && count >= 1 && count <= 5000))
    refuse('Say how many machines of a world, from 1 to 5000: --machines 30');
  const tell = (name: string) => {
    if (wantsProgress || process.stderr.isTTY) console.error(`Rehearsing ${name}`);
  };
  const wanted = WORLD_NAMES.filter((name) => path === 'worlds' || name === path);
  if (wanted.length > 0) return learnWorlds(wanted, { machines: count, repairs, seed }, console.log, tell);
  const machines = readMachinesFile(textOf(path), seed);
  if (!machines.ok) return refuse(`${path}: ${sentenceOf(machines.fault)}`);
  learn(machines.value, repairs, seed, console.log, tell);
}

/** The printer and the settings that a call names. */
function sliceWish(
  { repair, workshop }: { repair: Repair; workshop: Workshop },
  values: { machine?: string; settings?: string; best?: boolean },
): SliceWish {
  const wanted = values.machine?.toLowerCase() ?? repair.head.machineId;
  const machine = workshop.machines.find(({ id, name }) => id === wanted || name.toLowerCase() === wanted);
  if (!machine) {
    const names = [
      ...new Set(
        workshop.machines
          .filter(({ id }) => layerPrinterIn(workshop, id) ?? resinPrinterIn(workshop, id))
          .map(({ name }) => name),
      ),
    ];
    return refuse(`There is no machine "${values.machine}" here. There are: ${names.join(', ')}.`);
  }
  const sets = [...layerSetsIn(workshop), ...(workshop.resinSets ?? [])];
  const named = values.settings?.toLowerCase();
  const set = sets.find(({ id, name }) => id === named || name.toLowerCase() === named);
  if (named !== undefined && !set) {
    return refuse(
      `There are no settings "${values.settings}". There are: ${sets.map(({ name }) => name.toLowerCase()).join(', ')}.`,
    );
  }
  return { machineId: machine.id, setId: set?.id ?? null, bestWay: values.best ?? false };
}

/** Nobody's input: told with what helps to mend it. */
function tellFault(thrown: unknown): never {
  const fault = programFaultOf(thrown, 'the command line', new Date().toISOString());
  console.error(programFaultReport(fault, { Node: process.version }));
  process.exit(1);
}

// What goes wrong in the thread is told to the one that started it.
if (isMainThread) main().catch(tellFault);
else void work();
