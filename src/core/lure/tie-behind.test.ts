import { carrierRoom } from '../carriers/carrier';
import { tieOf } from '../geometry/tie';
import { describe, expect, it } from 'vitest';
import { demoLure, edited } from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { layOut } from '../geometry/layout';
import { LAKE_WATER } from '../hydro/water';
import { findings } from '../judgement/findings';
import { cutLengths } from '../lengths/lengths';
import { lureMass } from '../lengths/mass';
import { readLureFile, writeLureFile } from '../files/lure-file';
import { rides } from '../predict/ride';
import { predictSpin } from '../predict/spin';
import type { Build } from './lure';
import { applyEdits } from './edit';
import { performCommand, startHistory } from './history';
import { structureProblem } from './structure';
import { carriersOf } from './strung';
import { hasEndToTie, lureBehind, tieBehind, untieBehind } from './tie-behind';

const AHEAD = DEMO_LURES.filter(({ family }) => family === 'bladeAhead' || family === 'bladeLeader');
const BEHIND = DEMO_LURES.filter(({ build }) => build.carrier.kind !== 'line');
const FISHED = [0.3, 0.5, 0.8, 1.1, 1.5];

describe('a lure tied behind a blade', () => {
  it('of every demo lure on wire behind every blade ahead: sound, as heavy as both, and its own blades still turn', () => {
    expect(AHEAD.length).toBeGreaterThan(1);
    expect(BEHIND.length).toBeGreaterThan(8);
    for (const ahead of AHEAD) {
      for (const behind of BEHIND) {
        const whole = edited(ahead, ...tieBehind(ahead.build, behind.build));
        const { build } = whole;
        expect(structureProblem(build)).toBeNull();
        expect(carriersOf(build)).toHaveLength(carriersOf(ahead.build).length + carriersOf(behind.build).length);
        expect(Object.keys(build.items)).toHaveLength(
          Object.keys(ahead.build.items).length + Object.keys(behind.build.items).length,
        );
        expect(lureMass(build)).toBeCloseTo(lureMass(ahead.build) + lureMass(behind.build), 5);
        // It lies behind the line, not on it.
        const [line, first] = layOut(build).carriers;
        const noseM = first ? tieOf(first).xM : NaN;
        expect(noseM).toBeGreaterThan((line?.tail.x1M ?? Infinity) - 0.03);
        const cuts = cutLengths(ahead.build).length;
        const isCut = carrierRoom(behind.build.carrier).isCut(behind.build.carrier);
        expect(cutLengths(build).length).toBeGreaterThanOrEqual(isCut ? cuts + 1 : cuts);
        expect(Array.isArray(findings(whole))).toBe(true);
        const turning = (of: typeof build) => predictSpin(of, LAKE_WATER, [0.8]).blades.length;
        expect(turning(build)).toBe(turning(ahead.build) + turning(behind.build));
      }
    }
  });

  it('comes off whole again, by the button and by undo; goes through a file', () => {
    const ahead = demoLure('stolk-herald');
    const { build } = demoLure('suvra-needle');
    const edits = tieBehind(ahead.build, build);
    const whole = edited(ahead, ...edits);
    const behind = lureBehind(whole.build);
    expect(lureBehind(ahead.build)).toBeNull();
    expect([ahead, demoLure('mirrow-drift')].map((lure) => hasEndToTie(lure.build))).toEqual([true, false]);
    if (!behind) throw new Error('it hangs there');
    const off = edited(whole, untieBehind(whole.build, behind));
    expect(off.build.items).toEqual(ahead.build.items);
    expect(off.build.joined).toEqual(ahead.build.joined);
    const done = performCommand(startHistory(ahead), { do: 'change', code: 'tieBehind', edits });
    if (!done.ok) throw new Error('it goes on');
    const undone = performCommand(done.history, { do: 'undo' });
    expect(undone.ok && undone.history.lure.build).toEqual(ahead.build);
    const read = readLureFile(writeLureFile(whole));
    expect(read.ok && read.lure.build).toEqual(whole.build);
  });

  it('it pulls harder than alone at every speed that is fished', () => {
    const pulls = (of: Build) => rides(of, LAKE_WATER, FISHED).at.map(({ trim }) => trim.dragN);
    for (const ahead of AHEAD) {
      for (const { build } of BEHIND) {
        const alone = pulls(build);
        pulls(edited(ahead, ...tieBehind(ahead.build, build)).build).forEach((pull, i) =>
          expect(pull).toBeGreaterThan(alone[i] ?? Infinity),
        );
      }
    }
  });

  it('more than a build can hold is refused, and nothing is lost', () => {
    let lure = demoLure('stolk-herald');
    const { build } = demoLure('suvra-needle');
    let refused = 0;
    for (let i = 0; i < 30; i++) {
      const applied = applyEdits(lure, tieBehind(lure.build, build));
      if (applied.ok) lure = applied.lure;
      else refused++;
    }
    expect(refused).toBeGreaterThan(0);
    expect(structureProblem(lure.build)).toBeNull();
  });
});
