const [END, ENTRY] = [0x06054b50, 0x02014b50];
/** A size that stands among the extra fields, and the id of its field (ZIP64). */
const [ELSEWHERE, LARGE_ID] = [0xffffffff, 1];
const [END_BYTES, ENTRY_BYTES, LONGEST_COMMENT] = [22, 46, 65_535];

/**
 * Sizes that an archive's directory says its files unpack to, bytes; empty where it has no directory that can be read.
 *
 * @see PKWARE, .ZIP File Format Specification, 4.3.12, 4.3.16 and 4.5.3
 */
export function declaredSizes(bytes: Uint8Array): { name: string; bytes: number }[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const lowest = Math.max(0, bytes.length - END_BYTES - LONGEST_COMMENT);
  let end = bytes.length - END_BYTES;
  while (end >= lowest && view.getUint32(end, true) !== END) end--;
  if (end < lowest) return [];
  const found: { name: string; bytes: number }[] = [];
  let at = view.getUint32(end + 16, true);
  while (at + ENTRY_BYTES <= bytes.length && view.getUint32(at, true) === ENTRY) {
    const nameBytes = view.getUint16(at + 28, true);
    const name = new TextDecoder().decode(bytes.subarray(at + ENTRY_BYTES, at + ENTRY_BYTES + nameBytes));
    const size = view.getUint32(at + 24, true);
    const extraAt = at + ENTRY_BYTES + nameBytes;
    const extraBytes = Math.min(view.getUint16(at + 30, true), bytes.length - extraAt);
    found.push({ name, bytes: size === ELSEWHERE ? largeSize(view, extraAt, extraBytes) : size });
    at = extraAt + view.getUint16(at + 30, true) + view.getUint16(at + 32, true);
  }
  return found;
}

/** The size of an entry whose four bytes were too few for it; as said in them where it stands nowhere. */
function largeSize(view: DataView, from: number, length: number): number {
  for (let at = from; at + 12 <= from + length; at += 4 + view.getUint16(at + 2, true))
    if (view.getUint16(at, true) === LARGE_ID) return Number(view.getBigUint64(at + 4, true));
  return ELSEWHERE;
}
