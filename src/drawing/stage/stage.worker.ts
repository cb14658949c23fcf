/** Paints the stage beside the page, so that neither waits for the other. */
import { PaintedStage, type Side, type StageShown } from './painted-stage';

/** `stage`: which canvases of the page it is about, by their number. */
export type ToStage =
  | {
      readonly say: 'canvases';
      readonly stage: number;
      readonly behind: OffscreenCanvas;
      readonly still: OffscreenCanvas;
      readonly before: OffscreenCanvas;
    }
  | { readonly say: 'show'; readonly stage: number; readonly shown: StageShown }
  | { readonly say: 'stop'; readonly stage: number };

/** `atMs`: when it was painted, ms since the epoch. */
export type FromStage = { readonly stage: number } & (
  | { readonly say: 'painted'; readonly atMs: number }
  | { readonly say: 'failed'; readonly reason: string }
  | { readonly say: 'side'; readonly side: Side }
);

/** The last canvases that were given: one stage is painted at a time. */
let open: { readonly number: number; readonly stage: PaintedStage } | null = null;

addEventListener('message', ({ data }: MessageEvent<ToStage>) => {
  const tell = (message: FromStage) => postMessage(message);
  const { stage: number } = data;
  if (data.say === 'canvases') {
    open?.stage.stop();
    const stage = new PaintedStage(data, (side) => tell({ say: 'side', stage: number, side }), open?.stage);
    open = { number, stage };
    return;
  }
  if (open?.number !== number) return;
  if (data.say === 'stop') {
    open.stage.stop();
    return;
  }
  try {
    open.stage.show(data.shown, () =>
      tell({ say: 'painted', stage: number, atMs: performance.timeOrigin + performance.now() }),
    );
  } catch (error) {
    tell({ say: 'failed', stage: number, reason: error instanceof Error ? error.message : String(error) });
  }
});
