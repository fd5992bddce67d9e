import { CalcError, type Refused } from '../../base/errors';
import type { Finding } from '../../base/finding';
import type { BuildDocument } from '../../car/document/document';
import type { SpunTyre, TyreSpin } from '../../car/records/benchReport';
import type { RunRecord } from '../../car/records/records';
import { tyreAt, tyreKeys } from '../../car/tyres/tyres';
import type { Axle } from '../../car/stages/stage';
import type { SpinReading } from '../../physics/tyres/growthFit';
import type { TyreMake } from '../../physics/tyres/tyreKinds';
import { type FittedTyre, type SpinOutcome, tyreFit, type TyreFitInput } from '../../physics/tyres/tyreFit';
import { tyreSpin } from '../../physics/tyres/tyreSpin';
import { makeOf } from '../tyres/tyreMake';

/** One way to make and hold a tyre, with everything that the bench says of it. */
export interface Construction {
  tyre: SpunTyre;
  make: TyreMake;
  spins: TyreSpin[];
  fitted: FittedTyre;
  /** Growth over what is typical of its kind, at the fastest reading; both over the diameter at rest. */
  growth?: { rpm: number; measuredPct: number; predictedPct: number };
  /** Car's speed at the proven turns and the diameter that the tyre has there. */
  provenMps?: number;
  /** With the modulus that was fitted. */
  learned: TyreMake;
}

export type Constructions =
  | { ok: true; constructions: Construction[]; notes: Finding[] }
  | { ok: false; refused: Refused; name: string };

/** The build's tyre of an axle as it would go onto the bench; nothing while its kind is not said. */
export function tyreForBench({ drive }: BuildDocument, axle: Axle): SpunTyre | undefined {
  const tyre = tyreAt(drive, axle);
  if (!tyre?.ring) return undefined;
  return {
    name: tyre.name,
    axle,
    kind: tyre.ring,
    radiusMm: tyre.radiusMm,
    hold: drive[tyreKeys(drive, axle).hold] ?? {},
  };
}

/** Constructions that were spun, the one that stands the most first; sessions of one name are pooled. */
export function constructionsOf(
  runs: readonly Pick<RunRecord, 'report' | 'document'>[],
  wishRpm?: number,
): Constructions {
  const sessions = new Map<string, { tyre: SpunTyre; spins: TyreSpin[] }>();
  for (const { report = {}, document } of runs) {
    const tyre = report.spunTyre ?? tyreForBench(document, 'rear');
    if (!tyre || !report.spins?.length) continue;
    const known = sessions.get(tyre.name);
    sessions.set(tyre.name, { tyre, spins: [...(known?.spins ?? []), ...report.spins] });
  }
  const made = [...sessions.values()].flatMap(({ tyre, spins }) => {
    const make = makeOf(tyre.kind, tyre.radiusMm, tyre.hold);
    return make.ok && fits(spins) ? [{ tyre, make: make.value, spins }] : [];
  });
  const input: TyreFitInput = {
    tyres: made.map(({ tyre, make, spins }) => ({
      id: tyre.name,
      // what was measured before would stand in the way of what is read now
      ...{ ...make, hoopModulusMpa: undefined },
      readings: readingsOf(spins),
      outcomes: outcomesOf(spins),
    })),
    ...(wishRpm === undefined ? {} : { wishRpm }),
  };
  if (made.length === 0) return { ok: true, constructions: [], notes: [] };
  try {
    const { tyres, ranking, notes } = tyreFit(input);
    const told = made.map((one, k) => toldOf(one, tyres[k]!));
    return {
      ok: true,
      notes,
      constructions: ranking.map((name) => told.find(({ tyre }) => tyre.name === name)!),
    };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    const at = Number(error.path.split('.')[1]);
    return { ok: false, refused: error.refused, name: made[at]?.tyre.name ?? '' };
  }
}

const readingsOf = (spins: readonly TyreSpin[]): SpinReading[] =>
  spins.flatMap(({ rpm, diameterMm }) => (diameterMm === undefined ? [] : [{ rpm, diameterMm }]));

const outcomesOf = (spins: readonly TyreSpin[]): { rpm: number; outcome: SpinOutcome }[] =>
  spins.flatMap(({ rpm, outcome }) => (outcome === undefined || rpm === 0 ? [] : [{ rpm, outcome }]));

/** Whether there is an outcome, or a reading that turns. */
const fits = (spins: readonly TyreSpin[]): boolean =>
  spins.some(({ rpm, diameterMm, outcome }) => rpm > 0 && (diameterMm ?? outcome) !== undefined);

function toldOf(
  { tyre, make, spins }: { tyre: SpunTyre; make: TyreMake; spins: TyreSpin[] },
  fitted: FittedTyre,
): Construction {
  const learned = { ...make, hoopModulusMpa: fitted.modulusMpa ?? make.hoopModulusMpa };
  const [fastest] = readingsOf(spins).sort((one, other) => other.rpm - one.rpm);
  const rest = fitted.restDiameterMm;
  const { provenRpm } = fitted;
  const typical = { ...make, hoopModulusMpa: undefined };
  return {
    tyre,
    make,
    spins,
    fitted,
    learned,
    ...(fastest && fastest.rpm > 0 && rest !== undefined
      ? {
          growth: {
            rpm: fastest.rpm,
            measuredPct: (fastest.diameterMm / rest - 1) * 100,
            predictedPct: tyreSpin({ ...typical, rpm: fastest.rpm }).growthPct ?? Infinity,
          },
        }
      : {}),
    ...(provenRpm === undefined
      ? {}
      : { provenMps: tyreSpin({ ...learned, rpm: provenRpm }).vehicleSpeedMps }),
  };
}
