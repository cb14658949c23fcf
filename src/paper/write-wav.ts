/** A loop of sound as a WAV file: 48 kHz, 16 bit, one channel, with what it is of in its INFO chunk. */
import * as wavefile from 'wavefile';
import { peakOf, SAMPLE_RATE_HZ } from '../core/sound/render';

/** The bundler finds the class on the module, node one step further in. */
const { WaveFile } = 'WaveFile' in wavefile ? wavefile : (wavefile as { readonly default: typeof wavefile }).default;

/** The loudest sample of a file, of full scale: 1 dB below it. */
const PEAK = 10 ** (-1 / 20);
const FULL = 32767;

export interface WavOf {
  readonly lure: string;
  readonly version: string;
  /** How it was drawn: `0.80 m/s, steadily`. */
  readonly drawn: string;
}

/** @param loop Pa; @returns the file, and the pressure that its full scale stands for, Pa */
export function writeWav(loop: Float32Array, { lure, version, drawn }: WavOf): Uint8Array<ArrayBuffer> {
  const most = peakOf(loop);
  const gain = most > 0 ? PEAK / most : 0;
  const samples = Int16Array.from(loop, (each) => Math.round(each * gain * FULL));
  const wav = new WaveFile();
  wav.fromScratch(1, SAMPLE_RATE_HZ, '16', samples);
  wav.setTag('INAM', `${lure}, ${version}`);
  wav.setTag('ICMT', `${drawn}. As a metre off under water; full scale is ${fullScale(gain)}.`);
  wav.setTag('ISFT', 'Mazurka');
  return new Uint8Array(wav.toBuffer());
}

function fullScale(gain: number): string {
  return gain > 0 ? `${(1 / gain).toPrecision(3)} Pa` : 'silence';
}
