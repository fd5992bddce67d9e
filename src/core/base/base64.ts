import { refusal } from './errors';

declare module './errors' {
  interface RefusalFacts {
    'base64.cutOff': Record<never, never>;
    'base64.character': { at: number };
  }
}

const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/';
const VALUES = new Int16Array(128).fill(-1);
for (let index = 0; index < ALPHABET.length; index++) VALUES[ALPHABET.charCodeAt(index)] = index;

/** Bytes as base64, padded. Source: RFC 4648. */
export function toBase64(bytes: Uint8Array): string {
  const parts: string[] = [];
  for (let at = 0; at < bytes.length; at += 3) {
    const word = (bytes[at]! << 16) | ((bytes[at + 1] ?? 0) << 8) | (bytes[at + 2] ?? 0);
    parts.push(
      ALPHABET[(word >> 18) & 63]! +
        ALPHABET[(word >> 12) & 63]! +
        (at + 1 < bytes.length ? ALPHABET[(word >> 6) & 63]! : '=') +
        (at + 2 < bytes.length ? ALPHABET[word & 63]! : '='),
    );
  }
  return parts.join('');
}

/**
 * Bytes of a base64 text; white space is passed over.
 *
 * @throws CalcError with the path given, at a character that does not belong or a text that is cut off
 */
export function fromBase64(text: string, path: string): Uint8Array<ArrayBuffer> {
  const clean = text.replace(/\s+/g, '').replace(/=+$/, '');
  if (clean.length % 4 === 1) throw refusal(path, 'base64.cutOff');
  const bytes = new Uint8Array(Math.floor((clean.length * 3) / 4));
  let [word, bits, to] = [0, 0, 0];
  for (let at = 0; at < clean.length; at++) {
    const code = clean.charCodeAt(at);
    const value = code < 128 ? VALUES[code]! : -1;
    if (value < 0) throw refusal(path, 'base64.character', { at: at + 1 });
    word = (word << 6) | value;
    bits += 6;
    if (bits < 8) continue;
    bits -= 8;
    bytes[to++] = (word >> bits) & 255;
  }
  return bytes;
}
