/** Lures that no one could build: each is refused or shows a fault, and nothing worked out about it is not a number. */
import { wireOf } from '../carriers/carrier';
import { describe, expect, it } from 'vitest';
import {
  bait,
  bentAt,
  demoLure,
  edited,
  itemId,
  on,
  part,
  plainBait,
  plainSpinner,
  spinner,
  TAIL,
} from '@/testing/lures';
import { findingWords } from '../../words/finding-words';
import { LAKE_WATER } from '../hydro/water';
import { planMake } from '../make/plan';
import { CATALOGUE } from '../parts/catalogue';
import { measureFaults } from '../parts/measure-faults';
import type { Part } from '../parts/part';
import { predict } from '../predict/predict';
import type { Edit } from './edit';
import { findings } from '../judgement/findings';
import { performCommand, startHistory } from './history';
import { layOut } from '../geometry/layout';
import { cutLengths } from '../lengths/lengths';
import type { Lure } from './lure';

const sound = plainSpinner();
const swap = (item: string, id: string, changes: object): Edit => ({
  kind: 'swapPart',
  item: itemId(item),
  part: { ...part(id), ...changes } as Part,
});

/** The lure after this edit, taken through the law that guards every change; null when it is refused. */
function asked(lure: Lure, ...edits: Edit[]): Lure | null {
  const done = performCommand(startHistory(lure), { do: 'change', code: 'move', edits });
  return done.ok ? done.history.lure : null;
}

const NONSENSE: [string, Lure | null][] = [
  ['a bead whose hole is as wide as the bead', asked(sound, swap('bead-1', 'bead-brass-3', { boreM: 0.003 }))],
  ['a hollow bead of more wall than bead', asked(sound, swap('bead-1', 'bead-brass-3', { wallM: 0.002 }))],
  ['a bead of a kilogram', asked(sound, swap('bead-1', 'bead-brass-3', { massKg: 0.4 }))],
  [
    'a blade wider than a hand is long and thick as a plank',
    asked(sound, swap('blade-1', 'blade-french-k2', { thicknessM: 0.02 })),
  ],
  ['a blade with its hole in the tip', asked(sound, swap('blade-1', 'blade-french-k2', { holeOffsetM: 0.5 }))],
  ['a blade with a hole wider than itself', asked(sound, swap('blade-1', 'blade-french-k2', { holeDiameterM: 0.05 }))],
  ['a blade deeper than wide', asked(sound, swap('blade-1', 'blade-french-k2', { cupDepthM: 0.09 }))],
  ['a ring of more wire than ring', asked(sound, swap('splitRing-1', 'ring-k2', { wireDiameterM: 0.004 }))],
  ['a hook of more gap than length', asked(sound, swap('hook-1', 'hook-treble-6', { gapM: 0.2 }))],
  ['a hook of wire thicker than its gap', asked(sound, swap('hook-1', 'hook-treble-6', { wireDiameterM: 0.009 }))],
  ['a clevis with no room for the blade', asked(sound, swap('clevis-1', 'clevis-folded-1', { boreM: 0.02 }))],
  ['denormal play', asked(sound, { kind: 'carrier', changes: { freeRoomM: 5e-324 } })],
  ['a denormal blade', asked(sound, swap('blade-1', 'blade-french-k2', { thicknessM: 5e-324 }))],
  [
    'a wire half a metre thick',
    asked(sound, { kind: 'carrier', changes: { wire: { ...wireOf(sound.build.carrier), diameterM: 0.5 } } }),
  ],
  ['play of a kilometre', asked(sound, { kind: 'carrier', changes: { freeRoomM: 1000 } })],
  [
    'made on a day the calendar lacks',
    asked(sound, { kind: 'mark', made: { onDay: '2031-99-99', build: sound.build } }),
  ],
  ['a spinnerbait on straight wire', { ...spinner([], [['ring-k2', TAIL]]), family: 'spinnerbait' }],
  ['an inline spinner on bent wire', { ...plainBait(), family: 'inlineSpinner' }],
  ['a trailer cut off behind its own end', withTrailer(0.4)],
  ['an arm turned round on itself many times', bentAt(plainBait(), 1, { angleRad: 40 })],
  ['nothing on a wire at all', spinner([])],
].map(([name, lure]) => [name as string, survives(lure as Lure | null)]);

function withTrailer(cutM: number): Lure | null {
  const lure = edited(bait('spinnerbait', ['bead-brass-4']), {
    kind: 'insert',
    items: [
      {
        id: itemId('trailer-1'),
        part: CATALOGUE.find(({ kind }) => kind === 'trailer') as Part,
        seat: on('hook-1', 'pushed'),
        role: null,
        flipped: false,
        state: { of: 'trailer', cutM, rounded: false, crookedRad: 0 },
      },
    ],
    entries: [],
  });
  return asked(lure, { kind: 'rename', name: 'Cut short' });
}

/** Brought through the schemas, as everything stored is; null when it does not pass. */
function survives(lure: Lure | null): Lure | null {
  return lure && asked({ ...lure, name: 'Nonsense' }, { kind: 'rebuild', build: lure.build });
}

/** Every number in plain data. */
function numbersIn(value: unknown): number[] {
  if (typeof value === 'number') return [value];
  if (typeof value !== 'object' || value === null) return [];
  return Object.values(value).flatMap(numbersIn);
}

describe('nonsense', () => {
  it.each(NONSENSE)('%s is refused or shows a fault in words, and no figure of it is NaN', (name, lure) => {
    if (lure === null) return expect(name).not.toMatch(/spinnerbait on straight/);
    const found = findings(lure);
    const bad = found.filter(({ severity }) => severity !== 'good');
    expect(bad.length).toBeGreaterThan(0);
    if (name !== 'nothing on a wire at all') expect(bad[0]?.severity, name).toBe('fault');
    for (const finding of bad)
      expect(JSON.stringify(findingWords(finding, lure.build, 'metric'))).not.toMatch(/NaN|undefined/);
    expect(numbersIn(findings(lure)).every(Number.isFinite)).toBe(true);
    expect(numbersIn([layOut(lure.build), cutLengths(lure.build)]).every(Number.isFinite)).toBe(true);
    expect(numbersIn(predict(lure.build, LAKE_WATER, [0.8])).some(Number.isNaN)).toBe(false);
    expect(planMake(lure.build).outcome).toMatch(/planned|noWay/);
  });

  it('at least half of these are taken and told by a finding, so that the check checks something', () => {
    expect(NONSENSE.filter(([, lure]) => lure !== null).length).toBeGreaterThan(NONSENSE.length / 2);
  });

  it('no part of the catalogue and no demo lure is called nonsense', () => {
    expect(CATALOGUE.flatMap((each) => measureFaults(each).map((fault) => [each.id, fault]))).toEqual([]);
    const told = ['hovna-lantern', 'torvane-lanes', 'asp-pair', 'lommer-clapper', 'suvra-needle', 'mirrow-drum']
      .map(demoLure)
      .flatMap((lure) => findings(lure).filter(({ code }) => /impossible|doubtful|wrongWire/.test(code)));
    expect(told).toEqual([]);
  });
});
