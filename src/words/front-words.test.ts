/** What has a side, by name: left and right as it comes to you. */
import { describe, expect, it } from 'vitest';
import { demoLure, edited } from '@/testing/lures';
import { LAKE_WATER } from '@/core/hydro/water';
import type { Build } from '@/core/lure/lure';
import { layOut } from '@/core/geometry/layout';
import { deltaSeats, filmSeats, spinSeats } from '@/core/geometry/seats';
import { predict } from '@/core/predict/predict';
import { DEMO_LURES } from '@/demo/scenario';
import { frontView } from '@/drawing/front-view';
import { motionsOf } from '@/drawing/motion';
import { frontWords } from './front-words';

function wordsOf(build: Build): string {
  const layout = layOut(build);
  const prediction = predict(build, LAKE_WATER, [1.2]);
  const motions = motionsOf(spinSeats(build, layout), filmSeats(layout), deltaSeats(layout), prediction.spin);
  return frontWords(build, frontView(layout, motions), prediction, 'metric').join(' ');
}

describe('from the front', () => {
  it('a single surface blade pulls to the side of its hand, and one is told where to cast', () => {
    const { build } = demoLure('lommer-clapper');
    const blade = Object.values(build.items).find(({ part }) => part.kind === 'deltaBlade');
    if (blade?.part.kind !== 'deltaBlade') throw new Error('it has a delta blade');
    const handed = (hand: 'left' | 'right') => {
      const lure = demoLure('lommer-clapper');
      return wordsOf(
        edited(lure, { kind: 'swapPart', item: blade.id, part: { ...blade.part, hand } as typeof blade.part }).build,
      );
    };
    // A right-hand one goes to its own right: to the left of the one it comes to.
    expect(handed('right')).toMatch(/turns anticlockwise .* pulls \d+(\.\d)? ?° to your left .* on your right\./);
    expect(handed('left')).toMatch(/turns clockwise .* pulls \d+(\.\d)? ?° to your right .* on your left\./);
    expect(handed('left')).toContain('No bend of the arm mends that');
  });

  it('a pair that turns against each other runs straight', () => {
    expect(wordsOf(demoLure('asp-pair').build)).toContain('runs straight');
  });

  it('of every demo lure something is said, and a blade that hangs free turns either way', () => {
    for (const { name, build } of DEMO_LURES)
      expect(wordsOf(build), name).toMatch(/turns (either way|(anti)?clockwise)|stands still|swings to both sides/);
    expect(wordsOf(demoLure('hovna-lantern').build)).toContain('turns either way');
  });
});
