'use client';

import { useGesture } from '@use-gesture/react';
import Minus from 'lucide-react/icons/minus';
import Plus from 'lucide-react/icons/plus';
import Ruler from 'lucide-react/icons/ruler';
import Sound from 'lucide-react/icons/audio-lines';
import Play from 'lucide-react/icons/play';
import Stop from 'lucide-react/icons/square';
import Snail from 'lucide-react/icons/snail';
import Front from 'lucide-react/icons/target';
import Whole from 'lucide-react/icons/maximize';
import { memo, type RefObject } from 'react';
import { RULE_PX, type StageView } from '@/drawing/stage-view';
import { Button } from '@/ui/Button';
import { openSheet, useDesk } from '../desk-state';
import { changeSettings } from '../settings';
import { togglePlaying, useSound } from '../sound/sound-state';
import { lookAtRest, panBy, useStageLook, zoomBy, ZOOM_STEP } from './stage-look';

export interface StageToolsProps {
  /** What the hand draws about on. */
  readonly target: RefObject<HTMLElement | null>;
  readonly view: StageView;
  /** Something turns, and is shown turning. */
  readonly turns: boolean;
  /** Little room: only what a finger cannot do on the stage itself. */
  readonly isBrief: boolean;
}

/** Nearer, further, all of it, as large as it is; and the hand, the wheel and two fingers on the stage itself. */
export const StageTools = memo(function StageTools({ target, view, turns, isBrief }: StageToolsProps) {
  const { zoom, panXMm, panYMm } = useStageLook((state) => state.look);
  const { screenPxPerMm, trueSize, slowedBy } = useDesk((state) => state.settings);
  const isPlaying = useSound((state) => state.isPlaying);
  const middle = { x: view.widthPx / 2, y: view.middleY };
  useGesture(
    {
      onDrag: ({ delta: [x, y], pinching, cancel }) => {
        if (pinching) cancel();
        else panBy(x, y, view);
      },
      onPinch: ({ origin: [x, y], delta: [factor], event }) => {
        event.preventDefault();
        const box = target.current?.getBoundingClientRect();
        if (factor !== 0) zoomBy(1 + factor / zoom, view, { x: x - (box?.left ?? 0), y: y - (box?.top ?? 0) });
      },
    },
    {
      target,
      drag: { filterTaps: true, threshold: 6 },
      pinch: { modifierKey: 'ctrlKey', from: () => [useStageLook.getState().look.zoom, 0] },
      eventOptions: { passive: false },
    },
  );
  const isAtRest = zoom === 1 && panXMm === 0 && panYMm === 0;
  return (
    <div
      role="toolbar"
      aria-label="Look at the drawing"
      aria-orientation={isBrief ? 'horizontal' : 'vertical'}
      className={`absolute right-1 flex text-sm text-ink-soft ${isBrief ? 'top-1' : 'flex-col'}`}
      style={isBrief ? undefined : { bottom: RULE_PX + 4 }}
    >
      <Tool name="Nearer" icon={Plus} onPress={() => zoomBy(ZOOM_STEP, view, middle)} />
      <Tool name="Further away" icon={Minus} onPress={() => zoomBy(1 / ZOOM_STEP, view, middle)} />
      <Tool name="All of it" icon={Whole} disabled={isAtRest} onPress={lookAtRest} />
      <Tool name="From the front" icon={Front} onPress={() => openSheet('front')} />
      <Tool
        name={isPlaying ? 'Stop the sound' : 'Hear it'}
        icon={isPlaying ? Stop : Play}
        keys="h"
        onPress={togglePlaying}
      />
      <Tool name="How it sounds" icon={Sound} onPress={() => openSheet('sound')} />
      {!isBrief && (
        <Tool
          name="As large as it is"
          icon={Ruler}
          pressed={trueSize}
          onPress={() => (screenPxPerMm === null ? openSheet('trueSize') : changeSettings({ trueSize: !trueSize }))}
        />
      )}
      {turns && !isBrief && (
        <Tool
          name="Turning 8 × slower than in life"
          icon={Snail}
          pressed={slowedBy === 8}
          onPress={() => changeSettings({ slowedBy: slowedBy === 8 ? 1 : 8 })}
        />
      )}
    </div>
  );
});

interface ToolProps {
  readonly name: string;
  readonly icon: typeof Plus;
  /** Of one that stays as it was pressed. */
  readonly pressed?: boolean;
  readonly disabled?: boolean;
  /** The key that does the same. */
  readonly keys?: string;
  readonly onPress: () => void;
}

function Tool({ name, icon: Icon, pressed, disabled, keys, onPress }: ToolProps) {
  return (
    <Button
      dense
      look="quiet"
      className="!px-1 aria-pressed:bg-accent-soft"
      aria-label={name}
      title={keys === undefined ? name : `${name} (${keys})`}
      aria-keyshortcuts={keys}
      aria-pressed={pressed}
      disabled={disabled}
      onClick={onPress}
    >
      <Icon aria-hidden size={18} />
    </Button>
  );
}
