import { polygonHull } from 'd3-polygon';
import chartsCss from '@/ui/charts/charts.module.css';
import type { Corner } from '@/core/physics/corner/corner';
import { type Posed, poseCorner, wheelRing } from '@/core/physics/corner/posed';
import type { LoadForces } from '@/core/physics/links/definition';
import { add, lengthOf, scale, type Vec3 } from '@/core/base/vec3';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { LINK_TERMS } from '@/words/checks/links';
import { firstUp } from '@/words/lists';

interface View {
  name: string;
  x(p: Vec3): number;
  y(p: Vec3): number;
}

/** The left corner from the front, outboard to the right, and from above, forward up. */
const VIEWS: readonly View[] = [
  { name: 'From the front', x: ([, y]) => y, y: ([, , z]) => -z },
  { name: 'From above', x: ([, y]) => y, y: ([x]) => -x },
];
const [WIDTH, HEIGHT, ROOM_MM, ARROW_MM] = [424, 300, 14, 26];
const [THIN, THICK] = [1.4, 7];
/** Along a bar from its inner end, so that neighbours do not write over each other. */
const LABEL_AT: Readonly<Record<string, number>> = { damper: 0.12, upper: 0.8, tie: 0.5 };
const labelAt = (bar: string) => LABEL_AT[bar] ?? 0.6;

interface Bar {
  name: string;
  from: Vec3;
  to: Vec3;
  /** Pulled positive; none of what bends. */
  tensionN?: number;
}

/** Straight pieces of a corner with the force along each. */
function barsOf(corner: Corner, { station, damper, rocker }: Posed, { members, legsN }: LoadForces): Bar[] {
  const p = station.points as Readonly<Partial<Record<string, Vec3>>>;
  const bar = (name: string, a: string, b: string, tensionN?: number): Bar[] =>
    p[a] && p[b] ? [{ name, from: p[a], to: p[b], ...(tensionN === undefined ? {} : { tensionN }) }] : [];
  const spring: Bar[] = rocker
    ? [
        { name: 'pushrod', from: rocker.pushrod[0], to: rocker.pushrod[1], tensionN: members.pushrod! },
        { name: 'rocker', from: rocker.pivot, to: rocker.pushrod[1] },
        { name: 'rocker', from: rocker.pivot, to: rocker.damper[0] },
        { name: 'damper', from: rocker.damper[0], to: rocker.damper[1], tensionN: members.damper! },
      ]
    : damper
      ? [{ name: 'damper', from: damper[0], to: damper[1], tensionN: members.damper! }]
      : [];
  const tie = bar('tie', 'tieInner', 'tieOuter', members.tie);
  if (corner.kind === 'wishbones')
    return [
      ...bar('lowerFront', 'lowerFront', 'lowerOuter', legsN?.lower?.[0]),
      ...bar('lowerRear', 'lowerRear', 'lowerOuter', legsN?.lower?.[1]),
      ...bar('upperFront', 'upperFront', 'upperOuter', legsN?.upper?.[0]),
      ...bar('upperRear', 'upperRear', 'upperOuter', legsN?.upper?.[1]),
      ...tie,
      ...spring,
    ];
  return [
    ...bar('arm', 'lowerFront', 'outerFront'),
    ...bar('arm', 'lowerRear', 'outerRear'),
    ...bar('arm', 'outerFront', 'outerRear'),
    ...bar('carrier', 'outerFront', 'upperOuter'),
    ...bar('carrier', 'kingpinLower', 'kingpinUpper'),
    ...bar('upper', 'upperInner', 'upperOuter', members.upper),
    ...tie,
    ...spring,
  ];
}

/** Where the chassis is pushed, and with what. */
function mountsOf({ station, damper, rocker }: Posed, { chassis }: LoadForces): { at: Vec3; forceN: Vec3 }[] {
  const places: Readonly<Partial<Record<string, Vec3>>> = {
    ...(station.points as Readonly<Partial<Record<string, Vec3>>>),
    ...(damper ? { damperInner: damper[0] } : {}),
    ...(rocker ? { rockerPivot: rocker.pivot, damperChassis: rocker.damper[1] } : {}),
  };
  return Object.entries(chassis).flatMap(([name, forceN]) => {
    const at = places[name];
    return at ? [{ at, forceN }] : [];
  });
}

