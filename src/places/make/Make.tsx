'use client';

import { useEffect } from 'react';
import { Places } from '@/ui/Places';
import { Boundary, type WayOut } from '@/ui/Boundary';
import { useDark } from '@/ui/use-dark';
import { useMissingParts } from '@/ui/use-missing-parts';
import { noWayWords } from '@/words/no-way-words';
import { Before } from './Before';
import { Checks } from './Checks';
import { Made } from './Made';
import { openMake, useMake, write } from './make-store';
import { StepScreen } from './StepScreen';
import { UnderWay } from './UnderWay';
import { BIG } from './looks';

/** At the bench with full hands: tools and parts laid out, one step at a time, a last look, a number. */
export function Make() {
  const make = useMake((state) => state.make);
  const theme = useMake((state) => state.settings.theme);
  const unsaved = useMake((state) => state.unsaved);
  const refused = useMake((state) => state.refused);
  useDark(theme);
  useMissingParts((words) => useMake.setState({ refused: words }));
  useEffect(() => {
    void openMake(new URLSearchParams(window.location.search));
  }, []);
  return (
    <>
      {unsaved !== null && (
        <div role="alert" className="flex flex-wrap items-center gap-3 bg-fault-soft px-4 py-2 text-lg text-ink">
          <span className="flex-1">⚠ {unsaved} What you do is kept here meanwhile.</span>
          <button type="button" className={BIG.plain} onClick={() => void write()}>
            Try again
          </button>
        </div>
      )}
      {refused !== null && (
        <p role="status" className="bg-caution-soft px-4 py-2 text-lg text-ink">
          ⚠ {refused}
        </p>
      )}
      {make.state !== 'run' && make.state !== 'opening' && (
        <div className="border-b border-line bg-panel px-4 py-1">
          <Places at="make" lureId={'lure' in make ? make.lure.id : null} />
        </div>
      )}
      <Boundary name="This page" resetOn={[make]} waysOut={WAYS_OUT}>
        <Shown make={make} />
      </Boundary>
    </>
  );
}

/** Out of a page that failed: what is under way, from where the piece can be taken up again. */
const WAYS_OUT: readonly WayOut[] = [{ label: 'What is under way', run: () => void openMake(new URLSearchParams()) }];

function Shown({ make }: { readonly make: ReturnType<typeof useMake.getState>['make'] }) {
  switch (make.state) {
    case 'opening':
      return (
        <main className="grid min-h-dvh place-items-center">
          <p role="status" className="text-xl">
            Laying out the work…
          </p>
        </main>
      );
    case 'failed':
      return <Stop title="Nothing to make here" reason={make.reason} href="/bench" />;
    case 'noWay':
      return (
        <Stop
          title={`${make.lure.name} cannot be made yet`}
          reason={noWayWords(make.why, make.lure.build)}
          href={`/bench?lure=${make.lure.id}`}
        />
      );
    case 'list':
      return <UnderWay runs={make.runs} />;
    case 'lure':
      return <Before lure={make.lure} plan={make.plan} underWay={make.underWay} run={null} />;
    case 'run': {
      const { run, plan, names } = make;
      switch (run.stage) {
        case 'before':
          return (
            <Before
              lure={{ id: run.lureId, name: run.lureName, build: run.build }}
              plan={plan}
              underWay={[]}
              run={{ run, names }}
            />
          );
        case 'steps':
          return <StepScreen run={run} plan={plan} names={names} />;
        case 'checks':
          return <Checks run={run} names={names} />;
        case 'made':
          return <Made run={run} />;
      }
    }
  }
}

function Stop({ title, reason, href }: { readonly title: string; readonly reason: string; readonly href: string }) {
  return (
    <main className="mx-auto flex max-w-2xl flex-col gap-4 p-6">
      <h1 className="text-3xl font-bold">{title}</h1>
      <p role="alert" className="text-xl">
        {reason}
      </p>
      <a className={`${BIG.main} self-start`} href={href}>
        To the bench
      </a>
    </main>
  );
}
