/** The families: a template to start from and checks of their own. The only door through which a family is asked for. */
import type { Finding } from '../lure/finding';
import type { Build, Family, Lure, LureId } from '../lure/lure';
import type { WorkStep } from '../lure/work-step';
import { inlineSpinner } from './inline-spinner';

export interface FamilyRules {
  readonly name: string;
  /** A lure of this family with nothing on it yet. */
  readonly start: (id: LureId, name: string) => Lure;
  readonly check: (lure: Lure) => Finding[];
  /** Its order of work, first step first. */
  readonly work: (build: Build) => WorkStep[];
}

const FAMILIES: Readonly<Record<Family, FamilyRules>> = { inlineSpinner };

export function familyRules(family: Family): FamilyRules {
  return FAMILIES[family];
}

export function familyFindings(lure: Lure): Finding[] {
  return FAMILIES[lure.family].check(lure);
}
