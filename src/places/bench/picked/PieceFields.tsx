'use client';

import type { ChangeCode } from '@/core/lure/change-name';
import type { Edit } from '@/core/lure/edit';
import { BAIT_HANGS } from '@/core/parts/kinds/bait';
import { RIVET_FIXINGS } from '@/core/parts/kinds/rivet';
import { SWIVEL_CONDITIONS } from '@/core/parts/kinds/swivel';
import type { ItemState } from '@/core/parts/part';
import { never } from '@/core/never';
import type { Item } from '@/core/lure/lure';
import { Button } from '@/ui/Button';
import { QuantityField } from '@/ui/QuantityField';
import { SelectField } from '@/ui/SelectField';
import { SlideField } from '@/ui/SlideField';
import { degrees } from '@/words/angle-words';
import { BAIT_HANG_WORDS } from '@/words/line-part-words';
import { CONDITION_WORDS, FIXING_WORDS } from '@/words/part-words';
import { showDraft } from '@/desk/desk-state';
import { change, doDraft } from '@/desk/open-lure';
import { EyeFields } from './EyeFields';
import { NailFields } from './NailFields';
import { SnellFields } from './SnellFields';

export interface PieceFieldsProps {
  readonly item: Item;
  /** The unit lengths are shown and taken in. */
  readonly unit: 'mm' | 'in';
}

