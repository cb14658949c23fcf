'use client';

import {
  DndContext,
  MouseSensor,
  TouchSensor,
  closestCenter,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { SortableContext, horizontalListSortingStrategy, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import clsx from 'clsx';
import { useEffect, useRef, type KeyboardEvent } from 'react';
import { moveRun } from '@/core/lure/editing';
import type { Layout } from '@/core/geometry/layout';
import { CARRIER_WORDS } from '@/words/carrier-words';
import { lineOf, poseOf, type Line } from '@/core/geometry/placed';
import type { Build } from '@/core/lure/lure';
import { carrierRoom, wireEnd, type Carrier } from '@/core/carriers/carrier';
import { pointOn } from '@/core/carriers/wire-path';
import type { SpinSeat } from '@/core/geometry/seats';
import { bladeReach } from '@/core/parts/outline';
import { showLength, type UnitSystem } from '@/core/units/write';
import { PartPortrait } from '@/drawing/PartPortrait';
import type { StageView } from '@/drawing/stage-view';
import { KIND_WORDS, partTitle } from '@/words/part-words';
import { pick } from '@/desk/desk-state';
import { change } from '@/desk/open-lure';
import type { PartCommands } from './part-commands';
import type { StringUnit } from './string-units';

const LEAST_CHIP_PX = 56;
const LEADER_PX = 12;
const BAR_PX = 38;

export interface StringOfPartsProps {
  readonly build: Build;
  readonly layout: Layout;
  readonly view: StageView;
  readonly seats: readonly SpinSeat[];
  readonly units: readonly StringUnit[];
  readonly pickedKey: string | null;
  readonly onPickKey: (unit: StringUnit) => void;
  readonly commands: PartCommands;
  readonly system: UnitSystem;
}

/** The parts in threading order: each as long as it is, under its place on the drawing, with a handle big enough to take. */
export function StringOfParts(props: StringOfPartsProps) {
  const { build, view, units, pickedKey, onPickKey, commands, system } = props;
  const chipPx = Math.max(LEAST_CHIP_PX, Math.floor((view.widthPx - 16) / Math.max(units.length, 1)));
  const fits = chipPx * units.length <= view.widthPx;
  const rowPx = chipPx * units.length;
  const offsetPx = fits ? (view.widthPx - rowPx) / 2 : 0;
  const list = useRef<HTMLDivElement>(null);
  // After a key the picked handle has the focus, also when it is a new one: two legs come together as one clevis.
  const keepFocus = useRef(false);
  useEffect(() => {
    if (!keepFocus.current) return;
    keepFocus.current = false;
    list.current?.querySelector<HTMLElement>('[role="option"][tabindex="0"]')?.focus();
  });
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
  );

  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const dragged = units.find(({ key }) => key === active.id);
    const target = units.find(({ key }) => key === over?.id);
    if (!dragged?.strand || !target?.strand || dragged === target) return;
    const goesBack = target.strand.from > dragged.strand.from;
    const before = goesBack ? target.strand.from + target.strand.length : target.strand.from;
    change('move', moveRun(dragged.strand.from, dragged.strand.length, before));
  };

  const step = (by: number) => {
    const at = units.findIndex(({ key }) => key === pickedKey);
    const next = units[Math.min(units.length - 1, Math.max(0, at + by))];
    if (!next) return;
    onPickKey(next);
    keepFocus.current = true;
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const done = () => event.preventDefault();
    const direction = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : null;
    if (direction !== null) {
      done();
      if (event.altKey) {
        commands.move(direction);
        keepFocus.current = true;
      } else step(direction);
    } else if (event.key === 'Home' || event.key === 'End') {
      done();
      step(event.key === 'Home' ? -units.length : units.length);
    } else if (event.key === 'Enter') {
      done();
      commands.swap();
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
      done();
      if (!commands.canTakeOff) return;
      commands.takeOff();
      // What hangs on a part follows it, so the one before it is still there.
      step(-1);
    } else if (event.key === 'Insert' || event.key === 'i') {
      done();
      commands.insertAfter();
    }
  };

  return (
    <div className="overflow-x-auto">
      <div style={{ width: Math.max(view.widthPx, rowPx) }}>
        <StringBar {...props} chipPx={chipPx} offsetPx={offsetPx} leaders={fits} />
        <DndContext id="string" sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
          <SortableContext
            items={units.filter(({ strand }) => strand).map(({ key }) => key)}
            strategy={horizontalListSortingStrategy}
          >
            <div
              ref={list}
              role="listbox"
              tabIndex={-1}
              aria-label="The string, nose to tail"
              aria-orientation="horizontal"
              className="flex"
              style={{ paddingLeft: offsetPx, width: rowPx + offsetPx }}
              onKeyDown={onKeyDown}
            >
              {units.map((unit, i) => (
                <Chip
                  key={unit.key}
                  unit={unit}
                  carrierKind={build.carrier.kind}
                  widthPx={chipPx}
                  isPicked={unit.key === pickedKey}
                  isEntry={pickedKey === null ? i === 0 : unit.key === pickedKey}
                  onPick={() => onPickKey(unit)}
                  label={unitLabel(unit, build, system)}
                />
              ))}
            </div>
          </SortableContext>
        </DndContext>
      </div>
    </div>
  );
}

