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

/** Reads G-code as a printer's firmware does: where each move goes, how fast, and what is pushed. */
export function readProgram(gcode: string): Program {
  const at = { X: 0, Y: 0, Z: 0, E: 0 };
  let [speed, seconds, highest, layers] = [USUAL_SPEED, 0, 0, 0];
  let [relative, relativeE, lays] = [false, false, false];
  for (const line of gcode.split('\n')) {
    const words = line.split(';')[0]!.trim().split(/\s+/);
    const command = words[0]!.toUpperCase();
    if (command === 'G90') relative = false;
    if (command === 'G91') relative = true;
    if (command === 'M82') relativeE = false;
    if (command === 'M83') relativeE = true;
    if (command === 'G4') seconds += value(words, 'P') / 1000 + value(words, 'S');
    if (command === 'G92') {
      for (const word of words.slice(1))
        at[word[0]!.toUpperCase() as keyof typeof at] = Number(word.slice(1));
    }
    if (command !== 'G0' && command !== 'G1') continue;
    const from = { ...at };
    for (const word of words.slice(1)) {
      const axis = word[0]!.toUpperCase();
      const number = Number(word.slice(1));
      if (axis === 'F') speed = Math.max(1, number / 60);
      else if (axis === 'E') at.E = relativeE ? at.E + number : number;
      else if (axis === 'X' || axis === 'Y' || axis === 'Z') at[axis] = relative ? at[axis] + number : number;
    }
    const way = Math.hypot(at.X - from.X, at.Y - from.Y, at.Z - from.Z);
    seconds += way / speed;
    const pushed = at.E > from.E && Math.hypot(at.X - from.X, at.Y - from.Y) > 0;
    lays ||= pushed;
    if (pushed && at.Z > highest + 1e-6) {
      highest = at.Z;
      layers += 1;
    }
  }
  return { seconds: seconds * CORNERS, layers, lays };
}

const value = (words: readonly string[], letter: string) =>
  Number(words.find((word) => word[0]?.toUpperCase() === letter)?.slice(1) ?? 0);
