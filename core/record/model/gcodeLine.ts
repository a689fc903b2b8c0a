/** A line of a job that a printer can't take: its number, from 1, and what stands there. */
export interface UnreadableLine {
  line: number;
  text: string;
}

/** Moves, waits and settings of where the head is: each letter but G92’s goes with a number. */
const MOVES = /^G0*(0|1|2|3|4|92)$/;
/** What printers’ own programs are called by: START_PRINT BED=60. */
const CALL = /^[A-Z_][A-Z0-9_]*(\s+\w+=\S*)*$/;
const COMMAND = /^[GMT]\d{1,5}(\.\d+)?$/;
const NUMBER = /^[+-]?(\d+\.?\d*|\.\d+)$/;
/** Commands whose rest is words for people. */
const SAYS = /^M(23|28|30|32|117|118|928)$/;
/** Of a line that can’t be read so much is told. */
const TOLD = 60;

/**
 * Whether a line is G-code as RS-274 and printers have it (NIST IR 6556): a command, then letters with numbers. What is left of a template
 * (`Z[first_layer_height]`), a number with two points and a letter without its number are not.
 */
export function isGcodeLine(line: string): boolean {
  const text = line
    .replace(/;.*$/, '')
    .replace(/\([^)]*\)/g, '')
    .replace(/\*\d+\s*$/, '')
    .trim()
    .replace(/^N\d+\s*/i, '');
  if (text === '') return true;
  if (text.includes('\0')) return false;
  const [first, rest] = splitCommand(text.toUpperCase());
  if (SAYS.test(first)) return true;
  if (/[[\]{}]/.test(rest) || /[[\]{}]/.test(first)) return false;
  if (!COMMAND.test(first)) return CALL.test(text);
  const isMove = MOVES.test(first);
  if (!isMove) return true;
  return [...rest.matchAll(/([A-Z])([^A-Z]*)/g)].every(([, letter, number]) => {
    const given = number!.trim();
    return given === '' ? first === 'G92' && letter !== undefined : NUMBER.test(given);
  });
}

/** G1X10 is G1 and X10. */
function splitCommand(text: string): [string, string] {
  const joined = /^([GMT]\d+(?:\.\d+)?)(.*)$/.exec(text);
  if (joined) return [joined[1]!, joined[2]!];
  const [first = '', ...rest] = text.split(/\s+/);
  return [first, rest.join(' ')];
}

/** The first line of some that is no G-code. */
export function unreadableLine(lines: Iterable<string>): UnreadableLine | null {
  let line = 0;
  for (const text of lines) {
    line += 1;
    if (!isGcodeLine(text)) return { line, text: text.trim().slice(0, TOLD) };
  }
  return null;
}

/** The lines of a text, one at a time, so that a job of millions is not held twice. */
export function* linesOf(text: string): Generator<string> {
  let from = 0;
  while (from <= text.length) {
    const end = text.indexOf('\n', from);
    if (end < 0) {
      yield text.slice(from);
      return;
    }
    yield text.slice(from, end);
    from = end + 1;
  }
}
