/** The part of jStat that is used here; the package ships no types. */
declare module 'jstat' {
  const jStat: {
    /** Quantile functions; `inv(p, …)` with p as a fraction 0–1. */
    readonly normal: { inv(p: number, mean: number, sd: number): number };
    readonly beta: { inv(p: number, alpha: number, beta: number): number };
    /** Natural logarithm of the gamma function. */
    gammaln(x: number): number;
  };
  export default jStat;
}