/** A corner under one load: links as thick as what they carry, slate pulled and rust pushed, arrows into the chassis. */
export function ForcePicture({
  corner,
  travelMm,
  rackMm,
  load,
  mostN,
}: {
  corner: Corner;
  travelMm: number;
  rackMm: number;
  load: LoadForces;
  /** That the thickest line stands for. */
  mostN: number;
}) {
  const { reader } = useReader();
  const posed = poseCorner(corner, travelMm, rackMm);
  const bars = barsOf(corner, posed, load);
  const mounts = mountsOf(posed, load);
  const rings = [1, -1].map((way) => wheelRing(corner.tyreRadiusMm, posed, way));
  const arrowPerN = ARROW_MM / Math.max(1e-9, ...mounts.map(({ forceN }) => lengthOf(forceN)));
  const all = [...bars.flatMap(({ from, to }) => [from, to]), ...rings.flat(), ...mounts.map(({ at }) => at)];
  const said = (n: number) => formatText(Math.abs(n), 'forceN', reader, 2);
  return (
    <>
      {VIEWS.map(({ name, x, y }) => {
        const [xs, ys] = [all.map(x), all.map(y)];
        const [left, top] = [Math.min(...xs) - ARROW_MM - ROOM_MM, Math.min(...ys) - ROOM_MM];
        const [wide, high] = [Math.max(...xs) + ROOM_MM - left, Math.max(...ys) + ROOM_MM - top];
        const per = Math.max(wide / WIDTH, high / HEIGHT);
        return (
          <figure
            key={name}
            className={chartsCss.chart}
            style={{ width: `min(100%, ${WIDTH}px)` }}
            data-testid="force-picture"
          >
            <figcaption>
              <span>{name}</span>
              <span>pulled in blue, pushed in red</span>
            </figcaption>
            <svg
              viewBox={`${left} ${top} ${WIDTH * per} ${HEIGHT * per}`}
              width={WIDTH}
              height={HEIGHT}
              role="img"
              aria-label={`${name}: ${bars
                .flatMap(({ name: bar, tensionN }) =>
                  tensionN === undefined
                    ? []
                    : [
                        `${LINK_TERMS[bar] ?? bar} ${tensionN < 0 ? 'pushed' : 'pulled'} with ${said(tensionN)}`,
                      ],
                )
                .join(', ')}`}
            >
              <path
                d={`M${polygonHull(rings.flat().map((p): [number, number] => [x(p), y(p)]))!
                  .map((place) => place.join(','))
                  .join('L')}Z`}
                fill="var(--faint)"
                fillOpacity={0.4}
                stroke="var(--quiet)"
                strokeWidth={per}
              />
              {bars.map(({ name: bar, from, to, tensionN }, k) => (
                <line
                  key={`${bar}${k}`}
                  x1={x(from)}
                  y1={y(from)}
                  x2={x(to)}
                  y2={y(to)}
                  stroke={
                    tensionN === undefined ? 'var(--quiet)' : tensionN < 0 ? 'var(--rust)' : 'var(--slate)'
                  }
                  strokeWidth={
                    per *
                    (THIN +
                      (tensionN === undefined
                        ? 0.6
                        : (THICK - THIN) * Math.min(1, Math.abs(tensionN) / mostN)))
                  }
                  strokeLinecap="round"
                />
              ))}
              {mounts.map(({ at, forceN }, k) => {
                const tip = add(at, scale(forceN, arrowPerN));
                return (
                  <g key={k} stroke="var(--ink)" strokeWidth={per * 1.2}>
                    <line x1={x(at)} y1={y(at)} x2={x(tip)} y2={y(tip)} />
                    <circle cx={x(at)} cy={y(at)} r={per * 2.2} fill="var(--sheet)" />
                    <circle cx={x(tip)} cy={y(tip)} r={per * 1.6} fill="var(--ink)" stroke="none" />
                  </g>
                );
              })}
              {bars
                .filter(({ tensionN = 0 }) => Math.abs(tensionN) > mostN / 20)
                .map(({ name: bar, from, to, tensionN }, k) => (
                  <text
                    key={k}
                    x={x(from) + labelAt(bar) * (x(to) - x(from))}
                    y={y(from) + labelAt(bar) * (y(to) - y(from)) - 5 * per}
                    fontSize={11 * per}
                    textAnchor="middle"
                  >
                    {firstUp(LINK_TERMS[bar] ?? bar)} {said(tensionN!)}
                  </text>
                ))}
            </svg>
          </figure>
        );
      })}
    </>
  );
}
