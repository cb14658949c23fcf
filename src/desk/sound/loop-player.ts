/**
 * Plays loops of sound. All loops of a player run in step, however late each came: one takes over from another in the middle of
 * a bar, without a gap. Nothing sounds until `play`.
 */
const FADE_S = 0.02;

/** What is played: its samples, and what brings them to −1 to 1. */
export interface PlayedLoop {
  readonly samples: Float32Array<ArrayBuffer>;
  readonly rateHz: number;
  readonly level: number;
}

interface Track {
  readonly source: AudioBufferSourceNode;
  readonly gain: GainNode;
  readonly played: PlayedLoop;
}

export class LoopPlayer {
  private context: AudioContext | null = null;
  private master: GainNode | null = null;
  private readonly tracks = new Map<string, Track>();
  private heard: string | null = null;
  private begunAt = 0;
  private volume = 0;

  /** How loud, from 0 to 1: what is heard follows at once. */
  setVolume(volume: number) {
    this.volume = volume;
    if (this.context && this.master) fadeTo(this.master.gain, volume, this.context);
  }

  /** From now on this loop stands under this name; null for nothing to be heard under it. */
  setLoop(name: string, played: PlayedLoop | null) {
    const former = this.tracks.get(name);
    if (played && former?.played.samples === played.samples) {
      this.tracks.set(name, { ...former, played });
      this.hear(this.heard);
      return;
    }
    this.tracks.delete(name);
    if (played) this.tracks.set(name, this.begin(played, this.heard === name));
    if (former) this.end(former);
  }

  private begin(played: PlayedLoop, isHeard: boolean): Track {
    const { context, master } = this.opened();
    const { samples, rateHz, level } = played;
    const buffer = context.createBuffer(1, samples.length, rateHz);
    buffer.copyToChannel(samples, 0);
    const gain = context.createGain();
    gain.gain.value = 0;
    gain.connect(master);
    const source = context.createBufferSource();
    source.buffer = buffer;
    source.loop = true;
    source.connect(gain);
    const since = context.currentTime - this.begunAt;
    source.start(0, since % buffer.duration);
    if (isHeard) fadeTo(gain.gain, level, context);
    return { source, gain, played };
  }

  /** Lets the loop of this name be heard, and no other; none of them for null. */
  hear(name: string | null) {
    this.heard = name;
    const { context } = this;
    if (!context) return;
    for (const [each, { gain, played }] of this.tracks) fadeTo(gain.gain, each === name ? played.level : 0, context);
  }

  /** Begins, after a press: a browser lets nothing sound before. */
  async play() {
    const { context } = this.opened();
    if (context.state !== 'running') await context.resume();
  }

  stop() {
    for (const track of this.tracks.values()) this.end(track);
    this.tracks.clear();
    void this.context?.suspend();
  }

  /** Gives back what the browser lends: a page can have few of them. */
  close() {
    this.stop();
    void this.context?.close();
    this.context = null;
    this.master = null;
  }

  private opened(): { readonly context: AudioContext; readonly master: GainNode } {
    this.context ??= new AudioContext();
    if (!this.master) {
      this.master = this.context.createGain();
      this.master.gain.value = this.volume;
      this.master.connect(this.context.destination);
      this.begunAt = this.context.currentTime;
    }
    return { context: this.context, master: this.master };
  }

  private end({ source, gain }: Track) {
    const { context } = this;
    if (!context) return;
    fadeTo(gain.gain, 0, context);
    source.stop(context.currentTime + 2 * FADE_S);
  }
}

function fadeTo(param: AudioParam, value: number, { currentTime }: AudioContext) {
  param.cancelScheduledValues(currentTime);
  param.setValueAtTime(param.value, currentTime);
  param.linearRampToValueAtTime(value, currentTime + FADE_S);
}
