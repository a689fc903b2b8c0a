import { arcCentreByRadius, furthestOf, sweepAbout } from './arcs';
import { MOVE_KINDS, type MoveKind } from './toolpath';

/** A move as a file of G-code has it. Places in mm, on the bed. */
export interface ReadMove {
  from: [number, number, number];
  to: [number, number, number];
  /** By what angle it goes round seen from above, radians, anticlockwise above zero, and about what place; straight without. */
  round?: { sweep: number; centre: [number, number] };
  /** Filament pushed, mm; below zero when it is drawn back. */
  filamentMm: number;
  /** mm/s; null if the file never said. */
  speed: number | null;
  /** What its comment says it is for; null for lines of files that do not say. */
  kind: MoveKind | null;
  /** Breadth that its comment says, mm. */
  widthMm: number | null;
  line: number;
}

/** What stands in a file of G-code. */
export interface ReadGcode {
  moves: ReadMove[];
  /** Every axis of every move, for what must stay within the machine. */
  ends: { line: number; axis: 'X' | 'Y' | 'Z'; mm: number }[];
  heats: { line: number; what: 'nozzle' | 'bed'; celsius: number }[];
  /** Commands that are not understood, each with how often and where first. */
  unknown: { command: string; times: number; line: number }[];
}

/** Commands without a bearing on where anything is printed. */
const OF_NO_BEARING = new Set([
  'G4',
  'M84',
  'M18',
  'M106',
  'M107',
  'M73',
  'M117',
  'M105',
  'M110',
  'M204',
  'M205',
  'M220',
  'M221',
]);
const MM_PER_INCH = 25.4;

/**
 * Reads G-code of a layer printer: straight moves and arcs in the plane of the bed (by their centre, or by their radius), absolute or relative, in mm or
 * inches, with filament counted either way. What is not understood is listed and never guessed.
 */
export function readGcode(text: string): ReadGcode {
  const read: ReadGcode = { moves: [], ends: [], heats: [], unknown: [] };
  const unknown = new Map<string, { command: string; times: number; line: number }>();
  const state: State = {
    x: 0,
    y: 0,
    z: 0,
    e: 0,
    speed: null,
    unit: 1,
    relative: false,
    relativeE: false,
    plane: 'G17',
  };
  let kind: MoveKind | null = null;
  let widthMm: number | null = null;
  let line = 0;
  const tellUnknown = (command: string) => {
    const known = unknown.get(command);
    if (known) known.times += 1;
    else unknown.set(command, { command, times: 1, line });
  };
  for (const raw of text.split(/\r?\n/)) {
    line += 1;
    const comment = raw.indexOf(';');
    if (comment >= 0) {
      const lay = /^; lay (\w+) ([\d.]+) wide/.exec(raw.slice(comment));
      if (lay) {
        kind = MOVE_KINDS.find((known) => known === lay[1]) ?? null;
        widthMm = Number(lay[2]);
      }
    }
    const words = wordsOf(comment >= 0 ? raw.slice(0, comment) : raw);
    const command = words[0] ? `${words[0].letter}${words[0].value}` : null;
    if (!command) continue;
    const value = (letter: string) => words.slice(1).find((word) => word.letter === letter)?.value;
    switch (command) {
      case 'G2':
      case 'G3':
      case 'G0':
      case 'G1':
        if (!readMove(read, state, { command, value, line, kind, widthMm })) tellUnknown(command);
        break;
      case 'G20':
        state.unit = MM_PER_INCH;
        break;
      case 'G17':
        state.plane = 'G17';
        break;
      case 'G21':
        state.unit = 1;
        break;
      case 'G28':
        Object.assign(state, { x: 0, y: 0, z: 0 });
        break;
      case 'G90':
        Object.assign(state, { relative: false, relativeE: false });
        break;
      case 'G91':
        Object.assign(state, { relative: true, relativeE: true });
        break;
      case 'M82':
        state.relativeE = false;
        break;
      case 'M83':
        state.relativeE = true;
        break;
      case 'G92':
        for (const name of ['x', 'y', 'z', 'e'] as const) {
          const given = value(name.toUpperCase());
          if (given !== undefined) state[name] = given * state.unit;
        }
        break;
      case 'M104':
      case 'M109':
      case 'M140':
      case 'M190': {
        const celsius = value('S');
        if (celsius !== undefined) {
          read.heats.push({
            line,
            what: command === 'M104' || command === 'M109' ? 'nozzle' : 'bed',
            celsius,
          });
        }
        break;
      }
      default: {
        // Arcs in other planes are not understood.
        if (command === 'G18' || command === 'G19') state.plane = command;
        if (!OF_NO_BEARING.has(command)) tellUnknown(command);
      }
    }
  }
  read.unknown = [...unknown.values()];
  return read;
}

