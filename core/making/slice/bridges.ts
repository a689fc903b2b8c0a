import { hatched } from './hatch';
import { both, grown, holds, opened, piecesOf, type Area } from './region';

/** A solid patch that is printed through air, from side to side. */
export interface Bridge {
  area: Area;
  /** All of it that has nothing under it, its walls too. */
  over: Area;
  /** Which way its lines run, from the x axis, radians. */
  angle: number;
  /** Longest stretch of a line with nothing under it, mm. */
  spanMm: number;
  /** Whether its lines begin and end on something. */
  anchored: boolean;
}

/** Directions that are tried. */
const DIRECTIONS = 24;

/** How many lines are looked at for a direction. */
const LOOKED_AT = 12;

/** At least this share of the lines has to lie on something at both ends. */
const MOST = 0.8;

/**
 * The patches of a layer that lie unsupported, each with the way across it that leaves the shortest stretch unsupported: lines go from edge to edge the short way,
 * where both ends find something to lie on.
 */
export function bridgesOf(air: Area, inside: Area, below: Area, lineMm: number): Bridge[] {
  return piecesOf(opened(air, lineMm)).flatMap((piece): Bridge[] => {
    const area = both(grown(piece, 2 * lineMm), inside);
    if (area.length === 0) return [];
    let best: Bridge | null = null;
    for (let direction = 0; direction < DIRECTIONS; direction += 1) {
      const angle = (Math.PI * direction) / DIRECTIONS;
      const { spanMm, anchored } = across(piece, below, angle, lineMm);
      const better =
        !best || (anchored && !best.anchored) || (anchored === best.anchored && spanMm < best.spanMm - 1e-6);
      if (better) best = { area, over: grown(piece, 0.1), angle, spanMm, anchored };
    }
    return best ? [best] : [];
  });
}

function across(piece: Area, below: Area, angle: number, lineMm: number) {
  const all = hatched(piece, { kind: 'bridge', angle, spacingMm: 2 * lineMm, lineMm });
  const every = Math.max(1, Math.floor(all.length / LOOKED_AT));
  const lines = all.filter((_, index) => index % every === 0);
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  // A little beyond its ends, a line that is anchored has something under it.
  const reach = 0.6 * lineMm;
  let held = 0;
  let spanMm = 0;
  for (const { points } of lines) {
    const forward = (points[2]! - points[0]!) * cos + (points[3]! - points[1]!) * sin > 0 ? 1 : -1;
    const dx = forward * reach * cos;
    const dy = forward * reach * sin;
    if (holds(below, points[0]! - dx, points[1]! - dy) && holds(below, points[2]! + dx, points[3]! + dy))
      held += 1;
    spanMm = Math.max(spanMm, Math.hypot(points[2]! - points[0]!, points[3]! - points[1]!));
  }
  return { spanMm, anchored: lines.length > 0 && held >= MOST * lines.length };
}
