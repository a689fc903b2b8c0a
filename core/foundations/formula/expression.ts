/**
 * A checked formula: only what is listed here can stand in one, so evaluating it can do nothing but arithmetic.
 */
export type Expression =
  | { op: 'number'; value: number }
  /** A number with its unit: mm, or radians. */
  | { op: 'quantity'; value: number; of: 'length' | 'angle' }
  /** A size, by its tag; or a fit, by `fitTag`. */
  | { op: 'size'; tag: string }
  | { op: 'add' | 'subtract' | 'multiply' | 'divide' | 'power'; left: Expression; right: Expression }
  | { op: 'negate'; of: Expression }
  | { op: 'call'; name: FunctionName; of: Expression[] };

/** Functions that a formula may use, with how many arguments each takes. */
export const FUNCTIONS = {
  sqrt: [1, 1],
  abs: [1, 1],
  sin: [1, 1],
  cos: [1, 1],
  tan: [1, 1],
  asin: [1, 1],
  acos: [1, 1],
  atan: [1, 1],
  hypot: [2, 2],
  min: [2, 12],
  max: [2, 12],
  mean: [2, 12],
} as const satisfies Record<string, readonly [number, number]>;
export type FunctionName = keyof typeof FUNCTIONS;

export const isFunctionName = (name: string): name is FunctionName => Object.hasOwn(FUNCTIONS, name);

/** What the working size of a fit goes by in a formula: the tag of its counterpart, and a word of its feature where one is needed. */
export const fitTag = (tag: string, word: string | null): string =>
  word === null ? `fit(${tag})` : `fit(${tag}; ${word})`;

/** The tag and the word of such a name; null for a size. */
export function fitOfTag(name: string): { tag: string; word: string | null } | null {
  const found = /^fit\(([A-Z]+)(?:; (\w+))?\)$/.exec(name);
  return found ? { tag: found[1]!, word: found[2] ?? null } : null;
}

/** Tags of the sizes that a formula uses, each once, in the order in which they stand. */
export function tagsIn(expression: Expression): string[] {
  const tags = new Set<string>();
  const walk = (node: Expression): void => {
    if (node.op === 'size') tags.add(node.tag);
    else if (node.op === 'negate') walk(node.of);
    else if (node.op === 'call') node.of.forEach(walk);
    else if ('left' in node) {
      walk(node.left);
      walk(node.right);
    }
  };
  walk(expression);
  return [...tags];
}
