'use client';

import { DropdownMenu } from 'radix-ui';
import ChevronDown from 'lucide-react/icons/chevron-down';
import { memo, useRef, useState } from 'react';
import type { Lure, LureId } from '@/core/lure/lure';
import type { ChancesOfCard } from '@/core/tune/chance';
import type { Target } from '@/core/tune/target';
import { readTargetFile, writeTargetFile } from '@/core/tune/target-file';
import { actLike, WANTED_ACTIONS } from '@/core/tune/wanted-actions';
import { MOST_TARGETS } from '@/data/settings';
import { tell, useDesk } from '@/desk/desk-state';
import { MENU, MENU_ITEM } from '@/desk/header/menu-looks';
import { retrieveSpeed } from '@/desk/speed';
import { openStores } from '@/desk/stores';
import { Button } from '@/ui/Button';
import { saveFile } from '@/ui/save-file';
import { askCore } from '@/workers/core-client';
import { oftenWords } from '@/words/card-words';
import { targetFileProblemWords } from '@/words/problem-words';
import { storageFailureWords } from '@/words/storage-words';
import { changeTank, keepTarget } from './tank-state';

export interface TargetBarProps {
  readonly lure: Lure;
  readonly wanted: Target | null;
  readonly targets: readonly Target[];
  readonly chances: ChancesOfCard | null;
}

/** What is wanted: its name, how likely all musts are met, and where to take another from. */
export const TargetBar = memo(function TargetBar({ lure, wanted, targets, chances }: TargetBarProps) {
  const musts = wanted?.wants.filter(({ weight }) => weight === 'must').length ?? 0;
  const met = chances && musts > 0 ? chances.allMusts : null;
  return (
    <section
      aria-label="What is wanted"
      className="top-0 z-10 flex flex-col gap-1 max-lg:order-2 lg:sticky border-b border-line bg-panel px-3 py-1.5"
    >
      <div className="flex items-center gap-2">
        <h2 className="min-w-0 flex-1">
          {wanted ? (
            <NameField key={wanted.name} wanted={wanted} />
          ) : (
            <span className="font-semibold">What do you want it to do?</span>
          )}
        </h2>
        <TargetMenu lure={lure} wanted={wanted} targets={targets} />
      </div>
      {met !== null ? (
        <p className="flex items-center gap-2 text-sm" data-testid="all musts">
          <span aria-hidden className="relative h-2.5 flex-1 overflow-hidden rounded-full bg-line">
            <span className="absolute inset-y-0 left-0 bg-good" style={{ width: `${100 * met}%` }} />
          </span>
          <span className="whitespace-nowrap">
            {musts === 1 ? 'the must is met' : `all ${musts} musts met`} <b className="measure">{oftenWords(met)}</b>
          </span>
        </p>
      ) : (
        <p className="text-sm text-ink-soft">
          {wanted ? 'Nothing of it is a must.' : 'Draw a window over a line below, or take a wanted action.'}
        </p>
      )}
    </section>
  );
});

