import { refusal } from '../../base/errors';
import { checkedTriangles, type Mesh, welded } from './mesh';
import { refuseTooMany } from './tooMany';

declare module '../../base/errors' {
  interface RefusalFacts {
    'obj.long': { line: number; most: number };
    'obj.numbers': { line: number };
    'obj.face': { line: number };
    'obj.corner': { line: number; word: string };
  }
}

const LONGEST_LINE = 100_000;

/**
 * A mesh from OBJ text: its corners and faces, faces of more corners as fans; everything else is passed over.
 *
 * @throws CalcError with the path given, at the line that cannot be read
 */
export function readObj(text: string, path: string): Mesh {
  const places: number[] = [];
  const corners: number[] = [];
  for (let [start, number] = [0, 0]; start <= text.length; number++) {
    const end = text.indexOf('\n', start) < 0 ? text.length : text.indexOf('\n', start);
    if (end - start > LONGEST_LINE) throw refusal(path, 'obj.long', { line: number + 1, most: LONGEST_LINE });
    readLine(text.slice(start, end), number);
    start = end + 1;
  }
  checkedTriangles(corners.length / 9, path);
  return welded(Float64Array.from(corners), path);

  function readLine(line: string, number: number): void {
    const [kind, ...words] = line.trim().split(/\s+/);
    if (kind === 'v') {
      const at = words.slice(0, 3).map(Number);
      if (at.length < 3 || at.some((value) => !Number.isFinite(value)))
        throw refusal(path, 'obj.numbers', { line: number + 1 });
      places.push(...at);
    }
    if (kind !== 'f') return;
    if (words.length < 3) throw refusal(path, 'obj.face', { line: number + 1 });
    const face = words.map((word) => {
      const index = Number(word.split('/')[0]);
      const at = index < 0 ? places.length / 3 + index : index - 1;
      if (!Number.isInteger(index) || at < 0 || at >= places.length / 3)
        throw refusal(path, 'obj.corner', { line: number + 1, word: word.slice(0, 20) });
      return at;
    });
    for (let k = 1; k + 1 < face.length; k++)
      for (const at of [face[0]!, face[k]!, face[k + 1]!])
        corners.push(places[3 * at]!, places[3 * at + 1]!, places[3 * at + 2]!);
    refuseTooMany(corners.length / 9, path);
  }
}
