import { z } from 'zod';

import { no, ok, type Fault, type Result } from '@core/fault';

import { PhotoFile } from './photo';
import { Repair, type RepairState } from './repair';
import { Workshop } from './workshop';

export const REPAIR_FILE_FORMAT = 'even-spare-repair';
export const REPAIR_FILE_VERSION = 1;
/** Longest repair file that is read, bytes. A repair with 10,000 readings takes about 3 MB. */
export const REPAIR_FILE_LIMIT_BYTES = 60 * 1024 * 1024;

/** The repair file, documented in docs/repair-file.md. */
export const RepairFile = z.strictObject({
  format: z.literal(REPAIR_FILE_FORMAT),
  version: z.literal(REPAIR_FILE_VERSION),
  writtenAt: z.iso.datetime(),
  repair: Repair,
  /** The workshop whose instruments, machines and fits its numbers came from; without it, the usual ones. */
  workshop: Workshop.optional(),
  /** The pictures of its photos, JPEG in base 64, by their name. */
  photoFiles: z
    .array(z.strictObject({ file: PhotoFile, base64: z.base64() }))
    .max(200)
    .optional(),
});
export type RepairFile = z.infer<typeof RepairFile>;

/** What a repair file holds, and what goes into one. */
export type RepairFileContent = Pick<RepairFile, 'repair' | 'workshop' | 'photoFiles'>;

/** The text of a repair file. `now` is an ISO 8601 instant. */
export function writeRepairFile(content: RepairFileContent, now: string): string {
  const file: RepairFile = {
    format: REPAIR_FILE_FORMAT,
    version: REPAIR_FILE_VERSION,
    writtenAt: now,
    ...content,
  };
  return JSON.stringify(file, null, 1);
}

/** Reads a repair file; a fault names the place in it. */
export function readRepairFile(text: string): Result<RepairFileContent, Fault> {
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
export function parseRepairFile(data: unknown): Result<RepairFileContent, Fault> {
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
  const { repair, workshop, photoFiles } = parsed.data;
  const inconsistency = findInconsistency(repair);
  return inconsistency ? no(inconsistency) : ok({ repair, workshop, photoFiles });
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

const invalid = (path: string, message: string): Fault => ({ code: 'file.invalid', path, message });

/** Rules between rows that a schema cannot hold: ids are unique, tags are unique, references lead somewhere. */
function findInconsistency(repair: Repair): Fault | null {
  return (
    findDouble(repair) ??
    findDangling(repair, 'repair') ??
    repair.revisions.reduce<Fault | null>(
      (found, { state }, index) => found ?? findDangling(state, `repair.revisions[${index}].state`),
      null,
    )
  );
}

function findDouble(repair: Repair): Fault | null {
  for (const list of [
    'sizes',
    'readings',
    'layouts',
    'fits',
    'chains',
    'photos',
    'bodies',
    'revisions',
  ] as const) {
    const seen = new Set<string>();
    for (const [index, { id }] of repair[list].entries()) {
      if (seen.has(id)) return invalid(`repair.${list}[${index}].id`, `"${id}" stands twice`);
      seen.add(id);
    }
  }
  const tags = new Set<string>();
  for (const [index, { tag }] of repair.sizes.entries()) {
    if (tags.has(tag)) return invalid(`repair.sizes[${index}].tag`, `tag ${tag} stands twice`);
    tags.add(tag);
  }
  return null;
}

/** Finds a reference to a size, or inside a layout to a point, that is not there. */
function findDangling(state: RepairState, place: string): Fault | null {
  const sizes = new Set(state.sizes.map((size) => size.id));
  const missing = (path: string, id: string) =>
    sizes.has(id) ? null : invalid(`${place}.${path}`, `there is no size "${id}"`);
  for (const [index, reading] of state.readings.entries()) {
    const fault = missing(`readings[${index}].sizeId`, reading.sizeId);
    if (fault) return fault;
  }
  for (const [index, fit] of state.fits.entries()) {
    const fault = missing(`fits[${index}].counterpartSizeId`, fit.counterpartSizeId);
    if (fault) return fault;
  }
  for (const [index, photo] of state.photos.entries()) {
    for (const [tagIndex, tag] of photo.tags.entries()) {
      const fault = missing(`photos[${index}].tags[${tagIndex}].sizeId`, tag.sizeId);
      if (fault) return fault;
    }
  }
  for (const [index, layout] of state.layouts.entries()) {
    const points = new Set(layout.points.map((point) => point.id));
    for (const [at, distance] of layout.distances.entries()) {
      for (const end of ['from', 'to'] as const) {
        const there = distance[end];
        if ('point' in there && !points.has(there.point)) {
          return invalid(
            `${place}.layouts[${index}].distances[${at}].${end}`,
            `there is no point "${there.point}"`,
          );
        }
      }
    }
  }
  return null;
}
