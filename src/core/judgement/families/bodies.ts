/** Hard bait: the body of a hard bait with a blade hung on it. Underspin: a jig head with a blade on an arm below. */
import type { LureBody } from '../../parts/kinds/lure-body';
import { partsOfKind } from '../../parts/catalogue';
import type { WireForm } from '../../parts/wire-form';
import type { Layout } from '../../geometry/layout';
import type { Carrier } from '../../carriers/carrier';
import type { Lure } from '../../lure/lure';
import type { Finding } from '../finding';
import { bent, noHead } from './baits';
import { lacking, noBlade, noHook, onWrongWire } from './common';

const DEGREE = Math.PI / 180;
const USUAL_BODY = 'body-diver-60-perch';

/** The catalogue's body that is commonly begun with. @throws Error when it has none at all */
export function usualBody(): LureBody {
  const bodies = partsOfKind('lureBody');
  const body = bodies.find(({ id }) => id === USUAL_BODY) ?? bodies[0];
  if (!body) throw new Error('usualBody: the catalogue needs at least one body');
  return body;
}

/** Out of the head's underside, back below the hook, so that the blade turns clear of it. */
export const UNDERSPIN_FORM: WireForm = {
  startRad: -100 * DEGREE,
  sections: [
    { section: 'straight', lengthM: 0.0105 },
    { section: 'bend', angleRad: 82 * DEGREE, sideRad: 0, insideRadiusM: 0.002, isTie: false },
  ],
  armM: 0.012,
  tail: { form: 'bentLoop', insideDiameterM: 0.0026, gapM: 0 },
};

export const hardBait = {
  carrier: (): Carrier => ({ kind: 'body', wire: usualBody() }),
  check: (lure: Lure, layout: Layout): Finding[] => [
    ...onWrongWire(lure, 'body'),
    // Under a belly it is not asked to turn.
    ...(Object.values(lure.build.items).some(({ part }) => part.kind === 'blade') ? [] : [noBlade]),
    ...noHook(layout),
  ],
};

export const underspin = {
  carrier: () => bent(UNDERSPIN_FORM),
  check: (lure: Lure, layout: Layout): Finding[] => [
    ...onWrongWire(lure, 'bentWire'),
    ...lacking(lure, layout),
    ...(layout.off.some(({ item }) => item.part.kind === 'head') ? [] : [noHead]),
  ],
};
