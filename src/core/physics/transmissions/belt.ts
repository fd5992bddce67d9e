import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';
import { allowableOf, USUAL_OVERLOAD } from '../gears/strength';
import {
  type BeltInput,
  type BeltLoad,
  type BeltResult,
  type PulleyResult,
  type PulleyTooth,
  TYPICAL_BELTS,
} from './beltDefinition';
import { beltGeometry } from './beltGeometry';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.belt.noOffset': Record<never, never>;
    'note.belt.unloaded': Record<never, never>;
  }
}
declare module '../../base/errors' {
  interface RefusalFacts {
    'belt.unknownPitch': Record<never, never>;
    'belt.pulleyUnloaded': Record<never, never>;
  }
}

/** Share of the peak pull that each span is set to, by the belt's teeth up to which it holds. Practice after VDI 2758. */
const SHARES = [
  [60, 1 / 3],
  [150, 1 / 2],
  [Infinity, 2 / 3],
] as const;
/** Of a pulley's tooth over the pitch. */
const TOOTH = 0.4;
const USUAL_UNEVEN = 1.5;

/**
 * A toothed belt on two pulleys: length, centres, wrap, tensions, what it bears, and what to tune its span to.
 *
 * @returns lengths in mm, forces in N, torques in Nm, stresses in MPa, speeds in m/s, frequencies in Hz
 * @throws CalcError as `beltGeometry` does, at `tensionLimitN` and `massGPerM` for a pitch that is not known, at `load` for a
 * pulley without one
 * @see ISO 5295, ISO 13050, VDI 2758; the string's equation
 */
export function beltDrive(input: BeltInput): BeltResult {
  const { profile = 'curvilinear', pitchMm, widthMm, load, pretensionN, measuredHz, stiffnessN } = input;
  const typical = TYPICAL_BELTS[profile].get(pitchMm);
  const { phi, ...geometry } = beltGeometry(input, typical);
  if (input.pulley && !load) throw refusal('load', 'belt.pulleyUnloaded');
  const limitN = input.tensionLimitN ?? (typical && typical.limitNPerMm * widthMm);
  const gPerM = input.massGPerM ?? (typical && typical.gPerMMm * widthMm);
  if (load && limitN === undefined) throw refusal('tensionLimitN', 'belt.unknownPitch');
  if ((load ?? pretensionN ?? measuredHz) !== undefined && gPerM === undefined)
    throw refusal('massGPerM', 'belt.unknownPitch');
  const loaded = load ? pulls(input, load, geometry, limitN!, gPerM!) : {};
  const setN = pretensionN ?? loaded.pretensionNeededN;
  const { spanMm } = geometry;
  const kgPerM = gPerM === undefined ? undefined : gPerM / 1000;
  const notes: Finding[] = [
    ...(geometry.outsideDiametersMm ? [] : [finding('note.belt.noOffset', {})]),
    ...(setN === undefined ? [finding('note.belt.unloaded', {})] : []),
  ];
  return {
    ...geometry,
    ...loaded,
    ...(setN === undefined
      ? {}
      : {
          pretensionN: setN,
          shaftLoadRestN: 2 * setN * Math.cos(phi),
          spanFrequencyHz: Math.sqrt(setN / kgPerM!) / ((2 * spanMm) / 1000),
          ...(stiffnessN === undefined
            ? {}
            : { tensionTravelMm: ((setN / stiffnessN) * geometry.beltLengthMm) / (2 * Math.cos(phi)) }),
        }),
    ...(load && setN !== undefined ? running(peakOf(loaded, load), loaded.massTensionN ?? 0, setN, phi) : {}),
    ...(measuredHz === undefined
      ? {}
      : { measuredTensionN: 4 * kgPerM! * (spanMm / 1000) ** 2 * measuredHz ** 2 }),
    ...(input.pulley && load
      ? { pulley: toothOf(input, input.pulley, peakOf(loaded, load), geometry.teethInMesh) }
      : {}),
    findings: [],
    notes,
  };
}

