type Point = readonly [number, number];

/** A piece of a figure. Coordinates in a frame of 320 by 170, y down. */
export type Stroke =
  /** Ink; closed ones are filled as the piece, `thin` are construction lines. */
  | { path: string; style?: 'piece' | 'hole' | 'thin' | 'line' }
  | { circle: readonly [x: number, y: number, r: number]; style?: 'piece' | 'hole' | 'thin' };

/** Where an input or a result is drawn: its label, and the line with arrows that it is the length of. */
export interface FigureMark {
  at: Point;
  span?: readonly [Point, Point];
}

export interface Figure {
  strokes: readonly Stroke[];
  inputs: Readonly<Record<string, FigureMark>>;
  results: Readonly<Record<string, FigureMark>>;
}

const bar = 'M20 40 L300 40 L300 130 L20 130 Z';
const hole = (x: number, y: number, r: number): Stroke => ({ circle: [x, y, r], style: 'hole' });
const dot = (x: number, y: number): Stroke => ({ circle: [x, y, 3], style: 'hole' });

/** A polygon with so many sides, a flat at the bottom. */
function polygon(sides: number, x: number, y: number, radius: number): string {
  const corners = Array.from({ length: sides }, (_, index) => {
    const angle = Math.PI / 2 + Math.PI / sides + (index * 2 * Math.PI) / sides;
    return `${(x + radius * Math.cos(angle)).toFixed(1)} ${(y + radius * Math.sin(angle)).toFixed(1)}`;
  });
  return `M${corners.join(' L')} Z`;
}

/** A spur gear's outline, roughly; for recognising, not for making. */
function teeth(count: number, x: number, y: number, root: number, tip: number): string {
  const points = Array.from({ length: count }, (_, index) => {
    const at = (share: number, radius: number) => {
      const angle = ((index + share) / count) * 2 * Math.PI;
      return `${(x + radius * Math.cos(angle)).toFixed(1)} ${(y + radius * Math.sin(angle)).toFixed(1)}`;
    };
    return [at(0.02, root), at(0.2, tip), at(0.42, tip), at(0.6, root)].join(' L');
  });
  return `M${points.join(' L')} Z`;
}

const twoHoles: readonly Stroke[] = [{ path: bar, style: 'piece' }, hole(90, 85, 24), hole(230, 85, 24)];
const flatsFigure: Figure = {
  strokes: [
    { path: polygon(6, 160, 85, 58), style: 'piece' },
    { circle: [160, 85, 58], style: 'thin' },
  ],
  inputs: {
    flats: {
      at: [60, 85],
      span: [
        [98, 35],
        [98, 135],
      ],
    },
    corners: {
      at: [160, 158],
      span: [
        [102, 146],
        [218, 146],
      ],
    },
    sides: { at: [272, 40] },
  },
  results: {},
};

