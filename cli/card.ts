/** What `card` answers with: the lines of the action card, and how likely a target is met. */
import type { Lure } from '../src/core/lure/lure';
import { cardOf, type Card } from '../src/core/tune/card';
import { chancesOf, type ChancesOfCard } from '../src/core/tune/chance';
import { CARD_LINES, type Target } from '../src/core/tune/target';
import { readTargetFile } from '../src/core/tune/target-file';
import { targetFileProblemWords } from '../src/words/problem-words';
import {
  CommandError,
  factorName,
  readOneSpeed,
  readSource,
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
  const target = options.target === undefined ? null : readTarget(options.target, readText);
  return {
    lure: lure.id,
    speed_m_s: speedMps,
    lines: linesJson(card),
    target: target && { name: target.name, ...chancesJson(chancesOf(card, target.wants)) },
  };
}

export function linesJson(card: Card) {
  return CARD_LINES.map((line) => {
    const said = card.lines[line];
    return {
      line,
      value: said?.value ?? null,
      spread: said && [said.low, said.high],
      least_known: said?.leastKnown.map(factorName) ?? null,
    };
  });
}

/** A target file, or an error that says what would be right. */
export function readTarget(source: string, readText: ReadText): Target {
  const reading = readTargetFile(readSource(source, 'A target file', readText));
  if (!reading.ok) throw new CommandError(reading.problem.code, targetFileProblemWords(reading.problem));
  return reading.target;
}

export function chancesJson({ each, allMusts, worth, against }: ChancesOfCard) {
  return {
    worth,
    chance_that_all_musts_are_met: allMusts,
    wants: each.map(({ want, chance }) => ({ ...want, chance })),
    against_each_other: against.map((pair) => pair.map(({ line }) => line)),
  };
}
