/** Steps of making on bodies, in sentences. */
import { carrierRoom } from '../core/carriers/carrier';
import type { Build } from '../core/lure/lure';
import type { OperationOf } from '../core/make/operation';
import type { Amount } from '../core/make/operation-rule';
import { CARRIER_WORDS } from './carrier-words';
import { distinctName, listed, type StepWords } from './step-names';

/** @param size a measure of the step as it is shown; empty where it has none */
export function bodyStepWords(
  operation: OperationOf<'takeBody' | 'screwIn' | 'openBodyEye' | 'screwNail'>,
  build: Build,
  size: (of: Amount['of']) => string,
): StepWords {
  const { carrier } = build;
  const name = (id: Parameters<typeof distinctName>[1]) => distinctName(build, id);
  switch (operation.op) {
    case 'takeBody': {
      const body = carrierRoom(carrier).bought(carrier)?.name.toLowerCase() ?? 'body';
      return {
        what: `Take the bare ${body}: its old hooks off, every ring looked at.`,
        how: 'Weigh it bare, and once more when it is done.',
      };
    }
    case 'screwIn':
      return {
        what: `Screw the ${name(operation.item)} in, ${size('fromNose')} behind the nose, ${size('depth')} deep.`,
        how: 'Mark the middle line, make a fine hole square to the skin, away from the hand that holds the body; glue on the thread, turn it in until its eye stands along the body.',
      };
    case 'openBodyEye': {
      const held = listed(operation.items.map(name));
      const eye = operation.end
        ? CARRIER_WORDS[carrier.kind][operation.end]
        : operation.eye
          ? name(operation.eye)
          : 'eye';
      return {
        what: `Open the ${eye}, hang the ${held} in it and shut it.`,
        how: 'Bend its end sideways, as a door opens, never wider; back the same way until nothing passes the gap.',
      };
    }
    case 'screwNail':
      return {
        what: `Screw the ${name(operation.item)} up into the belly, ${size('fromHead')} behind the head of the body, until ${size('standsOut')} stands out.`,
        how: 'The body held by its flanks between two fingers, the weight upright in the pliers; turn and press by turns. It stands under the widest part of the blade.',
      };
  }
}
