/**
 * The type of the app as files that can be put into a PDF; they ship with it. Behind the app's own comes a second family for
 * the scripts that one lacks: Greek, Cyrillic and the accents of Vietnamese.
 */
import type { FontFiles } from './write-pdf';

const REGULAR = [
  new URL(
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
    import.meta.url,
  ),
  new URL(
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff',
    import.meta.url,
  ),
  new URL('@fontsource/noto-sans/files/noto-sans-cyrillic-400-normal.woff', import.meta.url),
  new URL('@fontsource/noto-sans/files/noto-sans-cyrillic-ext-400-normal.woff', import.meta.url),
  new URL('@fontsource/noto-sans/files/noto-sans-greek-400-normal.woff', import.meta.url),
  new URL('@fontsource/noto-sans/files/noto-sans-vietnamese-400-normal.woff', import.meta.url),
];
const BOLD = [
  new URL(
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
    import.meta.url,
  ),
  new URL(
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff',
    import.meta.url,
  ),
  new URL('@fontsource/noto-sans/files/noto-sans-cyrillic-700-normal.woff', import.meta.url),
  new URL('@fontsource/noto-sans/files/noto-sans-cyrillic-ext-700-normal.woff', import.meta.url),
  new URL('@fontsource/noto-sans/files/noto-sans-greek-700-normal.woff', import.meta.url),
  new URL('@fontsource/noto-sans/files/noto-sans-vietnamese-700-normal.woff', import.meta.url),
];

export async function sheetFonts(): Promise<FontFiles> {
  const read = (urls: readonly URL[]) =>
    Promise.all(
      urls.map(async (url) => {
        const response = await fetch(url);
        if (!response.ok) throw new Error(`the type ${url.pathname} is not to be had`);
        return new Uint8Array(await response.arrayBuffer());
      }),
    );
  return { regular: await read(REGULAR), bold: await read(BOLD) };
}
