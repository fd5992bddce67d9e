import type { Patch } from '../../base/patch';
import type { Wing } from '../../car/air/air';
import type { BuildDocument } from '../../car/document/document';
import { heightOfBuild, shapesOf } from './airOfBuild';

/** Of a first rear wing, by judgement: behind the body its flow is slower than the free one. */
const [SPAN_OF_TRACK, CHORD_MM, ANGLE_DEG, PLATE_MM, IN_WAKE] = [0.8, 45, 8, 25, 0.7];
const USUAL_TYRE_RADIUS_MM = 30;

/** A wing to start with, over the end of the car; undefined while its size is not known. */
export function firstWing(document: BuildDocument, id: string): Wing | undefined {
  const { wheelbaseMm, trackRearMm } = document.chassis;
  const heightMm = heightOfBuild(document);
  if (wheelbaseMm === undefined || trackRearMm === undefined || heightMm === undefined) return undefined;
  return {
    id,
    name: 'Rear wing',
    profile: 'cambered',
    spanMm: Math.round(SPAN_OF_TRACK * trackRearMm),
    chordMm: CHORD_MM,
    angleDeg: ANGLE_DEG,
    endPlateHeightMm: PLATE_MM,
    flowShare: IN_WAKE,
    xMm: -Math.round(wheelbaseMm + (document.drive.tyre?.radiusMm ?? USUAL_TYRE_RADIUS_MM)),
    zMm: Math.round(heightMm),
  };
}

/** The wing farthest behind the middle of the wheelbase. */
export const rearWingOf = ({ chassis: { air, wheelbaseMm = 0 } }: BuildDocument): Wing | undefined =>
  [...(air?.wings ?? [])].filter(({ xMm }) => xMm < -wheelbaseMm / 2).sort((a, b) => a.xMm - b.xMm)[0];

const MOST_ANGLE_DEG = 45;

/** The rear wing steeper by some degrees, or one added where shapes count; none where neither can be. */
export function moreRearWing(document: BuildDocument, byDeg: number): Patch | undefined {
  const wing = rearWingOf(document);
  if (!shapesOf(document).ok) return undefined;
  if (wing) {
    const angleDeg = wing.angleDeg + byDeg;
    if (Math.abs(angleDeg) > MOST_ANGLE_DEG) return undefined;
    return [{ path: ['chassis', 'air', 'wings', wing.id, 'angleDeg'], value: angleDeg }];
  }
  if (byDeg < 0) return undefined;
  const first = firstWing(document, 'rear-wing');
  if (!first) return undefined;
  return document.chassis.air?.wings
    ? [{ path: ['chassis', 'air', 'wings', first.id], value: first }]
    : [{ path: ['chassis', 'air', 'wings'], value: [first] }];
}

/** Whether a typed figure keeps the shapes from counting at the rear. */
export const rearIsTyped = ({ chassis }: BuildDocument): boolean => chassis.claRearM2 !== undefined;
