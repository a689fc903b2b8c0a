import { numberValue, type Step, type StepKind, type Value } from '@core/record/model';

const isValue = (data: unknown): data is Value => typeof data === 'object' && data !== null && 'from' in data;

/** Fields that are plain numbers in a step, not lengths. */
const PLAIN = new Set([
  'turn',
  'tilt',
  'angle',
  'draft',
  'point',
  'count',
  'rows',
  'sides',
  'teeth',
  'shift',
  'pressure',
  'scale',
]);

/** Data of a step with its numbers written plainly: lengths become values, all the way in. */
function written(data: unknown, key = ''): unknown {
  if (typeof data === 'number') return PLAIN.has(key) ? data : numberValue(data);
  if (Array.isArray(data)) return key === 'near' ? data : data.map((item) => written(item));
  if (typeof data !== 'object' || data === null || isValue(data)) return data;
  return Object.fromEntries(Object.entries(data).map(([inside, value]) => [inside, written(value, inside)]));
}

/** A step written down in few words. */
export const step = (id: string, kind: StepKind, fields: Record<string, unknown>): Step =>
  ({ id, kind, ...(written(fields) as object) }) as Step;

/** Added, from the ground up, on the axle line. */
export const onGround = { effect: 'add', on: 'bottom', x: 0, y: 0, turn: 0 } as const;
/** Added on the top, on the axle line. */
export const onTop = { effect: 'add', on: 'top', x: 0, y: 0, turn: 0 } as const;
/** Cut down from the top, on the axle line. */
export const fromTop = { effect: 'cut', on: 'top', x: 0, y: 0, turn: 0 } as const;

export const circle = (diameter: unknown) => ({ shape: 'circle', diameter });
export const rectangle = (length: unknown, breadth: unknown, cornerRadius: unknown = 0) => ({
  shape: 'rectangle',
  length,
  breadth,
  cornerRadius,
});
