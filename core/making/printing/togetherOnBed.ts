import {
  adhesionOf,
  movedBy,
  type Area,
  type LayerPath,
  type LayerSettings,
  type Sliced,
  type SlicedLayer,
} from '@core/making/slice';

import type { BedPlace, BedWarning } from './partOnBed';

/** A part in layers, and where its pieces stand. */
export interface PlacedPart {
  sliced: Sliced;
  at: readonly BedPlace[];
  settings: LayerSettings;
}

/** A layer with its lines in the order in which they are printed, and to which part each belongs: -1 is all of them. */
export interface BedLayer extends SlicedLayer {
  parts: number[];
}

/** All that lies on one bed, in layers. */
export interface BedLayers {
  layers: BedLayer[];
  /** What each layer's outlines enclose, mm². */
  areasMm2: number[];
  warnings: BedWarning[];
}

/** Of a loop round all. */
export const OF_ALL = -1;

/**
 * Parts in layers of the same heights, put together layer by layer: piece after piece, each time the nearest next, so that the nozzle goes from one
 * to another no oftener than it must.
 */
export function togetherOnBed(parts: readonly PlacedPart[]): BedLayers {
  const pieces = parts.flatMap(({ sliced, at }, part) => at.map((place) => ({ sliced, part, place })));
  const highest = parts.reduce(
    (most, { sliced }) => (sliced.layers.length > most.layers.length ? sliced : most),
    parts[0]!.sliced,
  );
  let nozzle: BedPlace = [0, 0];
  const layers = highest.layers.map(({ topMm, heightMm }, index): BedLayer => {
    const layer: BedLayer = { topMm, heightMm, paths: [], parts: [] };
    const lay = (paths: readonly LayerPath[], part: number, place: BedPlace) => {
      for (const path of paths) {
        layer.paths.push(moved(path, place));
        layer.parts.push(part);
      }
      const last = layer.paths.at(-1);
      if (last) nozzle = endOf(last);
    };
    if (index === 0) lay(loopRound(parts), OF_ALL, [0, 0]);
    const left = pieces.filter(({ sliced }) => (sliced.layers[index]?.paths.length ?? 0) > 0);
    while (left.length > 0) {
      const next = nearest(
        left.map(({ sliced, place }) => startOf(sliced.layers[index]!.paths[0]!, place)),
        nozzle,
      );
      const [{ sliced, part, place }] = left.splice(next, 1) as [(typeof left)[number]];
      lay(sliced.layers[index]!.paths, part, place);
    }
    return layer;
  });
  return {
    layers,
    areasMm2: layers.map((_, index) =>
      pieces.reduce((sum, { sliced }) => sum + (sliced.areasMm2[index] ?? 0), 0),
    ),
    warnings: parts.flatMap(({ sliced, at }, part) =>
      at.flatMap((place) =>
        sliced.warnings.map((warning): BedWarning => ({ ...warningAt(warning, place), part })),
      ),
    ),
  };
}

/** The loop that shows whether the nozzle flows before anything of worth is printed goes round all that stands there. */
function loopRound(parts: readonly PlacedPart[]): LayerPath[] {
  const settings = parts.find(({ settings: { foot } }) => foot === 'skirt')?.settings;
  if (!settings) return [];
  const feet = parts.flatMap(({ sliced, at }) => at.flatMap((place): Area => movedBy(sliced.foot, place)));
  return adhesionOf(feet, settings);
}

function nearest(places: readonly BedPlace[], [x, y]: BedPlace): number {
  const far = places.map(([ownX, ownY]) => Math.hypot(ownX - x, ownY - y));
  return far.indexOf(Math.min(...far));
}

const startOf = ({ points }: LayerPath, [x, y]: BedPlace): BedPlace => [points[0]! + x, points[1]! + y];

function endOf({ points, closed }: LayerPath): BedPlace {
  const end = closed ? 0 : points.length - 2;
  return [points[end]!, points[end + 1]!];
}

function moved(path: LayerPath, [x, y]: BedPlace): LayerPath {
  if (x === 0 && y === 0) return path;
  const points = new Float64Array(path.points.length);
  for (let at = 0; at < points.length; at += 2) {
    points[at] = path.points[at]! + x;
    points[at + 1] = path.points[at + 1]! + y;
  }
  return { ...path, points };
}

function warningAt(warning: Sliced['warnings'][number], [x, y]: BedPlace) {
  return 'at' in warning
    ? { ...warning, at: [warning.at[0] + x, warning.at[1] + y, warning.at[2]] as [number, number, number] }
    : warning;
}
