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
  dxf.setVariable('$DWGCODEPAGE', { 3: 'ANSI_1252' });
  for (const [name, colour] of Object.entries(LAYERS)) dxf.addLayer(name, colour, 'Continuous');
  for (const { layer, points } of lines) {
    dxf.addLWPolyline(
      points.map(({ x, y }) => ({ point: point2d(x, -y) })),
      { layerName: layer },
    );
  }
  for (const { layer, words, at, sizeMm, anchor } of texts) {
    const place = point3d(at.x, -at.y);
    dxf.addText(place, sizeMm, dxfText(words), {
      layerName: layer,
      secondAlignmentPoint: place,
      horizontalAlignment: ALIGN[anchor],
      verticalAlignment: TextVerticalAlignment.BaseLine,
    });
  }
  return dxf.stringify();
}

/**
 * Text of one line in the letters every reader of DXF knows: others by their number, \\U+0416. A control character would end
 * the value, and two per cent signs would begin a code.
 */
function dxfText(words: string): string {
  return Array.from({ length: words.length }, (_, i) => words.charCodeAt(i))
    .map((code) => {
      if (code < 0x20 || code === 0x7f) return ' ';
      return code < 0x7f ? String.fromCharCode(code) : `\\U+${code.toString(16).toUpperCase().padStart(4, '0')}`;
    })
    .join('')
    .replace(/%%/g, '% %');
}
