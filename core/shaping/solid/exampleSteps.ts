import { numberValue, type OutlineShape, type Step, type StepKind } from '@core/record/model';

/** A recipe that shows what a kind of step does: what is there before, the step, and the other body where it needs one. */
export interface StepExample {
  before: readonly Step[];
  step: Step;
  other?: readonly Step[];
  /** Built after it, to see into the part: with the step and without it. */
  cut?: readonly Step[];
}

const ANGLES = new Set([
  'teeth',
  'pressure',
  'turn',
  'tilt',
  'angle',
  'count',
  'sides',
  'rows',
  'scale',
  'shift',
  'point',
]);
/** Plain numbers of a step as values, however deep; angles, counts and factors stay plain. */
const valued = (of: unknown, key = ''): unknown => {
  if (typeof of === 'number') return ANGLES.has(key) ? of : numberValue(of);
  if (Array.isArray(of)) return of.map((one) => valued(one));
  // What is a value already.
  if (typeof of !== 'object' || of === null || 'from' in of) return of;
  return Object.fromEntries(Object.entries(of).map(([name, value]) => [name, valued(value, name)]));
};
export const step = (kind: StepKind, fields: object, id: string = kind): Step =>
  ({ id, kind, ...(valued(fields) as object) }) as Step;
export const outline = (shape: OutlineShape['shape'], fields: object) => ({ shape, ...fields });
export const rectangle = (length: number, breadth: number) =>
  outline('rectangle', { length, breadth, cornerRadius: 0 });
export const raised = (of: object, height: number | 'through', more: object = {}, id = 'base'): Step =>
  step('extrude', { effect: 'add', outline: of, turn: 0, height, on: 'bottom', x: 0, y: 0, ...more }, id);

export const BLOCK = [raised(rectangle(40, 28), 12)];
export const PLATE = [raised(rectangle(44, 30), 5)];
export const WHEEL = [step('disc', { diameter: 40, width: 12, on: 'top', x: 0, y: 0 }, 'wheel')];
export const MIDDLE = { on: 'top', x: 0, y: 0 };
export const ADDED = { effect: 'add', ...MIDDLE };
