import { z } from 'zod';

import { no, ok, type Fault, type Result, type ValueProblem } from '@core/foundations/fault';

import { PhotoFile } from './photo';
import { ScanFile } from './scan';
import { REPAIR_FILE_LIMIT_BYTES } from './limits';
import { inPresentVersion } from './fileChain';
import { LIST_LIMITS, Repair, ROW_OF_LIST } from './repairRows';
import { usualOfVersion1 } from './usualOfVersion1';
import { brokenInState, type BrokenRule } from './rules';
import { Workshop } from './workshopRows';

export const REPAIR_FILE_FORMAT = 'even-spare-repair';
export const REPAIR_FILE_VERSION = 16;

const isRead = (version: unknown): version is number =>
  typeof version === 'number' && Number.isInteger(version) && version >= 1 && version <= REPAIR_FILE_VERSION;

/** Longest file that is written in lines, bytes. */
const READABLE_BYTES = 2 * 1024 * 1024;

/** The repair file, documented in docs/repair-file.md. */
export const RepairFile = z.strictObject({
  format: z.literal(REPAIR_FILE_FORMAT),
  version: z.literal(REPAIR_FILE_VERSION),
  writtenAt: z.iso.datetime(),
  repair: Repair,
  /** The workshop whose instruments, machines and fits its numbers came from; without it, the usual ones of its version. */
  workshop: Workshop.optional(),
  /** The pictures of its photos, JPEG in base 64, by their name. */
  photoFiles: z
    .array(z.strictObject({ file: PhotoFile, base64: z.base64() }))
    .max(LIST_LIMITS.photos)
    .optional(),
  /** Its scans, PLY in base 64, by their name. */
  scanFiles: z
    .array(z.strictObject({ file: ScanFile, base64: z.base64() }))
    .max(LIST_LIMITS.scans)
    .optional(),
});
export type RepairFile = z.infer<typeof RepairFile>;

/** What a repair file holds, and what goes into one. */
export type RepairFileContent = Pick<RepairFile, 'repair' | 'workshop' | 'photoFiles' | 'scanFiles'>;

/** The text of a repair file. `now` is an ISO 8601 instant. */
export function writeRepairFile(content: RepairFileContent, now: string): string {
  const file: RepairFile = {
    format: REPAIR_FILE_FORMAT,
    version: REPAIR_FILE_VERSION,
    writtenAt: now,
    ...content,
  };
  const text = JSON.stringify(file);
  // People read small ones; of large ones the white space alone would be megabytes.
  return text.length > READABLE_BYTES ? text : JSON.stringify(file, null, 1);
}

