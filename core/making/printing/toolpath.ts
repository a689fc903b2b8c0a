import {
  lengthOf,
  PATH_KINDS,
  volumeOf,
  type LayerPath,
  type LayerSettings,
  type PathKind,
} from '@core/making/slice';

import type { LayerPrinter } from '@core/record/model';
import type { Filament } from '@core/record/model';
import { isNothing } from '@core/foundations/tolerance';
import { lengthPerChord } from './arcs';
import { neededMoves } from './fewerMoves';
import { secondsOfMoves } from './motion';
import { OF_ALL, type BedLayers } from './togetherOnBed';

/** What a move is for: a line that is printed, or a way without one. */
export const MOVE_KINDS = [...PATH_KINDS, 'travel'] as const;
export type MoveKind = (typeof MOVE_KINDS)[number];
const TRAVEL = MOVE_KINDS.indexOf('travel');

/** One layer as the machine does it. Places on the bed, mm. */
export interface ToolpathLayer {
  /** Height of the nozzle: the upper side of the layer. */
  zMm: number;
  heightMm: number;
  /** Where each move ends; the first entry is where the layer begins. */
  x: Float64Array;
  y: Float64Array;
  /** By what angle each goes round to get there, radians, anticlockwise above zero; 0 is straight. */
  sweep: Float64Array;
  /** Length of filament that each move takes, mm; 0 for a way. */
  filamentMm: Float64Array;
  /** mm/s. */
  speed: Float64Array;
  /** Into MOVE_KINDS. */
  kind: Uint8Array;
  /** To which part on the bed it belongs, a way to the one that it leads to; -1 is all of them. */
  part: Int16Array;
  /** Breadth of the line, mm. */
  width: Float32Array;
  /** Moves before which the filament is drawn back, and pushed again after them. */
  drawnBack: Uint8Array;
  /** s; the first is 0. */
  seconds: Float64Array;
  /** With the way up to it and all that is drawn back, s. */
  allSeconds: number;
  /** Of that, what it takes longer so that the printer can take in its lines, s. */
  slowedSeconds: number;
  /** The nozzle rises evenly along the layer, from the one below: a wall without a seam. */
  rising: boolean;
}

/** A part as the machine makes it. */
export interface Toolpath {
  layers: ToolpathLayer[];
  machine: LayerPrinter;
  material: Filament;
  /** Of the part that leads: its layers' heights hold for all. */
  settings: LayerSettings;
  /** Mean of what is printed, on the bed. */
  at: [number, number];
}

/** Ways longer than this are made with the filament drawn back, mm. */
const DRAWN_BACK_FROM_MM = 2;

/** No line is printed slower than this for the sake of cooling, mm/s. */
const SLOWEST = 10;

/**
 * What the machine does for a part: moves with speeds and filament, slowed down where a layer would be too quick to set.
 *
 * @param at where the part's origin is put on the bed, mm.
 */
export function toolpathOf(
  { layers }: Pick<BedLayers, 'layers'>,
  machine: LayerPrinter,
  material: Filament,
  settings: LayerSettings,
  at: readonly [number, number],
): Toolpath {
  let [x, y] = [at[0], at[1]];
  const filamentArea = (Math.PI / 4) * machine.filamentMm ** 2;
  const jobLayers = layers.map(({ topMm, heightMm, paths, parts }, index): ToolpathLayer => {
    const moves = new MoveList(x, y);
    for (const [order, path] of paths.entries()) {
      moves.part = parts[order]!;
      const most = Math.min(
        speedOf(path.kind, index === 0, machine),
        material.mostFlow / (broadest(path) * heightMm),
      );
      addPath(moves, path, at, {
        heightMm,
        filamentArea,
        speed: most,
        travel: machine.speeds.travel,
        takesArcs: machine.takesArcs ?? false,
      });
    }
    const layer = moves.layer(topMm, heightMm);
    // Of the part that leads: another one that is left over higher up has walls of its own.
    layer.rising =
      settings.singleWall && index >= settings.bottomLayers && paths.length === 1 && parts[0] === 0;
    x = layer.x.at(-1)!;
    y = layer.y.at(-1)!;
    timed(layer, machine, index === 0 ? 0 : material.leastLayerSeconds);
    return layer;
  });
  return { layers: jobLayers, machine, material, settings, at: [at[0], at[1]] };
}

