/** The families: a template to start from and checks of their own. The only door through which a family is asked for. */
import type { Finding } from '../finding';
import type { Layout } from '../../geometry/layout';
import type { Family, Lure, LureId } from '../../lure/lure';
import type { Carrier } from '../../carriers/carrier';
import { buzzbait, spinnerbait } from './baits';
import { bareBody } from '../../lure/take-body';
import { hardBait, underspin } from './bodies';
import { inlineSpinner } from './inline-spinner';
import { bladeAhead, bladeLeader, wormHarness } from './on-line';

interface FamilyRules {
  /** The bare carrier a lure of this family begins with; of a body what is moulded into it comes with it. */
  readonly carrier: () => Carrier;
  readonly check: (lure: Lure, layout: Layout) => Finding[];
}

const FAMILIES: Readonly<Record<Family, FamilyRules>> = {
  inlineSpinner,
  spinnerbait,
  buzzbait,
  wormHarness,
  bladeLeader,
  bladeAhead,
  hardBait,
  underspin,
};

/** What the lure's own family asks of it. */
export function familyFindings(lure: Lure, layout: Layout): Finding[] {
  return FAMILIES[lure.family].check(lure, layout);
}

/** A lure of this family with nothing on it yet. */
export function startLure(family: Family, id: LureId, name: string): Lure {
  const carrier = FAMILIES[family].carrier();
  const build = carrier.kind === 'body' ? bareBody(carrier.wire) : { carrier, items: {}, strand: [], joined: [] };
  return { id, name, family, note: '', build, made: null, versions: [] };
}
