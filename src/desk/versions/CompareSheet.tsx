'use client';

import type { Lure } from '@/core/lure/lure';
import { differences } from '@/core/costs/difference';
import { layOut } from '@/core/geometry/layout';
import { lureMass } from '@/core/lengths/mass';
import { showLength, showMass, type UnitSystem } from '@/core/units/write';
import { LurePicture } from '@/drawing/LurePicture';
import { Sheet } from '@/ui/Sheet';
import { differenceWords } from '@/words/difference-words';

export interface CompareSheetProps {
  readonly lure: Lure;
  /** Which of its versions it is compared with. */
  readonly index: number;
  readonly system: UnitSystem;
  readonly onClose: () => void;
}

/** The lure as it is, a version of it in outline over it, and what they differ in. */
export function CompareSheet({ lure, index, system, onClose }: CompareSheetProps) {
  const version = lure.versions[index];
  if (!version) {
    return (
      <Sheet
        open
        onOpenChange={(open) => !open && onClose()}
        title="No such version"
        description="It was forgotten, perhaps in another tab. Undo brings it back."
      >
        {null}
      </Sheet>
    );
  }
  const found = differences(version.build, lure.build);
  const figures = [version.build, lure.build].map((build) => {
    const { x0M, x1M } = layOut(build);
    return { long: showLength(x1M - x0M, system), mass: showMass(lureMass(build), system) };
  });
  const [before, now] = figures;
  return (
    <Sheet
      open
      wide
      onOpenChange={(open) => !open && onClose()}
      title={`${version.name}, and now`}
      description="As it is now, with the version in outline over it."
    >
      <div className="rounded-md bg-stage">
        <LurePicture
          build={lure.build}
          over={version.build}
          width={640}
          height={320}
          scale={6}
          label={`${lure.name} as it is now, with ${version.name} in outline over it`}
        />
      </div>
      <table className="text-left">
        <thead>
          <tr className="text-sm text-ink-soft">
            <td />
            <th className="font-normal">{version.name}</th>
            <th className="font-normal">now</th>
          </tr>
        </thead>
        <tbody className="measure">
          <tr className="border-t border-line">
            <th className="py-0.5 font-normal">long</th>
            <td>{before?.long}</td>
            <td>{now?.long}</td>
          </tr>
          <tr className="border-t border-line">
            <th className="py-0.5 font-normal">mass</th>
            <td>{before?.mass}</td>
            <td>{now?.mass}</td>
          </tr>
        </tbody>
      </table>
      <h3 className="font-semibold">{found.length === 0 ? 'They are the same.' : 'What became of it since'}</h3>
      <ul className="list-disc overflow-y-auto pl-5" data-testid="differences">
        {found.map((each, i) => (
          <li key={i}>{differenceWords(each, system)}</li>
        ))}
      </ul>
    </Sheet>
  );
}
