import Papa from 'papaparse';
import type { DrawnCorner } from '../../car/document/suspension';
import { refusal } from '../../base/errors';
import type { Vec3 } from '../../base/vec3';
import { namedPoints, withPoint } from './namedPoints';

declare module '../../base/errors' {
  interface RefusalFacts {
    'points.long': Record<never, never>;
    'points.empty': { columns: string };
    'points.unknown': { name: string; known: string };
    'points.numbers': { name: string };
  }
}

const COLUMNS = ['point', 'x_mm', 'y_mm', 'z_mm'] as const;
/** Larger than any list of points. */
const MOST_CHARACTERS = 20_000;
const FURTHEST_MM = 5000;

/** Hard points of a corner as CSV: x forward from its axle, y to the left, z up, mm. */
export function pointsToCsv(corner: DrawnCorner): string {
  return Papa.unparse(
    { fields: [...COLUMNS], data: namedPoints(corner).map(([name, at]) => [name, ...at]) },
    { newline: '\n' },
  );
}

/**
 * A corner with the points of a CSV text; points that it does not name stay. Decimal commas are read where the columns are
 * parted by semicolons or tabs.
 *
 * @throws CalcError at the line that names no point of this corner or holds no number
 */
export function pointsFromCsv(text: string, corner: DrawnCorner): DrawnCorner {
  if (text.length > MOST_CHARACTERS) throw refusal('', 'points.long');
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true });
  const known = new Set(namedPoints(corner).map(([name]) => name));
  const rows = data[0]?.[0]?.trim().toLowerCase() === 'point' ? data.slice(1) : data;
  if (rows.length === 0) throw refusal('', 'points.empty', { columns: COLUMNS.join(', ') });
  let next = corner;
  rows.forEach((row, index) => {
    const line = `line ${index + 1 + (data.length - rows.length)}`;
    const name = row[0]?.trim() ?? '';
    if (!known.has(name))
      throw refusal(line, 'points.unknown', { name: name.slice(0, 40), known: [...known].join(', ') });
    const at = [1, 2, 3].map((column) => Number((row[column] ?? '').trim().replace(',', '.') || NaN));
    if (at.some((value) => !Number.isFinite(value) || Math.abs(value) > FURTHEST_MM))
      throw refusal(line, 'points.numbers', { name });
    next = withPoint(next, name, at as unknown as Vec3);
  });
  return next;
}
