'use client';

import { familySchema, type Family } from '@/core/lure/lure';
import { DEMO_LURES } from '@/demo/scenario';
import { LurePicture } from '@/drawing/LurePicture';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { FAMILY_WORDS } from '@/words/family-words';
import { startFrom, startNewLure } from '@/desk/shelf';

const PLAIN_WORDS: Readonly<Record<Family, string>> = {
  inlineSpinner: 'A straight wire with a loop at both ends; blade, beads and body threaded on it, the hook behind.',
  spinnerbait:
    'A wire bent back on itself: head, hook and skirt on the lower arm, blades on the upper. Bought as a frame, or bent by hand.',
  wormHarness:
    'A leader of line: one to three hooks snelled on it, beads and a blade ahead of them that slide. For worm, minnow or leech behind a bottom sinker.',
  bladeLeader:
    'A short leader of line with a blade that turns on it, to tie or snap ahead of any lure: it flashes, and it lifts.',
  bladeAhead:
    'A blade between two stops on the line ahead of a lure. Near the lure is chased; far ahead the blade itself is taken.',
  hardBait:
    'The body of a hard bait: a blade that swings and ticks under its belly, or a treble with a small blade of its own.',
  underspin:
    'A jig head with a blade that hangs below on its own arm, a soft body on the hook, and a nail weight for it to knock on if you like.',
  buzzbait: 'A bent wire with a turning screw of sheet on its arm that churns the surface, clacking or not.',
};

const STARTS_WITH: Readonly<Record<Family, string>> = {
  inlineSpinner: 'Start with bare wire',
  spinnerbait: 'Start with bare wire',
  buzzbait: 'Start with bare wire',
  wormHarness: 'Start with bare line',
  bladeLeader: 'Start with bare line',
  bladeAhead: 'Start with bare line',
  hardBait: 'Start with a bare body',
  underspin: 'Start with bare wire',
};

/** What are you building? Each kind in plain words and a drawing: from the bare wire, or from one that is built already. */
export function NewLureSheet({ onClose }: { readonly onClose: () => void }) {
  const begin = (start: () => Promise<void>) => {
    onClose();
    void start();
  };
  return (
    <Sheet
      open
      wide
      onOpenChange={(open) => !open && onClose()}
      title="What are you building?"
      description="From the bare wire, or from one like it."
    >
      <div className="flex flex-col gap-3 overflow-y-auto">
        {familySchema.options.map((family) => {
          const likes = DEMO_LURES.filter((lure) => lure.family === family);
          const [like] = likes;
          return (
            <section
              key={family}
              aria-label={FAMILY_WORDS[family]}
              className="flex flex-col gap-2 border-t border-line pt-3"
            >
              <div className="flex flex-wrap gap-4">
                <span className="rounded-md bg-stage">
                  {like && <LurePicture build={like.build} width={300} height={140} scale={2.2} />}
                </span>
                <div className="flex min-w-52 flex-1 flex-col gap-1.5">
                  <h3 className="text-lg font-semibold">{FAMILY_WORDS[family]}</h3>
                  <p className="text-ink-soft">{PLAIN_WORDS[family]}</p>
                  <Button look="main" className="self-start" onClick={() => begin(() => startNewLure(family))}>
                    {STARTS_WITH[family]}
                  </Button>
                </div>
              </div>
              <div className="flex flex-wrap items-center gap-1.5 text-sm text-ink-soft">
                Or from one like
                {likes.map((lure) => (
                  <Button key={lure.id} look="quiet" onClick={() => begin(() => startFrom(lure))}>
                    {lure.name}
                  </Button>
                ))}
              </div>
            </section>
          );
        })}
      </div>
    </Sheet>
  );
}
