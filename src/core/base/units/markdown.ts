/** A text that Markdown takes as it is written, in one line. */
export const markdownText = (text: string): string =>
  text
    .replace(/[\\`*_[\]<>#|]/g, (sign) => `\\${sign}`)
    .replace(/\s+/g, ' ')
    .trim();
