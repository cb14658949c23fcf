import type { MakeStep } from '@/core/make/plan';
import type { Moment } from '@/drawing/handling/frame';

/** Where in its handling a step stands, when the handling spans several steps. */
export function nowOf({ doing }: MakeStep): Moment | null {
  switch (doing.op) {
    case 'threadLeg':
      return doing.which === 'lower' ? 'lowerLegs' : 'upperLegs';
    case 'hangOnClevis':
      return 'bladesHung';
    default:
      return null;
  }
}
