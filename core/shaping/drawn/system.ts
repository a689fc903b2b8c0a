import type { Equation, Prediction } from '@core/measuring/adjustment';
import type { OutlineConstraint } from '@core/foundations/fields';

import { endsOfCurve, pointsOfCurve, type DrawnInput, type KnownCurve, type KnownDimension } from './input';
import { ellipseReach } from './ellipseReach';
import { headingOfEnd } from './smoothEnd';
import { alongWay, apart, headingOf, leftOf, plain, sum, turnedBy, wrapped, type At } from './slopes';
import { unknownsOf, type Unknowns } from './unknowns';

/** An equation with what asks for it: a relation or a dimension by its id, or nothing where a curve itself does. */
export interface Asked extends Equation {
  of: string | null;
}

/** Why a relation or a dimension can't be used. */
export type Misused = 'gone' | 'wrongCurves' | 'notOnSmooth' | 'notPositive';

export interface System {
  input: DrawnInput;
  unknowns: Unknowns;
  equations: readonly Asked[];
  /** What each dimension comes to where the unknowns stand, mm or radians. */
  measures: ReadonlyMap<string, (values: ArrayLike<number>) => number>;
  /** Relations and dimensions that can't be used, and why. */
  misused: ReadonlyMap<string, Misused>;
  /** A length that angles are weighed by, mm. */
  scaleMm: number;
}

type Predict = (values: ArrayLike<number>) => Prediction;
type Line = readonly [At, At];

/** Thrown where a relation names what is not there, or can't be held to it. */
class Refused extends Error {
  constructor(readonly why: Misused) {
    super(why);
  }
}

/**
 * The equations of a drawn outline. Where a relation may be met in two ways (a tangent on one side or on the other), the drawing decides.
 *
 * @param makeOne see unknownsOf.
 */
export function systemOf(input: DrawnInput, makeOne = true): System {
  const misused = new Map<string, Misused>();
  const curves = new Map(input.curves.map((curve) => [curve.id, curve]));
  const points = new Set(input.points.map(({ id }) => id));
  const isThere = (relation: OutlineConstraint | KnownDimension['dimension']) =>
    namesIn(relation).every(({ point, curve }) =>
      point === undefined ? curves.has(curve) : points.has(point),
    );
  const relations = input.relations.filter((relation) => {
    if (!isThere(relation)) misused.set(relation.id, 'gone');
    return isThere(relation);
  });
  const known = { ...input, relations };
  const unknowns = unknownsOf(known, makeOne);
  const scaleMm = scaleOf(input);
  const builder = new Builder(unknowns, curves, scaleMm);
  const equations: Asked[] = [];
  const refused = (id: string, make: () => void) => {
    try {
      make();
    } catch (error) {
      if (!(error instanceof Refused)) throw error;
      misused.set(id, error.why);
    }
  };
  const condition = (of: string | null, predict: Predict, target = 0, standard = 0) =>
    equations.push({ of, predict, target, standard });
  for (const predict of builder.ofCurves(input)) condition(null, predict);
  for (const relation of relations) {
    if (unknowns.madeOne.has(relation.id)) continue;
    refused(relation.id, () => {
      for (const predict of builder.ofRelation(relation)) condition(relation.id, predict);
    });
  }
  const measures = new Map<string, (values: ArrayLike<number>) => number>();
  for (const { dimension, wanted, standardMm } of input.dimensions) {
    const { id } = dimension;
    if (!isThere(dimension)) {
      misused.set(id, 'gone');
      continue;
    }
    refused(id, () => {
      if (dimension.kind === 'angle') {
        const between = builder.between(dimension.curves);
        measures.set(id, (values) => Math.abs(wrapped(between(values).value)));
        if (wanted === null) return;
        const sign = between(unknowns.start).value < 0 ? -1 : 1;
        condition(id, (values) => turnedBy(sum([sign, between(values)], [1, constant(-wanted)]), scaleMm));
      } else {
        const measure = builder.ofDimension(dimension);
        const sign = isSigned(dimension) && measure(unknowns.start).value < 0 ? -1 : 1;
        measures.set(id, (values) =>
          isSigned(dimension) ? Math.abs(measure(values).value) : measure(values).value,
        );
        if (wanted === null) return;
        if (wanted < 0 || (wanted === 0 && !isSigned(dimension))) throw new Refused('notPositive');
        condition(id, (values) => sum([sign, measure(values)]), wanted, standardMm);
      }
    });
  }
  return { input, unknowns, equations, measures, misused, scaleMm };
}

