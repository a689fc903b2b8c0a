import type { DrawnOutline } from '@core/foundations/fields';
import { isSamePoint } from '@core/foundations/tolerance';
import type { Place, SolvedDrawing } from '@core/shaping/drawn';
import { hullLoop } from '@core/shaping/outline';

import { withCurve, withNames, withPoint, withRelation } from './names';

/**
 * A band stretched round circles and arcs: tangent lines from one to the next, with arcs that keep to them. What it is stretched round becomes a
 * construction line.
 *
 * @param faces what its faces are called: by its curves, or as those of an outline that is a band (hullLoop).
 * @returns null for fewer than two that it touches.
 */
export function withWrapped(
  outline: DrawnOutline,
  { curves }: Pick<SolvedDrawing, 'curves'>,
  ids: ReadonlySet<string>,
  faces: 'own' | 'ofBand' = 'own',
): DrawnOutline | null {
  const rounds = curves.filter(
    (curve) => ids.has(curve.id) && (curve.kind === 'circle' || curve.kind === 'arc'),
  );
  const loop = hullLoop(
    rounds.map((curve) => ('radius' in curve ? { middle: curve.middle, radius: curve.radius } : never())),
  );
  if (rounds.length < 2 || !loop.ok || loop.value.length < 4) return null;
  let next = withNames(outline);
  const there: { at: Place; id: string }[] = [];
  const pointAt = (at: Place): string => {
    const known = there.find((point) => isSamePoint(point.at, at));
    if (known) return known.id;
    const [added, id] = withPoint(next, at);
    next = added;
    there.push({ at, id });
    return id;
  };
  const band = loop.value.map((curve) => {
    if (curve.kind !== 'line' && curve.kind !== 'arc') return never();
    const [from, to] = [pointAt(curve.from), pointAt(curve.to)];
    const named = faces === 'own' ? {} : { face: curve.role };
    const via = curve.kind === 'arc' ? withPoint(next, curve.via) : null;
    const [added, id] = via
      ? withCurve(via[0], { kind: 'arc', from, via: via[1], to, ...named })
      : withCurve(next, { kind: 'line', from, to, ...named });
    next = added;
    if (curve.kind === 'arc') {
      const round = rounds[Number(curve.role.slice('round'.length))]!.id;
      next = withRelation(next, { kind: 'concentric', curves: [round, id] });
      next = withRelation(next, { kind: 'equal', curves: [round, id] });
    }
    return id;
  });
  for (const [index, id] of band.entries())
    next = withRelation(next, { kind: 'tangent', curves: [id, band[(index + 1) % band.length]!] });
  return {
    ...next,
    curves: next.curves.map((curve) => (ids.has(curve.id!) ? { ...curve, helper: true } : curve)),
  };
}

function never(): never {
  throw new Error('a band is lines and arcs round circles');
}
