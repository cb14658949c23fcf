'use client';

import { Dialog } from 'radix-ui';
import X from 'lucide-react/icons/x';
import { useEffect, useRef, useState, type ReactNode, type RefObject } from 'react';
import { lastFocus } from './last-focus';

export interface SheetProps {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly title: string;
  readonly description: string;
  readonly wide?: boolean;
  /** As much of the page as several lures beside each other take. */
  readonly widest?: boolean;
  /** The page beside it is looked at while one chooses. */
  readonly clear?: boolean;
  /** Where the hand was before: takes the focus back when the sheet is closed. */
  readonly focusAfter?: RefObject<HTMLElement | null>;
  readonly children: ReactNode;
}

/** A sheet opens on what one came for, where it names that. */
function focusFirst(event: Event) {
  const sheet = event.currentTarget;
  const first = sheet instanceof HTMLElement ? sheet.querySelector<HTMLElement>('[data-focus-first]') : null;
  if (!first) return;
  event.preventDefault();
  first.focus();
}

/** While the sheet lies over it, nothing else on the page can be reached; what is told in a corner still is. */
function useInertRest(sheet: RefObject<HTMLElement | null>, isOpen: boolean): void {
  useEffect(() => {
    if (!isOpen) return;
    const rest = [...document.body.children].filter(
      (each): each is HTMLElement =>
        each instanceof HTMLElement &&
        !each.inert &&
        !each.contains(sheet.current) &&
        each.querySelector('[data-sonner-toaster]') === null &&
        !each.matches('script, style, [aria-live]'),
    );
    for (const each of rest) each.inert = true;
    return () => {
      for (const each of rest) each.inert = false;
    };
  }, [sheet, isOpen]);
}

/** A sheet laid over the page from the right: the page behind stays in sight. */
export function Sheet({
  open,
  onOpenChange,
  title,
  description,
  wide,
  widest,
  clear,
  focusAfter,
  children,
}: SheetProps) {
  const [opener] = useState(lastFocus);
  const sheet = useRef<HTMLDivElement>(null);
  useInertRest(sheet, open);
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className={`fixed inset-0 z-20 ${clear ? '' : 'bg-black/25'}`} />
        <Dialog.Content
          ref={sheet}
          onOpenAutoFocus={focusFirst}
          onCloseAutoFocus={(event) => {
            const to = [focusAfter?.current, opener].find((each) => each?.isConnected);
            if (!to) return;
            event.preventDefault();
            to.focus();
          }}
          className={`fixed inset-y-0 right-0 z-30 flex flex-col gap-3 border-l border-line bg-panel p-4 shadow-xl ${widest ? 'w-[min(72rem,100vw)]' : wide ? 'w-[min(44rem,100vw)]' : 'w-[min(30rem,100vw)]'}`}
        >
          <div className="flex items-start justify-between gap-3">
            <div>
              <Dialog.Title className="text-xl font-semibold">{title}</Dialog.Title>
              <Dialog.Description className="text-sm text-ink-soft">{description}</Dialog.Description>
            </div>
            <Dialog.Close
              aria-label="Close"
              className="inline-flex size-14 items-center justify-center rounded-md hover:bg-accent-soft"
            >
              <X aria-hidden size={20} />
            </Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
