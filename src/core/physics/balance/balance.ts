import type { OperationFinding } from '../../base/operationFinding';
import { GRAVITY } from '../../base/constants';
import { finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.balance.lifted': { wheel: keyof WheelLoads };
    'note.balance.betweenWheels': Record<never, never>;
    'note.balance.left': { share: Measure };
    'note.balance.moveTo': { side: 'left' | 'right' };
    'note.balance.outside': { id: string };
  }
}

export type Triple = readonly [x: number, y: number, z: number];

export interface ComponentDefinition {
  id: string;
  massG: number;
  /** From the front axle on the ground, x forward, y to the left, z up. */
  xMm: number;
  yMm: number;
  zMm: number;
  sizeMm?: Triple;
  /** Carried by the springs. */
  sprung?: boolean;
}

export interface BalanceInput {
  wheelbaseMm: number;
  trackFrontMm: number;
  trackRearMm: number;
  components: readonly ComponentDefinition[];
}

export interface WheelLoads {
  /** Front left, N. */
  fl: number;
  /** Front right, N. */
  fr: number;
  /** Rear left, N. */
  rl: number;
  /** Rear right, N. */
  rr: number;
}

export interface BalanceResult {
  massG: number;
  sprungMassG: number;
  unsprungMassG: number;
  unsprungShare: number;
  cgMm: [number, number, number];
  frontLoadShare: number;
  leftLoadShare: number;
  wheelLoadsN: WheelLoads;
  yawInertiaKgM2: number;
  rollInertiaKgM2: number;
  findings: OperationFinding[];
}

/** How far from a half the left side may be. */
export const SIDE_TOLERANCE = 0.025;
/** How far outside the wheelbase a component's centre may be, share of it. */
const OUTSIDE_SHARE = 0.25;
const KG_M2_PER_G_MM2 = 1e-9;

/** Track at a station along the car, interpolated between the axles. */
export const trackAt = (
  xMm: number,
  {
    wheelbaseMm,
    trackFrontMm,
    trackRearMm,
  }: Pick<BalanceInput, 'wheelbaseMm' | 'trackFrontMm' | 'trackRearMm'>,
): number => trackFrontMm - (xMm / wheelbaseMm) * (trackRearMm - trackFrontMm);

/**
 * Mass, centre of gravity, wheel loads and inertias of a car from its components; a torsionally stiff car on equal roll
 * stiffness shares an axle's load by the sides.
 *
 * @returns masses in g, places in mm, loads in N, inertias in kg m² about the centre of gravity
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 1; Meriam and Kraige, Dynamics, appendix B (boxes)
 */
export function chassisBalance(input: BalanceInput): BalanceResult {
  const { components, wheelbaseMm } = input;
  const massG = sum(components, ({ massG: m }) => m);
  const mean = (of: (one: ComponentDefinition) => number) =>
    sum(components, (one) => one.massG * of(one)) / massG;
  const cg: [number, number, number] = [
    mean(({ xMm }) => xMm),
    mean(({ yMm }) => yMm),
    mean(({ zMm }) => zMm),
  ];
  const sprungMassG = sum(components, ({ massG: m, sprung = true }) => (sprung ? m : 0));
  const frontLoadShare = 1 + cg[0] / wheelbaseMm;
  const track = trackAt(cg[0], input);
  const leftLoadShare = (track / 2 + cg[1]) / track;
  const weightN = (massG / 1000) * GRAVITY;
  const wheelLoadsN: WheelLoads = {
    fl: weightN * frontLoadShare * leftLoadShare,
    fr: weightN * frontLoadShare * (1 - leftLoadShare),
    rl: weightN * (1 - frontLoadShare) * leftLoadShare,
    rr: weightN * (1 - frontLoadShare) * (1 - leftLoadShare),
  };
  const inertia = (a: 0 | 1 | 2, b: 0 | 1 | 2) =>
    KG_M2_PER_G_MM2 *
    sum(components, (one) => {
      const place: Triple = [one.xMm, one.yMm, one.zMm];
      const size = one.sizeMm ?? [0, 0, 0];
      return (
        one.massG * ((place[a] - cg[a]) ** 2 + (place[b] - cg[b]) ** 2 + (size[a] ** 2 + size[b] ** 2) / 12)
      );
    });
  return {
    massG,
    sprungMassG,
    unsprungMassG: massG - sprungMassG,
    unsprungShare: (massG - sprungMassG) / massG,
    cgMm: cg,
    frontLoadShare,
    leftLoadShare,
    wheelLoadsN,
    yawInertiaKgM2: inertia(0, 1),
    rollInertiaKgM2: inertia(1, 2),
    findings: findingsOf(input, leftLoadShare, wheelLoadsN),
  };
}

const sum = (components: readonly ComponentDefinition[], of: (one: ComponentDefinition) => number) =>
  components.reduce((total, one) => total + of(one), 0);

function findingsOf(
  { components, wheelbaseMm }: BalanceInput,
  left: number,
  loads: WheelLoads,
): OperationFinding[] {
  const lifted = (Object.keys(loads) as (keyof WheelLoads)[]).filter((wheel) => loads[wheel] <= 0);
  const beyond = components.filter(
    ({ xMm }) => xMm > OUTSIDE_SHARE * wheelbaseMm || xMm < -(1 + OUTSIDE_SHARE) * wheelbaseMm,
  );
  return [
    ...lifted.map((wheel): OperationFinding => ({
      severity: 'over',
      about: wheel,
      why: finding('note.balance.lifted', { wheel }),
      remedy: finding('note.balance.betweenWheels', {}),
    })),
    ...(Math.abs(left - 0.5) > SIDE_TOLERANCE
      ? [
          {
            severity: 'tight' as const,
            about: 'leftLoadShare',
            why: finding('note.balance.left', { share: measure(left, 'share') }),
            remedy: finding('note.balance.moveTo', { side: left > 0.5 ? 'right' : 'left' }),
          },
        ]
      : []),
    ...beyond.map(({ id }): OperationFinding => ({
      severity: 'note',
      about: id,
      why: finding('note.balance.outside', { id }),
    })),
  ];
}
