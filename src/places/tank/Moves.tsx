'use client';

import Play from 'lucide-react/icons/play';
import Stop from 'lucide-react/icons/square';
import { memo, useEffect, useState } from 'react';
import type { ToldMove } from '@/core/tune/best-moves';
import type { Chances } from '@/core/tune/chance';
import type { BareFinding } from '@/core/tune/promise';
import type { Ranked } from '@/core/tune/rank';
import type { Want } from '@/core/tune/target';
import { noRepairs, type Finding } from '@/core/judgement/finding';
import { applyEdits, type Edit } from '@/core/lure/edit';
import type { Lure } from '@/core/lure/lure';
import { askAgain, showDraft, useDesk } from '@/desk/desk-state';
import { change } from '@/desk/open-lure';
import { forgetCandidate, hearCandidate, useSound } from '@/desk/sound/sound-state';
import { isSame } from '@/core/same';
import { Button } from '@/ui/Button';
import { LINE_WORDS, oftenWords, type CardMeasures } from '@/words/card-words';
import { findingWords } from '@/words/finding-words';
import { effortWords, minutesWords, moveWords, reasonWords, UNDOING_WORDS } from '@/words/move-words';
import { TOOL_WORDS } from '@/words/tool-words';
import { inTheWayWords } from '@/words/tank-words';
import { tryMove, useTank } from './tank-state';
import type { MovesShown } from './use-moves';

export interface MovesProps {
  readonly lure: Lure;
  readonly moves: MovesShown;
  /** As the lure is; null until its card is worked out. */
  readonly chances: Chances | null;
  readonly wants: readonly Want[];
  readonly measures: CardMeasures;
}

/** A target is reached when all musts are met so often. */
const REACHED = 0.8;

/** The changes that bring it nearer, the best for its trouble first. */
export const Moves = memo(function Moves({ lure, moves, chances, wants, measures }: MovesProps) {
  useEffect(() => leave, []);
  return (
    <section
      aria-label="Moves"
      className="flex min-h-48 flex-col border-t max-lg:order-5 border-line bg-panel lg:h-52 lg:min-h-0"
    >
      <div className="flex flex-wrap items-baseline gap-x-3 px-3 pt-1">
        <h2 className="font-semibold">Moves</h2>
        <p role="status" className="text-sm text-ink-soft" data-testid="moves state">
          {stateWords(moves)}
        </p>
      </div>
      {moves.state === 'failed' && (
        <div role="alert" className="flex items-center gap-2 px-3 py-1 text-sm">
          <p className="text-fault">The moves could not be worked out ({moves.reason}).</p>
          <Button onClick={askAgain}>Work them out again</Button>
        </div>
      )}
      {moves.state === 'ranked' && chances && (
        <MoveList lure={lure} moves={moves} chances={chances} wants={wants} measures={measures} />
      )}
    </section>
  );
});

function stateWords(moves: MovesShown): string {
  switch (moves.state) {
    case 'nothingWanted':
      return 'Say what you want, and every single change is tried for it.';
    case 'working':
      return 'Trying every single change…';
    case 'failed':
      return '';
    case 'ranked': {
      const { ranking, best, isDone } = moves;
      const tried = `${ranking.tried} changes tried`;
      if (!isDone) return `${tried}, looking closer at the best…`;
      return best.length === 0 ? `${tried}: none brings it nearer.` : `${tried}; the best for their trouble first.`;
    }
  }
}

