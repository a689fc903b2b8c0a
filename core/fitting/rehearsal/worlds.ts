import { drawPopulation, type Population } from './population';
import type { RealMachine } from './realMachine';

/**
 * Printers as they are found: evenly spread, not as the learner believes, from such that print true to such whose holes are 0.3 too small, with belts
 * off by two thousandths either way, and scatter from a hundredth to a twentieth.
 */
const PRINTERS: Omit<Population, 'count'> = {
  offsetMm: { inside: [-0.3, 0.02], outside: [-0.04, 0.14], height: [-0.06, 0.06], spacing: [-0.03, 0.03] },
  scale: [-0.002, 0.002],
  scaleUp: [-0.0015, 0.0015],
  scatterMm: [0.012, 0.05],
};

const either = (most: number): [number, number] => [-most, most];

/** Worlds in which printers differ in one more way each. Most of them are no form that the learner has. */
export const WORLDS = {
  linear: {},
  'small-holes': { smallHolesMm2: [0.2, 0.6] },
  anisotropic: { across: either(0.003) },
  'make-effect': { makeMm: [0.025, 0.035] },
  drift: { driftMm: either(0.015) },
  'heavy-tail': { tail: 3 },
  slots: { fits: { slot: either(0.07), tab: either(0.05), recess: either(0.03) } },
  shrinkers: { scale: [-0.012, -0.004], scaleUp: [-0.008, -0.002] },
} satisfies Record<string, Partial<Population>>;
export type World = keyof typeof WORLDS;
export const WORLD_NAMES = Object.keys(WORLDS) as World[];

/** Printers of a world, drawn with a seed. */
export const machinesOfWorld = (world: World, count: number, seed: number): RealMachine[] =>
  drawPopulation({ ...PRINTERS, ...WORLDS[world], count }, seed).map((machine, index) => ({
    ...machine,
    name: `${world} ${index + 1}`,
  }));