function NameField({ wanted }: { readonly wanted: Target }) {
  const [typed, setTyped] = useState(wanted.name);
  const commit = () => {
    const name = typed.trim();
    if (name !== '' && name !== wanted.name) changeTank({ wanted: { ...wanted, name } });
    else setTyped(wanted.name);
  };
  return (
    <input
      aria-label="Name of what is wanted"
      className="min-h-9 w-full rounded-md border border-transparent bg-transparent px-1 font-semibold hover:border-line pointer-coarse:min-h-11"
      value={typed}
      maxLength={120}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}

/** Other lures offered to act like. */
const MOST_LURES = 12;

function TargetMenu({ lure, wanted, targets }: Pick<TargetBarProps, 'lure' | 'wanted' | 'targets'>) {
  const lures = useDesk((state) => state.lures);
  const file = useRef<HTMLInputElement>(null);
  return (
    <>
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger asChild>
          <Button dense>
            Wanted actions <ChevronDown aria-hidden size={18} />
          </Button>
        </DropdownMenu.Trigger>
        <DropdownMenu.Content align="end" sideOffset={4} className={`${MENU} max-h-[75vh] overflow-y-auto`}>
          {targets.length > 0 && <Heading>Your own</Heading>}
          {targets.map((target) => (
            <DropdownMenu.Item key={target.name} className={MENU_ITEM} onSelect={() => changeTank({ wanted: target })}>
              {target.name}
            </DropdownMenu.Item>
          ))}
          <Heading>To start from</Heading>
          {WANTED_ACTIONS.map((target) => (
            <DropdownMenu.Item key={target.name} className={MENU_ITEM} onSelect={() => changeTank({ wanted: target })}>
              {target.name}
            </DropdownMenu.Item>
          ))}
          <Heading>Make it act like</Heading>
          {lures
            .filter(({ id }) => id !== lure.id)
            .slice(0, MOST_LURES)
            .map(({ id, name }) => (
              <DropdownMenu.Item key={id} className={MENU_ITEM} onSelect={() => void takeFrom(id as LureId)}>
                {name}
              </DropdownMenu.Item>
            ))}
          <DropdownMenu.Separator className="my-1 h-px bg-line" />
          {wanted && (
            <>
              <DropdownMenu.Item className={MENU_ITEM} onSelect={() => keep(wanted)}>
                Keep “{wanted.name}”
              </DropdownMenu.Item>
              {targets.some(({ name }) => name === wanted.name) && (
                <DropdownMenu.Item className={MENU_ITEM} onSelect={() => forget(targets, wanted)}>
                  Forget “{wanted.name}”
                </DropdownMenu.Item>
              )}
              <DropdownMenu.Item
                className={MENU_ITEM}
                onSelect={() =>
                  saveFile(`${fileName(wanted.name)}.mazurka-target.json`, writeTargetFile(wanted), 'application/json')
                }
              >
                Export it as a file
              </DropdownMenu.Item>
              <DropdownMenu.Item className={MENU_ITEM} onSelect={() => changeTank({ wanted: null })}>
                Want nothing
              </DropdownMenu.Item>
            </>
          )}
          <DropdownMenu.Item className={MENU_ITEM} onSelect={() => file.current?.click()}>
            Take in a target file
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Root>
      <input
        ref={file}
        type="file"
        accept=".json"
        aria-label="Target file to take in"
        className="hidden"
        onChange={(event) => {
          const [taken] = event.target.files ?? [];
          event.target.value = '';
          if (taken) void takeIn(taken);
        }}
      />
    </>
  );
}

function Heading({ children }: { readonly children: string }) {
  return <DropdownMenu.Label className="px-3 pt-2 pb-0.5 text-sm text-ink-soft">{children}</DropdownMenu.Label>;
}

function fileName(name: string): string {
  return (
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'target'
  );
}

function keep(wanted: Target) {
  if (keepTarget(wanted)) tell('news', `“${wanted.name}” is kept.`);
  else tell('trouble', `Not kept: ${MOST_TARGETS} are kept at most. Forget one first.`);
}

function forget(targets: readonly Target[], { name }: Target) {
  changeTank({ targets: targets.filter((each) => each.name !== name) });
  tell('news', `“${name}” is forgotten.`, { label: 'Keep it again', run: () => changeTank({ targets: [...targets] }) });
}

async function takeIn(file: File) {
  const reading = readTargetFile(await file.text());
  if (reading.ok) changeTank({ wanted: reading.target });
  else tell('trouble', `Not taken in, and nothing here was changed. ${targetFileProblemWords(reading.problem)}`);
}

/** What another lure does at the present retrieve becomes what is wanted. */
async function takeFrom(id: LureId) {
  const { water, outfit, retrieve } = useDesk.getState().settings;
  const read = await (await openStores()).lures.read(id);
  if (!read.ok) {
    tell('trouble', storageFailureWords(read.failure));
    return;
  }
  const { lure } = read.value.history;
  const card = await askCore('cardOf', [lure.build, water, retrieveSpeed(retrieve), { outfit }]);
  const target = actLike(`Like ${lure.name}`, card);
  if (target) changeTank({ wanted: target });
  else tell('trouble', `What ${lure.name} does at this retrieve cannot be said.`);
}
