/** What the printer makes of a job before it starts. */
export interface Program {
  /** How long it takes, s, without speeding up. */
  seconds: number;
  layers: number;
  /** Whether it pushes any filament at all. */
  lays: boolean;
}

/** Firmware slows down at every corner: beside the bare ways it takes about so much more. */
const CORNERS = 1.15;
const USUAL_SPEED = 30;
/** Lines that are read before others have their turn: some milliseconds. */
const LINES_AT_ONCE = 4000;

/**
 * Reads G-code as a printer's firmware does: where each move goes, how fast, and what is pushed. A large job is read bit by bit, and whoever else
 * wants something meanwhile has it; a small one at once.
 *
 * @param goesOn asked now and then: whether it is still wanted.
 * @returns null if it no longer was.
 */
export function readProgram(
  gcode: string,
  goesOn: () => boolean = () => true,
): Promise<Program | null> | Program {
  const reader = new ProgramReader();
  const from = reader.readLines(gcode, 0);
  if (from > gcode.length) return reader.program;
  return readOn(reader, gcode, from, goesOn);
}

async function readOn(
  reader: ProgramReader,
  gcode: string,
  begin: number,
  goesOn: () => boolean,
): Promise<Program | null> {
  for (let from = begin; from <= gcode.length; from = reader.readLines(gcode, from)) {
    await new Promise(setImmediate);
    if (!goesOn()) return null;
  }
  return reader.program;
}

class ProgramReader {
  readonly #at = { X: 0, Y: 0, Z: 0, E: 0 };
  #speed = USUAL_SPEED;
  #seconds = 0;
  #highest = 0;
  #layers = 0;
  #relative = false;
  #relativeE = false;
  #lays = false;

  get program(): Program {
    return { seconds: this.#seconds * CORNERS, layers: this.#layers, lays: this.#lays };
  }

  /** Reads so many lines from a place; gives where the next begins, past the end after the last. */
  readLines(gcode: string, begin: number): number {
    let from = begin;
    for (let count = 0; count < LINES_AT_ONCE && from <= gcode.length; count += 1) {
      const end = gcode.indexOf('\n', from);
      this.#line(gcode.slice(from, end < 0 ? undefined : end));
      from = end < 0 ? gcode.length + 1 : end + 1;
    }
    return from;
  }

  #line(line: string): void {
    const words = line.split(';', 1)[0]!.trim().split(/\s+/);
    const command = words[0]!.toUpperCase();
    if (command === 'G90') this.#relative = false;
    if (command === 'G91') this.#relative = true;
    if (command === 'M82') this.#relativeE = false;
    if (command === 'M83') this.#relativeE = true;
    if (command === 'G4') this.#seconds += value(words, 'P') / 1000 + value(words, 'S');
    if (command === 'G92') this.#set(words);
    if (command === 'G0' || command === 'G1') this.#move(words);
    if (command === 'G2' || command === 'G3') this.#move(words, command === 'G2');
  }

  #set(words: readonly string[]): void {
    for (const word of words.slice(1)) {
      const axis = axisOf(word);
      if (axis) this.#at[axis] = numberOf(word) ?? this.#at[axis];
    }
  }

  /** @param isClockwise of an arc; a straight move where nothing is said. */
  #move(words: readonly string[], isClockwise?: boolean): void {
    const at = this.#at;
    const from = { ...at };
    for (const word of words.slice(1)) {
      const number = numberOf(word);
      // What is no number moves nothing.
      if (number === null) continue;
      const axis = axisOf(word);
      if (word[0]!.toUpperCase() === 'F') this.#speed = Math.max(1, number / 60);
      else if (axis)
        at[axis] = (axis === 'E' ? this.#relativeE : this.#relative) ? at[axis] + number : number;
    }
    const straight = Math.hypot(at.X - from.X, at.Y - from.Y);
    const along =
      isClockwise === undefined
        ? straight
        : arcLength(from, at, value(words, 'I'), value(words, 'J'), isClockwise);
    this.#seconds += Math.hypot(along, at.Z - from.Z) / this.#speed;
    const pushed = at.E > from.E && along > 0;
    this.#lays ||= pushed;
    if (pushed && at.Z > this.#highest + 1e-6) {
      this.#highest = at.Z;
      this.#layers += 1;
    }
  }
}

/** How far it is round a centre that is told from where an arc begins; the same place again is a whole turn. */
function arcLength(from: Place, to: Place, i: number, j: number, isClockwise: boolean): number {
  const angle = Math.atan2(to.Y - from.Y - j, to.X - from.X - i) - Math.atan2(-j, -i);
  const turn = 2 * Math.PI;
  const round = (((isClockwise ? -angle : angle) % turn) + turn) % turn;
  return Math.hypot(i, j) * (round === 0 ? turn : round);
}

interface Place {
  X: number;
  Y: number;
}

type Axis = 'X' | 'Y' | 'Z' | 'E';
function axisOf(word: string): Axis | null {
  const letter = word[0]?.toUpperCase();
  return letter === 'X' || letter === 'Y' || letter === 'Z' || letter === 'E' ? letter : null;
}

/** The number of a word, or null where it is none. */
function numberOf(word: string): number | null {
  const number = Number(word.slice(1));
  return Number.isFinite(number) ? number : null;
}

const value = (words: readonly string[], letter: string) =>
  numberOf(words.find((word) => word[0]?.toUpperCase() === letter) ?? '') ?? 0;
