import { describe, expect, it } from 'vitest';
import { demoLure, edited, itemId, on } from '@/testing/lures';
import { CATALOGUE, partsOfKind } from '../../parts/catalogue';
import { findings, USUAL_CONTEXT } from '../findings';
import { mendings } from '../mending';

const ember = demoLure('mirrow-ember');

describe('a nail weight that does not knock', () => {
  it('as it comes to hand: the same or a longer one is offered where one reaches and grips, and then it knocks', () => {
    let offered = 0;
    for (const nail of partsOfKind('nailWeight')) {
      const bare = edited(ember, { kind: 'remove', items: [itemId('nailWeight-1')] });
      const lure = edited(bare, {
        kind: 'insert',
        items: [
          {
            id: itemId('nailWeight-1'),
            part: nail,
            seat: on('trailer-1', 'screwed'),
            role: null,
            flipped: false,
            state: { of: 'nail', atM: 0.02, outM: 0, leanRad: 0, clippedM: 0 },
          },
        ],
        entries: [],
        joined: [],
      });
      const found = findings(lure).find(({ code }) => code === 'knocker');
      expect(found?.severity, nail.id).toBe('caution');
      const mending = mendings(lure, USUAL_CONTEXT, CATALOGUE)[found?.key ?? ''];
      for (const { edits } of mending?.repairs ?? []) {
        offered++;
        const after = findings(edited(lure, ...edits));
        expect(after.find(({ code }) => code === 'knocker')?.severity, nail.id).toBe('good');
        expect(after.some(({ code }) => code === 'nailGrip' || code === 'nailPlace')).toBe(false);
      }
    }
    expect(offered).toBeGreaterThan(5);
  });
});