interface PathSettings {
  heightMm: number;
  filamentArea: number;
  speed: number;
  travel: number;
  takesArcs: boolean;
}

function addPath(
  moves: MoveList,
  path: LayerPath,
  at: readonly [number, number],
  settings: PathSettings,
): void {
  const { points } = path;
  const kind = MOVE_KINDS.indexOf(path.kind);
  const [dx, dy] = at;
  moves.travel(points[0]! + dx, points[1]! + dy, settings.travel);
  const count = points.length / 2;
  let from = 0;
  for (const { to, sweep } of neededMoves(path, settings.takesArcs)) {
    // What is printed between them is as much as with every point between.
    const { mm3, broad } = printedBetween(path, from, to, settings.heightMm);
    moves.lay(points[2 * (to % count)]! + dx, points[2 * (to % count) + 1]! + dy, sweep, {
      filamentMm: mm3 / settings.filamentArea,
      speed: settings.speed,
      kind,
      width: broad,
    });
    from = to;
  }
}

/** What a stretch of a line takes, mm³, and how wide it is in the middle. */
function printedBetween({ points, width, ...path }: LayerPath, from: number, to: number, heightMm: number) {
  const count = points.length / 2;
  let [mm3, way, area] = [0, 0, 0];
  for (let point = from; point < to; point += 1) {
    const [one, other] = [point % count, (point + 1) % count];
    const piece = new Float64Array([
      points[2 * one]!,
      points[2 * one + 1]!,
      points[2 * other]!,
      points[2 * other + 1]!,
    ]);
    const broad = typeof width === 'number' ? width : (width[one]! + width[other]!) / 2;
    const stretch = { ...path, closed: false, points: piece, width: broad };
    mm3 += volumeOf(stretch, heightMm);
    const length = lengthOf(stretch);
    way += length;
    area += length * broad;
  }
  return { mm3, broad: way > 0 ? area / way : typeof width === 'number' ? width : width[from % count]! };
}

const broadest = ({ width }: LayerPath): number =>
  typeof width === 'number' ? width : width.reduce((most, one) => Math.max(most, one), 0);

function speedOf(kind: PathKind, first: boolean, { speeds }: LayerPrinter): number {
  if (first) return speeds.firstLayer;
  switch (kind) {
    case 'outerWall':
    case 'thinWall':
      return speeds.outerWall;
    case 'innerWall':
    case 'gap':
      return speeds.innerWall;
    case 'skin':
      return speeds.skin;
    case 'bridge':
      return speeds.bridge;
    case 'fill':
      return speeds.fill;
    case 'support':
    case 'supportFace':
      return speeds.support;
    case 'foot':
      return speeds.firstLayer;
  }
}

/** Lines that a printer takes in within a second, where its row says nothing: firmware of small boards stutters beyond. */
const USUAL_LINES_PER_SECOND = 100;

export const linesPerSecondOf = ({ linesPerSecond }: Pick<LayerPrinter, 'linesPerSecond'>): number =>
  linesPerSecond ?? USUAL_LINES_PER_SECOND;

/** Lines that follow each other are looked at together: one short one among long ones is no matter. */
const TOGETHER = 15;

/**
 * Slows lines down where so many short ones follow each other that a printer could not take them in as fast.
 *
 * @returns whether any is.
 */
function keepUp(layer: ToolpathLayer, linesPerSecond: number): boolean {
  const { x, kind, speed } = layer;
  const mm = lengthsOf(layer);
  const asked = speed.slice();
  let [seconds, from] = [0, 1];
  for (let move = 1; move < x.length; move += 1) {
    seconds += mm[move]! / asked[move]!;
    if (move - from >= TOGETHER) {
      seconds -= mm[from]! / asked[from]!;
      from += 1;
    }
    const wanted = (move - from + 1) / linesPerSecond;
    if (move - from + 1 < TOGETHER || seconds >= wanted) continue;
    // All of them as much slower as they are too fast together.
    for (let one = from; one <= move; one += 1) {
      if (MOVE_KINDS[kind[one]!] !== 'travel')
        speed[one] = Math.min(speed[one]!, asked[one]! * (seconds / wanted));
    }
  }
  return speed.some((one, move) => one < asked[move]!);
}

