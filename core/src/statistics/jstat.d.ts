// The package ships without types; these are the functions used here.
declare module 'jstat' {
  interface JStat {
    binomial: {
      cdf(successes: number, trials: number, probability: number): number;
      pdf(successes: number, trials: number, probability: number): number;
    };
    beta: { inv(probability: number, alpha: number, beta: number): number };
    studentt: {
      inv(probability: number, degreesOfFreedom: number): number;
      cdf(value: number, degreesOfFreedom: number): number;
    };
    normal: {
      cdf(value: number, mean: number, standardDeviation: number): number;
      inv(probability: number, mean: number, standardDeviation: number): number;
    };
    chisquare: { cdf(value: number, degreesOfFreedom: number): number };
  }
  const jStat: JStat;
  export default jStat;
}
