'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { familySchema, type Family, type LureId } from '@/core/lure/lure';
import type { ShelfEntry } from '@/data/stored';
import type { DamagedRecord } from '@/data/lure-store';
import { Button } from '@/ui/Button';
import { SelectField } from '@/ui/SelectField';
import { Sheet } from '@/ui/Sheet';
import { isoDay } from '@/ui/today';
import { FAMILY_WORDS } from '@/words/family-words';
import { openSheet, useDesk } from '../desk-state';
import { LureFace } from './LureFace';
import { openLure, refreshList } from '../open-lure';
import { exportDamaged, salvageDamaged } from '../recovery';
import { putBackAndOpen } from '../shelf';
import { openStores } from '../stores';

const ROW_PX = 96;

/** All of one's lures with their drawings, the last changed first. */
export function LuresSheet({ onClose }: { readonly onClose: () => void }) {
  const lures = useDesk((state) => state.lures);
  return (
    <Sheet
      open
      wide
      onOpenChange={(open) => !open && onClose()}
      title="My lures"
      description={`${lures.length} of them, the last changed first.`}
    >
      <Damaged onClose={onClose} />
      <LureList lures={lures} onClose={onClose} />
      <PutAway onClose={onClose} />
    </Sheet>
  );
}

/** Records that cannot be read whole: what can be read, or the record as it is. */
function Damaged({ onClose }: { readonly onClose: () => void }) {
  const damaged = useDesk((state) => state.damaged);
  if (damaged.length === 0) return null;
  const open = async (record: DamagedRecord) => {
    const id = await salvageDamaged(record);
    if (id === null) return;
    onClose();
    await refreshList();
    await openLure(id);
  };
  return (
    <section aria-label="Damaged" className="flex flex-col gap-1 rounded-md bg-caution-soft p-2">
      <h3 className="font-semibold">⚠ Damaged, and left as they are</h3>
      <ul className="max-h-40 overflow-y-auto">
        {damaged.map((record) => (
          <li key={`${record.id} ${record.setAside}`} className="flex flex-wrap items-center gap-2">
            <span className="min-w-0 flex-1 break-words">{record.id}</span>
            <Button look="quiet" aria-label={`Open what can be read of ${record.id}`} onClick={() => void open(record)}>
              Open what can be read
            </Button>
            <Button look="quiet" aria-label={`Export ${record.id} as it is`} onClick={() => void exportDamaged(record)}>
              Export as it is
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Lures put away: they keep their place and all that was done to them. */
function PutAway({ onClose }: { readonly onClose: () => void }) {
  const lures = useDesk((state) => state.lures);
  const [away, setAway] = useState<readonly ShelfEntry[]>([]);
  useEffect(() => {
    let isHere = true;
    void openStores()
      .then((stores) => stores.lures.listAway())
      .then((list) => isHere && list.ok && setAway(list.value));
    return () => {
      isHere = false;
    };
  }, [lures]);
  if (away.length === 0) return null;
  const back = (id: string) => {
    onClose();
    void putBackAndOpen(id as LureId);
  };
  return (
    <details className="border-t border-line pt-1">
      <summary className="flex min-h-11 cursor-pointer items-center">
        {away.length === 1 ? 'One lure put away' : `${away.length} lures put away`}
      </summary>
      <ul className="max-h-60 overflow-y-auto">
        {away.map((lure) => (
          <li key={lure.id} className="flex flex-wrap items-center gap-2 border-t border-line py-1">
            <LureFace lure={lure} look="small" />
            <span className="ml-auto text-sm text-ink-soft">
              {lure.awayAt === null ? '' : `put away ${isoDay(lure.awayAt)}`}
            </span>
            <Button look="quiet" aria-label={`Put ${lure.name} back`} onClick={() => back(lure.id)}>
              Put back
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}

/** Only the lures in sight are read and drawn. */
function LureList({ lures, onClose }: { readonly lures: readonly ShelfEntry[]; readonly onClose: () => void }) {
  const openId = useDesk((state) => state.history?.lure.id);
  const [typed, setTyped] = useState('');
  const [family, setFamily] = useState<Family | 'all'>('all');
  const shown = useMemo(() => {
    const words = typed.trim().toLowerCase();
    return lures.filter(
      (lure) => (family === 'all' || lure.family === family) && lure.name.toLowerCase().includes(words),
    );
  }, [lures, typed, family]);
  const scroller = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PX,
    overscan: 3,
  });
  const choose = (id: string) => {
    onClose();
    void openLure(id as LureId);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    const isField = event.target instanceof HTMLSelectElement;
    if (by === 0 || isField) return;
    event.preventDefault();
    const at = event.target instanceof HTMLElement ? Number(event.target.dataset.row ?? -1) : -1;
    const next = Math.min(shown.length - 1, Math.max(0, at + by));
    const rowAt = () => scroller.current?.querySelector<HTMLElement>(`[data-row="${next}"]`);
    rows.scrollToIndex(next);
    // A row in sight takes the focus at once, so that the next key finds it there.
    const row = rowAt();
    if (row) row.focus({ preventScroll: true });
    else requestAnimationFrame(() => rowAt()?.focus());
  };
  return (
    <>
      <div className="flex flex-wrap items-end gap-2" role="presentation" onKeyDown={onKeyDown}>
        <label className="flex min-w-48 flex-1 flex-col gap-1 text-sm text-ink-soft">
          Find by name
          <input
            data-focus-first
            className="min-h-11 rounded-md border border-line bg-panel px-2.5 text-base text-ink"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
        <SelectField
          label="Kind"
          value={family}
          options={[
            { value: 'all', name: 'all kinds' },
            ...familySchema.options.map((value) => ({ value, name: FAMILY_WORDS[value] })),
          ]}
          onChange={setFamily}
        />
        <Button look="main" onClick={() => openSheet('new')}>
          New lure
        </Button>
      </div>
      <div ref={scroller} role="presentation" onKeyDown={onKeyDown} className="-mx-4 flex-1 overflow-y-auto px-4">
        <ul style={{ height: rows.getTotalSize() }} className="relative" aria-label="My lures">
          {rows.getVirtualItems().map(({ index, start }) => {
            const lure = shown[index];
            if (!lure) return null;
            return (
              <li key={lure.id} className="absolute inset-x-0" style={{ top: start, height: ROW_PX }}>
                <button
                  type="button"
                  data-row={index}
                  aria-current={lure.id === openId ? 'true' : undefined}
                  className="flex size-full items-center gap-4 rounded-md border-t border-line px-1 text-left hover:bg-accent-soft aria-[current]:bg-accent-soft"
                  onClick={() => choose(lure.id)}
                >
                  <LureFace lure={lure} look="large" />
                </button>
              </li>
            );
          })}
        </ul>
        {shown.length === 0 && <p className="py-6 text-ink-soft">No lure of that name. Fewer letters show more.</p>}
      </div>
    </>
  );
}
