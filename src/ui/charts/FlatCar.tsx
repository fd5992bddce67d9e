import type { Motion, Vec3 } from '@/core/base/vec3';
import { stillOf, type StillView } from '@/core/worked/space/still';
import type { Thing } from '@/core/worked/space/thingsOfCar';
import chartsCss from './charts.module.css';
import type { InkName } from '../space';

const VIEW_NAMES: Readonly<Record<StillView, string>> = { left: 'From the left', above: 'From above' };

/** How the things of a car are drawn. */
export interface DrawnCar {
  things: readonly Thing[];
  /** Where the bodies stand; what is not among them stands still. */
  bodies: ReadonlyMap<string, Motion>;
  /** Things that stand out. */
  marked: ReadonlySet<string>;
  inks: ReadonlyMap<string, InkName>;
  /** How far things are drawn from where they belong, mm. */
  offsets: ReadonlyMap<string, Vec3>;
}

interface FlatCarProps extends DrawnCar {
  view: StillView;
  widthPx: number;
  /** With its name over it. */
  named?: boolean;
}

/** The things of a car drawn flat. */
export function FlatCar({ view, widthPx, named, things, bodies, marked, inks, offsets }: FlatCarProps) {
  const still = stillOf(things, view, bodies, offsets);
  if (!still) return null;
  const { leftMm, topMm, wideMm, highMm, shapes } = still;
  return (
    <figure className={chartsCss.chart} style={{ width: `min(100%, ${widthPx}px)` }} data-testid="car-still">
      {named ? (
        <figcaption>
          <span>{VIEW_NAMES[view]}</span>
        </figcaption>
      ) : null}
      <svg
        viewBox={`${leftMm} ${topMm} ${wideMm} ${highMm}`}
        width={widthPx}
        height={(widthPx * highMm) / wideMm}
        role="img"
        aria-label={`The car ${VIEW_NAMES[view].toLowerCase()}`}
      >
        {shapes.map(({ id, outlines, bars }) => {
          const ink = `var(--${marked.has(id) ? 'rust' : (inks.get(id) ?? 'slate')})`;
          return (
            <g key={id} fill={ink} fillOpacity={0.25} stroke={ink}>
              {outlines.length === 0 ? null : (
                <path
                  d={outlines.map((points) => `M${points.join('L')}Z`).join('')}
                  vectorEffect="non-scaling-stroke"
                />
              )}
              {bars.map(({ from, to, acrossMm }, k) => (
                <path
                  key={k}
                  d={`M${from.join()}L${to.join()}`}
                  strokeOpacity={0.9}
                  strokeWidth={acrossMm}
                  strokeLinecap="round"
                />
              ))}
            </g>
          );
        })}
      </svg>
    </figure>
  );
}
