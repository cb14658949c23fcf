'use client';

import { useState } from 'react';
import { Button } from './Button';
import { Sheet } from './Sheet';

/** A bank card, the size of every one of them: ISO/IEC 7810, ID-1. */
const CARD_MM = { width: 85.6, height: 53.98, corner: 3.18 } as const;
/** What a browser takes a millimetre for, until someone has measured: 96 px to the inch. */
const NOMINAL_PX_PER_MM = 96 / 25.4;
const STEP = 0.005;

export interface TrueSizeSheetProps {
  /** Pixels to the millimetre as set before; null until someone has. */
  readonly known: number | null;
  readonly onSet: (pxPerMm: number) => void;
  readonly onClose: () => void;
}

/** Lay a bank card on the screen and bring the drawn one to its size: from then on the lure can be shown at true size. */
export function TrueSizeSheet({ known, onSet, onClose }: TrueSizeSheetProps) {
  const [pxPerMm, setPxPerMm] = useState(known ?? NOMINAL_PX_PER_MM);
  const px = (mm: number) => mm * pxPerMm;
  return (
    <Sheet
      open
      wide
      onOpenChange={(open) => !open && onClose()}
      title="True size on this screen"
      description="Lay a bank card on the drawn one and slide until both are the same size. They are the same everywhere."
    >
      <div className="grid place-items-center overflow-hidden rounded-md bg-stage py-4">
        <div
          data-testid="card"
          style={{ width: px(CARD_MM.width), height: px(CARD_MM.height), borderRadius: px(CARD_MM.corner) }}
          className="border-2 border-dashed border-accent"
        />
      </div>
      <label className="flex flex-col text-sm text-ink-soft">
        Size of the drawn card
        <input
          data-focus-first
          type="range"
          className="h-11 w-full accent-accent"
          min={2}
          max={7}
          step={STEP}
          value={pxPerMm}
          aria-valuetext={`${pxPerMm.toFixed(2)} pixels to the millimetre`}
          onChange={(event) => setPxPerMm(Number(event.target.value))}
        />
      </label>
      <Button
        look="main"
        className="self-start"
        onClick={() => {
          onSet(pxPerMm);
          onClose();
        }}
      >
        They are the same: show the lure at true size
      </Button>
    </Sheet>
  );
}
