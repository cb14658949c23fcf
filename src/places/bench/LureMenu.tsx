'use client';

import { memo } from 'react';
import { DropdownMenu } from 'radix-ui';
import ChevronDown from 'lucide-react/icons/chevron-down';
import type { LureId } from '@/core/lure/lure';
import { Button } from '@/ui/Button';
import { openSheet, useDesk } from '@/desk/desk-state';
import { openLure } from '@/desk/open-lure';
import { MENU, MENU_ITEM } from './menu-looks';

/** The lures last changed; the rest are in the list with drawings. */
const SHOWN = 12;

export const LureMenu = memo(function LureMenu({ openId }: { readonly openId: string }) {
  const lures = useDesk((state) => state.lures);
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>
        <Button aria-label="Lures">
          Lures <ChevronDown aria-hidden size={18} />
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Content
        tabIndex={0}
        align="start"
        sideOffset={4}
        className={`${MENU} max-h-[70vh] overflow-y-auto`}
      >
        {lures.slice(0, SHOWN).map((lure) => (
          <DropdownMenu.Item key={lure.id} className={MENU_ITEM} onSelect={() => void openLure(lure.id as LureId)}>
            <span className={lure.id === openId ? 'font-semibold' : ''}>{lure.name}</span>
            <span className="ml-auto pl-6 text-sm text-ink-soft">{lure.isMade ? 'made' : 'design'}</span>
          </DropdownMenu.Item>
        ))}
        <DropdownMenu.Separator className="my-1 h-px bg-line" />
        <DropdownMenu.Item className={MENU_ITEM} onSelect={() => openSheet('lures')}>
          All {lures.length}, with their drawings
        </DropdownMenu.Item>
        <DropdownMenu.Item className={MENU_ITEM} onSelect={() => openSheet('new')}>
          Start a new lure
        </DropdownMenu.Item>
        <DropdownMenu.Item className={MENU_ITEM} asChild>
          <a href="/make">Being made, and made</a>
        </DropdownMenu.Item>
      </DropdownMenu.Content>
    </DropdownMenu.Root>
  );
});
