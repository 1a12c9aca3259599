/** The part of `fft.js` that is used here; it ships without types. */
declare module 'fft.js' {
  export default class FFT {
    constructor(size: number);
    createComplexArray(): number[];
    /** Leaves the upper half of the spectrum alone: it mirrors the lower. */
    realTransform(out: number[], data: ArrayLike<number>): void;
    completeSpectrum(spectrum: number[]): void;
    transform(out: number[], data: ArrayLike<number>): void;
    inverseTransform(out: number[], data: ArrayLike<number>): void;
  }
}
