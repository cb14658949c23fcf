/** A blade ahead of a lure, a ring in its hanger, a point in a soft back, hooks against a rule: each triggered, and not. */
import { describe, expect, it } from 'vitest';
import { demoLure, edited, itemId, on, part } from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { findingWords } from '@/words/finding-words';
import { seatPart, takeOff } from '../../lure/editing';
import { applyEdits } from '../../lure/edit';
import { stateOf } from '../../lure/item-state';
import { itemOf, type Lure } from '../../lure/lure';
import { tieBehind } from '../../lure/tie-behind';
import { partSchema } from '../../parts/part';
import type { Finding } from '../finding';
import { findings, USUAL_CONTEXT } from '../findings';
import type { LureRule } from '../lure-rule';

const glint = () => demoLure('halvane-glint');
const behindIt = (lure: Lure) => {
  const ahead = demoLure('stolk-herald');
  return edited(ahead, ...tieBehind(ahead.build, lure.build));
};
/** The last stop slid so near that the blade comes so far to the lure. */
const near = (behindM: number, lure = glint()) => {
  const whole = edited(behindIt(lure), { kind: 'swapPart', item: itemId('blade-1'), part: part('blade-willow-o4') });
  return edited(whole, {
    kind: 'adjust',
    item: itemId('stop-1'),
    changes: { state: { of: 'stop', behindM } },
  });
};
const all = (lure: Lure, rules: readonly LureRule[] = []) => findings(lure, { ...USUAL_CONTEXT, rules });
const of = (lure: Lure, code: Finding['code']) => all(lure).find((finding) => finding.code === code);

describe('a blade ahead', () => {
  it('keeps its distance; slid near it catches on the pause, slid to the nose it cannot turn; one press slides it back', () => {
    expect(of(behindIt(glint()), 'gapAhead')?.severity).toBe('good');
    let mended = 0;
    const seen = new Set<string>();
    for (let behindM = 0; behindM < 0.06; behindM += 0.002) {
      const lure = near(behindM);
      const found = of(lure, 'gapAhead');
      if (!found) throw new Error('a gap is told');
      seen.add(found.severity);
      const [repair] = found.repairs();
      expect(repair === undefined).toBe(found.severity === 'good');
      if (!repair) continue;
      const after = applyEdits(lure, repair.edits);
      expect(after.ok && of(after.lure, 'gapAhead')?.severity).toBe('good');
      expect(after.ok && of(after.lure, 'lineTooShort')).toBeFalsy();
      mended++;
    }
    expect(seen).toContain('good');
    expect(seen).toContain('caution');
    expect(mended).toBeGreaterThan(3);
  });

  it('ahead of a diver both schools are told; ahead of a spinner or a bait without a lip they are not', () => {
    const school = of(behindIt(glint()), 'bladeAheadOfDiver');
    expect(school && findingWords(school, glint().build, 'metric').why).toMatch(/say some: .* Others want just that/);
    expect(of(behindIt(demoLure('suvra-needle')), 'bladeAheadOfDiver')).toBeUndefined();
    expect(of(glint(), 'bladeAheadOfDiver')).toBeUndefined();
    for (const lure of DEMO_LURES) expect(of(lure, 'gapAhead'), lure.name).toBeUndefined();
  });
});

describe('a ring in a hanger', () => {
  it('swings free; of thicker wire it binds, thicker still it does not go through', () => {
    const ringed = (wireDiameterM: number) => {
      const id = itemId('splitRing-1');
      const like = itemOf(glint().build, id).part;
      return edited(glint(), { kind: 'swapPart', item: id, part: partSchema.parse({ ...like, wireDiameterM }) });
    };
    const inHanger = (lure: Lure) =>
      all(lure).filter(({ code, items }) => code === 'ringInHanger' && items.includes(itemId('splitRing-1')));
    expect(inHanger(glint()).map(({ severity }) => severity)).toEqual(['good']);
    expect(inHanger(ringed(0.00125)).map(({ severity }) => severity)).toEqual(['caution']);
    expect(inHanger(ringed(0.0016)).map(({ severity }) => severity)).toEqual(['fault']);
    expect(of(demoLure('hovna-lantern'), 'ringInHanger')).toBeUndefined();
  });
});

describe('a point in a soft back', () => {
  const ember = demoLure('mirrow-ember');
  const buried = (bodyM: number) => {
    const trailer = itemOf(ember.build, itemId('trailer-1'));
    return edited(
      ember,
      { kind: 'swapPart', item: trailer.id, part: partSchema.parse({ ...trailer.part, bodyM }) },
      {
        kind: 'adjust',
        item: trailer.id,
        changes: { state: { ...stateOf(trailer, 'trailer'), pointBuried: true } },
      },
    );
  };
  it('passes weed under the skin, hardly comes out of a body higher than the gap, is told of none that stands free', () => {
    expect(of(ember, 'pointBuried')).toBeUndefined();
    expect(of(buried(0.02), 'pointBuried')?.severity).toBe('good');
    expect(of(buried(0.05), 'pointBuried')?.severity).toBe('caution');
    // Slim, it is bunched up over the gap.
    expect(of(buried(0.006), 'pointBuried')?.severity).toBe('caution');
  });
});

describe('hooks of a hard bait', () => {
  it('are counted against the user’s rule, a blade in place of a treble is not one', () => {
    const rule = (mostHooks: number): LureRule => ({
      id: 'rule-1',
      place: 'Lake Hovna',
      mostHooks,
      mostPoints: null,
      barbless: false,
      source: 'the board at the landing',
      onDay: '2031-08-01',
    });
    const twoTrebles = (() => {
      const lure = edited(glint(), takeOff(glint().build, itemId('blade-1')));
      return edited(lure, seatPart(lure.build, part('hook-treble-8'), on('splitRing-1', 'hung')));
    })();
    const broken = (lure: Lure, most: number) => all(lure, [rule(most)]).some(({ code }) => code === 'ruleBroken');
    expect(broken(twoTrebles, 1)).toBe(true);
    expect(broken(twoTrebles, 2)).toBe(false);
    expect(broken(glint(), 1)).toBe(false);
  });
});
