import { normalFrom } from '@/core/base/numeric/random';
import { gpxSpeed, USUAL_WINDOW_S } from '@/core/physics/timing/track/gpxSpeed';
import type { TrackPoint } from '@/core/physics/timing/track/readTrack';
import { writeGpx } from '@/core/physics/timing/track/writeGpx';
import type { KeptTrack } from '@/core/car/records/report';

/** An orchard that is nowhere: metres around a place in the open sea. */
const [LAT, LON, M_PER_DEG] = [31, -41, 111_195];
const [ALONG_M, ACROSS_M, TURN_MPS, PULL_MPS2, STOP_MPS2, STEP_S, WANDER_M, JUMP_M] = [
  62, 9, 3.6, 3.2, 4.2, 0.2, 0.05, 38,
];
const RAD = Math.PI / 180;

/** Up and down between two rows, flat out on the straights, slow around their ends, with one jump of the receiver. */
export function orchardTrack(
  name: string,
  topMps: number,
  rounds: number,
  startedAt: string,
  seed: number,
): { text: string; track: Omit<KeptTrack, 'hash'> } {
  const error = normalFrom(seed);
  const radius = ACROSS_M / 2;
  const lap = 2 * ALONG_M + 2 * Math.PI * radius;
  const points: TrackPoint[] = [];
  let [way, speed, at] = [0, 0, 0];
  const start = Date.parse(startedAt);
  while (way < rounds * lap) {
    const inLap = way % lap;
    const straight =
      inLap < ALONG_M || (inLap >= ALONG_M + Math.PI * radius && inLap < 2 * ALONG_M + Math.PI * radius);
    const left = inLap < ALONG_M ? ALONG_M - inLap : 2 * ALONG_M + Math.PI * radius - inLap;
    const mayDrive = straight ? Math.min(topMps, Math.sqrt(TURN_MPS ** 2 + 2 * STOP_MPS2 * left)) : TURN_MPS;
    speed =
      speed < mayDrive
        ? Math.min(mayDrive, speed + PULL_MPS2 * STEP_S * (1 - (0.9 * speed) / topMps))
        : Math.max(mayDrive, speed - STOP_MPS2 * STEP_S);
    way += speed * STEP_S;
    at++;
    const [x, y] = placeOn(way % lap, radius);
    const jump = at === 140 ? JUMP_M : 0;
    points.push({
      atMs: start + Math.round(1000 * STEP_S * at),
      latDeg: LAT + (y + WANDER_M * error() + jump) / M_PER_DEG,
      lonDeg: LON + (x + WANDER_M * error()) / (M_PER_DEG * Math.cos(LAT * RAD)),
    });
  }
  const text = writeGpx(name, [points]);
  const { topSpeedMps, distanceM, durationS, droppedPoints } = gpxSpeed({ gpx: text });
  return {
    text,
    track: {
      name: `${name}.gpx`,
      windowS: USUAL_WINDOW_S,
      topSpeedMps: topSpeedMps!,
      distanceM,
      durationS,
      droppedPoints,
    },
  };
}

/** Place along one lap: a straight, a half circle, a straight, a half circle. */
function placeOn(way: number, radius: number): [number, number] {
  const half = Math.PI * radius;
  if (way < ALONG_M) return [way, 0];
  if (way < ALONG_M + half) {
    const turned = (way - ALONG_M) / radius;
    return [ALONG_M + radius * Math.sin(turned), radius - radius * Math.cos(turned)];
  }
  if (way < 2 * ALONG_M + half) return [2 * ALONG_M + half - way, 2 * radius];
  const turned = (way - 2 * ALONG_M - half) / radius;
  return [-radius * Math.sin(turned), radius + radius * Math.cos(turned)];
}
