/**
 * Arithmetic mean. Summed as deviations from the first value, so that readings that differ in the last
 * digit only do not lose it. Throws on an empty list.
 */
export function mean(values: readonly number[]): number {
  const first = values[0];
  if (first === undefined) throw new RangeError('the mean of no values is not defined');
  return first + values.reduce((sum, value) => sum + (value - first), 0) / values.length;
}

/** Middle value, or the mean of the two in the middle. Throws on an empty list. */
export function median(values: readonly number[]): number {
  if (values.length === 0) throw new RangeError('the median of no values is not defined');
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

/**
 * Sample standard deviation, with n - 1 in the denominator (GUM 4.2.2, equation 4). Throws for fewer than two.
 */
export function sampleStandardDeviation(values: readonly number[]): number {
  if (values.length < 2) throw new RangeError('a standard deviation needs two values');
  const centre = mean(values);
  return Math.sqrt(values.reduce((sum, value) => sum + (value - centre) ** 2, 0) / (values.length - 1));
}

/** Largest and smallest of a list of any length. Throws on an empty list. */
export function extremes(values: readonly number[]): { smallest: number; largest: number } {
  if (values.length === 0) throw new RangeError('no values have no extremes');
  let [smallest, largest] = [values[0]!, values[0]!];
  for (const value of values) {
    if (value < smallest) smallest = value;
    if (value > largest) largest = value;
  }
  return { smallest, largest };
}
