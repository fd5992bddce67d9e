import { type SlipAid, USUAL_SLIP_AID } from '../../car/document/aids';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { GRAVITY } from '../../base/constants';
import { runInputOf } from '../motion/runOfBuild';
import type { Assembled } from '../../base/assembled';
import type { TractionInput } from '../../physics/aids/slipDefinition';

/**
 * Slip of the most grip where none is given, per cent, and the fall beyond it: Pacejka, ch. 1, on hard
 * ground; Wong, ch. 2, on soft. By judgement.
 */
export const USUAL_SLIP_AT_PEAK_PCT = { hard: 12, loose: 25 } as const;
export const USUAL_SHAPE = { hard: 1.5, loose: 1.2 } as const;

/** Under what the tyres could give, so that wheels that spin do not take the speed that they are told against along. By judgement. */
const UNDER_GRIP = 0.9;

/** Most gain of speed to follow a car by whose wheels are all driven, m/s². */
export const usualMostAccel = (mu: number) => UNDER_GRIP * mu * GRAVITY;

export interface SlipTrial {
  distanceM: number;
  seed?: number;
}

/** A build with its throttle held back by slip; or what is missing. */
export function tractionInputOf(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  aid: SlipAid,
  { distanceM, seed }: SlipTrial,
): Assembled<TractionInput> {
  const run = surface ? runInputOf(document, surface) : undefined;
  if (!run?.ok || !surface) return { ok: false, missing: run && !run.ok ? run.missing : ['brief.surfaces'] };
  const { car, tyre, drive, motor, esc, battery } = run.value;
  if ((car.wheelInertiaKgM2 ?? 0) + (motor.rotorInertiaKgM2 ?? 0) <= 0)
    return { ok: false, missing: ['drive.motor.rotorInertiaKgM2'] };
  const slip = document.suspension.aids?.tyre;
  const figures = {
    ...USUAL_SLIP_AID,
    ...Object.fromEntries(Object.entries(aid).filter(([, value]) => value !== undefined)),
  } as Required<Omit<SlipAid, 'releaseUsPerMs' | 'mostAccelMps2'>> &
    Pick<SlipAid, 'releaseUsPerMs' | 'mostAccelMps2'>;
  return {
    ok: true,
    value: {
      car,
      drive,
      motor,
      esc,
      battery,
      tyre: {
        radiusMm: tyre.radiusMm,
        muPeak: tyre.mu,
        slipAtPeakPct: slip?.slipAtPeakPct ?? USUAL_SLIP_AT_PEAK_PCT[surface.ground],
        shape: slip?.shape ?? USUAL_SHAPE[surface.ground],
      },
      sensor: { magnets: figures.magnets, falsePulseRate: figures.falsePulseRate },
      controller: {
        targetSlipPct: figures.targetSlipPct,
        gainUsPerPct: figures.gainUsPerPct,
        frameMs: figures.frameMs,
        ...(figures.releaseUsPerMs === undefined ? {} : { releaseUsPerMs: figures.releaseUsPerMs }),
        ...(car.drivenAxles === 'all'
          ? { mostAccelMps2: figures.mostAccelMps2 ?? usualMostAccel(tyre.mu) }
          : {}),
      },
      distanceM,
      ...(seed === undefined ? {} : { seed }),
    },
  };
}

/** Edges of a wheel's magnets in one frame at a speed. */
export function edgesPerFrame(
  { radiusMm, magnets, frameMs }: { radiusMm: number; magnets: number; frameMs: number },
  speedMps: number,
): number {
  return (speedMps * frameMs * magnets) / (2 * Math.PI * radiusMm);
}
