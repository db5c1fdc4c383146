declare module 'newton-raphson-method' {
  /** @returns the root, or false when it did not converge */
  export default function newton(f: (x: number) => number, start: number, options?: { tolerance?: number; maxIterations?: number }): number | false;
}
