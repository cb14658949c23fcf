'use client';

import { memo } from 'react';
import { DropdownMenu } from 'radix-ui';
import ChevronDown from 'lucide-react/icons/chevron-down';
import type { LureId } from '@/core/lure/lure';
import { Button } from '@/ui/Button';
import { compareWith, openSheet, useDesk } from '../desk-state';
import { LureFace } from './LureFace';
import { openLure } from '../open-lure';
import { MENU, MENU_ITEM, MyLures } from '../header/menu-looks';

/** The lures last changed; the rest are in the list with drawings. */
const SHOWN = 7;

export const LureMenu = memo(function LureMenu({ openId }: { readonly openId: string }) {
  const lures = useDesk((state) => state.lures);
  return (
    // The list is fetched while one looks at the menu.
    <DropdownMenu.Root modal={false} onOpenChange={(isOpen) => isOpen && void import('./LuresSheet')}>
      <DropdownMenu.Trigger asChild>
        <Button aria-label="My lures" className="max-sm:!px-2">
          <MyLures /> <ChevronDown aria-hidden size={18} />
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Content
        tabIndex={0}
        align="start"
        sideOffset={4}
        className={`${MENU} max-h-[70vh] overflow-y-auto`}
      >
        {lures.slice(0, SHOWN).map((lure) => (
          <DropdownMenu.Item
            key={lure.id}
            textValue={lure.name}
            aria-current={lure.id === openId ? 'true' : undefined}
            className={`${MENU_ITEM} gap-3 aria-[current]:bg-accent-soft`}
            onSelect={() => void openLure(lure.id as LureId)}
          >
            <LureFace lure={lure} look="small" />
          </DropdownMenu.Item>
        ))}
        <DropdownMenu.Separator className="my-1 h-px bg-line" />
        <DropdownMenu.Item className={MENU_ITEM} onSelect={() => openSheet('lures')}>
          All {lures.length}, with their drawings
        </DropdownMenu.Item>
        <DropdownMenu.Item className={MENU_ITEM} onSelect={() => openSheet('new')}>
          New lure
        </DropdownMenu.Item>
        <DropdownMenu.Item className={MENU_ITEM} onSelect={() => compareWith([])}>
          Compare this one with others
        </DropdownMenu.Item>
        <DropdownMenu.Item className={MENU_ITEM} asChild>
          <a href="/make">Being made, and made</a>
        </DropdownMenu.Item>
      </DropdownMenu.Content>
    </DropdownMenu.Root>
  );
});
