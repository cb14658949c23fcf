/** Letters of a name that the type in a PDF has none for. */
export function lackingWords(letters: string): string {
  return `⚠ The type that ships has no letter for ${letters}: the PDF shows [] there. Printing from here uses the type of this computer.`;
}
