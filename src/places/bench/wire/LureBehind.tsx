'use client';

import { hasEndToTie, lureBehind } from '@/core/lure/tie-behind';
import type { Build, LureId } from '@/core/lure/lure';
import { Button } from '@/ui/Button';
import { SelectField } from '@/ui/SelectField';
import { useDesk } from '@/desk/desk-state';
import { takeLureOff, tieLureBehind } from '@/desk/lures/lure-behind';

const NONE = '';

/** What is tied on behind a line: one of the user's own lures. */
export function LureBehind({ build }: { readonly build: Build }) {
  const lures = useDesk((state) => state.lures);
  const openId = useDesk((state) => state.history?.lure.id);
  const behind = lureBehind(build);
  if (behind) {
    return (
      <Button className="self-start" onClick={() => takeLureOff(behind)}>
        Take off the lure behind
      </Button>
    );
  }
  const others = lures.filter(({ id }) => id !== openId);
  if (others.length === 0 || !hasEndToTie(build)) return null;
  return (
    <SelectField
      label="Tie one of your lures on behind"
      value={NONE}
      options={[
        { value: NONE, name: 'none' },
        ...others.map(({ id, name }) => ({ value: id, name })).toSorted((a, b) => a.name.localeCompare(b.name)),
      ]}
      onChange={(id) => void tieLureBehind(id as LureId)}
    />
  );
}
