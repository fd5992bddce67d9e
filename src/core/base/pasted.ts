/** Two numbers a line as they are pasted, apart by spaces, tabs or semicolons, with point or comma; undefined where a line is neither. */
export function pastedPairs(text: string): [number, number][] | undefined {
  const rows = text
    .split(/\n/)
    .map((line) => line.trim())
    .filter(Boolean)
    .map((line) =>
      line
        .split(/[\s;]+|,(?=\s)/)
        .filter(Boolean)
        .map((cell) => Number(cell.replace(',', '.'))),
    );
  const good = rows.length >= 2 && rows.every((row) => row.length === 2 && row.every(Number.isFinite));
  return good ? (rows as [number, number][]) : undefined;
}