/** How long each move is, mm; the first is none. */
export const lengthsOf = ({ x, y, sweep }: Pick<ToolpathLayer, 'x' | 'y' | 'sweep'>): Float64Array =>
  Float64Array.from(x, (to, move) =>
    move === 0 ? 0 : Math.hypot(to - x[move - 1]!, y[move]! - y[move - 1]!) * lengthPerChord(sweep[move]!),
  );

/** Times each move; where the layer would be done too soon, its lines are printed slower, and timed again. */
function timed(layer: ToolpathLayer, machine: LayerPrinter, leastSeconds: number): void {
  const { acceleration, junctionSpeed, retractMm, retractSpeed, speeds } = machine;
  let stops = layer.heightMm / speeds.rise;
  for (const one of layer.drawnBack) if (one) stops += (2 * retractMm) / retractSpeed;
  const sum = () => layer.seconds.reduce((all, one) => all + one, 0) + stops;
  const time = () => {
    layer.seconds = secondsOfMoves(layer, acceleration, junctionSpeed);
    layer.allSeconds = sum();
  };
  time();
  const asked = layer.allSeconds;
  if (keepUp(layer, linesPerSecondOf(machine))) {
    time();
    // What a layer takes anyway, so that it sets, is not the lines' doing.
    layer.slowedSeconds = Math.max(0, layer.allSeconds - Math.max(asked, leastSeconds));
  }
  // Slower lines take less than their share of speeding up: a second and third time come near.
  for (let pass = 0; pass < 3 && layer.allSeconds < leastSeconds && layer.x.length > 1; pass += 1) {
    let lines = 0;
    layer.seconds.forEach((seconds, move) => {
      if (layer.kind[move] !== TRAVEL) lines += seconds;
    });
    // What is missing is added to the lines alone.
    const share = lines / (lines + leastSeconds - layer.allSeconds);
    layer.kind.forEach((kind, move) => {
      if (kind !== TRAVEL) {
        layer.speed[move] = Math.max(Math.min(SLOWEST, layer.speed[move]!), layer.speed[move]! * share);
      }
    });
    time();
  }
}

/** Moves as they are gathered. */
class MoveList {
  /** What the next moves are for. */
  part = OF_ALL;
  readonly #x: number[];
  readonly #y: number[];
  readonly #sweep = [0];
  readonly #filament = [0];
  readonly #speed = [0];
  readonly #kind = [TRAVEL];
  readonly #part = [OF_ALL];
  readonly #width = [0];
  readonly #drawnBack = [0];

  constructor(x: number, y: number) {
    this.#x = [x];
    this.#y = [y];
  }

  travel(x: number, y: number, speed: number): void {
    const mm = Math.hypot(x - this.#x.at(-1)!, y - this.#y.at(-1)!);
    if (isNothing(mm)) return;
    const drawnBack = mm > DRAWN_BACK_FROM_MM;
    this.lay(x, y, 0, { filamentMm: 0, speed, kind: TRAVEL, width: 0 }, drawnBack);
  }

  lay(
    x: number,
    y: number,
    sweep: number,
    { filamentMm, speed, kind, width }: { filamentMm: number; speed: number; kind: number; width: number },
    drawnBack = false,
  ): void {
    this.#x.push(x);
    this.#y.push(y);
    this.#sweep.push(sweep);
    this.#filament.push(filamentMm);
    this.#speed.push(speed);
    this.#kind.push(kind);
    this.#part.push(this.part);
    this.#width.push(width);
    this.#drawnBack.push(drawnBack ? 1 : 0);
  }

  layer(zMm: number, heightMm: number): ToolpathLayer {
    return {
      zMm,
      heightMm,
      x: new Float64Array(this.#x),
      y: new Float64Array(this.#y),
      sweep: new Float64Array(this.#sweep),
      filamentMm: new Float64Array(this.#filament),
      speed: new Float64Array(this.#speed),
      kind: new Uint8Array(this.#kind),
      part: new Int16Array(this.#part),
      width: new Float32Array(this.#width),
      drawnBack: new Uint8Array(this.#drawnBack),
      seconds: new Float64Array(),
      allSeconds: 0,
      slowedSeconds: 0,
      rising: false,
    };
  }
}