/** Where a machine is as its lines are read. */
interface State {
  x: number;
  y: number;
  z: number;
  e: number;
  speed: number | null;
  /** mm for what is written as 1. */
  unit: number;
  relative: boolean;
  relativeE: boolean;
  /** The plane of arcs, by its command. */
  plane: string;
}

interface MoveLine {
  command: string;
  value(letter: string): number | undefined;
  line: number;
  kind: MoveKind | null;
  widthMm: number | null;
}

const AXES = [
  ['X', 'x'],
  ['Y', 'y'],
  ['Z', 'z'],
] as const;

/** Reads a straight move or an arc (G0 to G3); false for an arc that is not understood: it goes where it ends, and nobody knows where anything was printed. */
function readMove(read: ReadGcode, state: State, { command, value, line, kind, widthMm }: MoveLine): boolean {
  const isArc = command === 'G2' || command === 'G3';
  const feed = value('F');
  if (feed !== undefined) state.speed = (feed * state.unit) / 60;
  const from: [number, number, number] = [state.x, state.y, state.z];
  for (const [axis, name] of AXES) {
    const given = value(axis);
    if (given === undefined) continue;
    state[name] = given * state.unit + (state.relative ? state[name] : 0);
    read.ends.push({ line, axis, mm: state[name] });
  }
  const round = isArc && state.plane === 'G17' ? roundOf(from, state, command === 'G2', value) : null;
  if (round) {
    for (const [axis, mm] of furthestOf(round.centre, from, round.sweep)) read.ends.push({ line, axis, mm });
  }
  const isUnderstood = !isArc || round !== null;
  const e = value('E');
  const pushed = e === undefined ? 0 : e * state.unit - (state.relativeE ? 0 : state.e);
  if (e !== undefined && !state.relativeE) state.e = e * state.unit;
  const filamentMm = isUnderstood ? pushed : 0;
  const lays = filamentMm > 0 && (round !== null || from[0] !== state.x || from[1] !== state.y);
  read.moves.push({
    from,
    to: [state.x, state.y, state.z],
    ...(round ? { round } : {}),
    filamentMm,
    speed: state.speed,
    kind: lays ? kind : 'travel',
    widthMm: lays ? widthMm : null,
    line,
  });
  return isUnderstood;
}

/** Distances of an arc's two ends from its centre differ by less, mm: files are rounded. */
const SAME_RADIUS_MM = 0.01;
/** Or by less than this share of it. */
const SAME_RADIUS_SHARE = 1e-3;

/** The arc that a line asks for; null where it does not say one. */
function roundOf(
  from: readonly [number, number, number],
  { x, y, unit }: { x: number; y: number; unit: number },
  isClockwise: boolean,
  value: (letter: string) => number | undefined,
): NonNullable<ReadMove['round']> | null {
  const [begin, end] = [[from[0], from[1]] as const, [x, y] as const];
  const [i, j, radius] = [value('I'), value('J'), value('R')];
  // Several turns are not understood.
  if ((value('P') ?? 1) > 1) return null;
  let centre: [number, number] | null = null;
  if (i !== undefined || j !== undefined) centre = [from[0] + (i ?? 0) * unit, from[1] + (j ?? 0) * unit];
  else if (radius !== undefined) centre = arcCentreByRadius(begin, end, radius * unit, isClockwise);
  if (!centre) return null;
  const [first, last] = [begin, end].map((at) => Math.hypot(at[0] - centre[0], at[1] - centre[1]));
  if (!(first! > 0) || Math.abs(first! - last!) > Math.max(SAME_RADIUS_MM, SAME_RADIUS_SHARE * first!))
    return null;
  return { sweep: sweepAbout(centre, begin, end, isClockwise), centre };
}

function wordsOf(text: string): { letter: string; value: number }[] {
  return [...text.toUpperCase().matchAll(/([A-Z])\s*(-?(?:\d+\.?\d*|\.\d+))/g)].map(([, letter, value]) => ({
    letter: letter!,
    value: Number(value),
  }));
}
