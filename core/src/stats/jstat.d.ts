/** The part of jStat that is used here; the package ships no types. */
declare module 'jstat' {
  const jStat: {
    /** Quantile and distribution functions; `inv(p, …)` with p as a fraction 0–1. */
    readonly normal: {
      inv(p: number, mean: number, sd: number): number;
      cdf(x: number, mean: number, sd: number): number;
      pdf(x: number, mean: number, sd: number): number;
    };
    readonly studentt: {
      inv(p: number, degrees: number): number;
      cdf(t: number, degrees: number): number;
    };
    readonly beta: {
      inv(p: number, alpha: number, beta: number): number;
      cdf(x: number, alpha: number, beta: number): number;
    };
    readonly chisquare: { cdf(x: number, df: number): number };
    /** Natural logarithm of the gamma function. */
    gammaln(x: number): number;
    /** Upper and whole incomplete functions: the complementary error function. */
    erfc(x: number): number;
    /** Lower incomplete gamma, regularised. */
    lowRegGamma(a: number, x: number): number;
    /** Inverse of a square matrix. */
    inv(matrix: readonly (readonly number[])[]): number[][];
  };
  export default jStat;
}
