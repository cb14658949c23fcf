/**
 * The sound of a lure as samples: pressure at a metre, Pa, 48,000 a second, in a loop without a seam. All that comes and goes
 * is laid round a circle: blows that end after the loop go on at its beginning, notes have whole waves in it. The same
 * seed gives the same samples to the bit.
 */
import { seeded } from '../random';
import { OVERTONES, type ContactHeard, type Heard, type KnocksHeard, type NoiseHeard } from './heard';
import { BY_CHANGE, BY_FORCE } from './radiation';

export const SAMPLE_RATE_HZ = 48_000;
export const MOST_SECONDS = 60;
/** A loop shorter than this holds no turn of a slow blade. */
export const LEAST_SECONDS = 0.5;

export interface RenderAsked {
  readonly seconds: number;
  readonly seed: number;
  /** Ids of the contacts that are heard; all, with the blades' beat and the flow, when none are named. */
  readonly only?: readonly string[] | undefined;
  /** Ids of contacts left out. */
  readonly without?: readonly string[] | undefined;
}

/** The strongest sample of a loop, whichever way. */
export function peakOf(loop: Float32Array): number {
  return loop.reduce((most, each) => Math.max(most, Math.abs(each)), 0);
}

/** How strong a loop is: the root of its mean square. */
export function rmsOf(loop: Float32Array): number {
  let sum = 0;
  for (const each of loop) sum += each * each;
  return loop.length > 0 ? Math.sqrt(sum / loop.length) : 0;
}

/**
 * A loop of what is heard.
 * @throws RangeError for a length that is not from LEAST_SECONDS to MOST_SECONDS
 */
export function renderLoop(heard: Heard, { seconds, seed, only, without }: RenderAsked): Float32Array<ArrayBuffer> {
  if (!(seconds >= LEAST_SECONDS && seconds <= MOST_SECONDS))
    throw new RangeError(`renderLoop: needs ${LEAST_SECONDS} to ${MOST_SECONDS} seconds, got ${seconds}`);
  const loop = new Float32Array(Math.round(seconds * SAMPLE_RATE_HZ));
  heard.contacts.forEach((each, i) => {
    const { id } = each.contact;
    if ((only && !only.includes(id)) || without?.includes(id)) return;
    // Each has numbers of its own: alone and with the others it sounds the same.
    addContact(loop, each, seeded(seed * 1009 + i + 1));
  });
  if (!only) {
    for (const { hz, pascal } of heard.beats) addNote(loop, hz, pascal, 0, 0);
    addNoise(loop, heard.flow, seeded(seed * 1009));
  }
  return loop;
}

function addContact(loop: Float32Array, each: ContactHeard, random: () => number) {
  if (each.outcome === 'quiet') return;
  if (each.knocks) addKnocks(loop, each.knocks, random);
  if (each.rub) addNoise(loop, each.rub, random);
  if (each.squeak) {
    const { hz, pascal, swellsHz } = each.squeak;
    OVERTONES.forEach((share, k) => {
      if ((k + 1) * hz < SAMPLE_RATE_HZ / 2) addNote(loop, (k + 1) * hz, share * pascal, swellsHz, random());
    });
  }
}

/** So far a blow rings on: until it is a thousandth, or this. */
const MOST_RING_S = 0.4;
/** How unlike each other blows are, of their strength. Trade estimate. */
const UNLIKE = 0.25;

function addKnocks(loop: Float32Array, knocks: KnocksHeard, random: () => number) {
  const one = blowSamples(knocks);
  const count = Math.max(1, Math.round((knocks.perS * loop.length) / SAMPLE_RATE_HZ));
  const apart = loop.length / count;
  const first = random() * apart;
  for (let k = 0; k < count; k++) {
    const late = knocks.jitter * (random() - 0.5);
    const strength = 1 + UNLIKE * (2 * random() - 1);
    const at = Math.floor(first + (k + late) * apart + loop.length) % loop.length;
    addAround(loop, one, at, strength);
  }
}

function addAround(loop: Float32Array, one: Float32Array, at: number, strength: number) {
  for (let i = 0, to = at; i < one.length; i++, to++) {
    if (to >= loop.length) to -= loop.length;
    loop[to] = (loop[to] as number) + strength * (one[i] as number);
  }
}

/** A blow is worked out in so many steps a sample, and what lies above hearing is taken out before samples are taken. */
const FINE = 8;
const CUT_HZ = 20_000;
/** How far that filter reaches to each side, samples. */
const FILTER_REACH = 24;

/** A windowed sinc at the fine steps, from its middle on, times their length. */
const FILTER: Float64Array = Float64Array.from({ length: FILTER_REACH * FINE + 1 }, (_, i) => {
  const seconds = i / (FINE * SAMPLE_RATE_HZ);
  const x = 2 * Math.PI * CUT_HZ * seconds;
  const window = (1 + Math.cos((Math.PI * i) / (FILTER_REACH * FINE))) / 2;
  return ((2 * CUT_HZ * (x === 0 ? 1 : Math.sin(x) / x)) / (FINE * SAMPLE_RATE_HZ)) * window;
});

/**
 * One blow and the notes it leaves, Pa. The force is the mean over each fine step and its change the difference of two: what
 * is shorter than a step keeps its impulse.
 */
