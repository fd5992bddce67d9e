/** Exclusive or of the characters' codes, two hexadecimal digits. */
export function checksumOf(text: string): string {
  let sum = 0;
  for (let k = 0; k < text.length; k++) sum ^= text.charCodeAt(k) & 0xff;
  return sum.toString(16).toUpperCase().padStart(2, '0');
}
