/** A name inside a sentence: its first letter small, unless it begins with an abbreviation. */
export const inSentence = (name: string): string =>
  /^[A-Z][A-Z0-9]/.test(name) ? name : `${name.charAt(0).toLowerCase()}${name.slice(1)}`;

/** Without the stop at its end, to go on in a sentence. */
export const withoutStop = (text: string): string => text.trim().replace(/[.!]+$/, '');