function endLabel(end: NonNullable<StringUnit['end']>, { carrier }: Build, system: UnitSystem): string {
  const name = CARRIER_WORDS[carrier.kind][end];
  if (end === 'tie' || end === 'body' || (end === 'nose' && carrierRoom(carrier).castsNose)) return name;
  const form = wireEnd(carrier, end);
  switch (form.form) {
    case 'plain':
      return `${name}, not formed`;
    case 'bentOver':
      return `${name}, turned down`;
    case 'knot':
      return `${name}, ${form.knot} knot`;
    case 'tiedLoop':
      return `${name}, loop of ${showLength(form.insideM, system)}`;
    default:
      return `${name}, ${showLength(form.insideDiameterM, system)} inside`;
  }
}

function unitLabel(unit: StringUnit, build: Build, system: UnitSystem): string {
  if (unit.end) return endLabel(unit.end, build, system);
  if (!unit.item) return unit.key;
  const leg = unit.leg === null ? '' : `, ${unit.leg} leg`;
  const role = unit.item.role === null ? '' : `, ${unit.item.role}`;
  return `${partTitle(unit.item.part)}${leg}${role}`;
}

function Chip({
  unit,
  carrierKind,
  widthPx,
  isPicked,
  isEntry,
  onPick,
  label,
}: {
  readonly unit: StringUnit;
  readonly carrierKind: Carrier['kind'];
  readonly widthPx: number;
  readonly isPicked: boolean;
  readonly isEntry: boolean;
  readonly onPick: () => void;
  readonly label: string;
}) {
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({
    id: unit.key,
    disabled: unit.strand === null,
  });
  const word = unit.item
    ? unit.leg === null
      ? KIND_WORDS[unit.item.part.kind].one
      : `${unit.leg} leg`
    : CARRIER_WORDS[carrierKind].short[unit.end ?? 'tail'];
  return (
    <div
      ref={setNodeRef}
      role="option"
      data-unit={unit.key}
      tabIndex={isEntry ? 0 : -1}
      aria-selected={isPicked}
      aria-label={label}
      title={label}
      {...listeners}
      onPointerUp={onPick}
      onFocus={onPick}
      style={{ width: widthPx, transform: CSS.Translate.toString(transform), transition }}
      className={clsx(
        'flex h-17 shrink-0 touch-manipulation flex-col items-center rounded-md border pt-0.5',
        isPicked ? 'border-accent bg-accent-soft' : 'border-transparent hover:bg-accent-soft',
        isDragging && 'z-10 bg-panel opacity-80 shadow-lg',
      )}
    >
      {unit.item ? (
        <PartPortrait part={unit.item.part} width={widthPx - 10} height={30} scale={5} />
      ) : (
        <svg width={24} height={30} viewBox="0 2 24 30" aria-hidden>
          <circle cx={12} cy={17} r={7} fill="none" stroke="var(--ink-soft)" strokeWidth={2.5} />
        </svg>
      )}
      <span className="max-w-full text-center text-sm leading-4">{word}</span>
    </div>
  );
}

