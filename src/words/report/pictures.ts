import type { BuildDocument } from '@/core/car/document/document';
import { weightOf } from '@/core/worked/chassis/weightOfBuild';
import { drivenOf } from '@/core/car/document/drive';
import type { ParetoRow } from '@/core/advice/learn/pareto';
import { type QuantityName, toShown, unitOf } from '@/core/base/units/quantities';
import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { Picture } from './definition';

/** Ink on paper: predicted dashed and hollow, measured solid. */
const [INK, QUIET, RULE, FAINT, SLATE, RUST, SHEET] = [
  '#20241F',
  '#5B6158',
  '#DAD5C8',
  '#EFEBE0',
  '#3A5D75',
  '#A3412A',
  '#FFFFFF',
];
const WIDTH = 520;

const escaped = (text: string) => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);
const at = (value: number) => String(Number(value.toFixed(2)));
const text = (x: number, y: number, words: string, more = '') =>
  `<text x="${at(x)}" y="${at(y)}" font-family="Roboto" font-size="9" fill="${INK}" ${more}>${escaped(words)}</text>`;
const line = (x1: number, y1: number, x2: number, y2: number, stroke: string, more = '') =>
  `<line x1="${at(x1)}" y1="${at(y1)}" x2="${at(x2)}" y2="${at(y2)}" stroke="${stroke}" ${more}/>`;
const circle = (x: number, y: number, r: number, fill: string, stroke = INK) =>
  `<circle cx="${at(x)}" cy="${at(y)}" r="${at(r)}" fill="${fill}" stroke="${stroke}"/>`;
const drawing = (name: string, height: number, caption: string, parts: readonly string[]): Picture => ({
  name,
  caption,
  aspect: height / WIDTH,
  svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${at(height)}" width="${WIDTH}" height="${at(height)}">${parts.join('')}</svg>`,
});

/**
 * The car from above, to scale, front to the left: axles, wheels, components by name, and where the weight
 * sits; none while its axles are missing.
 */
export function planPicture(document: BuildDocument): Picture | undefined {
  const weight = weightOf(document);
  const { wheelbaseMm: L, trackFrontMm, trackRearMm } = document.chassis;
  if (!weight.ok || L === undefined || trackFrontMm === undefined || trackRearMm === undefined)
    return undefined;
  const radius = document.drive.tyre?.radiusMm ?? 30;
  const [long, across] = [L + 2 * radius + 40, Math.max(trackFrontMm, trackRearMm) + 60];
  const scale = WIDTH / long;
  const height = across * scale;
  const [x, y] = [(mm: number) => (radius + 20 - mm) * scale, (mm: number) => height / 2 - mm * scale];
  const wheel = (xMm: number, track: number, driven: boolean) =>
    [-1, 1]
      .map(
        (side) =>
          `<rect x="${at(x(xMm + radius))}" y="${at(y((side * track) / 2 + 12))}" width="${at(2 * radius * scale)}" height="${at(24 * scale)}" fill="${driven ? INK : SHEET}" stroke="${INK}"/>`,
      )
      .join('');
  const axle = (xMm: number, track: number, driven: boolean) =>
    line(x(xMm), y(track / 2), x(xMm), y(-track / 2), INK, 'stroke-width="1.5"') + wheel(xMm, track, driven);
  const bodies = weight.value.bodies
    .filter(({ source, sprung }) => sprung && source !== 'rest')
    .sort((a, b) => b.sizeMm[0] * b.sizeMm[1] - a.sizeMm[0] * a.sizeMm[1]);
  const boxes = bodies.map(
    ({ xMm, yMm, sizeMm: [length, width] }, index) =>
      `<rect x="${at(x(xMm + length / 2))}" y="${at(y(yMm + width / 2))}" width="${at(length * scale)}" height="${at(width * scale)}" fill="${SHEET}" fill-opacity="0.55" stroke="${QUIET}"/>${text(x(xMm + length / 2) + 4, y(yMm + width / 2) + 10, String(index + 1), 'font-weight="bold"')}`,
  );
  const [cgX, cgY] = weight.value.cgMm;
  const frame = `<rect x="${at(x(12))}" y="${at(y(0.2 * trackFrontMm))}" width="${at((L + 24) * scale)}" height="${at(0.4 * trackFrontMm * scale)}" fill="${FAINT}" stroke="${RULE}"/>`;
  const mark = `${circle(x(cgX), y(cgY), 5, SHEET)}${line(x(cgX) - 8, y(cgY), x(cgX) + 8, y(cgY), INK)}${line(x(cgX), y(cgY) - 8, x(cgX), y(cgY) + 8, INK)}`;
  return drawing(
    'plan',
    height,
    `From above, to scale, the front to the left; driven wheels solid; the cross is the centre of gravity. ${bodies.map(({ name }, index) => `${index + 1} ${name.toLowerCase()}`).join(', ')}.`,
    [
      frame,
      axle(0, trackFrontMm, drivenOf(document.drive).includes('front')),
      axle(-L, trackRearMm, drivenOf(document.drive).includes('rear')),
      ...boxes,
      mark,
    ],
  );
}

