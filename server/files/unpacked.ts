import { no, ok, type Fault, type Result, type ValueProblem } from '@core/foundations/fault';

/** A file as it stands in a repair file. */
export interface Embedded {
  file: string;
  base64: string;
}

/**
 * Keeps the files that a repair file brings; gives the name that each has here by the name it had there.
 *
 * @param wrong what is said of one that can't be kept, and in which list it stands.
 */
export async function unpacked(
  files: readonly Embedded[],
  keep: (bytes: Uint8Array) => Promise<Result<{ file: string }, Fault>>,
  wrong: { list: string; problem: ValueProblem },
): Promise<Result<Map<string, string>, Fault>> {
  const renamed = new Map<string, string>();
  for (const [index, { file, base64 }] of files.entries()) {
    const kept = await keep(Buffer.from(base64, 'base64'));
    if (!kept.ok)
      return no({ code: 'file.invalid', path: `${wrong.list}[${index}]`, problem: wrong.problem });
    renamed.set(file, kept.value.file);
  }
  return ok(renamed);
}
