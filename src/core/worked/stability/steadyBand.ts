import { normalFrom } from '../../base/numeric/random';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { Band } from '../../physics/air/definition';
import type { SteadyInput } from '../../physics/handling/steady/definition';
import { setupOf } from '../../physics/handling/steady/setup';
import { lowestUnstable } from '../../physics/handling/steady/speeds';
import { dragSpreadOf, shapesOf } from '../air/airOfBuild';
import { steadyInputOf } from './steadyOfBuild';

/** What is not known of a car straight ahead, one standard deviation; of the air, areas in m². */
interface Unsure {
  corneringShare: number;
  muShare: number;
  frontLoadShare: number;
  cdaShare: number;
  claFrontM2: number;
  claRearM2: number;
  sideShare: number;
  pressureMm: number;
}

export interface SteadyBand {
  draws: number;
  /** Speed from which it is not steady: 5, 50 and 95 of 100 cars; none of those that always are. */
  looseMps?: readonly [low: number, middle: number, high: number];
  /** Cars that are not steady somewhere up to the speed searched. */
  looseShare: number;
}

/** Not known of a stiffness that is typical of its ground, and of one that was given; of the weight's place; by judgement. */
const [TYPICAL_STIFFNESS, GIVEN_STIFFNESS, WEIGHT_SHARE, USUAL_DRAG] = [0.15, 0.07, 0.01, 0.15];
const DRAWS = 400;
const SEARCH_MPS = 100;
const OF_HALF_WIDTH = 1 / Math.sqrt(3);
const LEAST_FACTOR = 0.2;

/** A figure that is as likely everywhere in its band. */
const spreadOf = (band: Band | undefined): number => (band ? (OF_HALF_WIDTH * (band[1] - band[0])) / 2 : 0);

function unsureOf(document: BuildDocument, surface: ChosenSurface): Unsure {
  const { corneringFrontPerRad, corneringRearPerRad } = document.suspension.aids?.tyre ?? {};
  const shapes = shapesOf(document);
  const bands = shapes.ok ? shapes.value.bands : undefined;
  const { claFrontM2, claRearM2 } = document.chassis;
  const slope = shapes.ok ? (shapes.value.sideForceSlopeM2 ?? 0) : 0;
  return {
    corneringShare:
      corneringFrontPerRad === undefined || corneringRearPerRad === undefined
        ? TYPICAL_STIFFNESS
        : GIVEN_STIFFNESS,
    muShare: surface.mu > 0 ? surface.muError / surface.mu : 0,
    frontLoadShare: WEIGHT_SHARE,
    cdaShare: dragSpreadOf(document) ?? USUAL_DRAG,
    claFrontM2: claFrontM2 === undefined ? spreadOf(bands?.claFrontM2) : 0,
    claRearM2: claRearM2 === undefined ? spreadOf(bands?.claRearM2) : 0,
    sideShare: slope > 0 ? spreadOf(bands?.sideForceSlopeM2) / slope : 0,
    pressureMm: spreadOf(bands?.centreOfPressureXMm),
  };
}

/** Speeds at which cars like this build, as far as it is known, stop being steady. */
export function steadyBand(
  document: BuildDocument,
  surface: ChosenSurface,
  draws = DRAWS,
): SteadyBand | undefined {
  const input = steadyInputOf(document, surface, { speedMps: 1 });
  if (!input.ok) return undefined;
  const unsure = unsureOf(document, surface);
  const normal = normalFrom(1);
  const { band, share } = bandOf(
    Array.from({ length: draws }, () =>
      lowestUnstable(setupOf(drawn(input.value, unsure, normal)), SEARCH_MPS),
    ),
  );
  return { draws, ...(band ? { looseMps: band } : {}), looseShare: share };
}

function drawn(input: SteadyInput, unsure: Unsure, normal: () => number): SteadyInput {
  const factor = (share: number) => Math.max(LEAST_FACTOR, 1 + share * normal());
  const { front, rear } = input.tyres;
  const air = input.air!;
  const grip = factor(unsure.muShare);
  const tyre = (one: typeof front) => ({
    ...one,
    corneringPerRad: one.corneringPerRad * factor(unsure.corneringShare),
    mu: one.mu * grip,
  });
  return {
    ...input,
    frontLoadShare: Math.min(0.99, Math.max(0.01, input.frontLoadShare + unsure.frontLoadShare * normal())),
    tyres: { ...input.tyres, front: tyre(front), rear: tyre(rear) },
    air: {
      ...air,
      cdaM2: air.cdaM2! * factor(unsure.cdaShare),
      claFrontM2: air.claFrontM2! + unsure.claFrontM2 * normal(),
      claRearM2: air.claRearM2! + unsure.claRearM2 * normal(),
      ...(air.centreOfPressureXMm === undefined
        ? {}
        : {
            sideForceSlopeM2: air.sideForceSlopeM2! * factor(unsure.sideShare),
            centreOfPressureXMm: air.centreOfPressureXMm + unsure.pressureMm * normal(),
          }),
    },
  };
}

/** 5, 50 and 95 of 100 of all, those without a figure at the top; none where more than half have none. */
function bandOf(values: readonly (number | undefined)[]) {
  const share = values.filter((value) => value !== undefined).length / values.length;
  const sorted = values.map((value) => value ?? SEARCH_MPS).sort((a, b) => a - b);
  const at = (q: number) => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!;
  return { share, band: share > 0.5 ? ([at(0.05), at(0.5), at(0.95)] as const) : undefined };
}