/** The drawings of the constructions, by their id. */
export const FIGURES: Readonly<Record<string, Figure>> = {
  'centres-from-both-edges': {
    strokes: twoHoles,
    inputs: {
      far: {
        at: [160, 22],
        span: [
          [66, 22],
          [254, 22],
        ],
      },
      near: {
        at: [160, 68],
        span: [
          [114, 68],
          [206, 68],
        ],
      },
    },
    results: {
      result: {
        at: [160, 148],
        span: [
          [90, 148],
          [230, 148],
        ],
      },
    },
  },
  'centres-from-near-edges': {
    strokes: twoHoles,
    inputs: {
      near: {
        at: [160, 68],
        span: [
          [114, 68],
          [206, 68],
        ],
      },
      first: {
        at: [66, 22],
        span: [
          [66, 38],
          [114, 38],
        ],
      },
      second: {
        at: [254, 22],
        span: [
          [206, 38],
          [254, 38],
        ],
      },
    },
    results: {
      result: {
        at: [160, 148],
        span: [
          [90, 148],
          [230, 148],
        ],
      },
    },
  },
  'centres-from-far-edges': {
    strokes: twoHoles,
    inputs: {
      far: {
        at: [160, 22],
        span: [
          [66, 22],
          [254, 22],
        ],
      },
      first: {
        at: [90, 110],
        span: [
          [66, 85],
          [114, 85],
        ],
      },
      second: {
        at: [230, 110],
        span: [
          [206, 85],
          [254, 85],
        ],
      },
    },
    results: {
      result: {
        at: [160, 150],
        span: [
          [90, 150],
          [230, 150],
        ],
      },
    },
  },
  'offset-from-edge': {
    strokes: [{ path: 'M60 20 L300 20 L300 150 L60 150 Z', style: 'piece' }, hole(190, 85, 32)],
    inputs: {
      gap: {
        at: [108, 68],
        span: [
          [60, 85],
          [158, 85],
        ],
      },
      hole: {
        at: [262, 40],
        span: [
          [158, 52],
          [222, 52],
        ],
      },
    },
    results: {
      result: {
        at: [125, 130],
        span: [
          [60, 130],
          [190, 130],
        ],
      },
    },
  },
  'radius-from-chord': {
    strokes: [
      { path: 'M50 130 A125 125 0 0 1 270 130', style: 'line' },
      { path: 'M50 130 L270 130', style: 'thin' },
      { path: 'M160 130 L160 62', style: 'thin' },
    ],
    inputs: {
      chord: {
        at: [110, 152],
        span: [
          [50, 146],
          [270, 146],
        ],
      },
      height: {
        at: [110, 100],
        span: [
          [160, 64],
          [160, 130],
        ],
      },
    },
    results: { result: { at: [252, 66] } },
  },
  'radius-from-three-points': {
    strokes: [
      { circle: [160, 88, 70], style: 'piece' },
      { path: 'M98 120 L182 22 L226 112 Z', style: 'thin' },
      dot(98, 120),
      dot(182, 22),
      dot(226, 112),
    ],
    inputs: {
      first: {
        at: [96, 56],
        span: [
          [98, 120],
          [182, 22],
        ],
      },
      second: {
        at: [246, 60],
        span: [
          [182, 22],
          [226, 112],
        ],
      },
      third: {
        at: [160, 134],
        span: [
          [226, 112],
          [98, 120],
        ],
      },
    },
    results: { result: { at: [286, 140] } },
  },
  'diameter-from-string': {
    strokes: [
      { circle: [120, 80, 56], style: 'piece' },
      { circle: [120, 80, 60], style: 'thin' },
      { path: 'M120 140 L300 140', style: 'line' },
    ],
    inputs: {
      string: {
        at: [246, 120],
        span: [
          [180, 140],
          [300, 140],
        ],
      },
      turns: { at: [262, 40] },
      thickness: { at: [120, 156] },
    },
    results: {
      result: {
        at: [120, 80],
        span: [
          [64, 80],
          [176, 80],
        ],
      },
    },
  },
  'bolt-circle': {
    strokes: [
      { circle: [160, 86, 78], style: 'piece' },
      { circle: [160, 86, 54], style: 'thin' },
      ...Array.from({ length: 5 }, (_, index) => {
        const angle = -Math.PI / 2 + (index * 2 * Math.PI) / 5;
        return hole(160 + 54 * Math.cos(angle), 86 + 54 * Math.sin(angle), 8);
      }),
    ],
    inputs: {
      next: {
        at: [232, 34],
        span: [
          [160, 32],
          [211, 69],
        ],
      },
      holes: { at: [40, 40] },
    },
    results: {
      result: {
        at: [160, 100],
        span: [
          [106, 86],
          [214, 86],
        ],
      },
    },
  },
  wall: {
    strokes: [{ circle: [160, 85, 72], style: 'piece' }, hole(160, 85, 46)],
    inputs: {
      outside: {
        at: [48, 150],
        span: [
          [88, 152],
          [232, 152],
        ],
      },
      inside: {
        at: [160, 85],
        span: [
          [114, 85],
          [206, 85],
        ],
      },
    },
    results: {
      result: {
        at: [276, 85],
        span: [
          [206, 70],
          [232, 70],
        ],
      },
    },
  },
  'flats-to-corners': {
    ...flatsFigure,
    inputs: { flats: flatsFigure.inputs.flats!, sides: flatsFigure.inputs.sides! },
    results: { result: flatsFigure.inputs.corners! },
  },
  'corners-to-flats': {
    ...flatsFigure,
    inputs: { corners: flatsFigure.inputs.corners!, sides: flatsFigure.inputs.sides! },
    results: { result: flatsFigure.inputs.flats! },
  },
  'pitch-over-many': {
    strokes: [
      {
        path: 'M20 60 L34 40 L48 60 L62 40 L76 60 L90 40 L104 60 L118 40 L132 60 L146 40 L160 60 L174 40 L188 60 L202 40 L216 60 L230 40 L244 60 L258 40 L272 60 L286 40 L300 60 L300 110 L20 110 Z',
        style: 'piece',
      },
    ],
    inputs: {
      over: {
        at: [146, 140],
        span: [
          [34, 124],
          [258, 124],
        ],
      },
      steps: { at: [270, 20] },
    },
    results: {
      result: {
        at: [62, 20],
        span: [
          [34, 32],
          [62, 32],
        ],
      },
    },
  },
  taper: {
    strokes: [
      { path: 'M60 24 L260 54 L260 116 L60 146 Z', style: 'piece' },
      { path: 'M30 85 L290 85', style: 'thin' },
    ],
    inputs: {
      wide: {
        at: [34, 60],
        span: [
          [46, 24],
          [46, 146],
        ],
      },
      narrow: {
        at: [288, 60],
        span: [
          [274, 54],
          [274, 116],
        ],
      },
      apart: {
        at: [160, 156],
        span: [
          [60, 154],
          [260, 154],
        ],
      },
    },
    results: { angle: { at: [160, 85] }, per100: { at: [160, 85] } },
  },
  'angle-from-two': {
    strokes: [{ path: 'M50 130 L260 130 L260 40 Z', style: 'piece' }],
    inputs: {
      along: {
        at: [155, 150],
        span: [
          [50, 146],
          [260, 146],
        ],
      },
      up: {
        at: [290, 85],
        span: [
          [272, 40],
          [272, 130],
        ],
      },
    },
    results: { result: { at: [118, 112] } },
  },
  'angle-from-three': {
    strokes: [
      { path: 'M60 30 L90 130 L280 130', style: 'line' },
      { path: 'M60 30 L280 130', style: 'thin' },
      dot(60, 30),
      dot(280, 130),
    ],
    inputs: {
      first: {
        at: [44, 86],
        span: [
          [60, 30],
          [90, 130],
        ],
      },
      second: {
        at: [186, 150],
        span: [
          [90, 130],
          [280, 130],
        ],
      },
      across: {
        at: [196, 66],
        span: [
          [60, 30],
          [280, 130],
        ],
      },
    },
    results: { result: { at: [124, 108] } },
  },
  'triangle-of-holes': {
    strokes: [
      { path: 'M70 130 L250 130 L190 36 Z', style: 'thin' },
      { path: 'M190 36 L190 130', style: 'thin' },
      hole(70, 130, 11),
      hole(250, 130, 11),
      hole(190, 36, 11),
    ],
    inputs: {
      base: {
        at: [216, 154],
        span: [
          [70, 148],
          [250, 148],
        ],
      },
      left: {
        at: [104, 72],
        span: [
          [70, 130],
          [190, 36],
        ],
      },
      right: {
        at: [256, 76],
        span: [
          [250, 130],
          [190, 36],
        ],
      },
    },
    results: { along: { at: [112, 118] }, up: { at: [168, 96] } },
  },
  'gear-from-spans': {
    strokes: [
      { path: teeth(16, 104, 86, 50, 66), style: 'piece' },
      { circle: [104, 86, 14], style: 'hole' },
      { path: teeth(10, 214, 86, 28, 44), style: 'thin' },
      { circle: [214, 86, 9], style: 'hole' },
    ],
    inputs: {
      teeth: { at: [34, 22] },
      tip: {
        at: [104, 160],
        span: [
          [38, 158],
          [170, 158],
        ],
      },
      k: { at: [104, 18] },
      span: {
        at: [180, 18],
        span: [
          [78, 34],
          [130, 34],
        ],
      },
      mate: { at: [276, 60] },
      centres: {
        at: [214, 148],
        span: [
          [104, 140],
          [214, 140],
        ],
      },
    },
    results: {
      module: { at: [286, 112] },
      pressureAngle: { at: [286, 112] },
      shift: { at: [286, 112] },
      unworn: { at: [264, 112] },
      mateShift: { at: [264, 112] },
    },
  },
  'gear-from-two-spans': {
    strokes: [
      { path: teeth(16, 150, 94, 48, 66), style: 'piece' },
      { circle: [150, 94, 14], style: 'hole' },
    ],
    inputs: {
      teeth: { at: [48, 60] },
      k: { at: [48, 108] },
      span: {
        at: [176, 22],
        span: [
          [124, 38],
          [176, 38],
        ],
      },
      next: {
        at: [160, 148],
        span: [
          [110, 150],
          [190, 150],
        ],
      },
    },
    results: {
      module: { at: [264, 94] },
      pressureAngle: { at: [264, 94] },
      shift: { at: [264, 94] },
      unworn: { at: [264, 94] },
    },
  },
};
