import type { MakeStep } from '@/core/make/plan';
import type { Frame, Moment } from '@/drawing/handling/frame';

/** Where in its handling a step stands, when the handling spans several steps. */
export function nowOf({ operation }: MakeStep, frames: readonly Frame[]): Moment | null {
  switch (operation.op) {
    case 'threadLeg':
      return operation.which === 'lower' ? 'lowerLegs' : 'upperLegs';
    case 'hangOnClevis':
      return 'bladesHung';
    case 'rollLoop':
      return frames.at(-2)?.moment ?? null;
    case 'closeLoop':
      return frames.at(-1)?.moment ?? null;
    default:
      return null;
  }
}
