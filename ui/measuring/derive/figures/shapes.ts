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

export const bar = 'M20 40 L300 40 L300 130 L20 130 Z';

export const hole = (x: number, y: number, r: number): Stroke => ({ circle: [x, y, r], style: 'hole' });

export const dot = (x: number, y: number): Stroke => ({ circle: [x, y, 3], style: 'hole' });

/** A polygon with so many sides, a flat at the bottom. */
export function polygon(sides: number, x: number, y: number, radius: number): string {
  const corners = Array.from({ length: sides }, (_, index) => {
    const angle = Math.PI / 2 + Math.PI / sides + (index * 2 * Math.PI) / sides;
    return `${(x + radius * Math.cos(angle)).toFixed(1)} ${(y + radius * Math.sin(angle)).toFixed(1)}`;
  });
  return `M${corners.join(' L')} Z`;
}

/** A spur gear's outline, roughly; for recognising, not for making. */
export function teeth(count: number, x: number, y: number, root: number, tip: number): string {
  const points = Array.from({ length: count }, (_, index) => {
    const at = (share: number, radius: number) => {
      const angle = ((index + share) / count) * 2 * Math.PI;
      return `${(x + radius * Math.cos(angle)).toFixed(1)} ${(y + radius * Math.sin(angle)).toFixed(1)}`;
    };
    return [at(0.02, root), at(0.2, tip), at(0.42, tip), at(0.6, root)].join(' L');
  });
  return `M${points.join(' L')} Z`;
}

export const twoHoles: readonly Stroke[] = [
  { path: bar, style: 'piece' },
  hole(90, 85, 24),
  hole(230, 85, 24),
];

export const flatsFigure: Figure = {
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
