/**
 * The one invented scenario behind every example: the lake country of Ilmaskar, its people, waters and parts makers.
 * None of it exists. Data in scenario.json and lures/, checked here against the schemas.
 */
import * as z from 'zod/mini';
import { shortText } from '../core/schema';
import { lureFileSchema } from '../core/files/lure-file';
import type { Lure } from '../core/lure/lure';
import raw from './scenario.json';
import { FIRST_LURE } from './first-lure';
import suvraNeedle from './lures/suvra-needle.json';
import mirrowDrum from './lures/mirrow-drum.json';
import torvaneLanes from './lures/torvane-lanes.json';
import lommerClapper from './lures/lommer-clapper.json';
import stolkKettle from './lures/stolk-kettle.json';
import aspPair from './lures/asp-pair.json';
import halvaneTwins from './lures/halvane-twins.json';
import aalmoLink from './lures/aalmo-link.json';
import okkelWisp from './lures/okkel-wisp.json';
import suvraFan from './lures/suvra-fan.json';
import stolkHerald from './lures/stolk-herald.json';
import torvaneFlash from './lures/torvane-flash.json';
import halvaneTrail from './lures/halvane-trail.json';
import canoeGlint from './lures/canoe-glint.json';
import okkelRoller from './lures/okkel-roller.json';
import mirrowDrift from './lures/mirrow-drift.json';
import suvraMouth from './lures/suvra-mouth.json';
import okkelBroom from './lures/okkel-broom.json';
import halvaneGlint from './lures/halvane-glint.json';
import mirrowEmber from './lures/mirrow-ember.json';
import stolkTwinkle from './lures/stolk-twinkle.json';

const personSchema = z.strictObject({ name: shortText, trade: shortText, about: z.string() });
const waterSchema = z.strictObject({
  id: shortText,
  name: shortText,
  kind: z.enum(['lake', 'river', 'bay']),
  colour: z.enum(['clear', 'green', 'tea', 'mud']),
  secchiM: z.number().check(z.positive()),
  salinityGPerKg: z.number().check(z.nonnegative()),
  temperatureK: z.number().check(z.positive()),
  fish: z.array(shortText).check(z.minLength(1)),
  about: z.string(),
});
const makerSchema = z.strictObject({ name: shortText, about: z.string() });

export const scenarioSchema = z.strictObject({
  country: shortText,
  season: z.strictObject({ name: shortText, from: z.string(), to: z.string(), about: z.string() }),
  people: z.array(personSchema).check(z.minLength(3)),
  waters: z.array(waterSchema).check(z.length(3)),
  makers: z.array(makerSchema).check(z.length(2)),
});

export const SCENARIO = scenarioSchema.parse(raw);

/** The finished demo lures, the first of which a newcomer sees. The slug is the lure's id. */
export const DEMO_LURES: readonly Lure[] = [
  FIRST_LURE,
  ...[
    suvraNeedle,
    mirrowDrum,
    torvaneLanes,
    lommerClapper,
    stolkKettle,
    aspPair,
    halvaneTwins,
    aalmoLink,
    okkelWisp,
    suvraFan,
    halvaneTrail,
    canoeGlint,
    okkelRoller,
    mirrowDrift,
    suvraMouth,
    stolkHerald,
    torvaneFlash,
    halvaneGlint,
    stolkTwinkle,
    mirrowEmber,
    okkelBroom,
  ].map((file) => lureFileSchema.parse(file).lure),
];