const constant = (value: number): Prediction => ({ value, at: [], slopes: [] });

/** Dimensions to one side or the other: the drawing says which. */
const isSigned = ({ kind }: KnownDimension['dimension']) =>
  kind === 'along' || kind === 'fromLine' || kind === 'across';

/** What a relation or a dimension names. */
export function namesIn(
  relation: OutlineConstraint | KnownDimension['dimension'],
): ({ point: string; curve?: never } | { point?: never; curve: string })[] {
  const names: ReturnType<typeof namesIn> = [];
  if ('point' in relation) names.push({ point: relation.point });
  if ('points' in relation) names.push(...relation.points.map((point) => ({ point })));
  if ('curve' in relation) names.push({ curve: relation.curve });
  if ('curves' in relation) names.push(...relation.curves.map((curve) => ({ curve })));
  if (relation.kind === 'symmetric') names.push({ curve: relation.about });
  if (relation.kind === 'turned') names.push({ point: relation.about });
  return names;
}

/** A quarter of what the outline is long, at least 1 mm. */
function scaleOf({ points }: DrawnInput): number {
  const spread = (axis: 0 | 1) => {
    const along = points.map(({ at }) => at[axis]);
    return Math.max(...along) - Math.min(...along);
  };
  return points.length === 0 ? 1 : Math.max(1, Math.max(spread(0), spread(1)) / 4);
}

/** Makes equations of what stands in an outline. */
class Builder {
  constructor(
    private readonly unknowns: Unknowns,
    private readonly curves: ReadonlyMap<string, KnownCurve>,
    private readonly scaleMm: number,
  ) {}

  /** What curves keep by themselves: ends of arcs are on their circles, and so is the middle that others hold. */
  ofCurves(input: DrawnInput): Predict[] {
    const used = new Map<string, number>();
    for (const curve of input.curves)
      for (const id of pointsOfCurve(curve)) used.set(id, (used.get(id) ?? 0) + 1);
    const inRelations = new Set(
      [...input.relations, ...input.dimensions.map(({ dimension }) => dimension)]
        .flatMap(namesIn)
        .flatMap(({ point }) => point ?? []),
    );
    return input.curves.flatMap((curve): Predict[] => {
      if (curve.kind !== 'arc') return [];
      const { from, via, to } = curve;
      const ends = [from, to].map((id) => this.onRound(this.point(id), curve.id));
      const isHeld = inRelations.has(via) || used.get(via)! > 1;
      return isHeld ? [...ends, ...this.halfway(this.point(via), curve)] : ends;
    });
  }

