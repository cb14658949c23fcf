import { cutLengths } from '@/core/lengths/lengths';
import { layOut } from '@/core/geometry/layout';
import { UNUSED, type Lure } from '@/core/lure/lure';
import { lureMass } from '@/core/lengths/mass';
import { LAKE_WATER } from '@/core/hydro/water';
import { planMake } from '@/core/make/plan';
import type { UnitSystem } from '@/core/units/write';
import { wearOf } from '@/core/wear/wear';
import { buildSheet } from '@/paper/build-sheet';
import { FAMILY_WORDS } from '@/words/family-words';
import { wearTitles } from '@/words/wear-words';
import type { Measure, Page, SheetPaper } from '@/paper/page';
import { bendingTemplate, templatePages, templateWidth, type Template } from '@/paper/template';

/** The build sheet of a lure, with all that stands on it worked out. */
export function sheetOf(lure: Lure, system: UnitSystem, paper: SheetPaper, day: string, measure: Measure): Page {
  const { build } = lure;
  const layout = layOut(build);
  const cuts = cutLengths(build, layout);
  const used = lure.made?.used ?? UNUSED;
  return buildSheet(
    {
      lure,
      familyName: FAMILY_WORDS[lure.family],
      layout,
      cuts,
      plan: planMake(build),
      massKg: lureMass(build, cuts),
      wears: wearTitles(wearOf(build, LAKE_WATER, used), build, used),
      system,
      paper,
      day,
    },
    measure,
  );
}

/** The bending template of a lure's wire, and the pages it stands on. */
export function templateOf(
  lure: Lure,
  system: UnitSystem,
  paper: SheetPaper,
): { readonly template: Template; readonly pages: readonly Page[] } {
  const template = bendingTemplate({ lure, layout: layOut(lure.build), system, wideMm: templateWidth(paper) });
  return { template, pages: templatePages(template, paper) };
}
