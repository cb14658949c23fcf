import { describe, expect, it } from 'vitest';
import { demoLure, edited, itemId, on, part, plainSpinner, spinner, TAIL, withInside } from '@/testing/lures';
import { costWords } from '../../words/cost-words';
import { findingWords, repairWords } from '../../words/finding-words';
import { DEMO_LURES } from '@/demo/scenario';
import { CATALOGUE } from '../parts/catalogue';
import type { Part, PartOf } from '../parts/part';
import type { Blade } from '../parts/kinds/blade';
import type { Wire } from '../parts/kinds/wire';
import { costOfChange } from '../costs/cost';
import { seatPart, takeOff, threadParts } from '../lure/editing';
import type { Finding } from './finding';
import { findings, USUAL_CONTEXT } from './findings';
import { cutLengths, wireCut } from '../lengths/lengths';
import type { WireEnd } from '../parts/wire-form';
import { USUAL_LOOP, type Lure } from '../lure/lure';
import { lureMass } from '../lengths/mass';

function found(lure: Lure, code: Finding['code']) {
  return findings(lure, USUAL_CONTEXT, CATALOGUE).filter(
    (finding) => finding.code === code && finding.severity !== 'good',
  );
}

function atRest(lure: Lure) {
  const finding = findings(lure, USUAL_CONTEXT, CATALOGUE).find(
    (each) => each.code === 'bladeAgainstHook' && each.posture === 'rest',
  );
  if (finding?.code !== 'bladeAgainstHook') throw new Error('a blade and a hook give a clearance');
  return finding;
}

const LOOP = USUAL_LOOP as Extract<WireEnd, { form: 'wrappedLoop' }>;

function bored(id: string, boreM: number): Part {
  return { ...(part(id) as PartOf<'bead'>), boreM };
}

function ring(outerDiameterM: number, wireDiameterM: number): Part {
  return { ...(part('ring-k2') as PartOf<'splitRing'>), outerDiameterM, wireDiameterM };
}

/** A bell over a sleeve, with what stands at its mouth. */
function belled(sleeve: string, mouth: readonly string[] = ['striker-brass-4']): Lure {
  return spinner([sleeve, ...mouth], [['bell-brass-8', on('sleeve-1', 'over')]]);
}

/** Two blades on one wire with this between their clevises. */
function doubled(between: readonly string[]): Lure {
  return spinner(
    ['clevis-folded-1', ...between, 'clevis-folded-1', 'bead-brass-3', 'weight-barrel-brass-8'],
    [
      ['blade-french-k2', on('clevis-1', 'hung')],
      ['blade-french-k2', on('clevis-2', 'hung')],
    ],
  );
}

const tubed = (() => {
  const bare = plainSpinner();
  return edited(bare, threadParts(bare.build, part('shrink-tube-4-black'), bare.build.strand.length));
})();

