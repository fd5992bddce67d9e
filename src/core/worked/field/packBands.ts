import type { BuildDocument } from '../../car/document/document';
import { calibrationFor } from '../../car/document/heat';
import type { PackMeasure, PackSpread } from '../../car/records/packPredicted';
import { windSpread } from '../../physics/cooling/airflow';
import { TYPICAL_LOSSES } from '../../physics/heat/losses';
import { packOfBuild, type PackOfBuild } from '../heat/enduranceOfBuild';
import { drivePack } from '../heat/wholePack';
import { auxiliaryIsGuessed } from '../power/auxiliaryOfBuild';
import type { RunConditions } from '../motion/runOfBuild';
import { KNOBS, scaled, spreadsOf } from './knobs';

export type PackFigures = Partial<Record<PackMeasure, number>>;

/**
 * What is usually not known of a pack's own figures, one standard deviation over it: the way to the air until readings calibrate it,
 * losses as a quarter of their range (calc of `drive.endurance`), a cell's capacity by age. By judgement.
 */
const [FIRST_GUESS, CALIBRATED, CAPACITY, OWN_SUPPLY] = [0.3, 0.08, 0.05, 0.1];
/** Of a sink or a fan, which readings without it do not tell of. */
const COOLING_PART = 0.15;
const RANGES = {
  drivelineDrag: [0.01, 0.06],
  corneringPerRad: [4, 15],
  slipAtLimitPct: [5, 40],
  auxiliaryA: [0.1, 1.5],
} as const;
const overTypical = (key: keyof typeof RANGES) => {
  const [from, to] = RANGES[key];
  return (to - from) / 4 / TYPICAL_LOSSES[key];
};

type OfPack = Exclude<PackSpread, (typeof KNOBS)[number]>;

/** One standard deviation of each figure of a pack over it. */
function packSpreads(document: BuildDocument, { thermal }: PackOfBuild): Record<OfPack, number> {
  return {
    cooling: coolingSpread(document, thermal.coolingPerMps ?? 0),
    controllerCooling: FIRST_GUESS,
    capacity: CAPACITY,
    driveline: overTypical('drivelineDrag'),
    cornering: overTypical('corneringPerRad'),
    slip: overTypical('slipAtLimitPct'),
    auxiliary: auxiliaryIsGuessed(document) ? overTypical('auxiliaryA') : OWN_SUPPLY,
  };
}

/** Of the motor's way to the air: a guess with its wind, or what readings left, and what has come to it since. */
function coolingSpread({ drive }: BuildDocument, perMps: number): number {
  const { motor, heat = {} } = drive;
  const parts = heat.sinkFinMm === undefined && heat.fanM3PerH === undefined ? 0 : COOLING_PART;
  const known = motor && calibrationFor(heat, motor);
  return known
    ? Math.hypot(CALIBRATED, parts)
    : Math.hypot(FIRST_GUESS, parts, windSpread(heat.body ?? 'open', perMps));
}

/** A pack with one of its own figures multiplied. */
function withPack(pack: PackOfBuild, spread: OfPack, factor: number): PackOfBuild {
  const losses = { ...TYPICAL_LOSSES, ...pack.losses };
  const lost = (key: keyof typeof losses): PackOfBuild => ({
    ...pack,
    losses: { ...losses, [key]: losses[key] * factor },
  });
  switch (spread) {
    case 'cooling':
      return {
        ...pack,
        thermal: { ...pack.thermal, caseToAmbientKPerW: pack.thermal.caseToAmbientKPerW * factor },
      };
    case 'controllerCooling':
      return pack.controller
        ? {
            ...pack,
            controller: {
              ...pack.controller,
              toAmbientKPerW: pack.controller.toAmbientKPerW * factor,
            },
          }
        : pack;
    case 'capacity':
      return { ...pack, battery: { ...pack.battery, capacityMah: pack.battery.capacityMah * factor } };
    case 'driveline':
      return lost('drivelineDrag');
    case 'cornering':
      return lost('corneringPerRad');
    case 'slip':
      return lost('slipAtLimitPct');
    case 'auxiliary':
      return lost('auxiliaryA');
  }
}

