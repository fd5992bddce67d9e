import { createHash, randomBytes } from 'node:crypto';

/** What stands in a link and nowhere else: 256 bits. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** What of it is kept: whoever reads the database cannot use it. */
export const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** Letters that nobody mixes up when they are typed from a screen. */
const LETTERS = 'ABCDEFGHJKMNPQRSTVWXYZ23456789';

/** A code to type: 16 letters in groups of four, 78 bits. */
export function newCode(): string {
  const letters = Array.from(randomBytes(64))
    // those over the last whole round would come more often
    .filter((byte) => byte < 256 - (256 % LETTERS.length))
    .slice(0, 16)
    .map((byte) => LETTERS[byte % LETTERS.length]);
  return letters.length < 16 ? newCode() : letters.join('').match(/.{4}/g)!.join('-');
}
