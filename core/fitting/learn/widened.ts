import type { Terms } from './covariance';
import type { Weighed } from './evidence';

/** Makes that have to be there before their own spread is held against what was to be expected of them. */
const LEAST_MAKES = 4;
/** By so much in standard deviations of the sum the squares have to be too large before anything is widened: once in twenty by chance. */
const SURELY = 1.645;
/** The latest makes are looked at by themselves too: what began a short while ago hardly shows among all. */
const LATEST = 3;

/**
 * By how much doubts have to be widened because what came out lies further from what the other makes say than it should (a posterior predictive
 * check: Gelman et al., "Bayesian Data Analysis", 3rd ed., 6.3; each make left out in turn). Of a make with the rows m the values are off by d = (A⁻¹ₘₘ)⁻¹ (A⁻¹ r)ₘ with
 * the covariance (A⁻¹ₘₘ)⁻¹, so that dᵀ A⁻¹ₘₘ d is chi-squared with as many degrees of freedom as it has values. Odd ones are left out.
 *
 * @returns a factor of standard deviations, at least 1.
 */
export function widenedBy(known: readonly { weight: number; weighed: Weighed }[], terms: Terms): number {
  if (terms.members.length < LEAST_MAKES) return 1;
  const squares = new Float64Array(terms.members.length);
  const counts = new Float64Array(terms.members.length);
  const n = terms.count;
  for (const { weight, weighed } of known) {
    const { inverse, image, odd } = weighed;
    for (let at = 0; at < n; at += 1) {
      if (odd[at]) continue;
      // One at a time within its make: what a make has in common is a part of what is to be expected.
      const make = terms.makeOf[at]!;
      squares[make]! += (weight * image[at]! ** 2) / inverse[at * n + at]!;
      counts[make]! += weight;
    }
  }
  return Math.max(1, factorOf(squares, counts, 0), factorOf(squares, counts, terms.members.length - LATEST));
}

function factorOf(squares: Float64Array, counts: Float64Array, from: number): number {
  const sum = (of: Float64Array) => of.subarray(from).reduce((all, one) => all + one, 0);
  const [square, count] = [sum(squares), sum(counts)];
  const most = count + SURELY * Math.sqrt(2 * count);
  return count > 0 && square > most ? Math.sqrt(square / count) : 1;
}
