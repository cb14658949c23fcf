/** Moments of handling in a few words. */
import type { Moment } from '../drawing/handling/frame';

export const MOMENT_WORDS: Readonly<Record<Moment, string>> = {
  loopHalf: 'Round the jaw, square to the wire',
  loopRound: 'All round, back across the shaft',
  loopWrapped: 'Wraps close; clip the tag',
  loopClosed: 'Until the end just meets',
  loopGap: 'The gap stays open',
  lowerLegs: 'Both lower legs on',
  bladesHung: 'Both blades hung',
  upperLegs: 'Both upper legs on: shut',
  ringParted: 'Part the coils with the tooth',
  ringOn: 'The eye in, and round',
  ringRound: 'All the way: the coils lie flat',
  bandOver: 'Wet, over point and shank',
  bandOn: 'Up on the collar',
  trailerBeside: 'Lay it beside: mark where the point comes out',
  trailerOn: 'Through the middle, dead straight',
  lockTurns: 'Turns side by side',
  lockTwist: 'Pull and twist',
  lockPressed: 'Clip and press down',
};
