declare module 'jstat' {
  interface Distribution<P extends number[]> {
    inv(probability: number, ...parameters: P): number;
    cdf(value: number, ...parameters: P): number;
  }
  /** Only what is used here. */
  const jstat: {
    studentt: Distribution<[degreesOfFreedom: number]>;
    normal: Distribution<[mean: number, standardDeviation: number]>;
    chisquare: Distribution<[degreesOfFreedom: number]>;
    centralF: Distribution<[numerator: number, denominator: number]>;
  };
  export default jstat;
}
