import type { DrawnCurve, OutlineConstraint, OutlineDimension } from '@core/foundations/fields';
import { numberValue } from '@core/foundations/fields';
import { drawnInput, type DrawnData, type DrawnInput } from '@core/shaping/drawn';

type Loose<T> = T extends unknown ? Omit<T, 'id' | 'value'> : never;
/** A relation without its name. */
export type RelationDraft = Loose<OutlineConstraint>;
/** A dimension by its number, mm or radians. */
export type DimensionDraft = Loose<Exclude<OutlineDimension, { kind: 'angle' }>> & {
  mm: number;
  standardMm?: number;
};

/** A drawn outline for a test: points by name, curves, relations `r0` and on, dimensions `d0` and on. */
export function drawnDraft(
  points: Readonly<Record<string, readonly [number, number]>>,
  curves: readonly DrawnCurve[],
  relations: readonly RelationDraft[] = [],
  dimensions: readonly (DimensionDraft | { kind: 'angle'; curves: [string, string]; angle: number })[] = [],
): DrawnInput {
  const data: DrawnData = {
    points: Object.entries(points).map(([id, [x, y]]) => ({ id, x: numberValue(x), y: numberValue(y) })),
    curves,
    relations: relations.map((relation, index) => ({ ...relation, id: `r${index}` }) as OutlineConstraint),
    dimensions: dimensions.map(
      (dimension, index) =>
        ({
          ...(dimension.kind === 'angle'
            ? dimension
            : { ...dimension, value: numberValue(dimension.mm), mm: undefined, standardMm: undefined }),
          id: `d${index}`,
        }) as OutlineDimension & { angle: number },
    ),
  };
  return drawnInput(data, (path) => {
    const [list, index, key] = path.split('.') as [string, string, string];
    if (list === 'points') {
      const mm = Object.values(points)[Number(index)]![key === 'x' ? 0 : 1];
      return { what: 'placeRight', tag: null, mm };
    }
    if (list === 'dimensions') {
      const { mm, standardMm = 0 } = dimensions[Number(index)] as DimensionDraft;
      return { what: 'measure', tag: null, mm, standardMm };
    }
    const curve = curves[Number(index)] as unknown as Record<string, { mm: number }>;
    return { what: 'diameter', tag: null, mm: new Map(Object.entries(curve)).get(key)!.mm };
  });
}

/** A line between two points, named by them. */
export const line = (from: string, to: string): DrawnCurve => ({ kind: 'line', from, to, id: from + to });
/** An arc between two points through a third. */
export const arc = (from: string, via: string, to: string): DrawnCurve => ({
  kind: 'arc',
  from,
  via,
  to,
  id: from + to,
});
/** A circle about a point. */
export const circle = (middle: string, diameter: number): DrawnCurve => ({
  kind: 'circle',
  middle,
  diameter: numberValue(diameter),
  id: `o${middle}`,
});
