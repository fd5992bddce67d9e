import type { BuildDocument } from '../../car/document/document';
import type { End } from '../../car/document/suspension';
import { type Assembled, missingOf } from '../../base/assembled';
import { fitStack } from '../../physics/printing/stack';
import { distance } from '../../base/vec3';
import type { Corner } from '../../physics/corner/corner';
import { cornerOf } from './endOfBuild';
import { restOf } from './restOfBuild';
import { linkageOf } from '../../physics/corner/linkage';
import { restAxis, wheelOf } from '../../physics/corner/readings';
import { CalcError } from '../../base/errors';

const DEG = 180 / Math.PI;

/** What plays between the chassis and the rim of one wheel, each way. */
export interface PlayOfBuild {
  bearingTiltDeg: number;
  bearingRimMm: number;
  /** Of the tie rod's ends. */
  toeDeg: number;
  /** Of the upper joint. */
  camberDeg: number;
  /** Fore and aft of the rim, and over and under the hub, from stop to stop. */
  toeRimMm: number;
  camberRimMm: number;
  /** The larger of the two. */
  rimPlayMm: number;
  radiusMm: number;
}

/** Free play of one end at the rim, worst case: bearings and joints all at their stops; or what is missing. */
export function playOf(document: BuildDocument, end: End): Assembled<PlayOfBuild> {
  const corner = cornerOf(document, end);
  const {
    bearingSpacingMm,
    inboardMm,
    outboardMm,
    tieMm = 0,
    upperMm = 0,
  } = document.suspension[end]?.play ?? {};
  const missing = [
    ...(corner.ok ? [] : corner.missing),
    ...missingOf({
      [`suspension.${end}.play.bearingSpacingMm`]: bearingSpacingMm,
      [`suspension.${end}.play.inboardMm`]: inboardMm,
      [`suspension.${end}.play.outboardMm`]: outboardMm,
    }),
  ];
  if (missing.length > 0 || !corner.ok) return { ok: false, missing };
  const radiusMm = corner.value.tyreRadiusMm;
  try {
    const { tiltDeg, rimPlayMm } = fitStack({
      bearings: { spacingMm: bearingSpacingMm!, clearanceMm: [inboardMm!, outboardMm!], radiusMm },
    });
    const standing = restOf(document, end)?.corner ?? corner.value;
    const toeDeg = tieToe(standing, tieMm / 2);
    const camberDeg = Math.atan(upperMm / 2 / kingpinLength(standing)) * DEG;
    const rim = (deg: number) => 2 * radiusMm * Math.tan(deg / DEG);
    const [toeRimMm, camberRimMm] = [rimPlayMm! + rim(toeDeg), rimPlayMm! + rim(camberDeg)];
    return {
      ok: true,
      value: {
        bearingTiltDeg: tiltDeg!,
        bearingRimMm: rimPlayMm!,
        toeDeg,
        camberDeg,
        toeRimMm,
        camberRimMm,
        rimPlayMm: Math.max(toeRimMm, camberRimMm),
        radiusMm,
      },
    };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { ok: false, missing: [`suspension.${end}.corner:moves`] };
  }
}

const kingpinLength = (corner: Corner) =>
  corner.kind === 'wishbones'
    ? distance(corner.lowerOuter, corner.upperOuter)
    : distance(corner.outerFront, corner.upperOuter);

/** Toe that a tie rod longer by so much makes, degrees, with the arms at rest; the larger of both ways. */
function tieToe(corner: Corner, longerMm: number): number {
  if (!corner.tieInner || longerMm === 0) return 0;
  return Math.max(...[longerMm, -longerMm].map((tieMm) => Math.abs(turned(corner, { tieMm }).toeDeg)));
}

/** How toe and camber change with links of other lengths, degrees, with the arm at rest. */
export function turned(
  corner: Corner,
  longer: { tieMm?: number; upperMm?: number },
): { toeDeg: number; camberDeg: number } {
  const axis = restAxis(corner);
  const read = (pose: ReturnType<ReturnType<typeof linkageOf>['pose']>) =>
    pose && wheelOf(corner, pose.upright, axis);
  const [drawn, changed] = [read(linkageOf(corner).pose(0, 0)), read(linkageOf(corner, longer).pose(0, 0))];
  return drawn && changed
    ? { toeDeg: changed.toeDeg - drawn.toeDeg, camberDeg: changed.camberDeg - drawn.camberDeg }
    : { toeDeg: NaN, camberDeg: NaN };
}

/** A link to be made: its length, and what a millimetre more of it does. */
export interface LinkOfCorner {
  id: 'tie' | 'upper';
  lengthMm: number;
  toeDegPerMm: number;
  camberDegPerMm: number;
}

const TELLING_MM = 0.05;

/** The links of a corner with their lengths between the balls. */
export function linksOf(corner: Corner): LinkOfCorner[] {
  const link = (
    id: LinkOfCorner['id'],
    lengthMm: number,
    longer: (mm: number) => { tieMm?: number; upperMm?: number },
  ): LinkOfCorner => {
    const [more, less] = [turned(corner, longer(TELLING_MM)), turned(corner, longer(-TELLING_MM))];
    return {
      id,
      lengthMm,
      toeDegPerMm: (more.toeDeg - less.toeDeg) / (2 * TELLING_MM),
      camberDegPerMm: (more.camberDeg - less.camberDeg) / (2 * TELLING_MM),
    };
  };
  return [
    ...(corner.tieInner && corner.tieOuter
      ? [link('tie', distance(corner.tieInner, corner.tieOuter), (tieMm) => ({ tieMm }))]
      : []),
    ...(corner.kind === 'hingePins'
      ? [link('upper', distance(corner.upperInner, corner.upperOuter), (upperMm) => ({ upperMm }))]
      : []),
  ];
}
