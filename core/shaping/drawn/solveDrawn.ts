import { conflictOf } from './conflicts';
import { DISAGREES_BEYOND, residualsOf, type MeasuredResidual } from './disagreement';
import { freedomOf, type Freedom } from './freedom';
import type { DrawnInput, KnownCurve, Place } from './input';
import { MISSED_MM, settle, type Settled } from './settle';
import { systemOf, type Misused, type System } from './system';

/** A curve where it came out, mm. */
export type SolvedCurve = { id: string; helper: boolean; face?: string | undefined } & (
  | { kind: 'line'; from: Place; to: Place }
  | { kind: 'arc'; from: Place; via: Place; to: Place; middle: Place; radius: number }
  | { kind: 'spline'; points: readonly Place[]; closed: boolean }
  | { kind: 'circle'; middle: Place; radius: number }
  | { kind: 'ellipse'; middle: Place; along: Place }
);

/** A drawn outline where all that it should hold does, or as near as that comes. */
export interface SolvedDrawing {
  points: ReadonlyMap<string, Place>;
  curves: readonly SolvedCurve[];
  /** What each dimension comes to, mm or radians. */
  measures: ReadonlyMap<string, number>;
  misused: ReadonlyMap<string, Misused>;
  /** Largest miss of a condition, mm; more than MISSED_MM means that they contradict each other. */
  offMm: number;
  solves: number;
}

/** ... with what is known of it. */
export interface StudiedDrawing extends SolvedDrawing {
  freedom: Freedom;
  /** A smallest set of relations and dimensions that can't all hold; empty if they do. */
  conflict: readonly string[];
  residuals: readonly MeasuredResidual[];
  /** Measured sizes that disagree with the others by more than their doubt. */
  disagreeing: readonly string[];
}

/** Whether all conditions hold. */
export const isMet = ({ offMm }: Pick<SolvedDrawing, 'offMm'>): boolean => offMm <= MISSED_MM;

/** Moves a drawn outline until its relations and dimensions hold. One without any stays as it was given. */
export function solveDrawn(input: DrawnInput): SolvedDrawing {
  const system = systemOf(input);
  return drawingAt(system, settle(system));
}

/** As solveDrawn, with freedom, conflicts and residuals. */
export function studyDrawn(input: DrawnInput): StudiedDrawing {
  const system = systemOf(input);
  const settled = settle(system);
  const drawing = drawingAt(system, settled);
  const residuals = residualsOf(system, settled.values);
  return {
    ...drawing,
    freedom: freedomOf(system, settled.values),
    conflict: isMet(drawing) ? [] : conflictOf(input),
    residuals,
    disagreeing: residuals.filter(({ standardised }) => standardised > DISAGREES_BEYOND).map(({ id }) => id),
  };
}

/** Points and curves where the unknowns stand. */
export function drawingAt(
  system: System,
  { values, offMm, solves }: Pick<Settled, 'values' | 'offMm' | 'solves'>,
): SolvedDrawing {
  const { unknowns, input } = system;
  const holdsNothing = input.relations.length === 0 && input.dimensions.length === 0;
  const points = new Map(
    input.points.map(({ id, at }): [string, Place] => {
      const [x, y] = unknowns.pointAt(id);
      return [id, holdsNothing ? at : [values[x]!, values[y]!]];
    }),
  );
  const curves = input.curves.map((curve): SolvedCurve => solvedCurve(curve, system, values, points));
  if (!holdsNothing)
    for (const curve of curves) {
      const given = input.curves.find(({ id }) => id === curve.id)!;
      // What only says on which side an arc lies goes along with it.
      if (curve.kind === 'arc' && given.kind === 'arc') points.set(given.via, curve.via);
    }
  return {
    points,
    curves,
    measures: new Map([...system.measures].map(([id, measure]) => [id, measure(values)])),
    misused: system.misused,
    offMm,
    solves,
  };
}

function solvedCurve(
  curve: KnownCurve,
  { unknowns, input }: System,
  values: ArrayLike<number>,
  points: ReadonlyMap<string, Place>,
): SolvedCurve {
  const { id, helper, face } = curve;
  const named = { id, helper, ...(face === undefined ? {} : { face }) };
  const at = (point: string) => points.get(point)!;
  switch (curve.kind) {
    case 'line':
      return { ...named, kind: 'line', from: at(curve.from), to: at(curve.to) };
    case 'arc': {
      const round = unknowns.roundAt(id)!;
      const middle: Place = [values[round.middle[0]]!, values[round.middle[1]]!];
      const radius = values[round.radius]!;
      const [from, to] = [at(curve.from), at(curve.to)];
      const isGiven = input.relations.length === 0 && input.dimensions.length === 0;
      const via = isGiven ? at(curve.via) : halfwayRound(middle, radius, from, to, unknowns.isLeft(id));
      return { ...named, kind: 'arc', from, via, to, middle, radius };
    }
    case 'spline':
      return { ...named, kind: 'spline', points: curve.points.map(at), closed: curve.closed };
    case 'circle':
      return {
        ...named,
        kind: 'circle',
        middle: at(curve.middle),
        radius: values[unknowns.roundAt(id)!.radius]!,
      };
    case 'ellipse': {
      const axes = unknowns.axesAt(id)!;
      return {
        ...named,
        kind: 'ellipse',
        middle: at(curve.middle),
        along: [values[axes[0]]!, values[axes[1]]!],
      };
    }
  }
}

/** The middle of an arc from one place to another, the way round that it was drawn. */
function halfwayRound(middle: Place, radius: number, from: Place, to: Place, isLeft: boolean): Place {
  const turnOf = ([x, y]: Place) => Math.atan2(y - middle[1], x - middle[0]);
  const [start, end] = [turnOf(from), turnOf(to)];
  const full = 2 * Math.PI;
  const sweep = isLeft ? (end - start + 2 * full) % full : -((start - end + 2 * full) % full);
  const turn = start + sweep / 2;
  return [middle[0] + radius * Math.cos(turn), middle[1] + radius * Math.sin(turn)];
}
