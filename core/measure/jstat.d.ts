declare module 'jstat' {
  /** Only what is used here; `inv(p, dof)` is the quantile function of Student's t distribution. */
  const jstat: { studentt: { inv(probability: number, degreesOfFreedom: number): number } };
  export default jstat;
}