  ofRelation(relation: OutlineConstraint): Predict[] {
    switch (relation.kind) {
      case 'coincident': {
        const [a, b] = this.both(relation.points);
        return [this.alike(a[0], b[0]), this.alike(a[1], b[1])];
      }
      case 'level': {
        const [a, b] = this.both(relation.points);
        return [this.alike(a[1], b[1])];
      }
      case 'upright': {
        const [a, b] = this.both(relation.points);
        return [this.alike(a[0], b[0])];
      }
      case 'onCurve': {
        const curve = this.curve(relation.curve);
        const point = this.point(relation.point);
        if (curve.kind === 'line') {
          const [a, b] = this.line(relation.curve);
          return [(v) => leftOf(point, a, b, v)];
        }
        if (curve.kind === 'ellipse') return [this.onEllipse(point, curve)];
        if (curve.kind === 'spline') throw new Refused('notOnSmooth');
        return [this.onRound(point, relation.curve)];
      }
      case 'midpoint': {
        const curve = this.curve(relation.curve);
        const point = this.point(relation.point);
        if (curve.kind === 'arc') return this.halfway(point, curve);
        const [a, b] = this.line(relation.curve);
        return ([0, 1] as const).map(
          (axis) => (v) =>
            sum([1, plain(point[axis], v)], [-0.5, plain(a[axis], v)], [-0.5, plain(b[axis], v)]),
        );
      }
      case 'parallel':
        return [this.turnedAgainst(relation.curves, Math.PI, 0)];
      case 'square':
        return [this.turnedAgainst(relation.curves, Math.PI, Math.PI / 2)];
      case 'collinear': {
        const [a, b] = this.line(relation.curves[0]);
        return this.line(relation.curves[1]).map((end) => (v) => leftOf(end, a, b, v));
      }
      case 'equal': {
        const [one, other] = relation.curves.map((id) => this.curve(id).kind);
        if (one === 'line' && other === 'line') {
          const [[a, b], [c, d]] = this.lines(relation.curves);
          return [(v) => sum([1, apart(a, b, v)], [-1, apart(c, d, v)])];
        }
        const [r, s] = relation.curves.map((id) => this.round(id).radius) as [number, number];
        return [this.alike(r, s)];
      }
      case 'tangent':
        return [this.tangent(relation.curves)];
      case 'concentric': {
        const [a, b] = relation.curves.map((id) => this.round(id).middle) as [At, At];
        return [this.alike(a[0], b[0]), this.alike(a[1], b[1])];
      }
      case 'symmetric': {
        const [p, q] = this.both(relation.points);
        const [a, b] = this.line(relation.about);
        return [
          (v) => sum([0.5, leftOf(p, a, b, v)], [0.5, leftOf(q, a, b, v)]),
          (v) => alongWay(p, q, a, b, v),
        ];
      }
      case 'turned': {
        const [p, q] = this.both(relation.points);
        const c = this.point(relation.about);
        const [cos, sin] = [Math.cos(relation.angle), Math.sin(relation.angle)];
        // q − c is p − c turned.
        return [
          (v) =>
            sum(
              [1, plain(q[0], v)],
              [-cos, plain(p[0], v)],
              [sin, plain(p[1], v)],
              [cos - 1, plain(c[0], v)],
              [-sin, plain(c[1], v)],
            ),
          (v) =>
            sum(
              [1, plain(q[1], v)],
              [-sin, plain(p[0], v)],
              [-cos, plain(p[1], v)],
              [sin, plain(c[0], v)],
              [cos - 1, plain(c[1], v)],
            ),
        ];
      }
      case 'fixed':
        // Held among the unknowns.
        return [];
    }
  }

  /** What a dimension measures, mm; to one side or the other where it is signed. */
  ofDimension(dimension: Exclude<KnownDimension['dimension'], { kind: 'angle' }>): Predict {
    switch (dimension.kind) {
      case 'distance': {
        const [a, b] = this.both(dimension.points);
        return (v) => apart(a, b, v);
      }
      case 'along': {
        const axis = dimension.axis === 'x' ? 0 : 1;
        const [a, b] = this.both(dimension.points);
        return (v) => sum([1, plain(b[axis], v)], [-1, plain(a[axis], v)]);
      }
      case 'fromLine':
      case 'across': {
        const [a, b] = this.line(dimension.curve);
        const point = this.point(dimension.point);
        const factor = dimension.kind === 'across' ? 2 : 1;
        return (v) => sum([factor, leftOf(point, a, b, v)]);
      }
      case 'radius':
      case 'diameter': {
        const { radius } = this.round(dimension.curve);
        const factor = dimension.kind === 'diameter' ? 2 : 1;
        return (v) => sum([factor, plain(radius, v)]);
      }
      case 'rise': {
        const curve = this.curve(dimension.curve);
        if (curve.kind !== 'arc') throw new Refused('wrongCurves');
        const { middle, radius } = this.round(dimension.curve);
        const [from, to] = [this.point(curve.from), this.point(curve.to)];
        // The middle of an arc that goes anticlockwise by less than half a turn is to the left of its chord.
        const side = this.unknowns.isLeft(dimension.curve) ? -1 : 1;
        return (v) => sum([1, plain(radius, v)], [side, leftOf(middle, from, to, v)]);
      }
    }
  }