describe('findings: each has a lure that triggers it and one that does not', () => {
  const sound = plainSpinner();
  const faulty: [Finding['code'], Lure][] = [
    ['bladeAgainstHook', plainSpinner('blade-willow-o4')],
    ['clevisRoom', edited(sound, { kind: 'carrier', changes: { freeRoomM: 0.0002 } })],
    ['crowdedClevis', withInside(sound, 'bead-glass-5-green')],
    ['emptyClevis', edited(sound, takeOff(sound.build, itemId('blade-1')))],
    ['boreTooTight', edited(sound, { kind: 'carrier', changes: { wire: part('wire-stainless-120') as Wire } })],
    [
      'holeTooSmall',
      edited(sound, {
        kind: 'swapPart',
        item: itemId('blade-1'),
        part: { ...(part('blade-french-k1') as Blade), holeDiameterM: 0.001 },
      }),
    ],
    ['boreTooLoose', edited(sound, { kind: 'swapPart', item: itemId('bead-1'), part: bored('bead-brass-3', 0.0021) })],
    [
      'rootMeetsWire',
      edited(plainSpinner('blade-colorado-k2'), {
        kind: 'swapPart',
        item: itemId('clevis-1'),
        part: part('clevis-folded-0'),
      }),
    ],
    ['eyeTooSmall', edited(sound, { kind: 'swapPart', item: itemId('splitRing-1'), part: ring(0.0075, 0.001) })],
    ['ringTooSmall', edited(sound, { kind: 'swapPart', item: itemId('splitRing-1'), part: ring(0.003, 0.0006) })],
    ['loopTooSmall', edited(sound, { kind: 'carrier', changes: { tail: { ...LOOP, insideDiameterM: 0.0012 } } })],
    ['missingGuard', edited(sound, takeOff(sound.build, itemId('bead-1')), takeOff(sound.build, itemId('weight-1')))],
    [
      'tubeCover',
      edited(tubed, {
        kind: 'adjust',
        item: itemId('shrinkTube-1'),
        changes: { state: { of: 'tube', cutLengthM: 0.007 } },
      }),
    ],
    ['bellWithoutSleeve', spinner(['clevis-folded-1', 'bell-brass-8', 'striker-brass-4'])],
    [
      'sleeveInBell',
      edited(belled('sleeve-brass-8'), {
        kind: 'swapPart',
        item: itemId('sleeve-1'),
        part: { ...(part('sleeve-brass-8') as PartOf<'sleeve'>), lengthM: 0.0025 },
      }),
    ],
    ['silentBell', belled('sleeve-brass-14', [])],
    ['bladeAgainstBlade', doubled(['bead-brass-3', 'bead-brass-3'])],
    ['hollowOutward', edited(sound, { kind: 'adjust', item: itemId('blade-1'), changes: { flipped: true } })],
    ['endNotFormed', edited(sound, { kind: 'carrier', changes: { tail: { form: 'plain' } } })],
    ['noTurningBlade', spinner(['weight-barrel-brass-5'])],
    ['noHook', edited(sound, takeOff(sound.build, itemId('splitRing-1')))],
  ];
  it.each(faulty)('%s', (code, lure) => {
    expect(found(sound, code)).toEqual([]);
    const [finding] = found(lure, code);
    if (!finding) throw new Error(`${code} was not found`);
    for (const system of ['metric', 'trade'] as const) {
      const { title, why } = findingWords(finding, lure.build, system);
      expect(title.length + why.length).toBeGreaterThan(20);
    }
  });

  it.each(
    faulty.filter(([, lure]) => findings(lure, USUAL_CONTEXT, CATALOGUE).some(({ repairs }) => repairs().length > 0)),
  )('every repair offered for %s clears what it was offered for', (_, lure) => {
    for (const finding of findings(lure, USUAL_CONTEXT, CATALOGUE)) {
      for (const repair of finding.repairs()) {
        const after = findings(edited(lure, ...repair.edits), USUAL_CONTEXT, CATALOGUE);
        expect(after.find(({ key }) => key === finding.key)?.severity ?? 'good').toBe('good');
      }
    }
  });

  it('finds nothing on the demo lures at any usual retrieve', () => {
    for (const lure of DEMO_LURES) {
      for (const speedMps of [0.3, 0.65, 0.8, 1.4]) {
        const open = findings(lure, { ...USUAL_CONTEXT, speedMps }, CATALOGUE).filter(
          ({ severity }) => severity !== 'good',
        );
        expect(open).toEqual([]);
      }
    }
  });
});

describe('what must come out right', () => {
  it('15. too few beads: the blade reaches the hook; beads above the clevis do not help', () => {
    const short = plainSpinner('blade-colorado-o3', ['bead-brass-3', 'bead-brass-4']);
    const finding = atRest(short);
    expect(finding.severity).toBe('fault');
    const bead = part('bead-brass-4');
    const above = edited(short, threadParts(short.build, bead, 0, 6));
    expect(atRest(above).clearanceM).toBeCloseTo(finding.clearanceM, 12);
    const below = edited(short, threadParts(short.build, bead, 2, 2));
    expect(atRest(below).clearanceM).toBeCloseTo(finding.clearanceM + 2 * 0.0035, 12);
  });

  it('the repair says how many beads, no fewer would do, and words it in mm or inches', () => {
    const short = plainSpinner('blade-colorado-o3', [
      'bead-glass-5-green',
      'weight-barrel-brass-5',
      'bead-glass-5-green',
    ]);
    const finding = atRest(edited(short, takeOff(short.build, itemId('weight-1'))));
    const [repair] = finding.repairs();
    if (repair?.code !== 'addBeads') throw new Error('a bead repair is offered');
    const lacking = finding.wantedM - finding.clearanceM;
    expect(repair.count).toBe(Math.ceil(lacking / 0.0047));
    expect(repairWords(repair, 'metric')).toMatch(/^Add two 5 mm beads below the clevis$/);
    // Each wholly in the chosen measures.
    expect(findingWords(finding, short.build, 'metric').figure).toMatch(/^\d+\.\d mm too far$/);
    expect(findingWords(finding, short.build, 'trade').figure).toMatch(/^\d\.\d{3} in too far$/);
  });

  it('a tube that holds the hook in line leaves the blade more room', () => {
    const bare = plainSpinner();
    const tubed = edited(bare, threadParts(bare.build, part('shrink-tube-4-black'), bare.build.strand.length));
    expect(atRest(tubed).isHeldByTube).toBe(true);
    expect(atRest(tubed).clearanceM).toBeGreaterThan(atRest(bare).clearanceM + 0.005);
    const shortTube = edited(tubed, {
      kind: 'adjust',
      item: itemId('shrinkTube-1'),
      changes: { state: { of: 'tube', cutLengthM: 0.006 } },
    });
    expect(atRest(shortTube).isHeldByTube).toBe(false);
  });
});

