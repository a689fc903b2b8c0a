import { no, ok, type Dimensioned, type Fault, type Result } from '@core/foundations/fault';
import { MM_PER, RAD_PER_DEGREE, type LengthUnit, type Quantity } from '@core/foundations/quantity';

import { tagsIn, type Expression } from './expression';
import { Sheet, type OpName, type SheetFailure } from './sheet';

/** A formula by itself, ready to be evaluated many times. */
export interface Program {
  /** Tags of the sizes it needs, in the order in which their values are given. */
  tags: string[];
  /** The result, or no finite number: see `failure`. */
  evaluate(values: ArrayLike<number>): number;
  /** Partial derivatives by each of the values of the last evaluation. */
  gradient(): Float64Array;
  failure(): SheetFailure;
}

/**
 * Powers of length and angle. `loose` is a plain number made of bare numbers only: added to a length it means
 * that many units, added to an angle that many degrees. A ratio of two sizes is plain but not loose.
 */
interface Dimension {
  length: number;
  angle: number;
  loose: boolean;
}

const PLAIN: Dimension = { length: 0, angle: 0, loose: false };
const LOOSE: Dimension = { length: 0, angle: 0, loose: true };
const DIMENSION_OF: Record<Quantity, Dimension> = {
  length: { length: 1, angle: 0, loose: false },
  angle: { length: 0, angle: 1, loose: false },
  count: PLAIN,
};

/** A place on the sheet and what stands there. */
interface Slot {
  at: number;
  dimension: Dimension;
}

const same = (a: Dimension, b: Dimension) => a.length === b.length && a.angle === b.angle;

function dimensioned({ length, angle }: Dimension): Dimensioned {
  if (length === 0 && angle === 0) return 'plainNumber';
  if (angle === 0 && length === 1) return 'length';
  if (angle === 0 && length === 2) return 'area';
  if (angle === 0 && length === 3) return 'volume';
  if (angle === 1 && length === 0) return 'angle';
  return 'neither';
}

/** Thrown inside, returned outside. */
class Mismatch extends Error {
  constructor(readonly fault: Fault) {
    super(fault.code);
  }
}

/** What an exponent of plain numbers is worth, such as -1 or 1/2; not a number where anything else is in it. */
function constantOf(node: Expression): number {
  switch (node.op) {
    case 'number':
      return node.value;
    case 'negate':
      return -constantOf(node.of);
    case 'divide':
      return constantOf(node.left) / constantOf(node.right);
    default:
      return Number.NaN;
  }
}

/**
 * Checks that the units of a formula agree and lays it out by itself.
 *
 * @param quantityOf what kind of size a tag is; null if there is no such size.
 * @param wanted what the formula must give.
 * @param unit unit of bare numbers where a length is meant.
 */
export function compileFormula(
  expression: Expression,
  quantityOf: (tag: string) => Quantity | null,
  wanted: Quantity,
  unit: LengthUnit = 'mm',
): Result<Program, Fault> {
  const tags = tagsIn(expression);
  const sheet = new Sheet(tags.length);
  const laid = addFormula(
    sheet,
    expression,
    { quantityOf, placeOf: (tag) => tags.indexOf(tag) },
    wanted,
    unit,
  );
  if (!laid.ok) return laid;
  sheet.seal();
  return ok({
    tags,
    evaluate(values) {
      for (let index = 0; index < tags.length; index += 1) sheet.values[index] = values[index]!;
      return sheet.evaluate(laid.value);
    },
    gradient() {
      const slopes = new Float64Array(tags.length);
      sheet.gradient(laid.value, slopes);
      return slopes;
    },
    failure: () => sheet.failure(laid.value),
  });
}

/**
 * Checks that the units of a formula agree and lays it out on a sheet, as one of many.
 *
 * @param sizes what kind of size a tag is (null if there is no such size), and its place in the sheet's row.
 * @returns its number on the sheet.
 */
