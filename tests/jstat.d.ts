/** The part of jstat that tests use as a reference. */
declare module 'jstat' {
  const jstat: { beta: { inv: (probability: number, alpha: number, beta: number) => number } }
  export default jstat
}
