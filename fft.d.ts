declare module 'fft.js' {
  /** Radix-4 FFT of a size that is a power of two. Complex arrays are interleaved: real, imaginary, real, … */
  export default class FFT {
    constructor(size: number);
    createComplexArray(): number[];
    realTransform(out: number[], data: ArrayLike<number>): void;
    transform(out: Float64Array, data: Float64Array): void;
    /** Divided by the size. */
    inverseTransform(out: Float64Array, data: Float64Array): void;
  }
}
