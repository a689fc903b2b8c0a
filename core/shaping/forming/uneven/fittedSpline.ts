import { Matrix, solve } from 'ml-matrix';

const DEGREE = 9;

/** How wide a span may be, in the parameter. For sine and cosine the error is then some 1e-10 of the radius. */
const SPAN = Math.PI / 10;

/** A spline with its ends held: knots with how often each counts, and one row of coefficients per function. */
export interface FittedSpline {
  degree: number;
  knots: readonly { at: number; times: number }[];
  coefficients: readonly (readonly number[])[];
}

/**
 * Functions as splines on one set of knots over a range, by collocation at the Greville abscissae (de Boor, A Practical
 * Guide to Splines, XIII). The parameter stays what it was, so that whatever is drawn on the result stays true.
 */
export function fittedSpline(
  functions: readonly ((at: number) => number)[],
  from: number,
  to: number,
): FittedSpline {
  const spans = Math.max(2, Math.ceil((to - from) / SPAN));
  const inner = Array.from({ length: spans + 1 }, (_, index) => from + ((to - from) * index) / spans);
  const ends = (at: number) => Array.from({ length: DEGREE }, () => at);
  const all = [...ends(from), ...inner, ...ends(to)];
  const count = all.length - DEGREE - 1;
  const abscissae = Array.from(
    { length: count },
    (_, index) => all.slice(index + 1, index + 1 + DEGREE).reduce((sum, knot) => sum + knot, 0) / DEGREE,
  );
  const rows = abscissae.map((at) => basisAt(all, at, count));
  const wanted = new Matrix(abscissae.map((at) => functions.map((value) => value(at))));
  const solved = solve(new Matrix(rows), wanted);
  return {
    degree: DEGREE,
    knots: inner.map((at, index) => ({ at, times: index === 0 || index === spans ? DEGREE + 1 : 1 })),
    coefficients: functions.map((_, index) => solved.getColumn(index)),
  };
}

/** All basis functions at a parameter, by the recurrence of Cox and de Boor. */
function basisAt(knots: readonly number[], at: number, count: number): number[] {
  let span = DEGREE;
  while (span < count - 1 && at >= knots[span + 1]!) span += 1;
  let values = [1];
  for (let degree = 1; degree <= DEGREE; degree += 1) {
    const next = Array.from({ length: degree + 1 }, () => 0);
    for (const [index, value] of values.entries()) {
      const [left, right] = [knots[span - degree + 1 + index]!, knots[span + 1 + index]!];
      const share = (at - left) / (right - left);
      next[index]! += value * (1 - share);
      next[index + 1]! += value * share;
    }
    values = next;
  }
  const row = Array.from({ length: count }, () => 0);
  for (const [index, value] of values.entries()) row[span - DEGREE + index] = value;
  return row;
}
