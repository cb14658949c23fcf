'use client';

import { createContext, memo, useContext, type ReactNode } from 'react';
import type { Lure } from '@/core/lure/lure';
import type { Banded } from '@/core/predict/band';
import type { Card } from '@/core/tune/card';
import type { ChancesOfCard } from '@/core/tune/chance';
import type { CardLine, Target, Want } from '@/core/tune/target';
import { askAgain } from '@/desk/desk-state';
import type { Asked } from '@/desk/figures/use-core';
import { Button } from '@/ui/Button';
import { LaidAlone } from '@/ui/LaidAlone';
import { PoppedUp } from '@/ui/PoppedUp';
import {
  againstWords,
  LINE_WORDS,
  lineBand,
  lineNumber,
  oftenWords,
  plainWord,
  shortWindow,
  windowWords,
  type CardMeasures,
  type LineUnit,
} from '@/words/card-words';
import { NOISE_WORDS } from '@/words/sound-words';
import { changeTank, useTank, withWant } from './tank-state';
import { linesShown, useCardNow, type CardShown } from './use-card';
import { WantForm } from './WantForm';
import { WindowTrack } from './WindowTrack';

export interface ActionCardProps {
  readonly lure: Lure;
  readonly asked: Asked<unknown>;
  readonly shown: CardShown | null;
  readonly wanted: Target | null;
  readonly chances: ChancesOfCard | null;
  readonly measures: CardMeasures;
}

/** What the lure does, line by line, with what is wanted of it. */
export function ActionCard({ lure, asked, shown, wanted, chances, measures }: ActionCardProps) {
  const tried = useTank((state) => state.tried);
  if (asked.state === 'failed') {
    return (
      <div role="alert" className="flex flex-col items-start gap-2 p-3">
        <p className="text-fault">What it does could not be worked out ({asked.reason}).</p>
        <Button onClick={askAgain}>Work it out again</Button>
      </div>
    );
  }
  if (!shown) return <p className="p-3 text-ink-soft">Working out what it does…</p>;
  const wants = wanted?.wants ?? [];
  return (
    <WithCardNow lure={lure} shown={shown}>
      {chances?.against.map((pair) => (
        <p
          key={pair.map(({ line }) => line).join(' ')}
          className="bg-caution-soft px-3 py-1 text-sm"
          data-testid="against"
        >
          ⚠ {againstWords(pair, measures)}
        </p>
      ))}
      <ul className="flex flex-col">
        {linesShown(shown.card, wants).map((line) => (
          <CardRow
            key={line}
            line={line}
            said={shown.card.lines[line]}
            word={wordOf(line, shown.card)}
            after={tried ? tried.promised.card.lines[line] : undefined}
            want={wants.find((each) => each.line === line) ?? null}
            chance={chances?.each.find(({ want }) => want.line === line)?.chance ?? null}
            wanted={wanted}
            measures={measures}
          />
        ))}
      </ul>
    </WithCardNow>
  );
}

const CardNow = createContext<Card | null>(null);

/** What stands in it follows a moment later than its values, which follow the hand. */
function WithCardNow({
  lure,
  shown,
  children,
}: {
  readonly lure: Lure;
  readonly shown: CardShown;
  readonly children: ReactNode;
}) {
  const card = useCardNow(lure, shown);
  const isBusy = shown.isRough || card !== shown.card;
  return (
    <div className="flex flex-col bg-panel pb-2 max-lg:order-6" data-testid="action card" aria-busy={isBusy}>
      <CardNow value={card}>{children}</CardNow>
    </div>
  );
}

function ValueNow({ line, unit }: { readonly line: CardLine; readonly unit: LineUnit }) {
  const said = useContext(CardNow)?.lines[line];
  return (
    <span className="measure font-semibold" data-testid={`line ${line}`}>
      {said ? lineNumber(said.value, unit) : '–'}
    </span>
  );
}

