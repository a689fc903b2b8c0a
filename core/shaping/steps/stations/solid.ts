import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import {
  type Kernel,
  levelPlane,
  turnedLoop,
  type Plane,
  soundOrNot,
  type TaggedSolid,
} from '@core/shaping/kernel';
import type { SettledStepOf } from '@core/record/model';
import { cornerLoop, placedLoop, type Curve, type Loop, type Point } from '@core/shaping/outline';
import { type Annotation, SMALLEST_MM, faceTag, type Placement } from '@core/shaping/part';
import { blended, type StepSolid } from '@core/shaping/forming';

import type { LengthsOf } from '../kinds';

/** Diameters smaller than this are a point, mm. */
const POINT_BELOW_MM = 1e-6;

type Lengths = LengthsOf<'stations'>;

/**
 * A shape turned through stations. Faces: wall (smooth) or wall0, wall1 and so on (straight), bottom, top. The first
 * and the last station may be points. Oval or square in section: wall, or right, back, left and front; no points.
 */
export const solid: StepSolid<'stations'> = {
  tool(step, lengths, { kernel, stand }) {
    if (step.section) return blendedThrough(step, lengths, kernel, stand);
    const profile = profileOf(step, lengths, stand);
    if (!profile.ok) return profile;
    return ok(turnedLoop(kernel, profile.value, stand.at, (role) => faceTag(step.id, role)));
  },
  annotate(step, lengths, { stand }) {
    const [x, y] = stand.at;
    const { level } = stand;
    const heights = lengths.rows.map(({ at }) => level + at.mm);
    return {
      annotations: step.rows.map(({ diameter }, index): Annotation => {
        const { mm } = lengths.rows[index]!.diameter;
        const z = heights[index]!;
        return {
          stepId: step.id,
          field: `rows.${index}.diameter`,
          value: diameter,
          mm,
          form: 'span',
          spans: [
            { from: [x - mm / 2, y, z], to: [x + mm / 2, y, z], out: [0, -1, 0] },
            { from: [x, y - mm / 2, z], to: [x, y + mm / 2, z], out: [1, 0, 0] },
          ],
          points: [],
        };
      }),
      centreLines: [
        {
          from: [x, y, heights[0]!],
          to: [x, y, heights.at(-1)!],
          radius: Math.max(...lengths.rows.map(({ diameter }) => diameter.mm)) / 2,
        },
      ],
    };
  },
};

/** Through ovals or rectangles, each about the axis. */
function blendedThrough(
  step: SettledStepOf<'stations'>,
  lengths: Lengths,
  kernel: Kernel,
  { at: [x, y], level }: Placement,
): Result<TaggedSolid, StepFault> {
  const smooth = step.between === 'smooth' && lengths.rows.length > 2;
  const oval = !smooth && lengths.rows.every(isWide) ? ellipse : ovalOfPoints;
  const sections: { loop: Loop; plane: Plane }[] = [];
  for (const [index, { at, diameter: width, depth = width }] of lengths.rows.entries()) {
    if (width.mm < SMALLEST_MM) {
      return no({ code: 'value.outOfRange', length: width, minMm: SMALLEST_MM, maxMm: 1000 });
    }
    if (index > 0 && at.mm <= lengths.rows[index - 1]!.at.mm) {
      return no({ code: 'stations.notRising', place: index + 1, at });
    }
    const loop = step.section === 'oval' ? oval(width.mm / 2, depth.mm / 2) : box(width.mm / 2, depth.mm / 2);
    sections.push({ loop: placedLoop(loop, 0, [x, y]), plane: levelPlane(level + at.mm) });
  }
  return soundOrNot(blended(kernel, sections, smooth, (role) => faceTag(step.id, role)));
}

/** At least as wide as it is deep: the kernel's ellipses begin at the end of their longer axis, and here on the right. */
const isWide = ({ diameter: width, depth = width }: Lengths['rows'][number]): boolean => width.mm >= depth.mm;

/** What lies straight between two of the kernel's ellipses that begin alike is one at every height: (a cos t, b sin t). */
const ellipse = (a: number, b: number): Loop => [
  { kind: 'ellipse', middle: [0, 0], alongX: a, alongY: b, role: 'wall' },
];

/** Points round an oval: within a hundred-thousandth of it. */
const OVAL_POINTS = 32;

/** All of these begin on the right and are evenly spaced, so that what lies straight between two is an oval too. */
const ovalOfPoints = (a: number, b: number): Loop => [
  {
    kind: 'spline',
    closed: true,
    even: true,
    role: 'wall',
    points: Array.from({ length: OVAL_POINTS }, (_, index): Point => {
      const turn = (2 * Math.PI * index) / OVAL_POINTS;
      return [a * Math.cos(turn), b * Math.sin(turn)];
    }),
  },
];

const box = (a: number, b: number): Loop =>
  cornerLoop([
    { at: [a, -b], role: 'right' },
    { at: [a, b], role: 'back' },
    { at: [-a, b], role: 'left' },
    { at: [-a, -b], role: 'front' },
  ]);

/** Half of the shape, beside its axis. */
function profileOf(
  step: SettledStepOf<'stations'>,
  lengths: Lengths,
  { level }: Placement,
): Result<Loop, StepFault> {
  const points: Point[] = [];
  for (const [index, { at, diameter }] of lengths.rows.entries()) {
    if (diameter.mm < 0) return no({ code: 'value.outOfRange', length: diameter, minMm: 0, maxMm: 1000 });
    if (index > 0 && at.mm <= lengths.rows[index - 1]!.at.mm) {
      return no({ code: 'stations.notRising', place: index + 1, at });
    }
    points.push([diameter.mm / 2, level + at.mm]);
  }
  const [first, last] = [points[0]!, points.at(-1)!];
  const axis = ([, z]: Point): Point => [0, z];
  const line = (from: Point, to: Point, role: string): Curve => ({ kind: 'line', from, to, role });
  const walls: Curve[] =
    step.between === 'smooth' && points.length > 2
      ? [{ kind: 'spline', points, role: 'wall' }]
      : points.slice(1).map((point, index) => line(points[index]!, point, `wall${index}`));
  return ok([
    ...(first[0] > POINT_BELOW_MM ? [line(axis(first), first, 'bottom')] : []),
    ...walls,
    ...(last[0] > POINT_BELOW_MM ? [line(last, axis(last), 'top')] : []),
    line(axis(last), axis(first), 'axis'),
  ]);
}
