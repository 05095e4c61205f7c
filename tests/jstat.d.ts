/** The part of jstat that tests use as a reference. */
declare module 'jstat' {
  const jstat: {
    beta: { inv: (share: number, a: number, b: number) => number; cdf: (x: number, a: number, b: number) => number }
  }
  export default jstat
}