function blowSamples({ blow, pushes, rings }: KnocksHeard): Float32Array {
  const longest = rings.reduce(
    (most, { hz, lossFactor }) => Math.max(most, Math.min(MOST_RING_S, Math.log(1000) / (Math.PI * hz * lossFactor))),
    0,
  );
  const count = Math.ceil(blow.durationS * SAMPLE_RATE_HZ);
  const samples = new Float32Array(Math.ceil(longest * SAMPLE_RATE_HZ) + count + 2 * FILTER_REACH + 1);
  const step = 1 / (FINE * SAMPLE_RATE_HZ);
  const wholeNs = (2 * blow.peakN * blow.durationS) / Math.PI;
  // Impulse until t of a half wave of the sine.
  const until = (t: number) =>
    t <= 0 ? 0 : t >= blow.durationS ? wholeNs : (wholeNs / 2) * (1 - Math.cos((Math.PI * t) / blow.durationS));
  let before = 0;
  for (let j = 0; j <= count * FINE + 1; j++) {
    const forceN = (pushes * (until(j * step) - until((j - 1) * step))) / step;
    const pascal = ((forceN - before) / step) * BY_CHANGE + forceN * BY_FORCE;
    before = forceN;
    if (pascal === 0) continue;
    const first = Math.ceil(j / FINE);
    for (let n = first; n < first + 2 * FILTER_REACH; n++) {
      const away = Math.abs((n - FILTER_REACH) * FINE - j);
      if (away < FILTER.length) samples[n] = (samples[n] as number) + pascal * (FILTER[away] as number);
    }
  }
  for (const ring of rings) addRing(samples, ring.hz, ring.pascal, ring.lossFactor, FILTER_REACH + count);
  return samples;
}

/** A sine that dies away, by y₀ = 2 r cos θ y₁ − r² y₂. */
function addRing(samples: Float32Array, hz: number, pascal: number, lossFactor: number, from: number) {
  const theta = (2 * Math.PI * hz) / SAMPLE_RATE_HZ;
  const r = Math.exp((-Math.PI * hz * lossFactor) / SAMPLE_RATE_HZ);
  const [a, b] = [2 * r * Math.cos(theta), r * r];
  let last = 0;
  let now = pascal * Math.sin(theta);
  for (let i = from; i < samples.length; i++) {
    samples[i] = (samples[i] as number) + now;
    const next = a * now - b * last;
    last = now;
    now = next;
  }
}

/** A note of whole waves in the loop, swelling and fading whole times. @param phase in turns */
function addNote(loop: Float32Array, hz: number, pascal: number, swellsHz: number, phase: number) {
  const waves = (Math.max(1, Math.round((hz * loop.length) / SAMPLE_RATE_HZ)) * 2 * Math.PI) / loop.length;
  const strengths = swellsOf(loop.length, swellsHz);
  // Sine and cosine of an angle that grows by the same step, turned on instead of worked out.
  const [stepCos, stepSin] = [Math.cos(waves), Math.sin(waves)];
  let c = Math.cos(2 * Math.PI * phase);
  let s = Math.sin(2 * Math.PI * phase);
  for (let i = 0; i < loop.length; i++) {
    const strength = strengths ? (strengths[i] as number) : 1;
    loop[i] = (loop[i] as number) + pascal * strength * s;
    const next = c * stepCos - s * stepSin;
    s = s * stepCos + c * stepSin;
    c = next;
  }
}

/** How strong each sample is of what swells and fades whole times in a loop; null of what is steady. */
function swellsOf(count: number, swellsHz: number): Float64Array | null {
  if (!(swellsHz > 0)) return null;
  const step = (Math.max(1, Math.round((swellsHz * count) / SAMPLE_RATE_HZ)) * 2 * Math.PI) / count;
  const strengths = new Float64Array(count);
  const [stepCos, stepSin] = [Math.cos(step), Math.sin(step)];
  let c = 1;
  let s = 0;
  for (let i = 0; i < count; i++) {
    strengths[i] = (1 - c) / 2;
    const next = c * stepCos - s * stepSin;
    s = s * stepCos + c * stepSin;
    c = next;
  }
  return strengths;
}

/** How much of the loop's end is run through the filters first, so that its beginning follows on it. */
const RUN_IN = 8192;

/** Noise through two filters of one pole and the dipole (radiation.ts), its noise the same every time round. */
function addNoise(loop: Float32Array, { forceN, upToHz, swellsHz }: NoiseHeard, random: () => number) {
  if (!(forceN > 0 && upToHz > 0)) return;
  const count = loop.length;
  const white = new Float32Array(count);
  // Even from −1 to 1: a mean square of a third.
  for (let i = 0; i < count; i++) white[i] = 2 * random() - 1;
  const keep = Math.exp((-2 * Math.PI * upToHz) / SAMPLE_RATE_HZ);
  // Mean square of what two poles leave of white noise of one: (1 − k)⁴ (1 + k²)/(1 − k²)³.
  const left = ((1 - keep) ** 4 * (1 + keep ** 2)) / (1 - keep ** 2) ** 3;
  const gain = forceN * Math.sqrt(3 / left);
  const strengths = swellsOf(count, swellsHz);
  let first = 0;
  let second = 0;
  let before = 0;
  for (let i = -Math.min(RUN_IN, count); i < count; i++) {
    const from = i < 0 ? i + count : i;
    first = keep * first + (1 - keep) * (white[from] as number);
    second = keep * second + (1 - keep) * first;
    const force = gain * second;
    if (i >= 0) {
      const strength = strengths ? (strengths[i] as number) : 1;
      const pascal = (force - before) * SAMPLE_RATE_HZ * BY_CHANGE + force * BY_FORCE;
      loop[i] = (loop[i] as number) + strength * pascal;
    }
    before = force;
  }
}
