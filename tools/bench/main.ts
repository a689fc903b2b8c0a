import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

import { startKernel } from '@core/shaping/kernel';
import { readRepairFile, type Repair } from '@core/record/model';

import { apiFigures } from './api';
import type { Figure } from './figure';
import { firstScreenFigures } from './firstScreen';
import { frameFigures } from './frames';
import { inHandFigures } from './inHand';
import { largeJobFigures } from './largeJobs';
import { layoutFigures } from './layouts';
import { outlineFigures } from './outlines';
import { learningFigures } from './learning';
import { sizeFigures } from './sizes';
import { manyRepairsFigures } from './manyRepairs';
import { realPartFigures } from './realParts';
import { shapeFigures } from './shapes';
import { slicingFigures } from './slicing';
import { thinWallFigures } from './thinWalls';
import { threadFigures } from './threads';
import { solidFigures } from './solids';

/**
 * Ratios measured in one run, of all groups or of those that are named; `--json` for machines. Never part of the
 * tests: times depend on the machine.
 */
async function main(): Promise<void> {
  const demos = demoRepairs();
  const wheel = demos.get('rack-wheel')!;
  const groups: Readonly<Record<string, () => Figure[] | Promise<Figure[]>>> = {
    sizes: sizeFigures,
    layouts: layoutFigures,
    outlines: outlineFigures,
    learning: learningFigures,
    solids: () => solidFigures(demos),
    shapes: shapeFigures,
    realParts: realPartFigures,
    thinWalls: thinWallFigures,
    slicing: async () => slicingFigures(await startKernel()),
    threads: async () => threadFigures(await startKernel()),
    api: () => apiFigures(wheel),
    largeJobs: () => largeJobFigures(wheel),
    manyRepairs: () => manyRepairsFigures(wheel),
    firstScreen: firstScreenFigures,
    frames: frameFigures,
    inHand: () => inHandFigures(wheel),
  };
  const asked = process.argv.slice(2).filter((word) => !word.startsWith('--'));
  const unknown = asked.filter((name) => !(name in groups));
  if (unknown.length > 0) {
    console.error(`No such figures: ${unknown.join(', ')}. There are ${Object.keys(groups).join(', ')}.`);
    process.exit(1);
  }
  const figures: Figure[] = [];
  for (const [name, measure] of Object.entries(groups))
    if (asked.length === 0 || asked.includes(name)) figures.push(...(await measure()));
  console.log(process.argv.includes('--json') ? JSON.stringify(figures) : tableOf(figures));
  process.exit(0);
}

/** The repairs of the demo, by the names of their files. */
function demoRepairs(): Map<string, Repair> {
  const folder = join(__dirname, '..', '..', 'demo', 'repairs');
  return new Map(
    readdirSync(folder).map((name) => {
      const file = readRepairFile(readFileSync(join(folder, name), 'utf8'));
      if (!file.ok) throw new Error(file.fault.code);
      return [name.replace('.json', ''), file.value.repair];
    }),
  );
}

function tableOf(figures: readonly Figure[]): string {
  const number = (value: number) => value.toPrecision(4);
  const rows = figures.map(({ name, value, baseline, unit, ratio, goal, met }) => [
    name,
    `${number(value)} ${unit}`,
    `${number(baseline)} ${unit}`,
    ratio.toFixed(3),
    goal,
    met ? 'met' : 'missed',
  ]);
  const all = [['figure', 'value', 'baseline', 'ratio', 'goal', ''], ...rows];
  const widths = all[0]!.map((_, column) => Math.max(...all.map((row) => row[column]!.length)));
  return all.map((row) => row.map((cell, column) => cell.padEnd(widths[column]!)).join('  ')).join('\n');
}

void main();
