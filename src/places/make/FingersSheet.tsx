'use client';

import { FINGERS } from '@/core/units/finger-spans';
import { QuantityField } from '@/ui/QuantityField';
import { Sheet } from '@/ui/Sheet';
import { FINGER_WORDS } from '@/words/finger-words';
import { changeSettings, useMake } from './make-store';

/** The user's own hand as a rule: measured once, then every length can be laid off by it. */
export function FingersSheet({ onClose }: { readonly onClose: () => void }) {
  const { fingers, system } = useMake((state) => state.settings);
  return (
    <Sheet
      open
      onOpenChange={(open) => !open && onClose()}
      title="Measures of your hand"
      description="Measured once with a rule. Lengths that come near whole quarters of them are then told that way too."
    >
      {FINGERS.map((finger) => (
        <QuantityField
          key={finger}
          label={FINGER_WORDS[finger].how}
          kind="length"
          si={fingers[finger]}
          unit={system === 'metric' ? 'mm' : 'in'}
          minSi={0.005}
          maxSi={0.3}
          onCommit={(si) => changeSettings({ fingers: { ...fingers, [finger]: si } })}
          onClear={() => changeSettings({ fingers: { ...fingers, [finger]: null } })}
        />
      ))}
    </Sheet>
  );
}
