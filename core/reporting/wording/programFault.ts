/** Something that went wrong in the program itself, and is nobody's input. */
export interface ProgramFault {
  /** Where: a step, a screen. In words that go on from “in”. */
  where: string;
  message: string;
  stack: string;
  /** ISO 8601. */
  when: string;
}

/** Any thrown thing as a fault of the program. */
export function programFaultOf(thrown: unknown, where: string, when: string): ProgramFault {
  const error = thrown instanceof Error ? thrown : new Error(String(thrown));
  return { where, message: `${error.name}: ${error.message}`, stack: error.stack ?? '', when };
}

/** What a person reads: that it is not theirs, what is safe, what can be done. */
export const programFaultSentence = ({ where }: Pick<ProgramFault, 'where'>): string =>
  `Something went wrong in the program itself, in ${where}. Nothing that you typed is lost.`;

/** The report for whoever mends it, as plain text. @param versions by what each is of: of the program, of the file, of the browser. */
export function programFaultReport(
  { where, message, stack, when }: ProgramFault,
  versions: Readonly<Record<string, string>>,
): string {
  return [
    'Even Spare, a fault of the program',
    `When: ${when}`,
    `Where: ${where}`,
    ...Object.entries(versions).map(([of, version]) => `${of}: ${version}`),
    '',
    message,
    stack,
    '',
  ].join('\n');
}
