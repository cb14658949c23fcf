import type { Page } from './page';

export interface Pdf {
  readonly bytes: Uint8Array<ArrayBuffer>;
  /** Letters that the type that ships has none for; they are drawn as []. */
  readonly lacking: string;
}

/** Pages as one PDF. What writes it, and its type, come when it is first asked for. */
export async function pdfOf(pages: readonly Page[], made: Date): Promise<Pdf> {
  const [{ lettersWithoutType, writePdf }, { sheetFonts }] = await Promise.all([
    import('./write-pdf'),
    import('./sheet-fonts'),
  ]);
  const fonts = await sheetFonts();
  return { bytes: await writePdf(pages, fonts, made), lacking: await lettersWithoutType(pages, fonts) };
}
