import { bisect } from '../../base/numeric/root';
import type { GroundInput } from './definition';
import type { Side, SideEdge } from './sideView';

const [WITHIN_MM, TOUCH_MM] = [0.02, 1e-6];
/** Steps of the front wheel: while a wheel climbs, and while the car rolls as it stands. */
const [CLIMB_MM, ROLL_MM] = [0.1, 1];
/** Stations at which the underside is known. */
const STATION_MM = 0.05;

/** Centre of a wheel over a step at x = 0: on the flat, round the edge, on the flat above. */
function centreMm(x: number, radiusMm: number, heightMm: number): number {
  if (x >= 0) return heightMm + radiusMm;
  if (x <= -radiusMm) return radiusMm;
  return Math.max(radiusMm, heightMm + Math.sqrt(radiusMm * radiusMm - x * x));
}

/**
 * The highest step with a vertical face that the car walks over, up to the smaller tyre radius, mm: both wheels' centres
 * follow the edge, the suspension stays as it stands, no point of the car goes into ground or step.
 */
export function highestStepMm(edges: readonly SideEdge[], input: GroundInput): number {
  const most = Math.min(input.frontRadiusMm, input.rearRadiusMm);
  const underside = stretchesOf(undersideOf(edges));
  if (walksOver(underside, input, most)) return most;
  let [over, under] = [0, most];
  while (under - over > WITHIN_MM) {
    const middle = (over + under) / 2;
    if (walksOver(underside, input, middle)) over = middle;
    else under = middle;
  }
  return over;
}

/** Lowest place at every station along the car: what stands over another at the same station meets nothing first. */
function undersideOf(edges: readonly SideEdge[]): Side[] {
  const lowest = new Map<number, number>();
  const put = (station: number, z: number) => {
    const known = lowest.get(station);
    if (known === undefined || z < known) lowest.set(station, z);
  };
  for (const [[ax, az], [bx, bz]] of edges) {
    put(Math.round(ax / STATION_MM), az);
    put(Math.round(bx / STATION_MM), bz);
    if (ax === bx) continue;
    const [low, high] = ax < bx ? [ax, bx] : [bx, ax];
    for (let k = Math.ceil(low / STATION_MM); k * STATION_MM <= high; k++)
      put(k, az + ((bz - az) * (k * STATION_MM - ax)) / (bx - ax));
  }
  return [...lowest].sort(([a], [b]) => a - b).map(([station, z]): Side => [station * STATION_MM, z]);
}

function walksOver(
  underside: readonly Stretch[],
  { wheelbaseMm, frontRadiusMm, rearRadiusMm }: GroundInput,
  heightMm: number,
): boolean {
  const rise = frontRadiusMm - rearRadiusMm;
  const apartMm = Math.hypot(wheelbaseMm, rise);
  const restAngle = Math.atan2(rise, wheelbaseMm);
  const front = Math.max(frontRadiusMm, underside.at(-1)!.to);
  const end = wheelbaseMm + rearRadiusMm;
  const climbs = (x: number, radiusMm: number) => x > -radiusMm && x < CLIMB_MM;
  for (let x = -front - frontRadiusMm; x <= end;) {
    const z = centreMm(x, frontRadiusMm, heightMm);
    const rearX = rearOf(x, z, apartMm, rearRadiusMm, heightMm);
    const rearZ = centreMm(rearX, rearRadiusMm, heightMm);
    const turned = Math.atan2(z - rearZ, x - rearX) - restAngle;
    if (!isFree(underside, [rearX, rearZ], [-wheelbaseMm, rearRadiusMm], turned, heightMm)) return false;
    x += climbs(x, frontRadiusMm) || climbs(rearX, rearRadiusMm) ? CLIMB_MM : ROLL_MM;
  }
  return true;
}

/** Where the rear wheel stands when the front one does so. */
function rearOf(x: number, z: number, apartMm: number, radiusMm: number, heightMm: number): number {
  const off = (rear: number) => apartMm - Math.hypot(x - rear, z - centreMm(rear, radiusMm, heightMm));
  return bisect(off, x - apartMm, x);
}

function isFree(
  underside: readonly Stretch[],
  [rearX, rearZ]: Side,
  [restX, restZ]: Side,
  turned: number,
  heightMm: number,
): boolean {
  const [c, s] = [Math.cos(turned), Math.sin(turned)];
  const across = (x: number, z: number) => rearX + c * (x - restX) - s * (z - restZ);
  const up = (x: number, z: number) => rearZ + s * (x - restX) + c * (z - restZ);
  return underside.every(({ from, to, low, high, places }) => {
    // what is nowhere low enough to meet anything is not looked at place by place
    const most = Math.max(across(from, low), across(from, high), across(to, low), across(to, high));
    if (Math.min(up(from, low), up(to, low)) >= (most > 0 ? heightMm : 0)) return true;
    return places.every(([x, z]) => up(x, z) >= (across(x, z) > 0 ? heightMm : 0) - TOUCH_MM);
  });
}

/** Neighbours of the underside, and between what they lie. */
interface Stretch {
  from: number;
  to: number;
  low: number;
  high: number;
  places: readonly Side[];
}

const AT_ONCE = 40;

function stretchesOf(underside: readonly Side[]): Stretch[] {
  return Array.from({ length: Math.ceil(underside.length / AT_ONCE) }, (_, k): Stretch => {
    const places = underside.slice(AT_ONCE * k, AT_ONCE * (k + 1));
    const heights = places.map(([, z]) => z);
    return {
      from: places[0]![0],
      to: places.at(-1)![0],
      low: Math.min(...heights),
      high: Math.max(...heights),
      places,
    };
  });
}
