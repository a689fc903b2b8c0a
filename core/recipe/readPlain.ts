import { no, ok, type Fault, type Result } from '@core/fault';

/** Bounds of the numbers that are no lengths, by the last word of their path; angles in radians. */
const BOUNDS: Record<string, readonly [number, number]> = {
  turn: [-7, 7],
  tilt: [-1.6, 1.6],
  undercut: [-1, 0.8],
  taper: [-1, 1],
  pressure: [0.2, 0.6],
  shift: [-1, 1.5],
  teeth: [5, 300],
  count: [2, 200],
  rows: [2, 200],
  scale: [0.01, 100],
};
/** Those that mean something else in some steps. */
const BY_PATH: Record<string, readonly [number, number]> = {
  'scale.x': [0.01, 100],
  'scale.y': [0.01, 100],
  'scale.z': [0.01, 100],
  'outline.angle': [0.02, 6.2],
  'head.angle': [0.5, 2.6],
  'other.angle': [0.05, 1.5],
  angle: [-1, 6.284],
};

const LONGEST_TEXT = 40;

/** Reads an angle in degrees, a count, a factor or words as they were typed, for the number at a path of a step. */
export function readPlain(
  input: 'angle' | 'count' | 'factor' | 'words',
  typed: string,
  path: string,
): Result<number | string, Fault> {
  const text = typed.trim();
  if (input === 'words') {
    return text.length <= LONGEST_TEXT
      ? ok(text)
      : no({ code: 'name.tooLong', what: 'these letters', length: text.length, limit: LONGEST_TEXT });
  }
  const number = Number(text.replace(',', '.').replace('−', '-').replace('°', ''));
  if (text === '' || !Number.isFinite(number) || (input === 'count' && !Number.isInteger(number))) {
    return no({ code: 'plain.notRead', text, input });
  }
  const value = input === 'angle' ? (number * Math.PI) / 180 : number;
  const bounds = BY_PATH[path] ?? BOUNDS[path.split('.').at(-1)!];
  if (bounds && (value < bounds[0] || value > bounds[1])) {
    const shown = (bound: number) => (input === 'angle' ? Math.round((bound * 180) / Math.PI) : bound);
    return no({ code: 'plain.outOfRange', input, least: shown(bounds[0]), most: shown(bounds[1]) });
  }
  return ok(value);
}
