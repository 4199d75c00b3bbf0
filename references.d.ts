// Packages without types that serve as independent references in tests.
declare module 'quadprog' {
  /** Smallest ½ xᵀDx − dᵀx with Aᵀx ≥ b, the first `meq` of them equal. Arrays count from 1. */
  export function solveQP(
    D: number[][],
    d: number[],
    A: number[][],
    b: number[],
    meq: number,
  ): { solution: number[]; value: number[]; message: string };
}
declare module 'spectral.js' {
  export class Color {
    constructor(rgb: readonly number[]);
    R: number[];
    KS: number[];
    XYZ: number[];
    sRGB: number[];
  }
  export function mix(...colours: [Color, number][]): Color;
}
declare module 'color-space/spaces/wavelength.js' {
  /** Wavelength in nm, then x, y, z of the standard observer, each 5 nm. */
  export const CMF: readonly [number, number, number, number][];
}
