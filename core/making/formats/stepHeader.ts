/** What a STEP file says of itself, before its data. */
export interface StepHeader {
  /** What it is: the part with its revision. */
  name: string;
  /** When it was written, ISO 8601. */
  when: string;
}

/** The program as files name it; the version is that of package.json. */
export const PROGRAM = 'Even Spare 0.1.0';

const BEGIN = 'FILE_DESCRIPTION';
const SCHEMA = 'FILE_SCHEMA';

/**
 * Puts the header of a STEP file as ISO 10303-21:2016 (8.2) wants it: what it holds, its name, when it was written, and by which program. Nobody is asked who they
 * are, so author, organisation and authorisation stay empty strings, as the standard has it for what is not known. The schema stays as it is.
 *
 * @throws RangeError for a file without a header.
 */
export function withStepHeader(bytes: Uint8Array, { name, when }: StepHeader): Uint8Array {
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, HEADER_BYTES));
  const [begin, schema] = [head.indexOf(BEGIN), head.indexOf(SCHEMA)];
  if (begin < 0 || schema < begin) throw new RangeError('this STEP file has no header');
  const own = [
    `FILE_DESCRIPTION((${stepString(name)}),'2;1');`,
    `FILE_NAME(${stepString(name)},${stepString(when.slice(0, 19))},(''),(''),${stepString(PROGRAM)},${stepString(PROGRAM)},'');`,
    '',
  ].join('\n');
  const [before, middle, after] = [
    bytes.subarray(0, begin),
    new TextEncoder().encode(own),
    bytes.subarray(schema),
  ];
  const whole = new Uint8Array(before.length + middle.length + after.length);
  whole.set(before);
  whole.set(middle, before.length);
  whole.set(after, before.length + middle.length);
  return whole;
}

/** A header is shorter than this. */
const HEADER_BYTES = 8192;

/** A text as ISO 10303-21 (6.4.3) writes it: quotes and backslashes twice, what is beyond ASCII by its number in UTF-16. */
export function stepString(text: string): string {
  const words = text
    .replace(/\\/g, '\\\\')
    .replace(/'/g, "''")
    .replace(/[^ -~]+/g, (run) => {
      const codes = [...Array(run.length).keys()].map((at) =>
        run.charCodeAt(at).toString(16).toUpperCase().padStart(4, '0'),
      );
      return `\\X2\\${codes.join('')}\\X0\\`;
    });
  return `'${words}'`;
}
