/** A square code that a phone reads, as rows of dark and light. */
import { create } from 'qrcode';

export interface Code {
  readonly size: number;
  readonly isDark: (row: number, column: number) => boolean;
}

/** @throws Error when the text is longer than such a code holds (some 2,900 letters). */
export function codeOf(text: string): Code {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  return { size: modules.size, isDark: (row, column) => modules.get(row, column) !== 0 };
}