/** What the hand can do to this piece: each kind has its own. */
export function PieceFields({ item, unit }: PieceFieldsProps) {
  const { part, state } = item;
  const adjust = (next: ItemState): Edit => ({ kind: 'adjust', item: item.id, changes: { state: next } });
  const set = (code: ChangeCode, next: ItemState) => change(code, [adjust(next)]);
  const slide = (next: ItemState) => showDraft([adjust(next)]);
  switch (state?.of) {
    case 'film':
      return (
        <SlideField
          label="Folded back: flat starts soonest, folded suits fast water"
          words={degrees(state.foldRad)}
          value={Math.round(inDegrees(state.foldRad))}
          min={0}
          max={70}
          step={5}
          onSlide={(value) => slide({ of: 'film', foldRad: inRadians(value) })}
          onSettle={() => doDraft('fold')}
        />
      );
    case 'hook':
      if (part.kind !== 'hook') return null;
      return (
        <>
          {state.snell && (
            <SnellFields snell={state.snell} unit={unit} set={(snell) => set('snell', { ...state, snell })} />
          )}
          {part.barb && (
            <Button onClick={() => set('barb', { ...state, pinched: !state.pinched })}>
              {state.pinched ? 'Its barb is not pinched' : 'Pinch its barb flat'}
            </Button>
          )}
        </>
      );
    case 'stop':
      return (
        <QuantityField
          label="Line from it to what holds next behind"
          kind="length"
          si={state.behindM}
          unit={unit}
          minSi={0}
          maxSi={6}
          onCommit={(behindM) => set('slideStop', { of: 'stop', behindM })}
        />
      );
    case 'link':
      return (
        <QuantityField
          label="Link, eye to eye"
          kind="length"
          si={state.lengthM}
          unit={unit}
          minSi={0.005}
          maxSi={0.3}
          onCommit={(lengthM) => set('link', { of: 'link', lengthM })}
        />
      );
    case 'bait':
      return (
        <SelectField
          label="How it lies on the hook"
          value={state.hangs}
          options={BAIT_HANGS.map((value) => ({ value, name: BAIT_HANG_WORDS[value] }))}
          onChange={(hangs) => set('threadBait', { of: 'bait', hangs })}
        />
      );
    case 'tube':
      return (
        <QuantityField
          label={state.cutLengthM === null ? 'Cut length: as worked out' : 'Cut length, set by hand'}
          kind="length"
          si={state.cutLengthM ?? 0.015}
          unit={unit}
          minSi={0.002}
          maxSi={0.1}
          onCommit={(cutLengthM) => set('tube', { of: 'tube', cutLengthM })}
        />
      );
    case 'swivel':
      return (
        <SelectField
          label="Condition: only whether it turns freely matters, not what it cost"
          value={state.condition}
          options={SWIVEL_CONDITIONS.map((value) => ({ value, name: CONDITION_WORDS[value] }))}
          onChange={(condition) => set('swivel', { of: 'swivel', condition })}
        />
      );
    case 'rivet':
      return (
        <SelectField
          label="How it sits on the wire"
          value={state.fixing}
          options={RIVET_FIXINGS.map((value) => ({ value, name: FIXING_WORDS[value] }))}
          onChange={(fixing) => set('rivet', { of: 'rivet', fixing })}
        />
      );
    case 'skirt':
      return (
        <>
          <SlideField
            label="Collar along the strands: near an end it flares"
            words={`${Math.round(state.collarAt * 100)} %`}
            value={Math.round(state.collarAt * 100)}
            min={12}
            max={50}
            step={1}
            onSlide={(value) => slide({ ...state, collarAt: value / 100 })}
            onSettle={() => doDraft('collar')}
          />
          <Button onClick={() => set('tips', { ...state, tips: state.tips === 'even' ? 'thinned' : 'even' })}>
            {state.tips === 'even' ? 'Thin the tips unevenly' : 'Leave the tips even'}
          </Button>
        </>
      );
    case 'trailer':
      if (part.kind !== 'trailer') return null;
      return (
        <>
          <QuantityField
            label="Cut off its head"
            kind="length"
            si={state.cutM}
            unit={unit}
            minSi={0}
            maxSi={part.lengthM * 0.7}
            onCommit={(cutM) => set('cutTrailer', { ...state, cutM })}
          />
          <SlideField
            label="Threaded off straight"
            words={degrees(state.crookedRad)}
            value={Math.round(inDegrees(state.crookedRad))}
            min={0}
            max={20}
            step={1}
            onSlide={(value) => slide({ ...state, crookedRad: inRadians(value) })}
            onSettle={() => doDraft('threadTrailer')}
          />
          <Button onClick={() => set('roundTrailer', { ...state, rounded: !state.rounded })}>
            {state.rounded ? 'Leave its head as cut' : 'Round its head'}
          </Button>
          <Button onClick={() => set('buryPoint', { ...state, pointBuried: !state.pointBuried })}>
            {state.pointBuried ? 'Let the point stand free' : 'Bury the point in its back'}
          </Button>
        </>
      );
    case 'sleeve':
      if (part.kind !== 'sleeve') return null;
      return (
        <>
          {part.material === 'plastic' && (
            <QuantityField
              label="Cut to length"
              kind="length"
              si={part.lengthM}
              unit={unit}
              minSi={0.002}
              maxSi={0.1}
              onCommit={(lengthM) => {
                const massKg = (part.massKg * lengthM) / part.lengthM;
                change('tube', [{ kind: 'swapPart', item: item.id, part: { ...part, lengthM, massKg } }]);
              }}
            />
          )}
          <Button onClick={() => set('slideTube', { of: 'sleeve', slidUp: !state.slidUp })}>
            {state.slidUp ? 'Slide it off the end again' : 'Slide it up over the end of the loop'}
          </Button>
        </>
      );
    case 'deltaBlade':
      return (
        <Button onClick={() => set('clack', { of: 'deltaBlade', clacks: !state.clacks })}>
          {state.clacks ? 'It need not tick on the head' : 'It is meant to tick on the head'}
        </Button>
      );
    case 'lock':
      return (
        <SlideField
          label="Turns about the collar"
          words={String(state.turns)}
          value={state.turns}
          min={1}
          max={8}
          step={1}
          onSlide={(turns) => slide({ of: 'lock', turns })}
          onSettle={() => doDraft('lock')}
        />
      );
    case 'nail':
      return <NailFields item={item} state={state} unit={unit} />;
    case undefined:
      return part.kind === 'screwEye' && part.style === 'screw' ? <EyeFields item={item} unit={unit} /> : null;
    default:
      return never(state, 'PieceFields');
  }
}

function inDegrees(angleRad: number): number {
  return (angleRad * 180) / Math.PI;
}

function inRadians(angleDeg: number): number {
  return (angleDeg * Math.PI) / 180;
}
