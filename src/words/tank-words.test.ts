/** What is said in the Tank: of every line, every move and every retrieve of the demo lures, in both systems of measures. */
import { describe, expect, it } from 'vitest';
import { DEMO_LURES } from '@/demo/scenario';
import { demoLure } from '@/testing/lures';
import { LAKE_WATER } from '@/core/hydro/water';
import { CATALOGUE } from '@/core/parts/catalogue';
import { followScript } from '@/core/predict/retrieve-script';
import { chancesOf } from '@/core/tune/chance';
import { cardOf } from '@/core/tune/card';
import { movesOf } from '@/core/tune/offered';
import { promiseOf } from '@/core/tune/promise';
import { CARD_LINES, type Want } from '@/core/tune/target';
import { actLike, WANTED_ACTIONS } from '@/core/tune/wanted-actions';
import {
  againstWords,
  LINE_WORDS,
  lineBand,
  lineValue,
  oftenWords,
  plainWord,
  shortWindow,
  windowWords,
} from './card-words';
import { moveWords, reasonWords } from './move-words';
import { swimWords } from './swim-words';
import { inTheWayWords, scriptWords, staysWords } from './tank-words';

const METRIC = { system: 'metric', speedUnit: 'mps' } as const;
const TRADE = { system: 'trade', speedUnit: 'mph' } as const;
const SOUND = /NaN|undefined|null|Infinity|\[object/;

describe('the words of the Tank', () => {
  it('tell every line of every demo lure with value, band and a plain word, in both measures', () => {
    for (const { build } of DEMO_LURES) {
      const card = cardOf(build, LAKE_WATER, 0.7, { sound: null });
      for (const line of CARD_LINES) {
        const said = card.lines[line];
        if (!said) continue;
        for (const measures of [METRIC, TRADE]) {
          const text = `${LINE_WORDS[line].name} ${lineValue(line, said.value, measures)} ${lineBand(line, said, measures)}`;
          expect(text).not.toMatch(SOUND);
        }
        if (line !== 'massKg') expect(plainWord(line, said.value).length).toBeGreaterThan(2);
      }
    }
  });

  it('tell what is wanted the long way and the short, and how often it is met', () => {
    const want: Want = { line: 'depthM', low: 0.8, high: 1.2, weight: 'must' };
    expect(windowWords(want, METRIC)).toBe('0.80 to 1.20 m');
    expect(shortWindow({ ...want, high: null }, METRIC)).toBe('≥ 0.80 m');
    expect(windowWords({ ...want, low: null }, TRADE)).toBe('at most 3.9 ft');
    expect([0, 0.5, 0.94, 1].map(oftenWords)).toEqual(['hardly ever', '5 in 10', '9 in 10', 'nearly always']);
    const slow: Want = { line: 'keepsMps', low: null, high: 0.4, weight: 'must' };
    expect(againstWords([want, slow], METRIC)).toMatch(
      /“Depth 0.80 to 1.20 m” and “Keeps turning to at most 0.40 m\/s” work against/,
    );
  });

  it('tell every move of every demo lure, and why it helps', () => {
    const told = new Set<string>();
    for (const lure of DEMO_LURES) {
      for (const move of movesOf(lure, { own: [], catalogue: CATALOGUE })) {
        const words = moveWords(move, lure.build, 'metric');
        expect(words).not.toMatch(SOUND);
        told.add(move.code);
      }
    }
    expect(told.size).toBeGreaterThan(8);
    const lure = demoLure('torvane-lanes');
    const before = cardOf(lure.build, LAKE_WATER, 0.7);
    const wants: Want[] = [{ line: 'depthM', low: 1.6, high: null, weight: 'must' }];
    const heavier = movesOf(lure, { own: [], catalogue: CATALOGUE }).find(
      (move) => move.code === 'swap' && move.part.kind === 'head' && move.part.massKg > 1.3 * move.from.massKg,
    );
    const asking = { lure, water: LAKE_WATER, speedMps: 0.7, wants, rules: [], asked: {}, before };
    const reason = heavier && promiseOf(heavier, asking)?.reason;
    expect(reason && reasonWords(reason, METRIC)).toMatch(
      /^It is \d+ % heavier; a tenth heavier gives .* more depth\.$/,
    );
  });

  it('tell whether it stays where it is wanted, clear of bottom and weed', () => {
    const { build } = demoLure('torvane-lanes');
    const card = cardOf(build, LAKE_WATER, 0.6, { sound: null });
    const deep = card.lines.depthM?.value ?? 0;
    const water = (bottomM: number) => ({ bottomM, weedM: 0.4 });
    expect(staysWords(card, null, water(deep + 2), METRIC)).toMatchObject({ isAmiss: false });
    expect(staysWords(card, null, water(deep + 0.2), METRIC).text).toMatch(/through the weed/);
    expect(staysWords(card, null, water(deep - 0.2), METRIC).text).toMatch(/drags over the bottom/);
    const shallow: Want = { line: 'depthM', low: null, high: deep / 3, weight: 'must' };
    expect(staysWords(card, chancesOf(card, [shallow]).each[0] ?? null, water(deep + 2), METRIC)).toMatchObject({
      isAmiss: true,
    });
    const buzz = cardOf(demoLure('lommer-clapper').build, LAKE_WATER, 0.4, { sound: null });
    expect(staysWords(buzz, null, water(5), METRIC).text).toMatch(/Does not plane/);
  });

  it('tell of a retrieve its depths, its pause, its stall and its noise', () => {
    const script = {
      countdownS: 0,
      steps: [
        { seconds: 2, speedMps: 0.8 },
        { seconds: 1, speedMps: 0 },
        { seconds: 1, speedMps: 0.15 },
      ],
      isTrolled: false,
    };
    for (const { build } of DEMO_LURES) {
      const words = scriptWords(followScript(build, LAKE_WATER, script), false, METRIC).join(' ');
      expect(words).not.toMatch(SOUND);
      expect(words).toMatch(/deep\./);
      expect(words).toMatch(/On the pause/);
    }
  });

  it('name what stands in the way, and how it swims', () => {
    const card = cardOf(demoLure('hovna-lantern').build, LAKE_WATER, 0.7, { sound: null });
    const [slow] = WANTED_ACTIONS;
    expect(inTheWayWords(chancesOf(card, slow?.wants ?? []), null, METRIC)).toMatch(
      /^No single change reaches it\. .* What stands in the way most: /,
    );
    expect(actLike('Like that one', card)?.wants.length).toBeGreaterThan(3);
    const swim = { pitchRad: 0.1, leanRad: 0, shakeM: 0.0004, factor: 20, rateHz: 6, wobble: null, isStill: true };
    expect(swimWords(swim, 'metric')).toBe('nose 6° up · upright · shakes 0.40 mm · 6.0 turns a second');
    const bait = { ...swim, shakeM: null, rateHz: 0, wobble: { rateHz: 5.2, swingRad: 0.2 } };
    expect(swimWords(bait, 'metric')).toBe('nose 6° up · upright · swings 11° to each side, 5.2 times a second');
  });
});
