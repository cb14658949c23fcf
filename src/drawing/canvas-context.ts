/** A canvas of the page, or one that a worker paints on. */
export type Canvas = HTMLCanvasElement | OffscreenCanvas;
export type CanvasContext = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D;
