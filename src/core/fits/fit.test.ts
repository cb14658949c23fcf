import { describe, expect, it } from 'vitest';
import { edited, itemId, on, part, plainBait, plainBuzz, plainSpinner, spinner, TAIL } from '@/testing/lures';
import { seatPart } from '../lure/editing';
import { misfitWords } from '../../words/fit-words';

import { CATALOGUE } from '../parts/catalogue';
import type { Part, PartKind } from '../parts/part';
import { findings, USUAL_CONTEXT } from '../judgement/findings';
import { isLoose, type Misfit } from './misfit';
import type { Lure } from '../lure/lure';
import { misfitsInPlace, placementEdits, type Placement } from './placement';

const sound = plainSpinner();
const wired = edited(plainBait(), seatPart(plainBait().build, part('ring-k1'), { on: 'tie' }));
const stung = edited(wired, seatPart(wired.build, part('hook-stinger-1-0'), on('hook-1', 'hung')));
const buzzed = plainBuzz();
const swap = (item: string): Placement => ({ put: 'swap', item: itemId(item) });
type Case = readonly [name: string, placement: Placement, kinds: readonly PartKind[], start?: Lure];

const KINDS_FOR: readonly Case[] = [
  ['swivel at the end of an arm', swap('swivel-1'), ['swivel'], wired],
  ['ring behind a swivel', swap('splitRing-1'), ['splitRing'], wired],
  ['blade behind a swivel', swap('blade-1'), ['blade'], wired],
  ['ring over the tie', swap('splitRing-2'), ['splitRing'], wired],
  ['skirt on its collar', swap('skirt-1'), ['skirt'], wired],
  ['stinger', swap('hook-2'), ['hook'], stung],
  ['bead on an arm', { put: 'thread', index: 1 }, ['bead', 'sleeve'], wired],
  ['delta blade', swap('deltaBlade-1'), ['deltaBlade'], buzzed],
  ['rivet', swap('rivet-1'), ['rivet'], buzzed],
  ['blade', swap('blade-1'), ['blade']],
  ['clevis', swap('clevis-1'), ['clevis']],
  ['ring', swap('splitRing-1'), ['splitRing']],
  ['hook', swap('hook-1'), ['hook']],
  ['bead', swap('bead-1'), ['bead']],
  ['wire', { put: 'wire' }, ['wire']],
  ['thread', { put: 'thread', index: 3 }, ['bead', 'weight', 'sleeve', 'cap', 'filmBlade', 'striker', 'bell']],
];

/** Parts of these kinds, measures stretched a little so that some just miss. */
function stretched(kinds: readonly PartKind[], by: number): Part[] {
  return CATALOGUE.filter(({ kind }) => kinds.includes(kind)).map((each) => {
    const measures = Object.entries(each).map(([key, value]) =>
      ['boreM', 'holeDiameterM', 'wireDiameterM', 'eyeInnerDiameterM', 'diameterM'].includes(key) &&
      typeof value === 'number'
        ? [key, value * by]
        : [key, value],
    );
    return Object.fromEntries(measures) as Part;
  });
}

describe('what fits', () => {
  it.each(KINDS_FOR.map((each) => [each[0], each] as const))(
    'for a %s, the choice and the finished lure say the same',
    (_, [, placement, kinds, start = sound]) => {
      let [fits, misses] = [0, 0];
      for (const by of [0.55, 0.8, 1, 1.3, 1.9]) {
        const parts = stretched(kinds, by);
        const answers = misfitsInPlace(start.build, placement, parts);
        parts.forEach((each, i) => {
          const said = (answers[i] ?? []).map(({ code }) => code);
          const lure = edited(start, ...placementEdits(start.build, placement, each));
          const found = misfitFindings(lure);
          const before = misfitFindings(start);
          const isNew = found.filter((code) => !before.includes(code));
          if (said.length === 0) {
            fits++;
            expect(isNew).toEqual([]);
          } else {
            misses++;
            expect(found).toEqual(expect.arrayContaining([said[0]]));
          }
        });
      }
      expect(fits).toBeGreaterThan(0);
      expect(misses).toBeGreaterThan(0);
    },
  );

  const MISFITS: readonly Misfit['code'][] = [
    'boreTooTight',
    'boreTooLoose',
    'holeTooSmall',
    'rootMeetsWire',
    'eyeTooSmall',
    'loopTooSmall',
    'ringTooSmall',
    'ringTooLarge',
    'bandTooLoose',
    'bandTooTight',
  ];

  function misfitFindings(lure: Lure): string[] {
    return findings(lure, USUAL_CONTEXT, CATALOGUE)
      .map(({ code }) => code)
      .filter((code) => (MISFITS as readonly string[]).includes(code));
  }

  it('says it with both numbers: hole 1.2 mm, clevis wire 1.4 mm', () => {
    const clevis = { ...part('clevis-stirrup-3'), lobeThicknessM: 0.0014 } as Part;
    const blade = { ...part('blade-french-k2'), holeDiameterM: 0.0012 } as Part;
    const bare = spinner(['clevis-folded-1']);
    const lure = edited(bare, { kind: 'swapPart', item: itemId('clevis-1'), part: clevis });
    const [[misfit] = []] = misfitsInPlace(lure.build, { put: 'seat', seat: on('clevis-1', 'hung') }, [blade]);
    if (!misfit) throw new Error('it does not fit');
    expect(misfitWords(misfit, 'metric').figure).toBe('hole 1.20 mm, clevis wire 1.40 mm');
    expect(misfitWords(misfit, 'trade').figure).toBe('hole .047 in, clevis wire .055 in');
  });

  it('knows the room left inside a clevis, and what hangs where', () => {
    const wide = spinner(['clevis-folded-wide']);
    const inside: Placement = { put: 'thread', index: 1 };
    const codes = (lure: Lure, placement: Placement, id: string) =>
      (misfitsInPlace(lure.build, placement, [part(id)])[0] ?? []).map(({ code }) => code);
    expect(codes(wide, inside, 'bead-brass-4')).toEqual([]);
    const filled = edited(wide, ...placementEdits(wide.build, inside, part('bead-brass-4')));
    expect(codes(filled, inside, 'bead-brass-4')).toEqual(['noRoomInClevis']);
    expect(codes(filled, { put: 'thread', index: 0 }, 'bead-brass-4')).toEqual([]);
    expect(codes(wide, { put: 'seat', seat: TAIL }, 'ring-o3')).toEqual([]);
    const sleeved = spinner(['sleeve-brass-14']);
    const over: Placement = { put: 'seat', seat: on('sleeve-1', 'over') };
    expect(codes(sleeved, over, 'bell-brass-10')).toEqual([]);
    expect(codes(sleeved, over, 'bead-brass-3')).toEqual(['boreTooTight']);
  });

  it('only looseness lets a part on all the same', () => {
    expect(isLoose({ code: 'boreTooLoose', boreM: 3, throughM: 1, mostM: 2 })).toBe(true);
    expect(isLoose({ code: 'boreTooTight', boreM: 1, throughM: 2, what: 'wire' })).toBe(false);
  });
});
