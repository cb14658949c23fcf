import { describe, expect, it } from 'vitest';
import { edited, itemId, on, part, plainBait } from '@/testing/lures';
import { findingWords } from '../../../words/finding-words';
import { layOut } from '../../geometry/layout';
import { applyEdits } from '../../lure/edit';
import { seatPart } from '../../lure/editing';
import type { Lure } from '../../lure/lure';
import { planMake } from '../../make/plan';
import { CATALOGUE, partsOfKind } from '../../parts/catalogue';
import { findings, USUAL_CONTEXT } from '../findings';
import { mendings } from '../mending';

const put = (lure: Lure, id: string, seat: Parameters<typeof seatPart>[2]) =>
  edited(lure, seatPart(lure.build, part(id), seat));
const stung = put(plainBait(), 'hook-stinger-1-0', on('hook-1', 'hung'));
const told = (lure: Lure) => findings(lure, USUAL_CONTEXT, CATALOGUE).find(({ code }) => code === 'stingerKept');

describe('a stinger on the main hook', () => {
  it('wants a disc before it: the offered press puts one on', () => {
    expect(told(plainBait())).toBeUndefined();
    const loose = told(stung);
    expect(loose?.severity).toBe('caution');
    expect(loose && findingWords(loose, stung.build, 'metric').title).toBe('Nothing keeps the stinger on the hook');
    const { repairs } = mendings(stung, USUAL_CONTEXT, CATALOGUE)[loose?.key ?? ''] ?? { repairs: [] };
    expect(repairs[0]?.code).toBe('putOn');
    const kept = edited(stung, ...(repairs[0]?.edits ?? []));
    expect(told(kept)?.severity).toBe('good');
  });

  it('has room for one disc, which lies over the point, before the bend', () => {
    for (const disc of partsOfKind('hookDisc')) {
      const kept = edited(stung, seatPart(stung.build, disc, on('hook-1', 'kept')));
      const layout = layOut(kept.build);
      const at = (id: string) => layout.off.find(({ item }) => item.id === id);
      const [hook, lies] = [at('hook-1'), at('hookDisc-1')];
      const { part: main } = hook?.item ?? {};
      if (main?.kind !== 'hook' || !lies || !hook) throw new Error('a hook with its disc');
      expect(lies.x1M - lies.x0M).toBeCloseTo(disc.thicknessM, 9);
      expect(lies.x1M).toBeLessThan(hook.x1M);
      expect(lies.offAxisM - hook.offAxisM).toBeCloseTo(main.gapM, 9);
      const second = applyEdits(kept, [seatPart(kept.build, disc, on('hook-1', 'kept'))]);
      expect(second.ok).toBe(false);
    }
  });

  it('goes on after the trailer, and the disc after it', () => {
    const whole = put(
      put(stung, 'trailer-frog-70-black', on('hook-1', 'pushed')),
      'hook-disc-clear-m',
      on('hook-1', 'kept'),
    );
    const plan = planMake(whole.build);
    if (plan.outcome !== 'planned') throw new Error(`no way: ${plan.why.code}`);
    const place = (op: string) => plan.steps.findIndex(({ operation }) => operation.op === op);
    expect(place('pushTrailer')).toBeGreaterThan(0);
    expect(place('hangStinger')).toBeGreaterThan(place('pushTrailer'));
    expect(place('keepStinger')).toBeGreaterThan(place('hangStinger'));
    expect(plan.steps[place('keepStinger')]?.items).toEqual([itemId('hookDisc-1')]);
  });
});
