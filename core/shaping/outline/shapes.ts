import { no, ok, type NamedLength, type Result, type StepFault } from '@core/foundations/fault';
import type { OutlineShapeName } from '@core/record/model';
import type { DrawnData } from '@core/shaping/drawn';
import { isSameLength } from '@core/foundations/tolerance';
import { ownValue } from '@core/foundations/own';

import type { Region } from './chain';
import type { Curve, Loop, Point } from './curves';
import { drawnRegion } from './drawn';
import { gearLoop, rackLoop } from './gear';
import { hullLoop } from './hull';
import { pointsLoop } from './points';
import { sectorLoop } from './sector';

/** An outline with its numbers known, mm. */
export interface KnownOutline {
  shape: OutlineShapeName;
  lengths: Readonly<Record<string, NamedLength>>;
  /** Of a polygon. */
  sides?: number;
  by?: 'flats' | 'corners';
  /** Of a part of a ring, radians. */
  angle?: number;
  /** Of a band round circles: one for each. */
  circles?: readonly unknown[];
  /** Of points, and of what is drawn between them. */
  points?: readonly { id?: string; via?: true | undefined }[];
  curves?: DrawnData['curves'];
  relations?: DrawnData['relations'];
  dimensions?: DrawnData['dimensions'];
  between?: 'straight' | 'smooth';
  /** Of teeth. */
  teeth?: number;
  pressure?: number;
  shift?: number;
  side?: 'outside' | 'inside';
}

/** Corners below this are square, mm: the arc would be shorter than the kernel can keep apart. */
const SQUARE_BELOW_MM = 0.01;

/** The region of an outline about the origin, or what is wrong with it. */
export function regionOf(outline: KnownOutline): Result<Region, StepFault> {
  if (outline.shape === 'drawn') return drawnRegion(outline as unknown as DrawnData, outline.lengths);
  const loop = loopOf(outline);
  return loop.ok ? ok({ outer: loop.value, holes: [] }) : loop;
}

/** The loop of a plain outline about the origin, or what is wrong with its numbers. */
export function loopOf(outline: KnownOutline): Result<Loop, StepFault> {
  const { lengths } = outline;
  const mm = (key: string) => ownValue(lengths, key)!.mm;
  switch (outline.shape) {
    case 'circle':
      return ok([{ kind: 'circle', middle: [0, 0], radius: mm('diameter') / 2, role: 'wall' }]);
    case 'ellipse':
      return ok(ellipse(mm('length') / 2, mm('breadth') / 2));
    case 'rectangle': {
      const limitMm = Math.min(mm('length'), mm('breadth')) / 2;
      const radius = lengths.cornerRadius!;
      return radius.mm < 0 || radius.mm >= limitMm
        ? no({ code: 'plate.cornerTooRound', radius, limitMm })
        : ok(rectangle(mm('length') / 2, mm('breadth') / 2, radius.mm));
    }
    case 'slot': {
      const [length, breadth] = [lengths.length!, lengths.breadth!];
      return length.mm <= breadth.mm
        ? no({ code: 'outline.slotTooShort', length, breadthMm: breadth.mm })
        : ok(slot(length.mm / 2, breadth.mm / 2));
    }
    case 'polygon':
      return ok(polygon(outline.sides!, cornerRadiusOf(outline.sides!, outline.by!, mm('across'))));
    case 'sector':
      return sectorLoop(lengths.inner!, lengths.outer!, outline.angle!);
    case 'hull':
      return hullLoop(
        outline.circles!.map((_, index) => ({
          middle: [mm(`circles.${index}.x`), mm(`circles.${index}.y`)],
          radius: mm(`circles.${index}.diameter`) / 2,
        })),
      );
    case 'layoutHull': {
      const labels = Object.keys(lengths).flatMap((key) => (key.startsWith('at.x') ? [key.slice(4)] : []));
      if (labels.length === 0) return no({ code: 'value.layoutGone', what: 'band' });
      return hullLoop(
        labels.map((label) => ({
          middle: [mm(`at.x${label}`), mm(`at.y${label}`)],
          radius: mm('diameter') / 2,
        })),
      );
    }
    case 'drawn': {
      const region = regionOf(outline);
      if (!region.ok) return region;
      return region.value.holes.length > 0 ? no({ code: 'outline.hasHoles' }) : ok(region.value.outer);
    }
    case 'offset':
      // It is known only where the part is.
      return no({ code: 'outline.notHere' });
    case 'points':
      return pointsLoop(
        outline.points!.map(({ via }, index) => ({
          at: [mm(`points.${index}.x`), mm(`points.${index}.y`)],
          via: via ?? false,
        })),
        outline.between!,
      );
    case 'gear':
      return gearLoop({
        teeth: outline.teeth!,
        module: mm('module'),
        pressure: outline.pressure!,
        shift: outline.shift!,
        backlash: mm('backlash'),
        side: outline.side!,
      });
    case 'rack':
      return rackLoop({
        teeth: outline.teeth!,
        module: mm('module'),
        pressure: outline.pressure!,
        backlash: mm('backlash'),
        body: mm('body'),
      });
  }
}

