type Point = readonly [x: number, y: number];

const DIGITS = 5;
const number = (value: number) => Number(value.toFixed(DIGITS)).toString();

/** Group codes and values, a line each. */
const pairs = (...values: (string | number)[]) => values.map((value) => `${value}\n`).join('');

/** A closed polyline. */
export const dxfLoop = (points: readonly Point[]): string =>
  `${pairs(0, 'POLYLINE', 8, '0', 66, 1, 70, 1, 10, '0.0', 20, '0.0', 30, '0.0')}${points.map(([x, y]) => pairs(0, 'VERTEX', 8, '0', 10, number(x), 20, number(y), 30, '0.0')).join('')}${pairs(0, 'SEQEND', 8, '0')}`;

export const dxfCircle = ([x, y]: Point, radiusMm: number): string =>
  pairs(0, 'CIRCLE', 8, '0', 10, number(x), 20, number(y), 30, '0.0', 40, number(radiusMm));

export const dxfText = ([x, y]: Point, text: string): string =>
  pairs(0, 'TEXT', 8, 'LABELS', 10, number(x), 20, number(y), 30, '0.0', 40, '4.0', 1, text);

/** A drawing in mm (DXF R12) of entities. */
export const dxfFile = (entities: readonly string[]): string =>
  `${pairs(0, 'SECTION', 2, 'HEADER', 9, '$ACADVER', 1, 'AC1009', 9, '$INSUNITS', 70, 4, 0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES')}${entities.join('')}${pairs(0, 'ENDSEC', 0, 'EOF')}`;
