import { finding, working } from '../../../base/finding';
import { type Measure, measure } from '../../../base/measure';
import { type LoadedBelt } from '../../../worked/transmissions/beltOfBuild';
import { defineCheck, type Proposal } from '../../engine/check';
import { teethFace } from './teeth.face';
import type { TorqueBy } from '../gears/onTeeth';
import { type BeltNamed, beltNamed, beltsOf, onBelts } from './onBelts';

declare module '../../../base/finding' {
  interface FindingFacts {
    'belt.teeth.pulled': BeltNamed & TorqueBy & { pull: Measure; carries: Measure; inMesh: number };
    'belt.teeth.pulley': BeltNamed & TorqueBy & { stress: Measure; allowed: Measure };
  }
  interface WorkingFacts {
    'belt.teeth': {
      torqueNm: number;
      diameterMm: number;
      pullN: number;
      meshFactor: number;
      inMesh: number;
      widthMm: number;
      limitN: number;
    };
  }
}

/** Margin that a remedy aims at, a little over where it is clear. */
const AIM = 1.4;
/** Widths that belts are sold in, mm. */
const WIDTHS_MM = [3, 4, 5, 6, 9, 10, 12, 15, 20, 25];

const marginOf = ({ found }: LoadedBelt) =>
  Math.min(found.toothMargin ?? Infinity, found.pulley?.margin ?? Infinity);

const worstOf = (belts: readonly LoadedBelt[]) => belts.reduce((a, b) => (marginOf(b) < marginOf(a) ? b : a));

/** The pull against what the belt's teeth carry, and those of a printed pulley. */
export const teeth = defineCheck({
  ...teethFace,
  find: (subject) =>
    onBelts(subject, (belts) => {
      const worst = worstOf(belts);
      const { stage, load, found } = worst;
      const value = marginOf(worst);
      if (value === Infinity) return { missing: ['drive.stages:load'] };
      const by = { torque: measure(load.pinionNm, 'torqueNm'), by: load.by };
      const { pulley } = found;
      return {
        value,
        limit: 1,
        finding:
          pulley?.margin === value
            ? finding('belt.teeth.pulley', {
                ...beltNamed(stage),
                ...by,
                stress: measure(pulley.bendingStressMpa, 'stressMpa'),
                allowed: measure(pulley.allowableMpa, 'stressMpa'),
              })
            : finding('belt.teeth.pulled', {
                ...beltNamed(stage),
                ...by,
                pull: measure(found.peripheralForceN!, 'forceN'),
                carries: measure(found.toothLimitN!, 'forceN'),
                inMesh: found.teethInMesh,
              }),
        working: working('belt.teeth', {
          torqueNm: load.pinionNm,
          diameterMm: (2000 * load.pinionNm) / found.peripheralForceN!,
          pullN: found.peripheralForceN!,
          meshFactor: found.meshFactor,
          inMesh: found.teethInMesh,
          widthMm: stage.faceWidthMm!,
          limitN: found.toothLimitN!,
        }),
      };
    }),
  remedies: (subject) => {
    const found = beltsOf(subject);
    return 'belts' in found ? wider(worstOf(found.belts)) : [];
  },
});

/** A wider belt, and larger pulleys of the same ratio, round which it pulls less. */
function wider(worst: LoadedBelt): Proposal[] {
  const { id, faceWidthMm = 0, pinionTeeth = 0, wheelTeeth = 0 } = worst.stage;
  const path = (key: string) => ['drive', 'stages', id, key];
  const wanted = (faceWidthMm * AIM) / marginOf(worst);
  const grown = Math.max(1, Math.ceil((Math.min(pinionTeeth, wheelTeeth) * AIM) / marginOf(worst)));
  const factor = grown / Math.min(pinionTeeth, wheelTeeth);
  return [
    ...WIDTHS_MM.filter((width) => width >= wanted && width > faceWidthMm)
      .slice(0, 2)
      .map((width) => ({ patch: [{ path: path('faceWidthMm'), value: width }], cost: 2 as const })),
    ...(factor > 1 && factor < 2.5
      ? [
          {
            patch: [
              { path: path('pinionTeeth'), value: Math.round(pinionTeeth * factor) },
              { path: path('wheelTeeth'), value: Math.round(wheelTeeth * factor) },
              ...(worst.stage.beltTeeth === undefined
                ? []
                : [
                    {
                      path: path('beltTeeth'),
                      value:
                        worst.stage.beltTeeth + Math.round(((pinionTeeth + wheelTeeth) * (factor - 1)) / 2),
                    },
                  ]),
            ],
            cost: 3 as const,
          },
        ]
      : []),
  ];
}
