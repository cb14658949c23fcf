import { describe, expect, it } from 'vitest';
import { demoLure, edited, itemId, on, part, plainSpinner, TAIL } from '@/testing/lures';
import { costWords } from '../../words/cost-words';
import { seatPart, takeOff } from '../lure/editing';
import type { Edit } from '../lure/edit';
import { itemOf, type Lure } from '../lure/lure';
import { effortOf } from '../tune/effort';
import { costOfChange } from './cost';

describe('a treble wrapped into the loop of a made spinner', () => {
  const put = (lure: Lure, id: string, seat: Parameters<typeof seatPart>[2]) =>
    edited(lure, seatPart(lure.build, part(id), seat));
  const ringless = edited(plainSpinner(), takeOff(plainSpinner().build, itemId('splitRing-1')));
  const made = put(ringless, 'hook-treble-4', TAIL);
  const bare = edited(made, takeOff(made.build, itemId('hook-1')));
  const costs = (to: Lure) => costOfChange(made.build, to.build);
  const codes = (to: Lure) => costs(to).map(({ code }) => code);

  it('is cut off itself, never the wire’s eye, and a ring or an open eye takes its place', () => {
    expect(codes(bare)).toEqual(['cutsHook']);
    const ringed = put(put(bare, 'ring-o2', TAIL), 'hook-open-6', on('splitRing-1', 'hung'));
    expect(codes(ringed)).toEqual(['cutsHook', 'opensRing']);
    expect(codes(put(bare, 'hook-open-6', TAIL))).toEqual(['cutsHook', 'opensEye']);
    const [cut] = costs(ringed);
    expect(cut && costWords(cut, made.build, ringed.build, 'metric')).toMatch(
      /^cuts off the hook, never the wire’s eye: Treble hook .*\. Eye protection on/,
    );
  });

  it('with a link and a second hook tied beforehand it still only costs the treble', () => {
    const front = put(put(bare, 'ring-o2', TAIL), 'hook-open-6', on('splitRing-1', 'hung'));
    const open = Object.values(front.build.items).find((item) => item.part.id === 'hook-open-6');
    const pair = put(put(front, 'link-braid-28', on(open?.id ?? '', 'tied')), 'hook-octopus-8', on('link-1', 'hung'));
    expect(codes(pair)).not.toContain('cutsWire');
    expect(codes(pair)).toContain('cutsHook');
  });

  it('another hook with a closed eye asks for the wire', () => {
    const another = put(bare, 'hook-single-1-0', TAIL);
    expect(codes(another)).toEqual(['cutsWire']);
    expect(codes(made)).toEqual([]);
  });

  it('takes cutters and a few minutes, and is not undone', () => {
    const ringed = put(put(bare, 'ring-o2', TAIL), 'hook-open-6', on('splitRing-1', 'hung'));
    const whole = () => ({ minutes: 60, tools: [] });
    const effort = effortOf(
      { code: 'swap', item: itemId('hook-1'), from: part('hook-treble-4'), part: part('hook-open-6') },
      made.build,
      ringed.build,
      whole,
    );
    expect(effort).toMatchObject({ undoing: 'destroys' });
    expect(effort.tools).toEqual(expect.arrayContaining(['cutters', 'ringPliers']));
    expect(effort.minutes).toBeLessThan(10);
  });
});

describe('a nail weight in a made underspin', () => {
  const made = demoLure('mirrow-ember');
  const nail = itemId('nailWeight-1');
  const { state } = itemOf(made.build, nail);
  if (state?.of !== 'nail') throw new Error('it has a nail weight');
  const costs = (edit: Edit) => {
    const to = edited(made, edit).build;
    return costOfChange(made.build, to).map((cost) => costWords(cost, made.build, to, 'metric'));
  };
  const moved = (next: Partial<typeof state>) =>
    costs({ kind: 'adjust', item: nail, changes: { state: { ...state, ...next } } });

  it('leaves a hole where it was when it comes out or goes elsewhere, and none when it is screwed deeper', () => {
    const hole = /^leaves a hole where this was.*Tungsten nail weight/;
    expect(costs({ kind: 'remove', items: [nail] })).toContainEqual(expect.stringMatching(hole));
    expect(moved({ atM: state.atM + 0.002 })).toContainEqual(expect.stringMatching(hole));
    expect(moved({ outM: state.outM + 0.001 })).not.toContainEqual(expect.stringMatching(hole));
    expect(moved({ outM: state.outM + 0.001 })).toContainEqual(expect.stringMatching(/^screws in or out/));
  });
});
