'use client';

import type { ReactNode, RefObject } from 'react';
import { Places } from '@/ui/Places';

export interface BenchFrameProps {
  readonly header: ReactNode;
  readonly stageRef: RefObject<HTMLDivElement | null>;
  readonly stage: ReactNode;
  readonly underStage?: ReactNode;
  readonly string?: ReactNode;
  readonly retrieve?: ReactNode;
  readonly about?: ReactNode;
  readonly lureId: string | null;
  /** A part is being chosen: the drawing makes room for it. */
  readonly isChoosing?: boolean;
  /** What lies over the page. */
  readonly children?: ReactNode;
}

/** Where everything has its place on the Bench; what is not there yet leaves its place as large as it will be. */
export function BenchFrame(props: BenchFrameProps) {
  const { header, stageRef, stage, underStage, string, retrieve, about, lureId, isChoosing = false, children } = props;
  return (
    <div className="flex min-h-dvh flex-col lg:h-dvh">
      {header}
      <div className="flex flex-1 flex-col lg:min-h-0 lg:flex-row">
        <main className={`flex min-w-0 flex-1 flex-col ${isChoosing ? BESIDE_PICKER : ''}`}>
          <div ref={stageRef} className="relative min-h-72 flex-1 overflow-hidden bg-stage contain-strict lg:min-h-0">
            {stage}
          </div>
          {underStage}
          <section aria-label="String" className="min-h-42 border-t border-line bg-panel pt-1 contain-content">
            {string}
          </section>
          <div className="min-h-27 bg-panel">{retrieve}</div>
        </main>
        <aside
          aria-label="About this lure"
          className="flex flex-col gap-3 border-l border-line bg-panel px-4 py-2 lg:w-80 lg:shrink-0 lg:overflow-y-auto lg:contain-strict"
        >
          {about}
        </aside>
      </div>
      <div className="sticky bottom-0 z-10 flex justify-center border-t border-line bg-panel sm:hidden">
        <Places at="bench" lureId={lureId} />
      </div>
      {children}
    </div>
  );
}

/** The choice of parts lies over the column beside the drawing and as much of the page. */
const BESIDE_PICKER = 'lg:mr-[24rem]';