function MoveList({
  lure,
  moves,
  chances,
  wants,
  measures,
}: Omit<MovesProps, 'moves' | 'chances'> & {
  readonly moves: Extract<MovesShown, { state: 'ranked' }>;
  readonly chances: Chances;
}) {
  const { told, best, ranking, isDone } = moves;
  const isMet = ranking.before.allMusts >= REACHED;
  const mostMet = Math.max(0, ...told.map(({ promised }) => promised.chances.allMusts));
  const top = best[0]?.after ?? null;
  // Until the whole cards are there the estimates stand in their places.
  const waiting = told.length === 0 ? best.slice(0, 8) : [];
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-3 pb-2">
      {isDone && isMet && (
        <p className="py-1 text-sm text-good">✓ It does what you want already; these would make it surer.</p>
      )}
      {isDone && !isMet && mostMet < 0.5 && (
        <p className="py-1 text-sm" data-testid="in the way">
          {inTheWayWords(chances, top && { ...top, allMusts: mostMet }, measures)}
        </p>
      )}
      <ul className="grid gap-2 pt-1 xl:grid-cols-2" aria-label="Moves, the best first">
        {told.map((each) => (
          <MoveRow
            key={each.ranked.move.key}
            lure={lure}
            told={each}
            wants={wants}
            before={ranking.before.allMusts}
            measures={measures}
          />
        ))}
        {waiting.map((ranked) => (
          <WaitingRow key={ranked.move.key} lure={lure} ranked={ranked} measures={measures} />
        ))}
      </ul>
    </div>
  );
}

function WaitingRow({
  lure,
  ranked,
  measures,
}: {
  readonly lure: Lure;
  readonly ranked: Ranked;
  readonly measures: CardMeasures;
}) {
  return (
    <li className="rounded-md border border-dashed border-line px-2 py-1.5 text-ink-soft">
      <p className="truncate font-semibold">{moveWords(ranked.move, lure.build, measures.system)}</p>
      <p className="text-sm">
        about {oftenWords(ranked.after.allMusts)} · {minutesWords(ranked.effort)}
      </p>
    </li>
  );
}

interface MoveRowProps {
  readonly lure: Lure;
  readonly told: ToldMove;
  readonly wants: readonly Want[];
  readonly before: number;
  readonly measures: CardMeasures;
}

function MoveRow({ lure, told, wants, before, measures }: MoveRowProps) {
  const { ranked, promised, isTied } = told;
  const { move, effort, isBought } = ranked;
  const isTried = useTank((state) => state.tried?.ranked.move.key === move.key);
  const [isOpen, setOpen] = useState(false);
  const { system } = measures;
  const name = moveWords(move, lure.build, system);
  const hasMusts = wants.some(({ weight }) => weight === 'must');
  const enter = () => {
    tryMove({ ranked, promised });
    showDraft(move.edits);
  };
  const worse = [
    ...promised.worsens.map((line) => `${LINE_WORDS[line].name.toLowerCase()} gets worse`),
    ...new Set(promised.makes.map((finding) => titleOf(finding, lure, move.edits, system))),
  ];
  return (
    <li className="min-w-0" data-testid="move">
      <div
        role="presentation"
        className={`flex h-full flex-col gap-0.5 rounded-md border px-2 py-1.5 ${isTried ? 'border-accent bg-accent-soft' : 'border-line'}`}
        onPointerEnter={(event) => event.pointerType === 'mouse' && enter()}
        onPointerLeave={(event) => event.pointerType === 'mouse' && leave()}
        onFocus={enter}
        onBlur={(event) => !event.currentTarget.contains(event.relatedTarget) && leave()}
      >
        {worse.length > 0 && <p className="text-sm font-semibold text-caution">⚠ But first: {worse.join('; ')}</p>}
        <div className="flex items-start gap-2">
          <p className="min-w-0 flex-1 leading-snug font-semibold">{name}</p>
          <p className="measure shrink-0 text-sm">
            <span className="sr-only">{hasMusts ? 'All musts are met, before and after: ' : 'Before and after: '}</span>
            {oftenWords(before)} → <b>{oftenWords(promised.chances.allMusts)}</b>
          </p>
        </div>
        <p className="text-sm text-ink-soft">
          {isTied ? 'As good as the one before, as far as can be told. ' : ''}
          {promised.reason ? reasonWords(promised.reason, measures) : 'It changes nothing of what is wanted for sure.'}
        </p>
        {promised.mends.length > 0 && (
          <p className="text-sm text-good">
            ✓ Mends: {[...new Set(promised.mends.map((finding) => titleOf(finding, lure, [], system)))].join('; ')}
          </p>
        )}
        <p className="truncate text-sm leading-snug text-ink-soft">
          {minutesWords(effort)}
          {effort.tools.length > 0
            ? ` · ${effort.tools.map((tool) => TOOL_WORDS[tool]).join(', ')}`
            : ' · by hand'} · {UNDOING_WORDS[effort.undoing]}
          {isBought ? ' · a part to get' : ''}
        </p>
        {isOpen && (
          <p className="text-sm text-ink-soft">
            {effortWords(effort, lure.build, builtAfter(lure, move.edits), system) || 'Nothing has to give way.'}
            {move.twins.length > 0
              ? ` The same by ${[...new Set(move.twins.map(({ maker }) => maker))].join(', ')}.`
              : ''}
          </p>
        )}
        <div className="mt-auto flex items-center justify-end gap-1.5">
          <Button
            look="quiet"
            dense
            aria-expanded={isOpen}
            aria-label={`What it takes: ${name}`}
            onClick={() => setOpen(!isOpen)}
          >
            {isOpen ? 'Less' : 'More'}
          </Button>
          <HearMove lure={lure} told={told} name={name} />
          <Button look="main" dense aria-label={`Make it a version: ${name}`} onClick={() => makeIt(lure, told, name)}>
            Make it
          </Button>
        </div>
      </div>
    </li>
  );
}

