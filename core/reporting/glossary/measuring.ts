import { around, bell, circle, line, loop, rect, rows, size } from './pens';
import type { Term } from './term';

const AXIS = line([14, 56], [106, 56]);
const dots = (...xs: number[]): string => xs.map((x) => circle(x, 44, 2.5)).join('');

/** Words of measuring and of fits. */
export const MEASURING = {
  reading: {
    word: 'reading',
    says: 'One look at the instrument; several at different places tell how sure a size is.',
    code: '`Reading`',
    drawing: {
      solid: rect(44, 34, 32, 28),
      ink: line([20, 24], [104, 24]) + line([44, 24], [44, 60]) + line([76, 24], [76, 60]),
      accent: size([44, 14], [76, 14]),
    },
  },
  doubt: {
    word: 'doubt',
    says: 'How far a size may be off, from the instrument, the hand and the piece (uncertainty after the GUM, about 95 %).',
    code: '`uncertainty`',
    drawing: {
      ink: AXIS,
      accent: bell(60, 56, 40, 36),
      thin: line([40, 56], [40, 20]) + line([80, 56], [80, 20]),
    },
  },
  outlier: {
    word: 'outlier',
    says: 'A reading or a print that is too far from the others to be one of them.',
    code: '`doubtful`',
    drawing: { ink: AXIS + dots(30, 37, 42, 48), accent: circle(92, 44, 2.5) + circle(92, 44, 7) },
  },
  repeatability: {
    word: 'repeatability',
    says: 'How much readings of one place differ when the same hand takes them again.',
    code: '`scatterMm` of an instrument',
    drawing: { ink: AXIS + dots(50, 56, 60, 64, 71), accent: size([50, 30], [71, 30]) },
  },
  permissibleError: {
    word: 'permissible error',
    says: 'How far an instrument may be off by its standard and still be good.',
    code: '`permissibleError`',
    drawing: {
      ink: AXIS + [24, 36, 48, 60, 72, 84, 96].map((x) => line([x, 56], [x, 48])).join(''),
      accent: rect(52, 26, 16, 18),
    },
  },
  standardDeviation: {
    word: 'standard deviation',
    says: 'The usual distance from the mean: two of three values are nearer.',
    code: 'names that end in `scatter`',
    drawing: { ink: AXIS + bell(60, 56, 42, 38), accent: size([46, 36], [74, 36]) },
  },
  acrossFlats: {
    word: 'across flats',
    says: 'From one flat side to the one opposite: the size of the spanner.',
    code: '`by: "flats"`',
    drawing: { solid: loop(...around(60, 36, 26, 6, 0)), accent: size([60, 14], [60, 58]) },
  },
  acrossCorners: {
    word: 'across corners',
    says: 'From one corner to the one opposite: the circle that the piece needs to turn.',
    code: '`by: "corners"`',
    drawing: { solid: loop(...around(60, 36, 26, 6, 0)), accent: size([34, 36], [86, 36]) },
  },
  fit: {
    word: 'fit',
    says: 'How freely two parts go together.',
    code: '`Fit`, `FitClass`',
    drawing: { solid: 'M20 12H100V60H20ZM44 12V60H76V12Z', accent: rect(48, 4, 24, 50) },
  },
  clearance: {
    word: 'clearance',
    says: 'How much smaller a peg is than its hole; below zero it is an interference.',
    code: '`allowance`',
    drawing: {
      solid: 'M16 14H104V58H16ZM40 14V58H80V14Z',
      ink: rect(48, 8, 24, 56),
      accent: size([40, 36], [48, 36]) + size([72, 36], [80, 36]),
    },
  },
  interference: {
    word: 'interference',
    says: 'How much larger a peg is than its hole: it has to be pressed in.',
    code: 'an `allowance` below zero',
    drawing: {
      solid: 'M16 20H104V60H16ZM44 20V60H76V20Z',
      ink: rect(40, 4, 40, 40),
      accent: rect(40, 20, 4, 24) + rect(76, 20, 4, 24),
    },
  },
  matingPart: {
    word: 'mating part',
    says: 'What the spare must fit: the axle, the hole, the rail.',
    code: '`Size.of: "counterpart"`, `Body.role`',
    drawing: { solid: 'M60 10H104V62H60V46H84V26H60Z', accent: rect(14, 27, 68, 18) },
  },
  workingSize: {
    word: 'working size',
    says: 'What is modelled: the measured size with its clearance and the correction of the machine.',
    code: '`Trail.working`',
    drawing: { solid: rect(20, 40, 56, 12), ink: rows(20, 60, 84, 1, 1), accent: rect(76, 40, 18, 12) },
  },
  targetBand: {
    word: 'target band',
    says: 'The clearances that are as you want them.',
    code: '`wished`',
    drawing: { ink: AXIS + bell(66, 56, 30, 34), accent: rect(44, 58, 34, 8) },
  },
  tolerance: {
    word: 'tolerance',
    says: 'The limits that a size must keep.',
    code: '`limits`',
    drawing: {
      solid: rect(20, 28, 60, 28),
      thin: line([88, 20], [88, 64]) + line([72, 20], [72, 64]),
      accent: size([72, 14], [88, 14]),
    },
  },
  gearModule: {
    word: 'module',
    says: 'The size of a gear’s teeth: the pitch diameter over the number of teeth.',
    code: '`module`',
    drawing: {
      thin: circle(60, 74, 46),
      ink: loop([34, 44], [40, 20], [52, 20], [58, 44]) + loop([64, 44], [70, 20], [82, 20], [88, 44]),
      accent: size([46, 12], [76, 12]),
    },
  },
  pressureAngle: {
    word: 'pressure angle',
    says: 'How much the side of a gear’s tooth leans, 20° on most gears.',
    code: '`pressureAngle`',
    drawing: {
      solid: loop([32, 62], [48, 14], [72, 14], [88, 62]),
      thin: line([60, 8], [60, 68]),
      accent: line([86, 62], [72, 20]),
    },
  },
  profileShift: {
    word: 'profile shift',
    says: 'Teeth cut further out or in than usual, to be stronger or to fit another distance.',
    code: '`shift`',
    drawing: {
      solid: loop([36, 62], [48, 20], [72, 20], [84, 62]),
      thin: loop([36, 70], [48, 28], [72, 28], [84, 70]),
      accent: size([98, 20], [98, 28]),
    },
  },
  backlash: {
    word: 'backlash',
    says: 'The gap between the teeth of two gears.',
    code: '`backlash`',
    drawing: {
      solid: loop([20, 62], [30, 20], [46, 20], [56, 62]) + loop([72, 62], [82, 20], [98, 20], [108, 62]),
      ink: loop([48, 8], [54, 50], [64, 50], [70, 8]),
      accent: size([70, 28], [80, 28]),
    },
  },
  safetyFactor: {
    word: 'safety factor',
    says: 'How many times more a part holds than it is loaded with.',
    code: '`safety`',
    drawing: { ink: AXIS, solid: rect(30, 40, 18, 16), accent: rect(70, 8, 18, 48) },
  },
  allowableStress: {
    word: 'allowable stress',
    says: 'How hard a material may be loaded: its yield stress over the safety factor.',
    code: '`allowableOf`',
    drawing: {
      ink: line([20, 8], [20, 62], [106, 62]) + 'M20 62L54 22Q66 12 100 16',
      accent: line([20, 42], [100, 42]),
    },
  },
  yieldStress: {
    word: 'yield stress',
    says: 'The stress from which on a material stays bent.',
    code: '`yieldMpa`',
    drawing: {
      ink: line([20, 8], [20, 62], [106, 62]) + 'M20 62L54 22Q66 12 100 16',
      accent: circle(56, 20, 4) + line([20, 20], [52, 20]),
    },
  },
  stiffness: {
    word: 'stiffness',
    says: 'How much a material resists bending (modulus of elasticity).',
    code: '`modulusMpa`',
    drawing: {
      solid: rect(10, 22, 10, 32),
      ink: 'M20 34Q70 36 104 56',
      thin: line([20, 34], [104, 34]),
      accent: size([104, 34], [104, 56]),
    },
  },
  strain: {
    word: 'strain',
    says: 'How much longer something becomes where it is bent or pulled, as a share.',
    code: '`strain`',
    drawing: { solid: rect(16, 26, 60, 20), thin: rect(76, 26, 18, 20), accent: size([76, 56], [94, 56]) },
  },
} satisfies Record<string, Term>;
