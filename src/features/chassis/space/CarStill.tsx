import { polygonHull } from 'd3-polygon';
import chartsCss from '@/ui/charts/charts.module.css';
import { add, carry, type Motion, STILL, type Vec3 } from '@/core/base/vec3';
import type { DrawnThing } from '@/core/worked/space/drawnThings';
import type { ThingForm } from '@/core/worked/space/thingForm';
import type { Thing } from '@/core/worked/space/thingsOfCar';

export interface CarSceneProps {
  things: readonly Thing[];
  /** Where the bodies stand; what is not among them stands still. */
  bodies: ReadonlyMap<string, Motion>;
  /** Things that meet, or are the nearest. */
  marked: ReadonlySet<string>;
  /** What was clicked last, two at the most. */
  picked: readonly string[];
  onPick(id: string): void;
  wheelbaseMm: number;
  /** Parts that were made here, and their surfaces by the hash of the mesh, as far as they are read. */
  drawn: readonly DrawnThing[];
  surfaces: ReadonlyMap<string, Float32Array>;
}

const VIEWS = [
  { name: 'From the left', x: ([x]: Vec3) => -x, y: ([, , z]: Vec3) => -z },
  { name: 'From above', x: ([x]: Vec3) => -x, y: ([, y]: Vec3) => -y },
] as const;
const [WIDTH, PAD_MM] = [620, 14];
const CORNERS = [-1, 1].flatMap((x) =>
  [-1, 1].flatMap((y) => [-1, 1].map((z): Vec3 => [x / 2, y / 2, z / 2])),
);

/** The car drawn flat, in the pose that is shown: where no picture in space can be drawn, and on paper. */
export function CarStill({ things, bodies, marked }: Pick<CarSceneProps, 'things' | 'bodies' | 'marked'>) {
  return (
    <>
      {VIEWS.map(({ name, x, y }) => {
        const drawn = things.flatMap((thing) => {
          const motion = bodies.get(thing.body) ?? STILL;
          return thing.forms.map((form) => ({ thing, form, points: pointsOf(form, motion) }));
        });
        const all = drawn.flatMap(({ points, form }) =>
          points.map((p) => ({ p, r: form.kind === 'capsule' ? form.radiusMm : 0 })),
        );
        if (all.length === 0) return null;
        const [left, top] = [
          Math.min(...all.map(({ p, r }) => x(p) - r)) - PAD_MM,
          Math.min(...all.map(({ p, r }) => y(p) - r)) - PAD_MM,
        ];
        const wide = Math.max(...all.map(({ p, r }) => x(p) + r)) + PAD_MM - left;
        const high = Math.max(...all.map(({ p, r }) => y(p) + r)) + PAD_MM - top;
        return (
          <figure
            key={name}
            className={chartsCss.chart}
            style={{ width: `min(100%, ${WIDTH}px)` }}
            data-testid="car-still"
          >
            <figcaption>
              <span>{name}</span>
            </figcaption>
            <svg
              viewBox={`${left} ${top} ${wide} ${high}`}
              width={WIDTH}
              height={(WIDTH * high) / wide}
              role="img"
              aria-label={`The car ${name.toLowerCase()}`}
            >
              {drawn.map(({ thing, form, points }, k) => {
                const ink = inkOf(thing, marked);
                if (form.kind === 'hull')
                  return (
                    <path
                      key={k}
                      d={`M${(polygonHull(points.map((p) => [x(p), y(p)])) ?? []).join('L')}Z`}
                      fill={ink}
                      fillOpacity={0.25}
                      stroke={ink}
                    />
                  );
                if (form.kind === 'box') {
                  const [xs, ys] = [points.map(x), points.map(y)];
                  return (
                    <rect
                      key={k}
                      x={Math.min(...xs)}
                      y={Math.min(...ys)}
                      width={Math.max(...xs) - Math.min(...xs)}
                      height={Math.max(...ys) - Math.min(...ys)}
                      fill={ink}
                      fillOpacity={0.25}
                      stroke={ink}
                    />
                  );
                }
                const [a, b] = points as [Vec3, Vec3];
                return (
                  <line
                    key={k}
                    x1={x(a)}
                    y1={y(a)}
                    x2={x(b)}
                    y2={y(b)}
                    stroke={ink}
                    strokeOpacity={thing.of?.thing === 'wheel' ? 0.18 : 0.9}
                    strokeWidth={2 * form.radiusMm}
                    strokeLinecap="round"
                  />
                );
              })}
            </svg>
          </figure>
        );
      })}
    </>
  );
}

function inkOf({ id, of, class: kind }: Thing, marked: ReadonlySet<string>): string {
  if (marked.has(id)) return 'var(--rust)';
  if (kind === 'hot') return 'var(--ochre)';
  return of ? 'var(--ink)' : 'var(--slate)';
}

function pointsOf(form: ThingForm, motion: Motion): Vec3[] {
  if (form.kind === 'hull') return form.pointsMm.map((point) => carry(motion, point));
  if (form.kind === 'box')
    return CORNERS.map(([x, y, z]) =>
      carry(motion, add(form.centreMm, [x * form.sizeMm[0], y * form.sizeMm[1], z * form.sizeMm[2]])),
    );
  return [carry(motion, form.fromMm), carry(motion, form.toMm)];
}
