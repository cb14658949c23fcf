'use client';

import { useState, type RefObject } from 'react';
import { itemOf } from '@/core/lure/lure';
import type { MakeStep } from '@/core/make/plan';
import { begin, type Run } from '@/core/make/run';
import { spoil, type Spoilable } from '@/core/make/spoil';
import { Sheet } from '@/ui/Sheet';
import { partTitle } from '@/words/part-words';
import { BIG } from './looks';
import { changeRun, type Planned } from './make-store';
import { RadioRow } from '@/ui/RadioRow';

export interface SpoilSheetProps {
  readonly run: Run;
  readonly plan: Planned;
  readonly names: readonly string[];
  readonly step: MakeStep;
  readonly focusAfter: RefObject<HTMLElement | null>;
  readonly onClose: () => void;
}

/** Something broke, bent or burned: what goes with it, what stays sound, which steps come again. */
export function SpoilSheet({ run, plan, names, step, focusAfter, onClose }: SpoilSheetProps) {
  const { build } = run;
  const reached = [...new Set([...run.done, step.id])];
  const [chosen, setChosen] = useState<Spoilable | null>(null);
  const pieces = [
    ...new Set<Spoilable>([
      'wire',
      ...step.items,
      ...plan.steps
        .filter(({ id }) => reached.includes(id))
        .flatMap(({ items }) => items)
        .toReversed(),
    ]),
  ];
  const name = (piece: Spoilable) =>
    piece === 'wire' ? build.carrier.wire.name : partTitle(itemOf(build, piece).part);
  const found = chosen === null ? null : spoil(build, plan.steps, reached, chosen);
  const counted = (all: readonly Spoilable[]) => {
    const titles = all.map(name);
    return [...new Set(titles)].map((title) => {
      const count = titles.filter((each) => each === title).length;
      return count === 1 ? title : `${count} × ${title}`;
    });
  };
  const doAgain = () => {
    if (!found || chosen === null) return;
    changeRun((each) => {
      const done = each.done.filter((id) => !found.again.includes(id));
      const noted = { piece: chosen, name: name(chosen), step: step.id, at: Date.now() };
      return begin({ ...each, done, spoiled: [...each.spoiled, noted] }, names);
    });
    onClose();
  };
  return (
    <Sheet
      open
      focusAfter={focusAfter}
      onOpenChange={(open) => !open && onClose()}
      title="What was spoiled?"
      description="It is noted with this piece. What is still sound is used again."
    >
      <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-y-auto">
        <RadioRow
          label="Spoiled piece"
          isColumn
          className="flex flex-col gap-1"
          optionClassName={`${BIG.plain} justify-start text-left aria-checked:border-accent aria-checked:bg-accent-soft`}
          value={chosen}
          options={pieces.map((piece) => ({
            value: piece,
            shown: `${chosen === piece ? '●' : '○'} ${name(piece)}`,
            label: name(piece),
          }))}
          onChange={setChosen}
        />
      </div>
      {found && (
        <div className="flex flex-col gap-2 text-lg" role="status">
          <p>
            <span className="font-bold">Lost:</span> {counted(found.lost).join(', ')}.
          </p>
          {found.sound.length > 0 && (
            <p>
              <span className="font-bold">Sound, used again:</span> {counted(found.sound).join(', ')}.
            </p>
          )}
          <p>{found.again.length === 1 ? 'One step comes' : `${found.again.length} steps come`} again.</p>
          <button type="button" className={BIG.main} onClick={doAgain}>
            Note it and go back
          </button>
        </div>
      )}
    </Sheet>
  );
}