export interface RunDot {
  label: string;
  mean: number;
  error: number;
  predicted?: { value: number; error: number };
}

/** Share of a bar that has room for its figure. */
const ROOM = 0.15;
const [ROW, LEFT, RIGHT, TOP, BOTTOM] = [24, 150, 14, 18, 20];

/** Measured against predicted, run by run; none without runs. */
export function runsPicture(
  rows: readonly RunDot[],
  quantity: QuantityName,
  wish: number | undefined,
  reader: Reader,
): Picture | undefined {
  if (rows.length === 0) return undefined;
  const unit = unitOf(quantity, reader.units);
  const all = [
    ...rows.flatMap(({ mean, error, predicted }) => [
      mean - error,
      mean + error,
      ...(predicted ? [predicted.value - predicted.error, predicted.value + predicted.error] : []),
    ]),
    ...(wish === undefined ? [] : [wish]),
  ].map((value) => toShown(value, unit));
  const room = 0.1 * (Math.max(...all) - Math.min(...all) || 1);
  const [low, high] = [Math.min(...all) - room, Math.max(...all) + room];
  const height = TOP + rows.length * ROW + BOTTOM;
  const px = (shown: number) => LEFT + ((shown - low) / (high - low)) * (WIDTH - LEFT - RIGHT);
  const of = (value: number) => px(toShown(value, unit));
  const ticks = ticksOf(low, high).map(
    (tick) =>
      line(px(tick), TOP, px(tick), height - BOTTOM, RULE) +
      text(px(tick), height - BOTTOM + 12, formatNumber(tick, reader.locale, 4), 'text-anchor="middle"'),
  );
  const dots = rows.map(({ label, mean, error, predicted }, index) => {
    const y = TOP + index * ROW + ROW / 2;
    const hollow = predicted
      ? `<rect x="${at(of(predicted.value - predicted.error))}" y="${at(y - 8)}" width="${at(Math.max(1, of(predicted.value + predicted.error) - of(predicted.value - predicted.error)))}" height="16" fill="none" stroke="${INK}" stroke-dasharray="3 2"/>${circle(of(predicted.value), y, 3.5, SHEET)}`
      : '';
    return `${text(0, y + 3, label)}${hollow}${line(of(mean - error), y, of(mean + error), y, SLATE, 'stroke-width="2"')}${circle(of(mean), y, 3.2, SLATE, SLATE)}`;
  });
  const goal =
    wish === undefined
      ? ''
      : line(of(wish), TOP, of(wish), height - BOTTOM, INK, 'stroke-dasharray="1 2"') +
        text(of(wish), TOP - 5, `wished ${formatText(wish, quantity, reader)}`, 'text-anchor="middle"');
  return drawing(
    'runs',
    height,
    `Measured (solid, with its error) and predicted for that run (hollow, in its band of one standard deviation), in ${unit.symbol}.`,
    [...ticks, goal, ...dots],
  );
}

/** Round numbers, about five of them. Source: a step of 1, 2 or 5 times a power of ten. */
export function ticksOf(low: number, high: number): number[] {
  const rough = (high - low) / 5;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((one) => one * power).find((one) => one >= rough)!;
  return Array.from(
    { length: Math.floor(high / step) - Math.ceil(low / step) + 1 },
    (_, index) => (Math.ceil(low / step) + index) * step,
  );
}

/** What fails most, and how much the first ones make together; none without failures. */
export function paretoPicture(
  rows: readonly ParetoRow[],
  figure: (value: number) => string,
  by: string,
): Picture | undefined {
  if (rows.length === 0) return undefined;
  const height = TOP + rows.length * ROW + 6;
  const px = (share: number) => LEFT + share * (WIDTH - LEFT - 80);
  const middle = (index: number) => TOP + index * ROW + ROW / 2;
  const bars = rows.map(
    ({ name, value, share, cumulative }, index) =>
      `${text(0, middle(index) + 3, name.length > 30 ? `${name.slice(0, 29)}…` : name)}<rect x="${LEFT}" y="${at(middle(index) - 7)}" width="${at(Math.max(1, px(share) - LEFT))}" height="14" fill="${RUST}"/>${index === 0 && share > ROOM ? text(px(share) - 6, middle(index) + 3, figure(value), `text-anchor="end" style="fill:${SHEET}"`) : text(px(index === 0 ? cumulative : share) + 8, middle(index) + 3, figure(value))}`,
  );
  const together = `<polyline points="${rows.map(({ cumulative }, index) => `${at(px(cumulative))},${at(middle(index))}`).join(' ')}" fill="none" stroke="${INK}"/>`;
  return drawing(
    'failures',
    height,
    `What failed, by ${by}; the line is how much the first ones make together.`,
    [...bars, together],
  );
}
