import chartsCss from '@/ui/charts/charts.module.css';
import type { PlacedBody } from '@/core/worked/chassis/bodiesOfBuild';
import { type Named, placeNames } from '@/ui/charts/placeNames';

export interface BesideBody extends Named {
  readonly y: number;
}

/** Names on one side of the drawn car. */
export interface NameBand {
  readonly named: readonly BesideBody[];
  /** Base line of the nearest row. */
  readonly y: number;
  /** -1 where the rows go up. */
  readonly way: 1 | -1;
}

const ROW = 1.35;

/** Height that the rows of a band take, mm. */
export const bandHeight = (band: NameBand, room: readonly [number, number], size: number): number =>
  Math.max(0, ...placeNames(band.named, room, size).map(({ row }) => (row + 1) * ROW * size));

/** The bodies whose names lie over and under the car: by the side that they are nearer to, what lies in the middle where fewer are. */
export function sidesOf(
  bodies: readonly PlacedBody[],
  across: (body: PlacedBody) => number,
  nameOf: (body: PlacedBody) => string,
): [BesideBody[], BesideBody[]] {
  const sides: [BesideBody[], BesideBody[]] = [[], []];
  for (const body of [...bodies].sort((a, b) => Math.abs(across(b)) - Math.abs(across(a)))) {
    const y = across(body);
    const middle = Math.abs(y) < body.sizeMm[1] / 4;
    const side = middle ? Number(sides[1].length < sides[0].length) : Number(y > 0);
    sides[side as 0 | 1].push({ id: body.id, text: nameOf(body), x: -body.xMm, y });
  }
  return sides;
}

interface NamesBesideProps {
  bands: readonly NameBand[];
  room: readonly [number, number];
  /** Of the letters, mm on the drawing. */
  size: number;
  chosen: string | undefined;
}

/** Every component's name beside the car, with a line to the middle of its box. */
export function NamesBeside({ bands, room, size, chosen }: NamesBesideProps) {
  const placed = bands.flatMap((band) =>
    placeNames(band.named, room, size).map((name) => ({
      ...name,
      box: band.named.find(({ id }) => id === name.id)!,
      y: band.y + band.way * name.row * ROW * size,
      edge: band.way > 0 ? -0.8 * size : 0.25 * size,
    })),
  );
  return (
    <g pointerEvents="none">
      {placed.map(({ id, at, y, edge, box }) => (
        <g key={id}>
          <line
            x1={at}
            y1={y + edge}
            x2={box.x}
            y2={box.y}
            stroke={id === chosen ? 'var(--moss)' : 'var(--quiet)'}
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
          />
          <circle
            cx={box.x}
            cy={box.y}
            r={0.14 * size}
            fill={id === chosen ? 'var(--moss)' : 'var(--quiet)'}
          />
        </g>
      ))}
      {placed.map(({ id, text, at, y }) => (
        <text
          key={id}
          x={at}
          y={y}
          textAnchor="middle"
          fontSize={size}
          strokeWidth={0.3 * size}
          className={id === chosen ? chartsCss.strong : undefined}
        >
          {text}
        </text>
      ))}
    </g>
  );
}
