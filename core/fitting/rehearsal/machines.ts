import type { RealMachine } from './realMachine';

const machine = (
  name: string,
  scatterMm: number,
  [inside, outside, height, spacing]: [number, number, number, number],
  [along, up]: [number, number],
): RealMachine => ({
  name,
  scatterMm,
  habits: [
    { feature: 'inside', offsetMm: inside, scale: along },
    { feature: 'outside', offsetMm: outside, scale: along },
    { feature: 'height', offsetMm: height, scale: up },
    { feature: 'spacing', offsetMm: spacing, scale: along },
  ],
});

/** Six printers with habits of their own: a careful one, one that lays lines too wide, one whose plastic shrinks, a worn one, a fine one, one whose belts are long. */
export const PRACTICE_MACHINES: readonly RealMachine[] = [
  machine('Careful', 0.018, [-0.09, 0.01, 0.01, 0], [-0.0004, 0]),
  machine('Broad lines', 0.025, [-0.21, 0.09, 0.02, 0.01], [0.0003, 0.0005]),
  machine('Shrinks', 0.022, [-0.14, 0.02, -0.02, -0.01], [-0.0021, -0.0008]),
  machine('Worn', 0.045, [-0.17, 0.06, 0.04, 0.02], [0.0011, -0.0006]),
  machine('Fine', 0.012, [-0.06, 0, 0.005, 0.005], [0.0002, 0.0004]),
  machine('Long belts', 0.03, [-0.1, 0.04, -0.015, -0.01], [0.0016, 0.0002]),
];
