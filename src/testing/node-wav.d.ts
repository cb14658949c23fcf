/** What tests use of packages that come without types. */
declare module 'node-wav' {
  export function decode(file: Uint8Array): {
    readonly sampleRate: number;
    readonly channelData: readonly Float32Array[];
  };
}
declare module 'fft.js' {
  export default class FFT {
    constructor(size: number);
    createComplexArray(): number[];
    realTransform(out: number[], data: ArrayLike<number>): void;
  }
}
