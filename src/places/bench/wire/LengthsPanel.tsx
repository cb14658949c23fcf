'use client';

import { carrierOfCut, type CutLength } from '@/core/lengths/lengths';
import type { LengthTerm } from '@/core/carriers/length-term';
import type { Build } from '@/core/lure/lure';
import { showLength, type UnitSystem } from '@/core/units/write';
import { Fold } from '@/ui/Fold';
import TriangleAlert from 'lucide-react/icons/triangle-alert';
import { CUTTING_WIRE, SHRINKING_TUBE } from '@/words/caution-words';
import { cutName, stretchWords, termWords } from '@/words/length-words';

export interface LengthsPanelProps {
  readonly cuts: readonly CutLength[];
  readonly build: Build;
  readonly system: UnitSystem;
}

/** What to cut, drawn as the length itself with its terms. */
export function LengthsPanel({ cuts, build, system }: LengthsPanelProps) {
  return (
    <Fold title="Lengths to cut" gist={<Gist cuts={cuts} build={build} system={system} />}>
      {cuts.map((cut) => {
        const carrier = carrierOfCut(build, cut);
        const wire = carrier && carrier.kind !== 'body' ? carrier.wire : null;
        const stretch = carrier && stretchWords(carrier, system);
        return (
          <div key={cut.item?.id ?? cut.carrier} className="flex flex-col gap-1.5">
            <p className="flex items-baseline justify-between gap-2">
              <span>
                {cutName(cut, wire?.kind === 'line')}
                {wire ? ` ${showLength(wire.diameterM, system)}` : ''}
                {cut.item ? <span className="text-sm text-ink-soft"> {cut.item.part.finish.name}</span> : null}
              </span>
              <span className="measure font-semibold" data-testid={`cut ${cut.of}`}>
                {showLength(cut.cutM, system)}
              </span>
            </p>
            <Bar cut={cut} />
            {stretch !== null && <p className="text-sm text-ink-soft">{stretch}</p>}
            {wire?.kind !== 'line' && CUT_CAUTIONS[cut.of] && (
              <p className="flex gap-1.5 text-sm text-ink-soft">
                <TriangleAlert aria-hidden size={16} className="mt-0.5 shrink-0 text-caution" />
                {CUT_CAUTIONS[cut.of]}
              </p>
            )}
            <details>
              <summary className="min-h-8 max-sm:min-h-11 pointer-coarse:min-h-11 cursor-pointer py-1 text-sm text-ink-soft">
                Each term
              </summary>
              <table className="w-full text-sm">
                <tbody>
                  {cut.terms.map((term, i) => (
                    <tr key={i} className="border-t border-line">
                      <td className="py-0.5">{termWords(term, system)}</td>
                      <td className="measure py-0.5 text-right">{showLength(term.lengthM, system)}</td>
                    </tr>
                  ))}
                  <tr className="border-t border-ink-soft font-semibold">
                    <td className="py-0.5">together</td>
                    <td className="measure py-0.5 text-right">{showLength(cut.totalM, system)}</td>
                  </tr>
                </tbody>
              </table>
            </details>
          </div>
        );
      })}
    </Fold>
  );
}

/** The wire, and how many more things are cut. */
function Gist({ cuts, build, system }: LengthsPanelProps) {
  const [first, ...others] = cuts;
  if (!first) return 'nothing to cut';
  return (
    <>
      {cutName(first, carrierOfCut(build, first)?.kind === 'line')}{' '}
      <span className="measure">{showLength(first.cutM, system)}</span>
      {others.length > 0 && `, and ${others.length} more`}
    </>
  );
}

const CUT_CAUTIONS: Readonly<Record<CutLength['of'], string | null>> = {
  wire: CUTTING_WIRE,
  shrinkTube: SHRINKING_TUBE,
  spacer: null,
  skirtLayer: null,
  keeper: CUTTING_WIRE,
  lockWire: CUTTING_WIRE,
  link: null,
};

const STRAIGHT: ReadonlySet<LengthTerm['code']> = new Set([
  'finished',
  'spare',
  'stack',
  'freeRoom',
  'underWraps',
  'overWraps',
  'overLoop',
  'overRingAndEye',
  'inHead',
  'straight',
  'arm',
  'spacer',
  'strip',
]);

/** The terms end to end: what stays straight is light, what is bent or clipped is dark. */
function Bar({ cut }: { readonly cut: CutLength }) {
  const starts = cut.terms.map((_, i) => cut.terms.slice(0, i).reduce((sum, { lengthM }) => sum + lengthM, 0));
  const parts = cut.terms.map((term, i) => ({
    x: (starts[i] ?? 0) / cut.totalM,
    width: term.lengthM / cut.totalM,
    isStraight: STRAIGHT.has(term.code),
    isTag: term.code === 'tag',
  }));
  return (
    <svg viewBox="0 0 100 6" preserveAspectRatio="none" className="h-3 w-full" aria-hidden>
      {parts.map(({ x, width, isStraight, isTag }, i) => (
        <rect
          key={i}
          x={x * 100}
          width={Math.max(0, width * 100 - 0.35)}
          y={isTag ? 2 : 0.5}
          height={isTag ? 2 : 5}
          fill={isStraight ? 'var(--line)' : 'var(--accent)'}
        />
      ))}
    </svg>
  );
}