/** True lengths: the stack in one lane, what hangs in the other; lines lead down to the handles. */
function StringBar({
  build,
  layout,
  view,
  seats,
  units,
  pickedKey,
  chipPx,
  offsetPx,
  leaders,
}: StringOfPartsProps & { readonly chipPx: number; readonly offsetPx: number; readonly leaders: boolean }) {
  /** From where to where along the lure, whichever line a thing lies on. */
  const across = (line: Line, x0M: number, x1M: number): [number, number] => {
    const [a, b] = [pointOn(poseOf(layout, line), x0M).xM, pointOn(poseOf(layout, line), x1M).xM];
    return [Math.min(a, b), Math.max(a, b)];
  };
  const spanOf = (unit: StringUnit): [number, number] | null => {
    if (unit.end === 'tie') return across('tie', 0, 0);
    if (unit.end === 'body') return across('run', layout.shaft.x0M, layout.shaft.x1M);
    if (unit.end) {
      const end = layout[unit.end];
      return across('run', Math.min(end.x0M, end.wraps.x0M), Math.max(end.x1M, end.wraps.x1M));
    }
    if (unit.strand) {
      const { from, length } = unit.strand;
      const [first, last] = [layout.strand[from], layout.strand[from + length - 1]];
      return first && last ? across('run', first.x0M, last.x1M) : null;
    }
    for (const { id, strand } of layout.carriers) {
      const own = strand.filter(({ item }) => item.id === unit.item?.id);
      const [first, last] = [own[0], own.at(-1)];
      if (first && last) return across(lineOf(id, 'run'), first.x0M, last.x1M);
    }
    const seat = seats.find(({ item }) => item.id === unit.item?.id);
    if (seat) return across(seat.line, seat.holeM, seat.holeM + bladeReach(seat.blade));
    const off = layout.off.find(({ item }) => item.id === unit.item?.id);
    return off ? across(off.line, off.x0M, off.x1M) : null;
  };
  const wire = across('run', layout.nose.x0M, layout.tail.x1M);
  const heightPx = BAR_PX + (leaders ? LEADER_PX : 0);
  return (
    <svg width={view.widthPx} height={heightPx} className="block" aria-hidden data-testid="string-bar">
      <line x1={view.toX(wire[0])} x2={view.toX(wire[1])} y1={13} y2={13} stroke="var(--line)" strokeWidth={2} />
      {units.map((unit, i) => {
        const span = spanOf(unit);
        if (!span) return null;
        const [x0, x1] = [view.toX(span[0]), view.toX(span[1])];
        const isPicked = unit.key === pickedKey;
        const lane = unit.isHeld && unit.item?.part.kind !== 'bell' ? 24 : 5;
        const hex = unit.item ? unit.item.part.finish.hex : build.carrier.wire.finish.hex;
        const chipX = offsetPx + (i + 0.5) * chipPx;
        return (
          <g key={unit.key}>
            {leaders && (
              <path
                d={`M${(x0 + x1) / 2} ${lane + 14}C${(x0 + x1) / 2} ${BAR_PX + 12} ${chipX} ${BAR_PX} ${chipX} ${heightPx}`}
                fill="none"
                stroke={isPicked ? 'var(--accent)' : 'var(--line)'}
                strokeWidth={isPicked ? 2.5 : 1.2}
              />
            )}
            <rect
              data-span={unit.key}
              x={x0}
              width={Math.max(x1 - x0, 1.2)}
              y={lane}
              height={14}
              rx={unit.strand ? 1.5 : 5}
              fill={hex}
              stroke={isPicked ? 'var(--accent)' : 'var(--ink-soft)'}
              strokeWidth={isPicked ? 2.5 : 0.8}
              className="cursor-pointer"
              onClick={() => pick(unit.pick)}
            />
          </g>
        );
      })}
    </svg>
  );
}
