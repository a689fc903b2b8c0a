import type { DrawnCurve } from '@core/foundations/fields';

import { drawnDraft, line, type DimensionDraft, type RelationDraft } from './drawn';

type Place = [number, number];
/** How a corner is placed by those before it: what is said of it, and on which side it lies. */
type Said =
  | { by: 'lengthAndLevel'; mm: number; side: 1 | -1 }
  | { by: 'lengthAndUpright'; mm: number; side: 1 | -1 }
  | { by: 'alongBoth'; x: number; y: number; sides: [1 | -1, 1 | -1] }
  | { by: 'twoLengths'; mm: number; other: number; to: number; side: 1 | -1 }
  | { by: 'lengthAndAngle'; mm: number; angle: number; side: 1 | -1 }
  | { by: 'parallelTo'; mm: number; to: number; way: 1 | -1 }
  | { by: 'squareTo'; mm: number; to: number; side: 1 | -1 }
  | { by: 'equalAndAngle'; to: number; angle: number; side: 1 | -1 };

/** An outline of which every corner is said in one way, and can be worked out by hand from those before it. */
export interface Outlined {
  first: number;
  said: Said[];
}

/** @param random between 0 and 1. */
export function randomOutlined(random: () => number): Outlined {
  const corners = 3 + Math.floor(random() * 7);
  const side = (): 1 | -1 => (random() < 0.5 ? 1 : -1);
  const mm = () => 5 + 55 * random();
  const angle = () => ((25 + 130 * random()) * Math.PI) / 180;
  const said: Said[] = [];
  const outlined: Outlined = { first: mm(), said };
  while (said.length < corners) {
    const before = said.length + 1;
    const to = Math.floor(random() * (before - 1));
    const next: Said[] = [
      { by: 'lengthAndLevel', mm: mm(), side: side() },
      { by: 'lengthAndUpright', mm: mm(), side: side() },
      { by: 'alongBoth', x: mm(), y: mm(), sides: [side(), side()] },
      { by: 'lengthAndAngle', mm: mm(), angle: angle(), side: side() },
      { by: 'parallelTo', mm: mm(), to, way: side() },
      { by: 'squareTo', mm: mm(), to, side: side() },
      { by: 'equalAndAngle', to, angle: angle(), side: side() },
      { by: 'twoLengths', mm: mm(), other: mm(), to: before - 1, side: side() },
    ];
    const one = next[Math.floor(random() * next.length)]!;
    if (placesOf({ ...outlined, said: [...said, one] })) said.push(one);
  }
  return outlined;
}

/** A crossing of two circles nearer to their line than this share of its length could be drawn on either side. */
const PLAIN_SHARE = 0.25;

/** Where the corners are, worked out one after another; null where that can't be, or where a rough hand could mistake it. */
export function placesOf({ first, said }: Outlined, least = PLAIN_SHARE): Place[] | null {
  const places: Place[] = [
    [0, 0],
    [first, 0],
  ];
  for (const one of said) {
    const from = places.at(-1)!;
    const before = places.at(-2)!;
    const heading = (index: number) =>
      Math.atan2(places[index + 1]![1] - places[index]![1], places[index + 1]![0] - places[index]![0]);
    const off = (turn: number, mm: number): Place => [
      from[0] + mm * Math.cos(turn),
      from[1] + mm * Math.sin(turn),
    ];
    const back = Math.atan2(before[1] - from[1], before[0] - from[0]);
    let next: Place;
    switch (one.by) {
      case 'lengthAndLevel':
        next = [from[0] + one.side * one.mm, from[1]];
        break;
      case 'lengthAndUpright':
        next = [from[0], from[1] + one.side * one.mm];
        break;
      case 'alongBoth':
        next = [from[0] + one.sides[0] * one.x, from[1] + one.sides[1] * one.y];
        break;
      case 'lengthAndAngle':
        next = off(back + one.side * one.angle, one.mm);
        break;
      case 'parallelTo':
        next = off(heading(one.to) + (one.way > 0 ? 0 : Math.PI), one.mm);
        break;
      case 'squareTo':
        next = off(heading(one.to) + (one.side * Math.PI) / 2, one.mm);
        break;
      case 'equalAndAngle': {
        const [a, b] = [places[one.to]!, places[one.to + 1]!];
        next = off(back + one.side * one.angle, Math.hypot(b[0] - a[0], b[1] - a[1]));
        break;
      }
      case 'twoLengths': {
        const other = places[one.to]!;
        const base = Math.hypot(other[0] - from[0], other[1] - from[1]);
        if (base < 3) return null;
        const along = (base ** 2 + one.mm ** 2 - one.other ** 2) / (2 * base);
        const square = one.mm ** 2 - along ** 2;
        if (square <= 0 || Math.sqrt(square) < least * Math.max(one.mm, base)) return null;
        const [ux, uy] = [(other[0] - from[0]) / base, (other[1] - from[1]) / base];
        const up = one.side * Math.sqrt(square);
        next = [from[0] + along * ux - up * uy, from[1] + along * uy + up * ux];
        break;
      }
    }
    // Corners that all but meet are no outline that anybody draws.
    if (least > 0 && places.some(([x, y]) => Math.hypot(x - next[0], y - next[1]) < 3)) return null;
    places.push(next);
  }
  return places;
}