/** Reads a repair file; a fault names the place in it. */
export function readRepairFile(text: string): Result<RepairFileContent, Fault> {
  const bytes = text.length;
  if (bytes > REPAIR_FILE_LIMIT_BYTES) {
    return no({ code: 'file.tooBig', bytes, limitBytes: REPAIR_FILE_LIMIT_BYTES });
  }
  let data: unknown;
  try {
    // Some programs put a byte order mark before it.
    data = JSON.parse(text.replace(/^\uFEFF/, ''));
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
  if (!('version' in data) || !isRead(data.version)) {
    const version = 'version' in data ? data.version : undefined;
    return no({ code: 'file.otherVersion', version, supported: REPAIR_FILE_VERSION });
  }
  const parsed = RepairFile.safeParse({
    ...inPresentVersion(data, data.version),
    version: REPAIR_FILE_VERSION,
  });
  if (!parsed.success) return no(faultOfIssue(parsed.error.issues[0]!));
  const { repair, photoFiles, scanFiles } = parsed.data;
  const workshop = parsed.data.workshop ?? (data.version === 1 ? usualOfVersion1() : undefined);
  const inconsistency = findInconsistency(parsed.data);
  return inconsistency ? no(inconsistency) : ok({ repair, workshop, photoFiles, scanFiles });
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
export function faultOfIssue(given: z.core.$ZodIssue): Fault {
  const issue = meantIssue(given);
  const path = pathText(issue.path);
  if (issue.code === 'unrecognized_keys') return { code: 'file.unknownKey', path, keys: issue.keys };
  return { code: 'file.invalid', path, problem: problemOf(issue) };
}

/**
 * Of a value that may be one of several kinds, what is wrong with it as the kind that it comes nearest to: the one with the fewest faults. Where it is near none, itself.
 */
function meantIssue(issue: z.core.$ZodIssue): z.core.$ZodIssue {
  if (issue.code !== 'invalid_union') return issue;
  const [nearest] = [...issue.errors].sort((a, b) => a.length - b.length || deepest(b) - deepest(a));
  const inner = nearest?.[0];
  if (!inner || (deepest(nearest) === 0 && inner.code !== 'unrecognized_keys')) return issue;
  return meantIssue({ ...inner, path: [...issue.path, ...inner.path] });
}

const deepest = (issues: readonly z.core.$ZodIssue[]): number =>
  Math.max(0, ...issues.map(({ path }) => path.length));

/** What a union may be, where each kind goes by a word; null where it does not. */
function wordsOf({ errors, ...issue }: z.core.$ZodIssueInvalidUnion): string[] | null {
  const { options } = issue as { options?: unknown };
  const given = Array.isArray(options)
    ? (options as unknown[])
    : errors.flatMap((branch) =>
        branch.flatMap((one) => (one.code === 'invalid_value' ? one.values : [null])),
      );
  return given.length > 0 && given.every((one) => one !== null)
    ? given.map((one) => JSON.stringify(one))
    : null;
}

function bound(origin: string, limit: number | bigint, limitIsIn = true) {
  const of = origin === 'string' ? 'text' : origin === 'array' ? 'list' : 'number';
  return { of, limit: String(limit), limitIsIn } as const;
}

/** What is wrong with a value. */
function problemOf(issue: z.core.$ZodIssue): ValueProblem {
  switch (issue.code) {
    case 'too_small':
      return { is: 'tooSmall', ...bound(issue.origin, issue.minimum, issue.inclusive) };
    case 'too_big':
      return { is: 'tooLarge', ...bound(issue.origin, issue.maximum, issue.inclusive) };
    case 'invalid_type':
      return { is: 'otherType', wanted: issue.expected };
    case 'invalid_value':
      return { is: 'otherValue', wanted: issue.values.map((value) => JSON.stringify(value)) };
    case 'invalid_union': {
      const wanted = wordsOf(issue);
      return wanted ? { is: 'otherValue', wanted } : { is: 'noKnownKind' };
    }
    case 'invalid_format':
      return { is: 'otherFormat', format: issue.format };
    default:
      return { is: 'other', message: issue.message };
  }
}

const invalid = (path: string, problem: ValueProblem): Fault => ({ code: 'file.invalid', path, problem });

/** Rules between rows that a schema cannot hold; the same as those of changes. */
function findInconsistency({ repair, photoFiles = [] }: RepairFile): Fault | null {
  const broken = brokenInState(repair);
  if (broken) return invalid(`repair.${broken.path}`, problemOfRule(broken));
  const names = new Set<string>();
  for (const [index, { file }] of photoFiles.entries()) {
    if (names.has(file))
      return invalid(`photoFiles[${index}].file`, { is: 'twice', id: file, picture: true });
    names.add(file);
  }
  return null;
}

function problemOfRule(broken: BrokenRule): ValueProblem {
  switch (broken.rule) {
    case 'reference':
      return { is: 'noSuchRow', row: ROW_OF_LIST[broken.reference.list], id: broken.reference.id };
    case 'noPoint':
      return { is: 'noSuchPoint', id: broken.id };
    case 'double':
      return { is: 'twice', id: broken.id };
    case 'full':
      return { is: 'tooMany', limit: broken.limit };
  }
}
