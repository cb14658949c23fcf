/** What `card` answers with: the lines of the action card, and how likely a target is met. */
import type { Lure } from '../src/core/lure/lure';
import { cardOf } from '../src/core/tune/card';
import { chancesOf } from '../src/core/tune/chance';
import { CARD_LINES, targetFileSchema, type Want } from '../src/core/tune/target';
import {
  factorName,
  readChecked,
  readOneSpeed,
  readOutfit,
  readState,
  readWater,
  type CommandOptions,
  type ReadText,
} from './options';

/** @param options with one `speed`, and a `target` file where one is to be met */
export function cardJson(lure: Lure, options: CommandOptions, readText: ReadText) {
  const speedMps = readOneSpeed('card', options.speed);
  const asked = { outfit: readOutfit(options, readText), state: readState(options.state) };
  const card = cardOf(lure.build, readWater(options, readText), speedMps, asked);
  const target =
    options.target === undefined
      ? null
      : readChecked(options.target, targetFileSchema, 'A target file such as docs/core-cli.md shows', readText);
  return {
    lure: lure.id,
    speed_m_s: speedMps,
    lines: CARD_LINES.map((line) => {
      const said = card.lines[line];
      return {
        line,
        value: said?.value ?? null,
        spread: said && [said.low, said.high],
        least_known: said?.leastKnown.map(factorName) ?? null,
      };
    }),
    target: target && { name: target.name, ...chancesJson(card, target.wants) },
  };
}

function chancesJson(card: Parameters<typeof chancesOf>[0], wants: readonly Want[]) {
  const { each, allMusts, against } = chancesOf(card, wants);
  return {
    chance_that_all_musts_are_met: allMusts,
    wants: each.map(({ want, chance }) => ({ ...want, chance })),
    against_each_other: against.map((pair) => pair.map(({ line }) => line)),
  };
}
