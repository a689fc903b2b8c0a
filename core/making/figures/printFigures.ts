import earcut from 'earcut';

import {
  BED_ADHESIONS,
  INFILL_PATTERNS,
  SUPPORTS,
  type BedAdhesion,
  type InfillPattern,
  type Support,
} from '@core/foundations/fields';
import type { DrawnFigure } from '@core/record/model';
import type { WeldedMesh } from '@core/shaping/part';
import {
  adhesionOf,
  cornersOfArea,
  Slicer,
  type Area,
  type LayerPath,
  type LayerSettings,
  type PathKind,
  type Sliced,
} from '@core/making/slice';

/** Print settings that are drawn where one is chosen. */
export type PrintFigure =
  | { setting: 'infill'; choice: InfillPattern }
  | { setting: 'adhesion'; choice: BedAdhesion }
  | { setting: 'supports'; choice: Support };

export const PRINT_FIGURES: readonly PrintFigure[] = [
  ...INFILL_PATTERNS.map((choice) => ({ setting: 'infill', choice }) as const),
  ...BED_ADHESIONS.map((choice) => ({ setting: 'adhesion', choice }) as const),
  ...SUPPORTS.map((choice) => ({ setting: 'supports', choice }) as const),
];

/** Under what name a figure is kept. */
export const printFigureKey = ({ setting, choice }: PrintFigure): string => `${setting} ${choice}`;

/** Lines as wide as this can be told apart on a small tile, mm. */
const LINE_MM = 1.6;
const SETTINGS: LayerSettings = {
  id: 'figure',
  name: 'figure',
  layerMm: 0.5,
  firstLayerMm: 0.5,
  lineMm: LINE_MM,
  walls: 1,
  topLayers: 0,
  bottomLayers: 0,
  fill: 'lines',
  fillShare: 0.3,
  support: 'none',
  foot: 'none',
  footMm: 6,
  singleWall: false,
};
const HABITS = { firstLayerSpreadMm: 0, overhang: Math.PI / 4, bridgeMm: 5 };

/** A bracket on the bed, seen from above: two long sides whose corners may lift. mm */
const BRACKET = [0, 0, 40, 0, 40, 14, 14, 14, 14, 30, 0, 30];
/** A stand seen from the side: an arm over the bed, and a shelf within it that only the stand itself can hold up. mm */
const STAND = [0, 0, 26, 0, 26, 4, 4, 4, 4, 14, 26, 14, 26, 22, 42, 22, 42, 27, 0, 27];
const STAND_DEEP_MM = 16;

/** Draws a print setting from layers that are really sliced: an outline, and what the setting adds to it. */
export function printFigure(figure: PrintFigure): DrawnFigure {
  const key = printFigureKey(figure);
  switch (figure.setting) {
    case 'infill': {
      const { layers } = sliced(upright(BRACKET, 4), { fill: figure.choice });
      // Lines lie one way in each layer, across it in the next; two layers together are what is seen.
      const seen = figure.choice === 'lines' ? layers.slice(2, 4) : layers.slice(2, 3);
      return drawn(
        key,
        [BRACKET],
        [],
        seen.flatMap(({ paths }) => linesOf(paths, ['fill'])),
      );
    }
    case 'adhesion': {
      const { foot } = sliced(upright(BRACKET, 2), {});
      const around = adhesionOf(foot, { ...SETTINGS, foot: figure.choice });
      return drawn(key, loopsOf(foot), [], linesOf(around, ['foot']));
    }
    case 'supports': {
      const { layers } = sliced(seenFromSide(STAND, STAND_DEEP_MM), { support: figure.choice });
      // The columns from the side: how far they reach in every layer that is drawn.
      const reach = layers.flatMap(({ paths, topMm }, layer) =>
        layer % 4 === 0
          ? spans(linesOf(paths, ['support'])).map(([from, to]) => [from, topMm, to, topMm])
          : [],
      );
      return drawn(key, [STAND], [], reach);
    }
  }
}

function sliced(mesh: WeldedMesh, fields: Partial<LayerSettings>): Sliced {
  const work = new Slicer(mesh).run({ ...SETTINGS, ...fields }, HABITS);
  let step = work.next();
  while (!step.done) step = work.next();
  return step.value;
}

const drawn = (
  key: string,
  outline: readonly (readonly number[])[],
  ghost: number[][],
  made: readonly (readonly number[])[],
): DrawnFigure => {
  const rims = outline.map((loop) => [...loop, loop[0]!, loop[1]!]);
  return {
    key,
    outline: outline.map((loop) => [...loop]),
    edges: [...rims, ...made.map((line) => [...line])],
    made: made.map((_, index) => rims.length + index),
    ghost,
  };
};

/** Lines of some kinds, closed ones back to where they began. */
const linesOf = (paths: readonly LayerPath[], kinds: readonly PathKind[]): number[][] =>
  paths
    .filter(({ kind }) => kinds.includes(kind))
    .map(({ points, closed }) => [...points, ...(closed ? [points[0]!, points[1]!] : [])]);

const loopsOf = (area: Area): number[][] =>
  cornersOfArea(area).map((loop) => loop.flatMap((point) => [...point]));

/** From where to where lines reach along x; what is nearer than two lines' breadth is one. */
function spans(lines: readonly (readonly number[])[]): [number, number][] {
  const reaches = lines
    .map((line) => line.filter((_, index) => index % 2 === 0))
    .map((xs): [number, number] => [Math.min(...xs), Math.max(...xs)])
    .sort(([a], [b]) => a - b);
  const found: [number, number][] = [];
  for (const [from, to] of reaches) {
    const last = found.at(-1);
    if (last && from - last[1] < 2 * LINE_MM) last[1] = Math.max(last[1], to);
    else found.push([from, to]);
  }
  return found;
}

/** A prism over an outline that runs anticlockwise. */
function upright(outline: readonly number[], height: number): WeldedMesh {
  const count = outline.length / 2;
  const positions = [0, height].flatMap((z) =>
    Array.from({ length: count }, (_, at) => [outline[2 * at]!, outline[2 * at + 1]!, z]).flat(),
  );
  const faces = earcut([...outline]);
  const floor = faces.map((_, at) => faces[3 * Math.floor(at / 3) + (2 - (at % 3))]!);
  const walls = Array.from({ length: count }, (_, at) => {
    const next = (at + 1) % count;
    return [at, next, count + next, at, count + next, count + at];
  });
  return {
    positions: new Float32Array(positions),
    indices: new Uint32Array([...floor, ...faces.map((at) => at + count), ...walls.flat()]),
  };
}

/** The same outline as it is seen from in front: x and height, so deep along y. */
function seenFromSide(outline: readonly number[], deep: number): WeldedMesh {
  const { positions, indices } = upright(outline, deep);
  const turned = positions.map((_, at) => {
    const first = at - (at % 3);
    return [positions[first]!, deep - positions[first + 2]!, positions[first + 1]!][at % 3]!;
  });
  return { positions: turned, indices };
}