export function addFormula(
  sheet: Sheet,
  expression: Expression,
  { quantityOf, placeOf }: { quantityOf(tag: string): Quantity | null; placeOf(tag: string): number },
  wanted: Quantity,
  unit: LengthUnit,
): Result<number, Fault> {
  const unitFactor = { length: MM_PER[unit], angle: RAD_PER_DEGREE };

  const toDimension = (slot: Slot, target: Dimension): Slot => {
    if (same(slot.dimension, target) || !slot.dimension.loose) return slot;
    if (same(target, DIMENSION_OF.length)) {
      return { at: sheet.scale(slot.at, unitFactor.length), dimension: target };
    }
    if (same(target, DIMENSION_OF.angle)) {
      return { at: sheet.scale(slot.at, unitFactor.angle), dimension: target };
    }
    return slot;
  };

  /** Brings slots that are to be added or compared to one dimension. */
  const unify = (slots: Slot[]): { slots: Slot[]; dimension: Dimension } => {
    const firm = slots.find((slot) => !slot.dimension.loose);
    if (!firm) return { slots, dimension: LOOSE };
    const brought = slots.map((slot) => toDimension(slot, firm.dimension));
    const other = brought.find((slot) => !same(slot.dimension, firm.dimension));
    if (other) {
      throw new Mismatch({
        code: 'formula.mixedUnits',
        left: dimensioned(firm.dimension),
        right: dimensioned(other.dimension),
      });
    }
    return { slots: brought, dimension: firm.dimension };
  };

  const joined = (op: OpName, parts: Slot[]): Slot => {
    const { slots, dimension } = unify(parts);
    const at = slots.slice(1).reduce((left, right) => sheet.binary(op, left, right.at), slots[0]!.at);
    return { at, dimension };
  };

  const lay = (node: Expression): Slot => {
    switch (node.op) {
      case 'number':
        return { at: sheet.constant(node.value), dimension: LOOSE };
      case 'quantity':
        return { at: sheet.constant(node.value), dimension: DIMENSION_OF[node.of] };
      case 'size': {
        const quantity = quantityOf(node.tag);
        if (!quantity) throw new Mismatch({ code: 'formula.unknownSize', tag: node.tag });
        return { at: placeOf(node.tag), dimension: DIMENSION_OF[quantity] };
      }
      case 'negate': {
        const of = lay(node.of);
        return { at: sheet.scale(of.at, -1), dimension: of.dimension };
      }
      case 'add':
      case 'subtract':
        return joined(node.op, [lay(node.left), lay(node.right)]);
      case 'multiply':
      case 'divide': {
        const [left, right] = [lay(node.left), lay(node.right)];
        const sign = node.op === 'multiply' ? 1 : -1;
        const dimension = {
          length: left.dimension.length + sign * right.dimension.length,
          angle: left.dimension.angle + sign * right.dimension.angle,
          loose: left.dimension.loose && right.dimension.loose,
        };
        return { at: sheet.binary(node.op, left.at, right.at), dimension };
      }
      case 'power': {
        const [left, right] = [lay(node.left), lay(node.right)];
        const exponent = constantOf(node.right);
        const plainBase = left.dimension.length === 0 && left.dimension.angle === 0;
        if (!right.dimension.loose || (!plainBase && Number.isNaN(exponent))) {
          throw new Mismatch({ code: 'formula.powerNotPlain' });
        }
        const scaled = (power: number) => (power === 0 ? 0 : power * exponent);
        return {
          at: sheet.binary('power', left.at, right.at),
          dimension: {
            length: scaled(left.dimension.length),
            angle: scaled(left.dimension.angle),
            loose: left.dimension.loose,
          },
        };
      }
      case 'call':
        return layCall(node.name, node.of.map(lay), tagsIn(node).length === 0);
    }
  };

  const layCall = (
    name: Extract<Expression, { op: 'call' }>['name'],
    parts: Slot[],
    isOfNumbers: boolean,
  ): Slot => {
    const first = parts[0]!;
    switch (name) {
      case 'sqrt':
        return {
          at: sheet.unary('sqrt', first.at),
          dimension: {
            length: first.dimension.length / 2,
            angle: first.dimension.angle / 2,
            loose: first.dimension.loose,
          },
        };
      case 'abs':
        return { at: sheet.unary('abs', first.at), dimension: first.dimension };
      case 'sin':
      case 'cos':
      case 'tan': {
        const angle = toDimension(first, DIMENSION_OF.angle);
        if (!same(angle.dimension, DIMENSION_OF.angle)) {
          throw new Mismatch({
            code: 'formula.mixedUnits',
            left: 'angle',
            right: dimensioned(first.dimension),
          });
        }
        // Of numbers alone it is a number like any other: sin(30°) * 10 is 5 mm.
        return { at: sheet.unary(name, angle.at), dimension: isOfNumbers ? LOOSE : PLAIN };
      }
      case 'asin':
      case 'acos':
      case 'atan':
        if (!same(first.dimension, PLAIN)) {
          throw new Mismatch({
            code: 'formula.mixedUnits',
            left: 'plainNumber',
            right: dimensioned(first.dimension),
          });
        }
        return { at: sheet.unary(name, first.at), dimension: DIMENSION_OF.angle };
      case 'hypot':
      case 'min':
      case 'max':
        return joined(name, parts);
      case 'mean': {
        const sum = joined('add', parts);
        return { at: sheet.scale(sum.at, 1 / parts.length), dimension: sum.dimension };
      }
    }
  };

  try {
    const result = toDimension(lay(expression), DIMENSION_OF[wanted]);
    if (!same(result.dimension, DIMENSION_OF[wanted])) {
      throw new Mismatch({ code: 'formula.wrongResult', got: dimensioned(result.dimension), wanted });
    }
    return ok(sheet.finish(result.at, tagsIn(expression).map(placeOf)));
  } catch (error) {
    sheet.abandon();
    if (error instanceof Mismatch) return no(error.fault);
    throw error;
  }
}