  /** The angle between two lines, from where they meet, as it is drawn; less than half a turn either way. */
  between(curves: readonly [string, string]): Predict {
    const [one, other] = curves.map((id) => this.curve(id));
    if (one?.kind !== 'line' || other?.kind !== 'line') throw new Refused('wrongCurves');
    const shared = [one.from, one.to].find((id) => id === other.from || id === other.to);
    const ray = (line: typeof one): Line =>
      shared === line.to
        ? [this.point(line.to), this.point(line.from)]
        : [this.point(line.from), this.point(line.to)];
    const [[a, b], [c, d]] = [ray(one), ray(other)];
    return (v) => {
      const angle = sum([1, headingOf(c, d, v)], [-1, headingOf(a, b, v)]);
      return { ...angle, value: wrapped(angle.value) };
    };
  }

  private point(id: string): At {
    return this.unknowns.pointAt(id);
  }
  private both([a, b]: readonly [string, string]): Line {
    return [this.point(a), this.point(b)];
  }
  private curve(id: string): KnownCurve {
    return this.curves.get(id)!;
  }
  private line(id: string): Line {
    const curve = this.curve(id);
    if (curve.kind !== 'line') throw new Refused('wrongCurves');
    return [this.point(curve.from), this.point(curve.to)];
  }
  private lines([a, b]: readonly [string, string]): [Line, Line] {
    return [this.line(a), this.line(b)];
  }
  private round(id: string) {
    const round = this.unknowns.roundAt(id);
    if (!round) throw new Refused('wrongCurves');
    return round;
  }

  private alike(a: number, b: number): Predict {
    return (v) => sum([1, plain(a, v)], [-1, plain(b, v)]);
  }

  private onRound(point: At, curve: string): Predict {
    const { middle, radius } = this.round(curve);
    return (v) => sum([1, apart(point, middle, v)], [-1, plain(radius, v)]);
  }

  /** In the middle of an arc: on its circle, and as far from one end as from the other. */
  private halfway(point: At, curve: KnownCurve & { kind: 'arc' }): Predict[] {
    const [from, to] = [this.point(curve.from), this.point(curve.to)];
    return [this.onRound(point, curve.id), (v) => sum([1, apart(point, from, v)], [-1, apart(point, to, v)])];
  }

  /** (x/a)² + (y/b)² = 1, brought to a length by the mean half axis. */
  private onEllipse(point: At, curve: KnownCurve & { kind: 'ellipse' }): Predict {
    const middle = this.point(curve.middle);
    const axes = this.unknowns.axesAt(curve.id)!;
    const { start } = this.unknowns;
    const mean = (start[axes[0]]! + start[axes[1]]!) / 4;
    return (v) => {
      const at: number[] = [];
      const slopes: number[] = [];
      let value = -1;
      for (const axis of [0, 1] as const) {
        const [d, half] = [v[point[axis]]! - v[middle[axis]]!, v[axes[axis]]!];
        value += (d / half) ** 2;
        const slope = (2 * d) / half ** 2;
        at.push(point[axis], middle[axis], axes[axis]);
        slopes.push(slope, -slope, (-2 * d ** 2) / half ** 3);
      }
      return { value: mean * value, at, slopes: slopes.map((slope) => mean * slope) };
    };
  }

  /** The heading of the second line less that of the first, to the nearest of `offset` and every `period` from it. */
  private turnedAgainst(curves: readonly [string, string], period: number, offset: number): Predict {
    const [[a, b], [c, d]] = this.lines(curves);
    const between: Predict = (v) => sum([1, headingOf(c, d, v)], [-1, headingOf(a, b, v)]);
    const drawn = between(this.unknowns.start).value;
    const nearest = offset + period * Math.round((drawn - offset) / period);
    return (v) => turnedBy(sum([1, between(v)], [1, constant(-nearest)]), this.scaleMm);
  }

