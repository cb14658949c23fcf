/** A page as an SVG file of its own, its units millimetres. */
import { pageSize, placeText, type Mark, type Page } from './page';

export function writeSvg(page: Page): string {
  const { widthMm, heightMm } = pageSize(page);
  const marks = page.marks.map(markText).join('\n  ');
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}">
  <title>${escaped(page.title)}</title>
  ${marks}
</svg>
`;
}

function markText(mark: Mark): string {
  if (mark.mark === 'path') {
    return `<path d="${mark.d}" transform="${placeText(mark)}" fill="${mark.fill ?? 'none'}" stroke="${mark.stroke ?? 'none'}" stroke-width="${mark.strokeMm}" opacity="${mark.opacity}" stroke-linejoin="round"/>`;
  }
  const weight = mark.weight === 'bold' ? 700 : 400;
  return `<text x="${mark.xMm}" y="${mark.yMm}" font-size="${mark.sizeMm}" font-weight="${weight}" text-anchor="${mark.anchor}" fill="${mark.colour}" font-family="sans-serif">${escaped(mark.text)}</text>`;
}

/** Characters that XML has no way to write. */
const NOT_IN_XML = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ud800-\udfff\ufffe\uffff]/gu;

function escaped(words: string): string {
  return words
    .replace(NOT_IN_XML, ' ')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;');
}