/** What is said of an outline as relations and dimensions, from corners that somebody drew. */
export function inputOf({ first, said }: Outlined, drawn: readonly Place[]) {
  const id = (index: number) => `P${index}`;
  const curves: DrawnCurve[] = drawn.slice(1).map((_, index) => line(id(index), id(index + 1)));
  const side = (index: number) => id(index) + id(index + 1);
  const relations: RelationDraft[] = [
    { kind: 'fixed', point: 'P0' },
    { kind: 'level', points: ['P0', 'P1'] },
  ];
  const dimensions: (DimensionDraft | { kind: 'angle'; curves: [string, string]; angle: number })[] = [
    { kind: 'distance', points: ['P0', 'P1'], mm: first },
  ];
  for (const [index, one] of said.entries()) {
    const [from, to] = [id(index + 1), id(index + 2)];
    const pair: [string, string] = [from, to];
    const own = side(index + 1);
    if ('mm' in one) dimensions.push({ kind: 'distance', points: pair, mm: one.mm });
    switch (one.by) {
      case 'lengthAndLevel':
        relations.push({ kind: 'level', points: pair });
        break;
      case 'lengthAndUpright':
        relations.push({ kind: 'upright', points: pair });
        break;
      case 'alongBoth':
        dimensions.push({ kind: 'along', points: pair, axis: 'x', mm: one.x });
        dimensions.push({ kind: 'along', points: pair, axis: 'y', mm: one.y });
        break;
      case 'twoLengths':
        dimensions.push({ kind: 'distance', points: [id(one.to), to], mm: one.other });
        break;
      case 'lengthAndAngle':
        dimensions.push({ kind: 'angle', curves: [side(index), own], angle: one.angle });
        break;
      case 'parallelTo':
        relations.push({ kind: 'parallel', curves: [side(one.to), own] });
        break;
      case 'squareTo':
        relations.push({ kind: 'square', curves: [side(one.to), own] });
        break;
      case 'equalAndAngle':
        relations.push({ kind: 'equal', curves: [side(one.to), own] });
        dimensions.push({ kind: 'angle', curves: [side(index), own], angle: one.angle });
        break;
    }
  }
  return drawnDraft(
    Object.fromEntries(drawn.map((place, index) => [id(index), place])),
    curves,
    relations,
    dimensions,
  );
}

/** One length of an outline, times a factor. */
export function withLength(outlined: Outlined, which: number, factor: number): Outlined {
  if (which === 0) return { ...outlined, first: outlined.first * factor };
  return {
    ...outlined,
    said: outlined.said.map((one, index) => {
      if (index !== which - 1) return one;
      if (one.by === 'alongBoth') return { ...one, x: one.x * factor };
      return 'mm' in one ? { ...one, mm: one.mm * factor } : one;
    }),
  };
}
