/** A page as PDF 1.7: vector paths and embedded type, one point being 1/72 in. */
import fontkit from '@pdf-lib/fontkit';
import { degrees, LineJoinStyle, PDFDocument, rgb, setLineJoin, type PDFFont, type PDFPage } from 'pdf-lib';
import { pageSize, type Mark, type Measure, type Page, type Weight } from './page';

const POINTS_PER_MM = 72 / 25.4;

/** Type for each weight, the second file for letters that the first does not have. */
export type FontFiles = Readonly<Record<Weight, readonly Uint8Array[]>>;

type Fonts = Readonly<Record<Weight, readonly Face[]>>;

interface Face {
  readonly font: PDFFont;
  readonly has: ReadonlySet<number>;
}

/** @param made the time written into the file, so that the same page at the same time gives the same file */
export async function writePdf(pages: readonly Page[], files: FontFiles, made: Date): Promise<Uint8Array<ArrayBuffer>> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(fontkit);
  const fonts = await embed(pdf, files);
  pdf.setTitle(pages[0]?.title ?? '');
  pdf.setProducer('Mazurka');
  pdf.setCreator('Mazurka');
  pdf.setCreationDate(made);
  pdf.setModificationDate(made);
  for (const page of pages) {
    const { widthMm, heightMm } = pageSize(page);
    const sheet = pdf.addPage([widthMm * POINTS_PER_MM, heightMm * POINTS_PER_MM]);
    sheet.pushOperators(setLineJoin(LineJoinStyle.Round));
    for (const mark of page.marks) {
      if (mark.mark === 'path') drawPath(sheet, mark, heightMm);
      else drawText(sheet, mark, heightMm, fonts);
    }
  }
  return new Uint8Array(await pdf.save());
}

/** Measures text as the PDF will set it. */
export async function pdfMeasure(files: FontFiles): Promise<Measure> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(fontkit);
  const fonts = await embed(pdf, files);
  // A width grows with the size of its type: each text is measured once.
  const known = new Map<string, number>();
  return (text, sizeMm, weight) => {
    const key = `${weight} ${text}`;
    let perMm = known.get(key);
    if (perMm === undefined) {
      perMm = runs(text, fonts[weight]).reduce((sum, { text: run, font }) => sum + font.widthOfTextAtSize(run, 1), 0);
      known.set(key, perMm);
    }
    return perMm * sizeMm;
  };
}

async function embed(pdf: PDFDocument, files: FontFiles): Promise<Fonts> {
  const faces = (weight: Weight) =>
    Promise.all(
      files[weight].map(async (bytes): Promise<Face> => {
        const font = await pdf.embedFont(bytes, { subset: true });
        return { font, has: new Set(font.getCharacterSet()) };
      }),
    );
  return { regular: await faces('regular'), bold: await faces('bold') };
}

/** Letters of these pages that none of the files has: they are drawn as an empty box. */
export async function lettersWithoutType(pages: readonly Page[], files: FontFiles): Promise<string> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(fontkit);
  const fonts = await embed(pdf, files);
  const lacking = new Set<string>();
  for (const mark of pages.flatMap(({ marks }) => marks)) {
    if (mark.mark !== 'text') continue;
    for (const letter of mark.text) {
      const code = letter.codePointAt(0) ?? 0;
      if (!fonts[mark.weight].some(({ has }) => has.has(code))) lacking.add(letter);
    }
  }
  return [...lacking].join('');
}

/** What stands for a letter that no face has: every face has brackets. */
const NO_LETTER = '[]';

/** The text cut where the face changes; a letter that no face has is shown as an empty box. */
function runs(text: string, faces: readonly Face[]): { text: string; font: PDFFont }[] {
  const found: { text: string; font: PDFFont }[] = [];
  for (const letter of text) {
    const face = faces.find(({ has }) => has.has(letter.codePointAt(0) ?? 0));
    const font = (face ?? faces[0])?.font;
    if (!font) throw new Error('writePdf: needs at least one font file for each weight');
    const shown = face ? letter : NO_LETTER;
    const last = found.at(-1);
    if (last?.font === font) last.text += shown;
    else found.push({ text: shown, font });
  }
  return found;
}

function drawPath(sheet: PDFPage, mark: Extract<Mark, { mark: 'path' }>, heightMm: number): void {
  // The library scales a path evenly, so a mirrored one is turned over in its own coordinates first.
  const d = mark.scaleX < 0 ? mirrored(mark.d) : mark.d;
  const scale = Math.abs(mark.scaleX) * POINTS_PER_MM;
  sheet.drawSvgPath(d, {
    x: mark.xMm * POINTS_PER_MM,
    y: (heightMm - mark.yMm) * POINTS_PER_MM,
    scale,
    rotate: degrees((-mark.turnRad * 180) / Math.PI),
    ...(mark.fill === null ? {} : { color: colour(mark.fill), opacity: mark.opacity }),
    ...(mark.stroke === null
      ? {}
      : { borderColor: colour(mark.stroke), borderWidth: mark.strokeMm, borderOpacity: mark.opacity }),
  });
}

function drawText(sheet: PDFPage, mark: Extract<Mark, { mark: 'text' }>, heightMm: number, fonts: Fonts): void {
  const size = mark.sizeMm * POINTS_PER_MM;
  const parts = runs(mark.text, fonts[mark.weight]);
  const width = parts.reduce((sum, { text, font }) => sum + font.widthOfTextAtSize(text, size), 0);
  const shift = { start: 0, middle: width / 2, end: width }[mark.anchor];
  let x = mark.xMm * POINTS_PER_MM - shift;
  for (const { text, font } of parts) {
    sheet.drawText(text, { x, y: (heightMm - mark.yMm) * POINTS_PER_MM, size, font, color: colour(mark.colour) });
    x += font.widthOfTextAtSize(text, size);
  }
}

/** The path with every x turned to the other side; an arc's sweep turns with it. */
function mirrored(d: string): string {
  return d.replace(/([a-zA-Z])([^a-zA-Z]*)/g, (_, command: string, rest: string) => {
    const numbers = (rest.match(/-?\d*\.?\d+(?:e-?\d+)?/g) ?? []).map(Number);
    const kind = command.toLowerCase();
    const turned = numbers.map((value, i) => {
      if (kind === 'v') return value;
      if (kind === 'h') return -value;
      if (kind === 'a') {
        const place = i % 7;
        return place === 5 ? -value : place === 4 ? 1 - value : place === 2 ? -value : value;
      }
      return i % 2 === 0 ? -value : value;
    });
    return `${command}${turned.join(' ')}`;
  });
}

function colour(hex: string) {
  const value = Number.parseInt(hex.slice(1), 16);
  return rgb(((value >> 16) & 255) / 255, ((value >> 8) & 255) / 255, (value & 255) / 255);
}