/** What a pack comes to. */
export function packFigures(pack: PackOfBuild): PackFigures & { minutes: number } {
  const found = drivePack(pack);
  return {
    minutes: found.durationS / 60,
    peakCaseC: found.peakCaseC,
    peakWindingC: found.peakWindingC,
    ...(found.peakControllerC === undefined ? {} : { peakControllerC: found.peakControllerC }),
    distanceM: found.distanceM,
    energyWh: found.energyWh,
    ...(found.meanSpeedMps === undefined ? {} : { meanSpeedMps: found.meanSpeedMps }),
  };
}

export type PackShares = ReadonlyMap<PackSpread, PackFigures>;

/**
 * What each figure that is not known exactly does to a pack: half of what it moves by between one standard deviation up and down.
 *
 * @returns by figure, each in the unit of what it moves
 * @see JCGM 100, 5.1.3, note 2 (numerical sensitivities)
 */
export function packShares(
  document: BuildDocument,
  surfaceId: string,
  conditions: RunConditions = {},
): PackShares {
  const packOf = (car: BuildDocument) => {
    const surface = car.brief.surfaces.find(({ id }) => id === surfaceId);
    const found = surface && packOfBuild(car, surface, conditions);
    return found?.ok ? found.value : undefined;
  };
  const own = packOf(document);
  const shares = new Map<PackSpread, PackFigures>();
  if (!own) return shares;
  const nominal = packFigures(own);
  const add = (spread: PackSpread, [up, down]: readonly (PackFigures | undefined)[]) => {
    const [more, less] = [up ?? nominal, down ?? nominal];
    const moved = (Object.keys(nominal) as PackMeasure[]).map(
      (key) => [key, Math.abs((more[key] ?? nominal[key]!) - (less[key] ?? nominal[key]!)) / 2] as const,
    );
    shares.set(spread, Object.fromEntries(moved));
  };
  const spreads = spreadsOf(document, surfaceId);
  for (const knob of KNOBS)
    add(
      knob,
      bothWays(spreads[knob]).map((factor) => {
        const pack = packOf(scaled(document, surfaceId, { [knob]: factor }));
        return pack && packFigures(pack);
      }),
    );
  for (const [spread, size] of Object.entries(packSpreads(document, own)) as [OfPack, number][])
    add(
      spread,
      bothWays(size).map((factor) => packFigures(withPack(own, spread, factor))),
    );
  return shares;
}

const bothWays = (spread: number) => [1 + spread, Math.max(0, 1 - spread)];

/** What all of a pack's own figures do to its minutes, one standard deviation over them. */
export function ownErrorOfMinutes(document: BuildDocument, pack: PackOfBuild): number {
  const minutesWith = (spread: OfPack, factor: number) => packFigures(withPack(pack, spread, factor)).minutes;
  const each = (Object.entries(packSpreads(document, pack)) as [OfPack, number][]).map(([spread, size]) => {
    const [up, down] = bothWays(size).map((factor) => minutesWith(spread, factor)) as [number, number];
    return (up - down) / 2;
  });
  return Math.hypot(...each) / packFigures(pack).minutes;
}

/** All of them together for one measure, one standard deviation, and what does most to it. */
export function togetherOf(
  shares: PackShares,
  measure: PackMeasure,
): { error: number; mostFrom?: PackSpread } {
  const each = [...shares].map(([spread, moved]) => [spread, moved[measure] ?? 0] as const);
  const error = Math.hypot(...each.map(([, share]) => share));
  const most = each.reduce<(typeof each)[number] | undefined>(
    (a, b) => (a && a[1] >= b[1] ? a : b),
    undefined,
  );
  return { error, ...(most && most[1] > 0 ? { mostFrom: most[0] } : {}) };
}