/** Radius of the circle through the corners of a regular polygon, from what was measured over it. */
export function cornerRadiusOf(sides: number, by: 'flats' | 'corners', across: number): number {
  if (by === 'corners') return across / 2;
  const half = Math.PI / sides;
  // Odd ones have no opposite flats: a flat to the corner opposite.
  return sides % 2 === 0 ? across / (2 * Math.cos(half)) : across / (1 + Math.cos(half));
}

/** A circle where both axes are alike: a kernel's ellipse needs one that is longer. */
function ellipse(alongX: number, alongY: number): Loop {
  return isSameLength(alongX, alongY)
    ? [{ kind: 'circle', middle: [0, 0], radius: alongX, role: 'wall' }]
    : [{ kind: 'ellipse', middle: [0, 0], alongX, alongY, role: 'wall' }];
}

const SIDES = ['right', 'back', 'left', 'front'] as const;

/** Half lengths and the corners' radius. Sides right, back, left, front; corner0 between right and back, and so on. */
function rectangle(x: number, y: number, r: number): Loop {
  const rounded = r >= SQUARE_BELOW_MM;
  const inset = rounded ? r : 0;
  const corners: readonly Point[] = [
    [x - inset, y - inset],
    [inset - x, y - inset],
    [inset - x, inset - y],
    [x - inset, inset - y],
  ];
  const outward = (side: number): Point => [Math.cos((side * Math.PI) / 2), Math.sin((side * Math.PI) / 2)];
  const from = ([cx, cy]: Point, [wx, wy]: Point): Point => [cx + inset * wx, cy + inset * wy];
  return SIDES.flatMap((role, side): Curve[] => {
    const [start, end] = [corners[(side + 3) % 4]!, corners[side]!];
    const [direction, next] = [outward(side), outward(side + 1)];
    const line: Curve = { kind: 'line', from: from(start, direction), to: from(end, direction), role };
    if (!rounded) return [line];
    const via = from(end, [(direction[0] + next[0]) * Math.SQRT1_2, (direction[1] + next[1]) * Math.SQRT1_2]);
    return [line, { kind: 'arc', from: line.to, via, to: from(end, next), role: `corner${side}` }];
  });
}

/** Half lengths over all. */
function slot(x: number, r: number): Loop {
  const straight = x - r;
  return [
    { kind: 'arc', from: [straight, -r], via: [x, 0], to: [straight, r], role: 'right' },
    { kind: 'line', from: [straight, r], to: [-straight, r], role: 'back' },
    { kind: 'arc', from: [-straight, r], via: [-x, 0], to: [-straight, -r], role: 'left' },
    { kind: 'line', from: [-straight, -r], to: [straight, -r], role: 'front' },
  ];
}

/** With a flat to the front, as a nut lies on a bench. */
function polygon(sides: number, radius: number): Loop {
  const first = -Math.PI / 2 - Math.PI / sides;
  const corner = (index: number): Point => {
    const angle = first + (2 * Math.PI * index) / sides;
    return [radius * Math.cos(angle), radius * Math.sin(angle)];
  };
  return Array.from({ length: sides }, (_, index): Curve => ({
    kind: 'line',
    from: corner(index),
    to: corner((index + 1) % sides),
    role: `flat${index}`,
  }));
}
