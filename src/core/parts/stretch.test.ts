import { describe, expect, it } from 'vitest';
import { demoLure } from '@/testing/lures';
import { stretchWords } from '../../words/length-words';
import { partsOfKind } from './catalogue';
import { HAND_PULL_N, stretchShare } from './stretch';

describe('a line drawn tight', () => {
  it('is longer by what is worked by hand: nylon of 0.35 mm under 10 N by 10 / (1.7e9 · π · 0.000175²) = 6.11 %', () => {
    expect(stretchShare({ material: 'nylon', diameterM: 0.00035 }, 10)).toBeCloseTo(0.0611, 4);
  });

  it('of every line of the catalogue: thinner stretches more, nylon more than fluorocarbon, braid least', () => {
    const share = (material: 'nylon' | 'fluorocarbon' | 'braid', diameterM: number) =>
      stretchShare({ material, diameterM }, HAND_PULL_N) ?? NaN;
    const lines = partsOfKind('line');
    expect(lines.length).toBeGreaterThan(5);
    for (const line of lines) {
      const now = stretchShare(line, HAND_PULL_N) ?? NaN;
      expect(now).toBeGreaterThan(0);
      expect(now).toBeLessThan(0.2);
      expect(stretchShare({ ...line, diameterM: line.diameterM * 0.8 }, HAND_PULL_N)).toBeGreaterThan(now);
      expect(share('nylon', line.diameterM)).toBeGreaterThan(share('fluorocarbon', line.diameterM));
      expect(share('fluorocarbon', line.diameterM)).toBeGreaterThan(share('braid', line.diameterM));
    }
  });

  it('is told beside the finished length, and of a wire nothing', () => {
    expect(stretchWords(demoLure('mirrow-drift').build.carrier, 'metric')).toMatch(
      /^Lengths are of line lying slack\. Drawn tight in the hand, \d+ mm measures about \d+ mm\.$/,
    );
    expect(stretchWords(demoLure('suvra-needle').build.carrier, 'metric')).toBeNull();
  });
});
