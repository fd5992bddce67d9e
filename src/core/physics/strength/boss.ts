import { inPlaneShearMpa, type StrengthMaterial } from './allowable';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.boss.noNut': { thread: Measure };
    'note.boss.noWasher': { thread: Measure };
  }
}

export interface BossInput {
  screwMm: number;
  engagementMm: number;
  wallMm: number;
  material: StrengthMaterial;
  /** The layers' normal along the screw, or across it. */
  layers: 'acrossAxis' | 'alongAxis';
  forceN: number;
  nutAcrossFlatsMm?: number;
  insertDiameterMm?: number;
  washerDiameterMm?: number;
}

export const BOSS_KINDS = ['screwInPlastic', 'nutTrap', 'heatSetInsert', 'throughBolt'] as const;
export type BossKind = (typeof BOSS_KINDS)[number];

export interface BossResult {
  kinds: Partial<Record<BossKind, { pullOutN: number; margin: number }>>;
  best: BossKind;
  notes: Finding[];
}

/** Across flats of hexagon nuts (ISO 4032) and outer diameter of plain washers (ISO 7089), mm, by thread. */
const NUTS: Readonly<Record<string, number>> = {
  '1.6': 3.2,
  '2': 4,
  '2.5': 5,
  '3': 5.5,
  '3.5': 6,
  '4': 7,
  '5': 8,
  '6': 10,
  '8': 13,
  '10': 16,
  '12': 18,
};
const WASHERS: Readonly<Record<string, number>> = {
  '1.6': 4,
  '2': 5,
  '2.5': 6,
  '3': 7,
  '3.5': 8,
  '4': 9,
  '5': 10,
  '6': 12,
  '8': 16,
  '10': 20,
  '12': 24,
};
const INSERT_OVER_SCREW = 1.5;
const NOT_LOADED = 1e6;

/**
 * Four ways to hold a screw in a printed boss: in the plastic, a trapped nut, a heat-set insert, a bolt right through.
 *
 * @returns the force that pulls each out, N; kinds without a standard size are left out
 * @see ISO 4032, ISO 7089; shear over the thread's cylinder (Shigley, Mechanical Engineering Design, ch. 8)
 */
export function bossCheck(input: BossInput): BossResult {
  const { screwMm: d, engagementMm: length, wallMm, material, layers, forceN } = input;
  const tau = layers === 'acrossAxis' ? material.interlayerShearMpa : inPlaneShearMpa(material);
  const bearing = material.inPlaneStrengthMpa;
  const hole = (Math.PI / 4) * d ** 2;
  const flats = input.nutAcrossFlatsMm ?? NUTS[String(d)];
  const washer = input.washerDiameterMm ?? WASHERS[String(d)];
  const insert = input.insertDiameterMm ?? INSERT_OVER_SCREW * d;
  const held = (pullOutN: number) => ({ pullOutN, margin: forceN === 0 ? NOT_LOADED : pullOutN / forceN });
  const kinds: BossResult['kinds'] = {
    screwInPlastic: held(tau * Math.PI * d * length),
    // a hexagon of s across flats: area √3/2·s², perimeter 2√3·s
    ...(flats === undefined
      ? {}
      : {
          nutTrap: held(
            Math.min(
              ((Math.sqrt(3) / 2) * flats ** 2 - hole) * bearing,
              2 * Math.sqrt(3) * flats * wallMm * tau,
            ),
          ),
        }),
    heatSetInsert: held(tau * Math.PI * insert * length),
    ...(washer === undefined ? {} : { throughBolt: held(((Math.PI / 4) * washer ** 2 - hole) * bearing) }),
  };
  const best = (Object.entries(kinds) as [BossKind, { pullOutN: number }][]).reduce((a, b) =>
    b[1].pullOutN > a[1].pullOutN ? b : a,
  )[0];
  return {
    kinds,
    best,
    notes: [
      ...(flats === undefined ? [finding('note.boss.noNut', { thread: measure(d, 'fitMm') })] : []),
      ...(washer === undefined ? [finding('note.boss.noWasher', { thread: measure(d, 'fitMm') })] : []),
    ],
  };
}