  private tangent(curves: readonly [string, string]): Predict {
    const [one, other] = curves.map((id) => this.curve(id)) as [KnownCurve, KnownCurve];
    if (one.kind === 'spline' || other.kind === 'spline') return this.smoothOn(one, other);
    if (one.kind === 'ellipse' || other.kind === 'ellipse') return this.touchesEllipse(one, other);
    const line = one.kind === 'line' ? one : other.kind === 'line' ? other : null;
    const { start } = this.unknowns;
    if (line) {
      const curve = line === one ? other : one;
      const { middle, radius } = this.round(curve.id);
      const [a, b] = this.line(line.id);
      const shared = curve.kind === 'arc' ? sharedEnd(line, curve) : undefined;
      // At an end of both, being as far as the radius says too little: the line is square to the radius there.
      if (shared !== undefined) {
        const end = this.point(shared);
        return (v) => alongWay(end, middle, a, b, v);
      }
      const side = leftOf(middle, a, b, start).value < 0 ? 1 : -1;
      return (v) => sum([1, leftOf(middle, a, b, v)], [side, plain(radius, v)]);
    }
    const [p, q] = [this.round(one.id), this.round(other.id)];
    const shared = one.kind === 'arc' && other.kind === 'arc' ? sharedEnd(one, other) : undefined;
    if (shared !== undefined) {
      const end = this.point(shared);
      return (v) => leftOf(end, p.middle, q.middle, v);
    }
    const distance = apart(p.middle, q.middle, start).value;
    const [r, s] = [start[p.radius]!, start[q.radius]!];
    const isOutside = Math.abs(distance - (r + s)) <= Math.abs(distance - Math.abs(r - s));
    const [f, g] = isOutside ? [-1, -1] : r > s ? [-1, 1] : [1, -1];
    return (v) => sum([1, apart(p.middle, q.middle, v)], [f, plain(p.radius, v)], [g, plain(q.radius, v)]);
  }

  /** A smooth curve that goes on from another, or into it, where they share an end. */
  private smoothOn(one: KnownCurve, other: KnownCurve): Predict {
    const ends = [one, other].map(endsOfCurve) as [readonly string[], readonly string[]];
    const shared = ends[0].find((id) => ends[1].includes(id));
    if (shared === undefined) throw new Refused('wrongCurves');
    const [p, q] = [one, other].map((curve) => this.headingFrom(curve, shared)) as [Predict, Predict];
    const between: Predict = (v) => sum([1, q(v)], [-1, p(v)]);
    // Not folded back on itself, if it is not drawn so.
    const nearest = Math.PI * Math.round(between(this.unknowns.start).value / Math.PI);
    return (v) => turnedBy(sum([1, between(v)], [1, constant(-nearest)]), this.scaleMm);
  }

  /** Which way a curve runs at one of its ends, up to half a turn, radians. */
  private headingFrom(curve: KnownCurve, end: string): Predict {
    if (curve.kind === 'line') {
      const [a, b] = this.line(curve.id);
      return (v) => headingOf(a, b, v);
    }
    if (curve.kind === 'arc') {
      const [{ middle }, at] = [this.round(curve.id), this.point(end)];
      return (v) => sum([1, headingOf(middle, at, v)], [1, constant(Math.PI / 2)]);
    }
    if (curve.kind !== 'spline') throw new Refused('wrongCurves');
    const run = curve.points[0] === end ? curve.points : [...curve.points].reverse();
    const places = run.map((id) => this.point(id));
    return (v) => headingOfEnd(places, v);
  }

  /** A line that touches an ellipse: as far from its middle as the ellipse reaches square to it. */
  private touchesEllipse(one: KnownCurve, other: KnownCurve): Predict {
    const [line, oval] = one.kind === 'line' ? [one, other] : [other, one];
    if (line.kind !== 'line' || oval.kind !== 'ellipse') throw new Refused('wrongCurves');
    const [a, b] = this.line(line.id);
    const middle = this.point(oval.middle);
    const axes = this.unknowns.axesAt(oval.id)!;
    const side = leftOf(middle, a, b, this.unknowns.start).value < 0 ? 1 : -1;
    return (v) => sum([1, leftOf(middle, a, b, v)], [side, ellipseReach([a, b], axes, v)]);
  }
}

/** The end that two curves share. */
function sharedEnd(one: { from: string; to: string }, other: { from: string; to: string }) {
  return [one.from, one.to].find((id) => id === other.from || id === other.to);
}
