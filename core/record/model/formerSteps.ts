import { ownValue } from '@core/foundations/own';

/**
 * Steps were called otherwise until version 9 of the repair file: by the words of the screens instead of the field's. No word of then is
 * one of now, so that what is in present words stays as it is.
 */
const KINDS: Readonly<Record<string, string>> = {
  turn: 'disc',
  raise: 'extrude',
  blend: 'loft',
  run: 'sweep',
  spin: 'revolve',
  round: 'fillet',
  ease: 'chamfer',
  hollow: 'shell',
  taper: 'draft',
  repeat: 'pattern',
  drill: 'hole',
  ring: 'torus',
  ball: 'sphere',
  faces: 'offset',
};

type Data = Record<string, unknown>;

const isData = (value: unknown): value is Data =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const each = (value: unknown, change: (one: Data) => Data): unknown =>
  Array.isArray(value) ? value.map((one: unknown) => (isData(one) ? change(one) : one)) : value;

/** A step in present words. */
function inPresentWords(step: Data): Data {
  const kind = typeof step.kind === 'string' ? (ownValue(KINDS, step.kind) ?? step.kind) : step.kind;
  const { taper, ...rest } = step;
  return { ...rest, kind, ...(taper === undefined ? {} : { draft: taper }) };
}

/** A body whose steps may be in former words, with them in present ones. */
export const bodyInPresentWords = (body: Data): Data =>
  'steps' in body ? { ...body, steps: each(body.steps, inPresentWords) } : body;

/** A revision, with the bodies that it froze in present words. */
export const revisionInPresentWords = (revision: Data): Data =>
  isData(revision.state) ? { ...revision, state: stateInPresentWords(revision.state) } : revision;

/** A repair, or what a revision froze of one, with all of its steps in present words. */
export const stateInPresentWords = (state: Data): Data => ({
  ...state,
  ...('bodies' in state ? { bodies: each(state.bodies, bodyInPresentWords) } : {}),
  ...('revisions' in state ? { revisions: each(state.revisions, revisionInPresentWords) } : {}),
});

/** A change as a page of before may still send it, in present words. */
export function changeInPresentWords(change: unknown): unknown {
  if (!isData(change) || !isData(change.value)) return change;
  if (change.row === 'body') return { ...change, value: bodyInPresentWords(change.value) };
  if (change.row === 'revision') return { ...change, value: revisionInPresentWords(change.value) };
  return change;
}