/** Nothing is tried any more. */
function leave() {
  if (!useTank.getState().tried) return;
  tryMove(null);
  showDraft([]);
}

/** The lure with the move heard, against the lure as it is. */
function HearMove({ lure, told, name }: { readonly lure: Lure; readonly told: ToldMove; readonly name: string }) {
  const { move } = told.ranked;
  const isHeard = useSound(
    ({ isPlaying, against, side }) => isPlaying && side === 'other' && against?.candidate === move.key,
  );
  return (
    <Button
      dense
      aria-pressed={isHeard}
      aria-label={`${isHeard ? 'Stop' : 'Hear'} ${name}`}
      onClick={() => {
        if (isHeard) {
          forgetCandidate(false);
          return;
        }
        const done = applyEdits(lure, move.edits);
        if (done.ok) hearCandidate({ name, build: done.lure.build, candidate: move.key });
      }}
    >
      {isHeard ? <Stop aria-hidden size={16} /> : <Play aria-hidden size={16} />}
      {isHeard ? 'Stop' : 'Hear'}
    </Button>
  );
}

/** Makes the move, keeps the lure as it was under a name where it is not kept yet, and the new one under the move's. */
function makeIt(lure: Lure, { ranked: { move } }: ToldMove, name: string) {
  const done = applyEdits(lure, move.edits);
  if (!done.ok) return;
  leave();
  const { versions, build } = lure;
  const isKept = versions.some((version) => isSame(version.build, build));
  const before = isKept
    ? []
    : [
        {
          kind: 'keepVersion' as const,
          at: versions.length,
          version: { name: `Before: ${name}`.slice(0, 120), build },
        },
      ];
  const at = versions.length + before.length;
  const after = { kind: 'keepVersion' as const, at, version: { name: name.slice(0, 120), build: done.lure.build } };
  if (change('tune', [...move.edits, ...before, after])) useDesk.setState({ draft: null });
}

function titleOf(finding: BareFinding, lure: Lure, edits: readonly Edit[], system: CardMeasures['system']): string {
  return findingWords({ ...finding, repairs: noRepairs } as Finding, builtAfter(lure, edits), system).title;
}

/** What a move makes of the lure; the lure as it is where it cannot be made. */
function builtAfter(lure: Lure, edits: readonly Edit[]): Lure['build'] {
  const done = edits.length > 0 ? applyEdits(lure, edits) : null;
  return done?.ok ? done.lure.build : lure.build;
}
