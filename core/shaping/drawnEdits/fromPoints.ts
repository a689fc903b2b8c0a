import { isNothing } from '@core/foundations/tolerance';
import type { DrawnCurve, DrawnOutline, OutlineShape } from '@core/foundations/fields';

type Points = Extract<OutlineShape, { shape: 'points' }>;

/**
 * An outline of points as one that is drawn by hand: the same places, the same names of faces. Points with typed numbers are fixed where they are, so that nothing
 * moves before somebody lets it; those with sizes follow these as before.
 */
export function drawnFromPoints({ points, between }: Points): DrawnOutline {
  const id = (index: number) => `P${(index % points.length) + 1}`;
  const places = points.map(({ x, y }, index) => ({ id: id(index), x, y }));
  const relations = points.flatMap(({ x, y }, index): DrawnOutline['relations'] =>
    x.from === 'number' || y.from === 'number'
      ? [{ kind: 'fixed', id: `r${index + 1}`, point: id(index) }]
      : [],
  );
  if (between === 'smooth') {
    const curve: DrawnCurve = {
      kind: 'spline',
      points: places.map((place) => place.id),
      closed: true,
      id: 'c1',
      face: 'wall',
    };
    return { shape: 'drawn', points: places, curves: [curve], relations };
  }
  const curves = points.flatMap(({ via }, index): DrawnCurve[] => {
    if (via) return [];
    const named = { id: `c${index + 1}`, face: `side${index}` };
    const isBent = points[(index + 1) % points.length]!.via === true && !isInLine(points, index);
    const skips = points[(index + 1) % points.length]!.via === true;
    if (isBent) return [{ kind: 'arc', from: id(index), via: id(index + 1), to: id(index + 2), ...named }];
    return [{ kind: 'line', from: id(index), to: id(skips ? index + 2 : index + 1), ...named }];
  });
  return { shape: 'drawn', points: places, curves, relations };
}

/** Whether a point and the two after it are typed in one line: no arc goes through such. */
function isInLine(points: Points['points'], index: number): boolean {
  const three = [0, 1, 2].map((on) => points[(index + on) % points.length]!);
  const typed = three.map(({ x, y }) => (x.from === 'number' && y.from === 'number' ? [x.mm, y.mm] : null));
  const [a, b, c] = typed;
  if (!a || !b || !c) return false;
  return isNothing((b[0]! - a[0]!) * (c[1]! - a[1]!) - (b[1]! - a[1]!) * (c[0]! - a[0]!));
}
