import { z } from 'zod';

import { no, ok, type Fault, type Result } from '@core/fault';

import { Repair } from './repair';

export const REPAIR_FILE_FORMAT = 'even-spare-repair';
export const REPAIR_FILE_VERSION = 1;
/** Longest repair file that is read, bytes. A repair with 10,000 readings takes about 3 MB. */
export const REPAIR_FILE_LIMIT_BYTES = 20 * 1024 * 1024;

/** The repair file, documented in docs/repair-file.md. */
export const RepairFile = z.strictObject({
  format: z.literal(REPAIR_FILE_FORMAT),
  version: z.literal(REPAIR_FILE_VERSION),
  writtenAt: z.iso.datetime(),
  repair: Repair,
});
export type RepairFile = z.infer<typeof RepairFile>;

/** The text of a repair file. `now` is an ISO 8601 instant. */
export function writeRepairFile(repair: Repair, now: string): string {
  const file: RepairFile = {
    format: REPAIR_FILE_FORMAT,
    version: REPAIR_FILE_VERSION,
    writtenAt: now,
    repair,
  };
  return JSON.stringify(file, null, 1);
}

/** Reads a repair file; a fault names the place in it. */
export function readRepairFile(text: string): Result<Repair, Fault> {
  const bytes = text.length;
  if (bytes > REPAIR_FILE_LIMIT_BYTES) {
    return no({ code: 'file.tooBig', bytes, limitBytes: REPAIR_FILE_LIMIT_BYTES });
  }
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return no({ code: 'file.notJson' });
  }
  return parseRepairFile(data);
}

/** As readRepairFile, for data that has been parsed already. */
export function parseRepairFile(data: unknown): Result<Repair, Fault> {
  if (typeof data !== 'object' || data === null || !('format' in data)) {
    return no({ code: 'file.notARepairFile' });
  }
  if (data.format !== REPAIR_FILE_FORMAT) return no({ code: 'file.notARepairFile' });
  if (!('version' in data) || data.version !== REPAIR_FILE_VERSION) {
    const version = 'version' in data ? data.version : undefined;
    return no({ code: 'file.otherVersion', version, supported: REPAIR_FILE_VERSION });
  }
  const parsed = RepairFile.safeParse(data);
  if (!parsed.success) return no(faultOfIssue(parsed.error.issues[0]!));
  const inconsistency = findInconsistency(parsed.data.repair);
  return inconsistency ? no(inconsistency) : ok(parsed.data.repair);
}

/** `repair.sizes[2].name`: a place in a file as a person would point at it. */
export function pathText(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (text, key) =>
      typeof key === 'number' ? `${text}[${key}]` : text ? `${text}.${String(key)}` : String(key),
    '',
  );
}

/** Zod's finding as one of our faults. */
export function faultOfIssue(issue: z.core.$ZodIssue): Fault {
  const path = pathText(issue.path);
  if (issue.code === 'unrecognized_keys') return { code: 'file.unknownKey', path, keys: issue.keys };
  return { code: 'file.invalid', path, message: issue.message };
}

/** Rules between rows that a schema cannot hold: ids are unique, tags are unique, references lead somewhere. */
function findInconsistency(repair: Repair): Fault | null {
  for (const list of ['sizes', 'readings', 'fits', 'bodies', 'revisions'] as const) {
    const seen = new Set<string>();
    for (const [index, row] of repair[list].entries()) {
      if (seen.has(row.id)) {
        return {
          code: 'file.invalid',
          path: `repair.${list}[${index}].id`,
          message: `"${row.id}" stands twice`,
        };
      }
      seen.add(row.id);
    }
  }
  const tags = new Set<string>();
  for (const [index, size] of repair.sizes.entries()) {
    if (tags.has(size.tag)) {
      return {
        code: 'file.invalid',
        path: `repair.sizes[${index}].tag`,
        message: `tag ${size.tag} stands twice`,
      };
    }
    tags.add(size.tag);
  }
  const sizes = new Set(repair.sizes.map((size) => size.id));
  const dangling = (path: string, id: string): Fault => ({
    code: 'file.invalid',
    path,
    message: `there is no size "${id}"`,
  });
  for (const [index, reading] of repair.readings.entries()) {
    if (!sizes.has(reading.sizeId)) return dangling(`repair.readings[${index}].sizeId`, reading.sizeId);
  }
  for (const [index, fit] of repair.fits.entries()) {
    if (!sizes.has(fit.counterpartSizeId)) {
      return dangling(`repair.fits[${index}].counterpartSizeId`, fit.counterpartSizeId);
    }
  }
  return null;
}
