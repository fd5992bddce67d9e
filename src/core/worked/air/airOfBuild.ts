import { type Assembled, missingOf } from '../../base/assembled';
import { isAssumed } from '../../car/assumed/assumed';
import { dragMeasured } from '../../car/document/chassis';
import type { BuildDocument } from '../../car/document/document';
import type { AirInput, AirResult } from '../../physics/air/definition';
import { airEstimate } from '../../physics/air/estimate';

/** Drag and downforce that a build is driven with. */
export interface AirOfBuild {
  /** Undefined where neither typed nor drawn. */
  cdaM2: number | undefined;
  claFrontM2: number;
  claRearM2: number;
}

/** Overall height over the height of the centre of gravity of a usual car. */
const HEIGHT_OVER_CG = 2.4;
/** What a body fills of the box round it, from the front and from the side; by judgement. */
const [FRONTAL_SHARE, SIDE_SHARE] = [0.7, 0.65];
const USUAL_TYRE_RADIUS_MM = 30;

/** Highest point, from the shell or from the weight's height, mm. */
export function heightOfBuild({ chassis: { shell, cgHeightMm } }: BuildDocument): number | undefined {
  if (shell?.heightMm !== undefined) return (shell.zMm ?? 0) + shell.heightMm;
  return cgHeightMm === undefined ? undefined : HEIGHT_OVER_CG * cgHeightMm;
}

/** The body as it counts where its own figures are left out; undefined where the car's size is not known. */
export function usualBody(document: BuildDocument) {
  const { chassis, drive } = document;
  const { wheelbaseMm, shell } = chassis;
  const heightMm = heightOfBuild(document);
  const widthMm = Math.max(chassis.trackFrontMm ?? 0, chassis.trackRearMm ?? 0);
  if (wheelbaseMm === undefined || heightMm === undefined || widthMm === 0) return undefined;
  const lengthMm = shell?.lengthMm ?? wheelbaseMm + 2 * (drive.tyre?.radiusMm ?? USUAL_TYRE_RADIUS_MM);
  return {
    frontalAreaM2: (FRONTAL_SHARE * widthMm * heightMm) / 1e6,
    lengthMm,
    xMm: shell?.xMm ?? -wheelbaseMm / 2,
    zMm: heightMm / 2,
    sideAreaM2: (SIDE_SHARE * lengthMm * heightMm) / 1e6,
  };
}

/** The shapes of a build as `air.estimate` takes them, or what they still need. */
export function airInputOf(document: BuildDocument): Assembled<AirInput> {
  const { air = {}, wheelbaseMm, trackFrontMm, cgHeightMm } = document.chassis;
  const usual = usualBody(document);
  const missing = missingOf({
    'chassis.air.shape': air.shape,
    'chassis.wheelbaseMm': wheelbaseMm,
    'chassis.trackFrontMm': trackFrontMm,
    'chassis.cgHeightMm': usual ?? cgHeightMm,
  });
  if (missing.length > 0 || !usual) return { ok: false, missing };
  const { shape, dragCoefficient, wings = [], fins = [], splitter, undertray, noseScoop } = air;
  return {
    ok: true,
    value: {
      wheelbaseMm: wheelbaseMm!,
      ...(document.brief.targetMps === undefined ? {} : { referenceSpeedMps: document.brief.targetMps }),
      body: {
        shape: shape!,
        frontalAreaM2: air.frontalAreaM2 ?? usual.frontalAreaM2,
        lengthMm: air.lengthMm ?? usual.lengthMm,
        xMm: air.xMm ?? usual.xMm,
        zMm: air.zMm ?? usual.zMm,
        sideAreaM2: air.sideAreaM2 ?? usual.sideAreaM2,
        ...(dragCoefficient === undefined ? {} : { dragCoefficient }),
      },
      wings: wings.map(({ name: _, camberPct, ...wing }) => ({
        ...wing,
        // a plate that was cambered before keeps its figure for later
        ...(camberPct === undefined || wing.profile === 'flatPlate' ? {} : { camberPct }),
      })),
      fins: fins.map(({ name: _, ...fin }) => fin),
      ...(splitter ? { splitter } : {}),
      ...(undertray ? { undertray } : {}),
      ...(noseScoop ? { noseScoop } : {}),
    },
  };
}

const known = new WeakMap<BuildDocument, Assembled<AirResult>>();

/** Drag and downforce from the shapes of a build, worked out once for each document. */
export function shapesOf(document: BuildDocument): Assembled<AirResult> {
  const before = known.get(document);
  if (before) return before;
  const input = airInputOf(document);
  const found: Assembled<AirResult> = input.ok ? { ok: true, value: airEstimate(input.value) } : input;
  known.set(document, found);
  return found;
}

/** What counts in the build: a figure that was measured or typed, then what its shapes say, then one to start with. */
export function airOfBuild(document: BuildDocument): AirOfBuild {
  const { cdaM2, claFrontM2, claRearM2 } = document.chassis;
  const shapes = shapesOf(document);
  const drawn = shapes.ok ? shapes.value : undefined;
  return {
    cdaM2: drawn && isStarting(document) ? drawn.cdaM2 : (cdaM2 ?? drawn?.cdaM2),
    claFrontM2: claFrontM2 ?? drawn?.claFrontM2 ?? 0,
    claRearM2: claRearM2 ?? drawn?.claRearM2 ?? 0,
  };
}

/** Whether the drag area is one to start with, filled in for the builder. */
export const isStarting = (document: BuildDocument): boolean => isAssumed(document, ['chassis', 'cdaM2']);

/** Side force over dynamic pressure and where it acts; none where the shapes do not say. */
export function sideAirOf(document: BuildDocument): {
  sideForceSlopeM2?: number;
  centreOfPressureXMm?: number;
} {
  const shapes = shapesOf(document);
  if (!shapes.ok) return {};
  const { sideForceSlopeM2, centreOfPressureXMm } = shapes.value;
  return sideForceSlopeM2 === undefined || centreOfPressureXMm === undefined
    ? {}
    : { sideForceSlopeM2, centreOfPressureXMm };
}

/** A band that is as likely everywhere within has this much of its half width as standard deviation. */
const OF_HALF_WIDTH = 1 / Math.sqrt(3);

function spreadMeasured({ chassis }: BuildDocument): number | undefined {
  const measured = dragMeasured(chassis);
  return measured && measured.errorM2 / measured.cdaM2;
}

/** Standard deviation of the drag area over it, as measured or as coarse as its shapes; undefined for a typed figure. */
export function dragSpreadOf(document: BuildDocument): number | undefined {
  const { cdaM2 } = document.chassis;
  const shapes = shapesOf(document);
  if (cdaM2 !== undefined && !(shapes.ok && isStarting(document)))
    return cdaM2 === 0 ? undefined : spreadMeasured(document);
  if (!shapes.ok) return undefined;
  const [low, high] = shapes.value.bands.cdaM2;
  return (OF_HALF_WIDTH * (high - low)) / 2 / shapes.value.cdaM2;
}
