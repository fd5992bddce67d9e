import type { BuildDocument } from '@/core/car/document/document';
import { offsetsApart, type StepPicture, stepPictures } from '@/core/worked/space/apart';
import { type Still, stillOf } from '@/core/worked/space/still';
import { type Thing, thingsOf } from '@/core/worked/space/thingsOfCar';
import type { Picture } from './definition';

const [INK, QUIET, RULE, MOSS] = ['#20241F', '#5B6158', '#C9C3B3', '#3F6B3A'];
const [WIDTH, GAP, COLUMNS, LABEL] = [520, 12, 3, 14];

const at = (value: number) => String(Number(value.toFixed(2)));

function flat({ shapes }: Still, inkOf: (id: string) => string, scale: number): string {
  return shapes
    .map(({ id, outlines, bars }) => {
      const ink = inkOf(id);
      const path = (d: string, more: string) => `<path d="${d}" stroke="${ink}" ${more}/>`;
      const places = (points: readonly (readonly [number, number])[]) =>
        points.map((point) => point.map(at).join(' ')).join('L');
      return [
        ...outlines.map((points) =>
          path(`M${places(points)}Z`, `fill="${ink}" fill-opacity="0.18" stroke-width="${at(0.7 / scale)}"`),
        ),
        ...bars.map(({ from, to, acrossMm }) =>
          path(
            `M${places([from, to])}`,
            `fill="none" stroke-width="${at(acrossMm)}" stroke-linecap="round" stroke-opacity="0.85"`,
          ),
        ),
      ].join('');
    })
    .join('');
}

const placed = ({ leftMm, topMm }: Still, scale: number, x: number, y: number, inner: string) =>
  `<g transform="translate(${at(x)} ${at(y)}) scale(${at(scale)}) translate(${at(-leftMm)} ${at(-topMm)})">${inner}</g>`;

const svg = (height: number, inner: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${at(height)}" width="${WIDTH}" height="${at(height)}">${inner}</svg>`;

/** The car taken apart, from the left; none while no corner of it is drawn. */
export function apartPicture(document: BuildDocument): Picture | undefined {
  const things = thingsOf(document);
  const still = things.some(({ of }) => of)
    ? stillOf(things, 'left', new Map(), offsetsApart(things))
    : undefined;
  if (!still) return undefined;
  const scale = WIDTH / still.wideMm;
  const height = still.highMm * scale;
  return {
    name: 'apart',
    aspect: height / WIDTH,
    caption: 'Taken apart, from the left, to scale, the front to the left.',
    svg: svg(height, placed(still, scale, 0, 0, flat(still, inkOfThing(things), scale))),
  };
}

const inkOfThing = (things: readonly Thing[]) => {
  const moving = new Set(things.flatMap(({ id, of }) => (of ? [id] : [])));
  return (id: string) => (moving.has(id) ? INK : QUIET);
};

/** The steps of the assembly in their order, each with what it joins, and what is on the car by then. */
export function stepsPicture(document: BuildDocument): Picture | undefined {
  const things = thingsOf(document);
  const all = stepPictures(document, things);
  const steps = all.filter(({ now }) => now.size > 0);
  const still = stillOf(things, 'above');
  if (!still || steps.length === 0) return undefined;
  const numbers = new Map(all.map(({ id }, k) => [id, k + 1]));
  const wide = (WIDTH - (COLUMNS - 1) * GAP) / COLUMNS;
  const scale = wide / still.wideMm;
  const high = still.highMm * scale + LABEL + GAP;
  const cell = ({ id, now, later }: StepPicture, k: number) => {
    const [x, y] = [(k % COLUMNS) * (wide + GAP), Math.floor(k / COLUMNS) * high];
    const label = `<text x="${at(x)}" y="${at(y + 10)}" font-family="Roboto" font-size="10" font-weight="bold" fill="${INK}">${numbers.get(id)}</text>`;
    const ink = (thing: string) => (now.has(thing) ? MOSS : later.has(thing) ? RULE : INK);
    return label + placed(still, scale, x, y + LABEL, flat(still, ink, scale));
  };
  const height = Math.ceil(steps.length / COLUMNS) * high;
  return {
    name: 'steps',
    aspect: height / WIDTH,
    caption:
      'Step by step from above, numbered as in the list: what is joined is green, what is not on the car yet is pale.',
    svg: svg(height, steps.map(cell).join('')),
  };
}
