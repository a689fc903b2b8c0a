import { placesAlong } from './arcs';
import { blankDrawing, DRAWN_WITHIN_MM, type LayerDrawing } from './drawing';
import { MOVE_KINDS } from './toolpath';
import type { ReadGcode, ReadMove } from './readGcode';

/** A job read back from its file, to be looked at. */
export interface KeptJob {
  drawing: LayerDrawing;
  /** Length of the lines that are printed, and of the filament, m. */
  laidMetres: number;
  filamentMetres: number;
  /** Lines whose purpose the file does not say. */
  unsaid: number;
  /** Commands that are not understood, each with how often and where first. */
  unknown: ReadGcode['unknown'];
}

const TRAVEL = MOVE_KINDS.indexOf('travel');
/** What a line is drawn as whose purpose the file does not say. */
const UNSAID = MOVE_KINDS.indexOf('outerWall');
/** Breadth of a line that the file does not say, mm: as of a usual nozzle. */
const USUAL_WIDTH_MM = 0.4;
/** Heights that differ by less are one layer, mm: a file has thousandths. */
const SAME_LEVEL_MM = 0.0015;

/** Moves between two heights at which something is printed. */
interface Level {
  topMm: number;
  moves: ReadMove[];
}

/**
 * The layers of a file of G-code: what is printed at one height, with the ways to it. A wall that rises without a seam is one layer for each time
 * that the nozzle is set again. Null where nothing is printed.
 */
export function keptJob({ moves, unknown }: ReadGcode): KeptJob | null {
  const levels = levelsOf(moves);
  if (levels.length === 0) return null;
  const places = levels.map(({ moves: own }) => own.map(placesOf));
  const count = places.reduce((sum, own) => own.reduce((all, { length }) => all + length, sum + 1), 0);
  const drawing = blankDrawing(
    levels.map(({ topMm }, index) => ({
      topMm,
      heightMm: topMm - (levels[index - 1]?.topMm ?? 0),
      seconds: 0,
    })),
    count,
  );
  let [at, laidMm, filamentMm, unsaid] = [0, 0, 0, 0];
  for (const [index, { moves: own }] of levels.entries()) {
    [drawing.x[at], drawing.y[at], drawing.kind[at]] = [own[0]!.from[0], own[0]!.from[1], TRAVEL];
    at += 1;
    for (const [rank, move] of own.entries()) {
      const { kind, widthMm, speed } = move;
      const length = lengthOfMove(move);
      filamentMm += move.filamentMm;
      if (isPrinted(move)) {
        laidMm += length;
        if (kind === null) unsaid += 1;
      }
      drawing.seconds[index]! += speed ? length / speed : 0;
      for (const [x, y] of places[index]![rank]!) {
        drawing.x[at] = x;
        drawing.y[at] = y;
        drawing.kind[at] = isPrinted(move) ? (kind === null ? UNSAID : MOVE_KINDS.indexOf(kind)) : TRAVEL;
        drawing.width[at] = isPrinted(move) ? (widthMm ?? USUAL_WIDTH_MM) : 0;
        drawing.speed[at] = speed ?? 0;
        at += 1;
      }
    }
    drawing.begins[index + 1] = at;
  }
  return { drawing, laidMetres: laidMm / 1000, filamentMetres: filamentMm / 1000, unsaid, unknown };
}

/** Filament comes out while it goes along. */
const isPrinted = ({ from, to, round, filamentMm }: ReadMove): boolean =>
  filamentMm > 0 && (round !== undefined || Math.hypot(to[0] - from[0], to[1] - from[1]) > 0);

/** How long a move is, mm. */
function lengthOfMove({ from, to, round }: ReadMove): number {
  const along = round
    ? Math.abs(round.sweep) * Math.hypot(from[0] - round.centre[0], from[1] - round.centre[1])
    : Math.hypot(to[0] - from[0], to[1] - from[1]);
  return Math.hypot(along, to[2] - from[2]);
}

/** The ends of the straight lines that it is drawn by. */
function placesOf({ from, to, round }: ReadMove): [number, number][] {
  const end: [number, number] = [to[0], to[1]];
  if (!round) return [end];
  return placesAlong(
    round.centre,
    { from: [from[0], from[1]], to: end, sweep: round.sweep },
    DRAWN_WITHIN_MM,
  );
}

function levelsOf(moves: readonly ReadMove[]): Level[] {
  const levels: Level[] = [];
  let waiting: ReadMove[] = [];
  let wasRising = false;
  let isSetAnew = false;
  for (const move of moves) {
    if (!isPrinted(move)) {
      waiting.push(move);
      isSetAnew ||= setsHeight(move);
      continue;
    }
    const last = levels.at(-1);
    const topMm = move.to[2];
    const isRising = topMm > move.from[2];
    const isSame = last !== undefined && Math.abs(topMm - last.topMm) < SAME_LEVEL_MM;
    // A wall that rises goes on until the height is set again: then the next turn of it begins.
    const goesOn = isRising ? wasRising && !isSetAnew : isSame;
    if (last && goesOn) {
      last.moves.push(...waiting, move);
      last.topMm = Math.max(last.topMm, topMm);
    } else {
      levels.push({ topMm, moves: [...waiting, move] });
    }
    wasRising = isRising;
    isSetAnew = false;
    waiting = [];
  }
  levels.at(-1)?.moves.push(...waiting.filter((move) => !staysInPlace(move)));
  return levels;
}

const staysInPlace = ({ from, to, round }: ReadMove): boolean =>
  !round && from[0] === to[0] && from[1] === to[1];

/** The height is said, be it the one that it has. */
const setsHeight = (move: ReadMove): boolean => staysInPlace(move) && move.filamentMm === 0;
