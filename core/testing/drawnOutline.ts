import { numberValue, type DrawnOutline } from '@core/foundations/fields';
import { drawnInput, solveDrawn, studyDrawn, type DrawnData } from '@core/shaping/drawn';
import { withCurve, withDimension, withPoint } from '@core/shaping/drawnEdits';
import { drawnRegion, regionArea } from '@core/shaping/outline';

/** Every number of these outlines is typed. */
export const lengthsOf = (outline: DrawnOutline) => {
  const found: Record<string, { what: 'measure'; tag: null; mm: number }> = {};
  const look = (data: object, path: string): void => {
    for (const [key, inside] of Object.entries(data) as [string, unknown][]) {
      if (typeof inside !== 'object' || inside === null) continue;
      if ('mm' in inside) found[path + key] = { what: 'measure', tag: null, mm: inside.mm as number };
      else look(inside, `${path}${key}.`);
    }
  };
  look(outline, '');
  return found;
};
export const inputOf = (outline: DrawnOutline) => {
  const lengths = lengthsOf(outline);
  return drawnInput(outline as DrawnData, (path) => new Map(Object.entries(lengths)).get(path));
};
export const solved = (outline: DrawnOutline) => solveDrawn(inputOf(outline));
export const studied = (outline: DrawnOutline) => studyDrawn(inputOf(outline));
export const areaOf = (outline: DrawnOutline) => {
  const region = drawnRegion(outline as DrawnData, lengthsOf(outline));
  if (!region.ok) throw new Error(JSON.stringify(region.fault));
  return regionArea(region.value);
};
export const EMPTY_OUTLINE: DrawnOutline = {
  shape: 'drawn',
  points: [{ id: 'O', x: numberValue(0), y: numberValue(0) }],
  curves: [],
  relations: [{ kind: 'fixed', id: 'r1', point: 'O' }],
};
/** Lines from point to point, and back to the first. */
export function closedLines(outline: DrawnOutline, places: readonly (readonly [number, number])[]) {
  let next = outline;
  const points = places.map((place) => {
    const [added, id] = withPoint(next, place);
    next = added;
    return id;
  });
  const curves = points.map((from, index) => {
    const [added, id] = withCurve(next, { kind: 'line', from, to: points[(index + 1) % points.length]! });
    next = added;
    return id;
  });
  return { outline: next, points, curves };
}
export const length = (outline: DrawnOutline, points: [string, string], mm: number) =>
  withDimension(outline, { kind: 'distance', points, value: numberValue(mm) })[0];
