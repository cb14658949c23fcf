/** A template as DXF, for a cutter or a drawing program: units millimetres, y up, one layer for each of its own. */
import { DxfWriter, point2d, point3d, TextHorizontalAlignment, TextVerticalAlignment, Units } from '@tarikjabiri/dxf';
import type { Layer, Template, TemplateText } from './template';

const LAYERS: Readonly<Record<Layer, number>> = { wire: 7, marks: 1, form: 5, bar: 3 };

const ALIGN: Readonly<Record<TemplateText['anchor'], TextHorizontalAlignment>> = {
  start: TextHorizontalAlignment.Left,
  middle: TextHorizontalAlignment.Center,
  end: TextHorizontalAlignment.Right,
};

export function writeDxf({ lines, texts }: Template): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const [name, colour] of Object.entries(LAYERS)) dxf.addLayer(name, colour, 'Continuous');
  for (const { layer, points } of lines) {
    dxf.addLWPolyline(
      points.map(({ x, y }) => ({ point: point2d(x, -y) })),
      { layerName: layer },
    );
  }
  for (const { layer, words, at, sizeMm, anchor } of texts) {
    const place = point3d(at.x, -at.y);
    dxf.addText(place, sizeMm, words, {
      layerName: layer,
      secondAlignmentPoint: place,
      horizontalAlignment: ALIGN[anchor],
      verticalAlignment: TextVerticalAlignment.BaseLine,
    });
  }
  return dxf.stringify();
}