/** What one would call it; of a blade near its stall that it hunts, of noise what it is. */
function wordOf(line: CardLine, { lines, speedMps, noises }: Card): string | null {
  const said = lines[line];
  if (!said) return null;
  if (line === 'keepsMps' && said.low < speedMps && speedMps < said.high) return 'hunts, may stop';
  if (line === 'levelDb' && noises.length > 0)
    return noises
      .slice(0, 2)
      .map((kind) => NOISE_WORDS[kind])
      .join(', ');
  return plainWord(line, said.value);
}

interface CardRowProps {
  readonly line: CardLine;
  readonly said: Banded | null;
  /** In a plain word; null where nothing is said. */
  readonly word: string | null;
  /** With the move that is tried; undefined while none is. */
  readonly after: Banded | null | undefined;
  readonly want: Want | null;
  readonly chance: number | null;
  readonly wanted: Target | null;
  readonly measures: CardMeasures;
}

const WEIGHT_WORDS: Readonly<Record<Want['weight'], string>> = {
  must: 'must',
  wouldLike: 'like',
  whatever: 'whatever',
};

const CardRow = memo(function CardRow({ line, said, word, after, want, chance, wanted, measures }: CardRowProps) {
  const { name, why, shown: form } = LINE_WORDS[line];
  const unit = form(measures);
  const put = (next: Want | null) => changeTank({ wanted: withWant(wanted, line, next) });
  const isWanted = want !== null && want.weight !== 'whatever';
  const isMet = isWanted && (chance ?? 0) >= 0.5;
  return (
    <li
      className="grid grid-cols-[9.25rem_1fr_6rem] items-center gap-x-2 border-b border-line/60 px-3 py-0.5"
      data-line={line}
    >
      <div className="min-w-0 leading-tight">
        <p className="truncate text-sm" title={why}>
          {name}
        </p>
        <WantButton line={line} want={want} wanted={wanted} measures={measures} />
      </div>
      <div>
        <WindowTrack line={line} said={said} after={after ?? null} want={want} measures={measures} onWant={put} />
      </div>
      <LaidAlone className="h-10 text-right leading-tight whitespace-nowrap">
        {said ? (
          <p title={`${lineBand(line, said, measures)} ${unit.unit}. ${why}`}>
            <ValueNow line={line} unit={unit} /> <span className="text-sm">{unit.unit}</span>
          </p>
        ) : (
          <p className="text-sm text-ink-soft">cannot be said</p>
        )}
        {after && (
          <p className="measure text-sm font-semibold text-accent">
            → {lineNumber(after.value, unit)} {unit.unit}
          </p>
        )}
        <p
          hidden={Boolean(after)}
          className={`text-sm ${isWanted ? (isMet ? 'text-good' : 'font-semibold text-caution') : 'text-ink-soft'}`}
        >
          {isWanted ? `${isMet ? '✓' : '✗'} ${oftenWords(chance ?? 0)}` : (word ?? '')}
        </p>
      </LaidAlone>
    </li>
  );
});

interface WantButtonProps {
  readonly line: CardLine;
  readonly want: Want | null;
  readonly wanted: Target | null;
  readonly measures: CardMeasures;
}

/** What is wanted of a line, pressed to say it in numbers. */
const WantButton = memo(function WantButton({ line, want, wanted, measures }: WantButtonProps) {
  const isWanted = want !== null && want.weight !== 'whatever';
  return (
    <PoppedUp
      label={`What is wanted of ${LINE_WORDS[line].name.toLowerCase()}`}
      className="w-72"
      trigger={
        <button
          type="button"
          aria-label={`What is wanted of ${LINE_WORDS[line].name.toLowerCase()}: ${want ? windowWords(want, measures) : 'nothing'}`}
          className={`min-h-6 max-w-full truncate rounded text-left text-sm underline decoration-dotted underline-offset-2 hover:bg-accent-soft pointer-coarse:min-h-11 ${isWanted ? 'font-semibold text-good' : 'text-ink-soft'}`}
        >
          {want ? `${WEIGHT_WORDS[want.weight]} ${shortWindow(want, measures)}` : 'want…'}
        </button>
      }
    >
      <WantForm
        line={line}
        want={want}
        measures={measures}
        onWant={(next) => changeTank({ wanted: withWant(wanted, line, next) })}
      />
    </PoppedUp>
  );
});
