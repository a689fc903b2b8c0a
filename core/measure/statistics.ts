/**
 * Arithmetic mean. Summed as deviations from the first value, so that readings that differ in the last
 * digit only do not lose it. Throws on an empty list.
 */
export function mean(values: readonly number[]): number {
  const first = values[0];
  if (first === undefined) throw new RangeError('the mean of no values is not defined');
  return first + values.reduce((sum, value) => sum + (value - first), 0) / values.length;
}

/**
 * Sample standard deviation, with n - 1 in the denominator (GUM 4.2.2, equation 4). Throws for fewer than two.
 */
export function sampleStandardDeviation(values: readonly number[]): number {
  if (values.length < 2) throw new RangeError('a standard deviation needs two values');
  const centre = mean(values);
  return Math.sqrt(values.reduce((sum, value) => sum + (value - centre) ** 2, 0) / (values.length - 1));
}