describe('lengths to cut', () => {
  it('of the wire are stack, room, two wrapped loops and tags, by hand', () => {
    const { build } = plainSpinner();
    const d = 0.0009;
    const loop = Math.PI * (0.0032 + d);
    const wraps = 3 * Math.sqrt((2 * Math.PI * d) ** 2 + d ** 2) + 3 * d;
    const stack = 0.0004 * 2 + 0.0024 + 0.0026 + 0.018;
    const byHand = stack + 0.0015 + 2 * (loop + wraps + 0.012);
    const cut = wireCut(build);
    expect(cut.totalM).toBeCloseTo(byHand, 12);
    expect(cut.cutM).toBeCloseTo(Math.ceil(byHand * 1000) / 1000, 12);
    expect(cut.terms.reduce((sum, { lengthM }) => sum + lengthM, 0)).toBeCloseTo(cut.totalM, 12);
  });

  it('of the tube cover wraps, loop, ring and hook eye, with what shrinking takes; a length set by hand stands', () => {
    const bare = plainSpinner();
    const tubed = edited(bare, threadParts(bare.build, part('shrink-tube-4-black'), bare.build.strand.length));
    const [, tube] = cutLengths(tubed.build);
    const covered =
      3 * 0.0009 + (0.0032 + 2 * 0.0009) + (0.0062 - 2 * 0.0006 + 0.0017 + 2 * 0.00085 - 0.00085 - 0.0009);
    expect(tube?.totalM).toBeCloseTo(covered / 0.92, 9);
    const set = edited(tubed, {
      kind: 'adjust',
      item: itemId('shrinkTube-1'),
      changes: { state: { of: 'tube', cutLengthM: 0.02 } },
    });
    expect(cutLengths(set.build)[1]?.cutM).toBe(0.02);
  });

  it('add up in the mass: the parts, and of the wire what stays in the lure', () => {
    const { build } = plainSpinner();
    const parts = Object.values(build.items).reduce((sum, { part: each }) => sum + each.massKg, 0);
    const tags = 0.024;
    const wire = (0.00161 / 0.3) * (wireCut(build).totalM - tags);
    expect(lureMass(build)).toBeCloseTo(parts + wire, 9);
  });
});

describe('what a change costs on a made lure', () => {
  const design = demoLure('hovna-lantern');
  const cost = (to: Lure) => costOfChange(design.build, to.build);

  it('nothing while it is the same to the hand', () => {
    expect(cost(design)).toEqual([]);
    expect(cost(edited(design, { kind: 'adjust', item: itemId('hook-1'), changes: { role: 'the treble' } }))).toEqual(
      [],
    );
  });

  it('the wire, when anything on it changes, with the length of the new one', () => {
    const needle = demoLure('suvra-needle');
    const bladed = edited(needle, { kind: 'swapPart', item: itemId('blade-1'), part: part('blade-willow-k3') });
    const costs = costOfChange(needle.build, bladed.build);
    expect(costs.map((each) => costWords(each, needle.build, bladed.build, 'metric'))).toEqual([
      'cuts the wire: new 1.00 mm wire, 159 mm',
    ]);
    const beaded = edited(design, threadParts(design.build, part('bead-brass-3'), 0, 2));
    expect(cost(beaded)).toMatchObject([{ code: 'cutsWire', newLengthM: wireCut(beaded.build).cutM }]);
    expect(cost(edited(design, { kind: 'carrier', changes: { freeRoomM: 0.002 } }))).toMatchObject([
      { code: 'cutsWire' },
    ]);
  });

  it('only the ring, and the tube over it, when the hook changes', () => {
    const hooked = edited(design, { kind: 'swapPart', item: itemId('hook-1'), part: part('hook-treble-6') });
    expect(cost(hooked).map(({ code }) => code)).toEqual(['cutsTube', 'opensRing']);
    const drum = demoLure('mirrow-drum');
    const bare = edited(drum, { kind: 'swapPart', item: itemId('hook-1'), part: part('hook-treble-6') });
    expect(costOfChange(drum.build, bare.build).map(({ code }) => code)).toEqual(['opensRing']);
  });

  it('thread for a dressing, and nothing cut for a blade on a quick-change clevis', () => {
    const dressed = edited(design, {
      kind: 'swapPart',
      item: itemId('dressing-1'),
      part: part('dressing-hackle-olive'),
    });
    expect(cost(dressed).map(({ code }) => code)).toEqual(['tiesAgain']);
    const quick = spinner(
      ['clevis-quick-2', 'weight-barrel-brass-5'],
      [
        ['blade-french-k2', on('clevis-1', 'hung')],
        ['ring-k2', TAIL],
      ],
    );
    const other = edited(quick, { kind: 'swapPart', item: itemId('blade-1'), part: part('blade-french-o2') });
    expect(costOfChange(quick.build, other.build).map(({ code }) => code)).toEqual(['changesBladeAtClevis']);
    const hung = edited(quick, seatPart(quick.build, part('hook-treble-6'), on('splitRing-1', 'hung')));
    expect(costOfChange(quick.build, hung.build).map(({ code }) => code)).toEqual(['opensRing']);
  });
});
