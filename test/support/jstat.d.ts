// The part of jstat that is asked here; the package brings no types.
declare module 'jstat' {
  interface Distribution {
    /** Quantile of a probability. */
    inv(probability: number, a: number, b: number): number;
    cdf(at: number, a: number, b: number): number;
  }
  const jStat: { readonly beta: Distribution; readonly normal: Distribution };
  export default jStat;
}
