/** How the stage is looked at: how near, moved by how much. Not kept: a lure is opened at rest. */
import { create } from 'zustand';
import { AT_REST, type StageLook, type StageView } from '@/drawing/stage-view';

export interface StageLookState {
  readonly look: StageLook;
}

export const useStageLook = create<StageLookState>(() => ({ look: AT_REST }));

const LEAST_ZOOM = 0.5;
const MOST_ZOOM = 12;
/** One press of a button. */
export const ZOOM_STEP = 1.35;

export function lookAtRest() {
  useStageLook.setState({ look: AT_REST });
}

/** Comes nearer by a factor, with what lies at that point of the stage staying there. */
export function zoomBy(factor: number, view: StageView, at: { readonly x: number; readonly y: number }) {
  const { look } = useStageLook.getState();
  const zoom = Math.min(MOST_ZOOM, Math.max(LEAST_ZOOM, look.zoom * factor));
  const pxPerMm = (view.pxPerMm / look.zoom) * zoom;
  const [fromMiddleX, fromMiddleY] = [at.x - view.widthPx / 2, at.y - view.middleY];
  useStageLook.setState({
    look: {
      zoom,
      panXMm: look.panXMm + fromMiddleX / view.pxPerMm - fromMiddleX / pxPerMm,
      panYMm: look.panYMm + fromMiddleY / view.pxPerMm - fromMiddleY / pxPerMm,
    },
  });
}

/** Moves the drawing under the hand, px. */
export function panBy(xPx: number, yPx: number, view: StageView) {
  const { look } = useStageLook.getState();
  useStageLook.setState({
    look: { ...look, panXMm: look.panXMm - xPx / view.pxPerMm, panYMm: look.panYMm - yPx / view.pxPerMm },
  });
}
