import type { Vec3 } from '@core/foundations/vectors';
import { WORLD, type Frame, placedIn, undone, KernelRefusal } from '@core/shaping/part';

import { readCurve, readFlatCurve, readSurface, type Curve, type FlatPoint, type Surface } from './geometry';
import { Tokens } from './tokens';

/** A part of a shape in another one: which, its way round (`+` or `-`, or `i`, `e`), and where it is put. */
export interface Use {
  way: string;
  shape: number;
  place: number;
}

/** What an edge is in a surface: one curve, or two on both sides of a seam, between two values of the parameter. */
export interface EdgeOn {
  curves: readonly number[];
  surface: number;
  place: number;
  /** How smoothly both sides of a seam meet. */
  meets?: string;
}

/** What a part is by itself, without the smaller ones that it is made of. */
type Own =
  | { kind: 'Ve'; tolerance: number; at: Vec3 }
  | {
      kind: 'Ed';
      tolerance: number;
      /** Same parameter, same range, degenerated: 0 or 1 each. */
      marks: readonly number[];
      curve: { curve: number; place: number } | null;
      on: readonly EdgeOn[];
      range: readonly [number, number];
    }
  | { kind: 'Fa'; tolerance: number; surface: number; place: number }
  | { kind: 'Wi' | 'Sh' | 'So' | 'CS' | 'Co' };

export type Part = Own & { flags: string; uses: readonly Use[] };

/** A shape as the kernel's open text of boundaries says it: lists that refer to each other by number, from 1. */
export interface BoundaryText {
  /** Where a part is put; 0, not in the list, leaves it where it is. */
  places: readonly Frame[];
  flatCurves: readonly Curve<FlatPoint>[];
  curves: readonly Curve<Vec3>[];
  surfaces: readonly Surface[];
  /** Smaller ones first. */
  parts: readonly Part[];
  root: Use;
}

/** Reads the text; triangles that came along are left out. */
export function readBoundaries(text: string): BoundaryText {
  const tokens = new Tokens(text);
  tokens.skipTo('Locations');
  const places: Frame[] = [];
  tokens.times(() => places.push(readPlace(tokens, places)));
  tokens.skipTo('Curve2ds');
  const flatCurves = tokens.times(() => readFlatCurve(tokens));
  tokens.skipTo('Curves');
  const curves = tokens.times(() => readCurve(tokens));
  tokens.skipTo('Surfaces');
  const surfaces = tokens.times(() => readSurface(tokens));
  tokens.skipTo('TShapes');
  const count = tokens.number();
  const parts = Array.from({ length: count }, () => readPart(tokens, count));
  return { places, flatCurves, curves, surfaces, parts, root: readUse(tokens, count)! };
}

/** A place is given by three rows of four, or as a product of powers of earlier ones. */
function readPlace(tokens: Tokens, earlier: readonly Frame[]): Frame {
  if (tokens.number() === 1) {
    const rows = [0, 1, 2].map(() => tokens.numbers(4));
    const column = (at: number) => [rows[0]![at]!, rows[1]![at]!, rows[2]![at]!] as const;
    return { x: [...column(0)], y: [...column(1)], z: [...column(2)], origin: [...column(3)] };
  }
  let product = WORLD;
  for (let index = tokens.number(); index !== 0; index = tokens.number()) {
    const power = tokens.number();
    const one = earlier[index - 1]!;
    for (let n = 0; n < Math.abs(power); n += 1) product = placedIn(product, power > 0 ? one : undone(one));
  }
  return product;
}

function readPart(tokens: Tokens, count: number): Part {
  const kind = tokens.word();
  const own = readOwn(tokens, kind);
  const flags = tokens.word();
  const uses: Use[] = [];
  for (let use = readUse(tokens, count); use; use = readUse(tokens, count)) uses.push(use);
  return { ...own, flags, uses };
}

/** Counted from the last part of the list. */
function readUse(tokens: Tokens, count: number): Use | null {
  const word = tokens.word();
  if (word === '*') return null;
  return { way: word[0]!, shape: count - Number(word.slice(1)), place: tokens.number() };
}

function readOwn(tokens: Tokens, kind: string): Own {
  if (kind === 'Ve') {
    const vertex: Own = { kind, tolerance: tokens.number(), at: tokens.numbers(3) as unknown as Vec3 };
    // Where it lies on curves and surfaces, each with the place last, ended by a nought and a nought.
    for (let lies = tokens.numbers(2); lies[1] !== 0; lies = tokens.numbers(2)) {
      tokens.numbers(lies[1] === 1 ? 2 : 3);
    }
    return vertex;
  }
  if (kind === 'Fa') {
    tokens.number();
    const face: Own = {
      kind,
      tolerance: tokens.number(),
      surface: tokens.number() - 1,
      place: tokens.number(),
    };
    if (tokens.peek() === '2') tokens.numbers(2);
    return face;
  }
  if (kind === 'Ed') return readEdge(tokens);
  return { kind: kind as 'Wi' };
}

function readEdge(tokens: Tokens): Own {
  const [tolerance, ...marks] = tokens.numbers(4) as [number, ...number[]];
  const on: EdgeOn[] = [];
  let curve: { curve: number; place: number } | null = null;
  let range: readonly [number, number] = [0, 0];
  const ends = () => tokens.numbers(2) as unknown as readonly [number, number];
  for (let said = tokens.number(); said !== 0; said = tokens.number()) {
    if (said === 1) {
      const [index, place] = tokens.numbers(2) as [number, number];
      // Number nought is none: at a pole or a tip.
      if (index > 0) curve = { curve: index - 1, place };
      range = ends();
    } else if (said === 2) {
      const [flat, surface, place] = tokens.numbers(3) as [number, number, number];
      on.push({ curves: [flat - 1], surface: surface - 1, place });
      const there = ends();
      if (!curve) range = there;
    } else if (said === 3) {
      const first = tokens.number();
      const [, second, meets] = /^(\d+)(.*)$/.exec(tokens.word())!;
      const [surface, place] = tokens.numbers(2) as [number, number];
      on.push({ curves: [first - 1, Number(second) - 1], surface: surface - 1, place, meets: meets! });
      const there = ends();
      if (!curve) range = there;
    } else if (said === 4) {
      // How smoothly two faces meet: worked out anew afterwards.
      tokens.word();
      tokens.numbers(4);
    } else if (said === 5) tokens.numbers(2);
    else if (said === 6) tokens.numbers(3);
    else if (said === 7) tokens.skip(4);
    else throw new KernelRefusal(`an edge is given in an unknown way (${said})`);
  }
  return { kind: 'Ed', tolerance, marks, curve, on, range };
}
