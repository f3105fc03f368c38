/** What is used of the package, which has no types of its own. */
declare module 'jstat' {
  const jstat: {
    beta: {
      inv: (p: number, a: number, b: number) => number;
      cdf: (x: number, a: number, b: number) => number;
    };
  };
  export default jstat;
}