type Loaded = Partial<
  Pick<
    BeltResult,
    | 'beltMps'
    | 'peripheralForceN'
    | 'massTensionN'
    | 'pretensionShare'
    | 'pretensionNeededN'
    | 'toothLimitN'
    | 'skipLimitN'
    | 'toothMargin'
    | 'skipMargin'
    | 'torqueCapacityNm'
  >
>;

const peakOf = ({ peripheralForceN = 0 }: Loaded, { overloadFactor = USUAL_OVERLOAD }: BeltLoad) =>
  overloadFactor * peripheralForceN;

function pulls(
  input: BeltInput,
  load: BeltLoad,
  {
    pitchDiametersMm,
    beltTeeth,
    meshFactor,
  }: Pick<BeltResult, 'pitchDiametersMm' | 'beltTeeth' | 'meshFactor'>,
  limitN: number,
  gPerM: number,
): Loaded {
  const { torqueNm, driver = 'small', speedRpm = 0, overloadFactor = USUAL_OVERLOAD } = load;
  const diameterMm = pitchDiametersMm[driver === 'small' ? 0 : 1];
  const peripheralForceN = (2000 * torqueNm) / diameterMm;
  const peakN = overloadFactor * peripheralForceN;
  const beltMps = (Math.PI * diameterMm * speedRpm) / 60_000;
  const massTensionN = (gPerM / 1000) * beltMps ** 2;
  const share = input.pretensionShare ?? SHARES.find(([most]) => beltTeeth <= most)![1];
  const toothLimitN = Math.max(0, meshFactor * limitN - massTensionN);
  const skipLimitN =
    input.pretensionN === undefined
      ? undefined
      : (Math.max(0, input.pretensionN - massTensionN) * meshFactor) / share;
  const margin = (limit: number) => (peakN > 0 ? limit / peakN : undefined);
  const [toothMargin, skipMargin] = [
    margin(toothLimitN),
    skipLimitN === undefined ? undefined : margin(skipLimitN),
  ];
  const lower = Math.min(toothLimitN, skipLimitN ?? Infinity);
  return {
    beltMps,
    peripheralForceN,
    massTensionN,
    pretensionShare: share,
    pretensionNeededN: (share * peakN) / meshFactor + massTensionN,
    toothLimitN,
    ...(skipLimitN === undefined ? {} : { skipLimitN }),
    ...(toothMargin === undefined ? {} : { toothMargin }),
    ...(skipMargin === undefined ? {} : { skipMargin }),
    torqueCapacityNm: ((lower / overloadFactor) * diameterMm) / 2000,
  };
}

/** Tight and slack span at the peak, and what the shafts carry while it runs. */
function running(
  peakN: number,
  massN: number,
  setN: number,
  phi: number,
): Pick<BeltResult, 'tightN' | 'slackN' | 'shaftLoadRunningN'> {
  const slackN = Math.max(massN, setN - peakN / 2);
  const tightN = slackN + peakN;
  const [a, b] = [tightN - massN, slackN - massN];
  return {
    tightN,
    slackN,
    shaftLoadRunningN: Math.sqrt(a ** 2 + b ** 2 + 2 * a * b * Math.cos(2 * phi)),
  };
}

function toothOf(
  { pitchMm, widthMm }: BeltInput,
  {
    material,
    fillFactor = 1,
    toothHeightMm = TOOTH * pitchMm,
    toothRootMm = TOOTH * pitchMm,
    unevenFactor = USUAL_UNEVEN,
    temperatureC = 23,
  }: PulleyTooth,
  peakN: number,
  teethInMesh: number,
): PulleyResult {
  const toothForceN = (peakN / teethInMesh) * unevenFactor;
  const bendingStressMpa = (6 * toothForceN * (toothHeightMm / 2)) / (widthMm * toothRootMm ** 2);
  const shearStressMpa = (1.5 * toothForceN) / (widthMm * toothRootMm);
  const allowableMpa = allowableOf(material, fillFactor, temperatureC);
  const together = Math.sqrt(bendingStressMpa ** 2 + 3 * shearStressMpa ** 2);
  return {
    toothForceN,
    bendingStressMpa,
    shearStressMpa,
    allowableMpa,
    ...(together > 0 ? { margin: allowableMpa / together } : {}),
  };
}
