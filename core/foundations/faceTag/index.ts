/**
 * Where a face comes from: the step that made it and the part it plays there, as `stepId:role`. Tags are what
 * picks are stored as, since the kernel's own order of faces changes with every operation.
 */
export type FaceTag = string;

export const faceTag = (stepId: string, role: string): FaceTag => `${stepId}:${role}`;

/** The part a face plays in its step. */
export const roleOf = (tag: FaceTag): string => tag.slice(tag.lastIndexOf(':') + 1);

/** The part a face plays on the copy of that number, the step's own being 1. */
export const copyRole = (role: string, copy: number): string => `${role}~${copy}`;

/** The part a face plays, whichever copy it is on. */
export const anyCopy = (role: string): string => role.replace(/~\d+$/, '');

/** The number of the copy that a face is on, the step's own being 1. */
export const copyOfTag = (tag: FaceTag): number => Number(/~(\d+)$/.exec(tag)?.[1] ?? 1);

export const stepOfTag = (tag: FaceTag): string => tag.slice(0, tag.lastIndexOf(':'));

/** All that a face comes from: several where faces became one. It goes by the first in pictures; picks and rules know all. */
export type Origins = readonly [FaceTag, ...FaceTag[]];

/** Origins with each named otherwise. */
export function renamed([first, ...others]: Origins, retag: (tag: FaceTag) => FaceTag): Origins {
  return [retag(first), ...others.map(retag)];
}
