import { finding } from '../../base/finding';
import { measure, type Measure } from '../../base/measure';
import { scale, subtract, add, type Vec3, lengthOf } from '../../base/vec3';
import type { BuildDocument } from '../../car/document/document';
import { apartMm } from '../../worked/train/lines';
import { type TrainMesh, trainOfCar } from '../../worked/train/trainOfCar';
import { defineCheck } from '../engine/check';
import { moved } from './onStanding';
import { trainFace } from './train.face';

declare module '../../base/finding' {
  interface FindingFacts {
    'fit.train': {
      stage: number;
      motor: boolean;
      apart: Measure;
      mesh: Measure;
      too: 'near' | 'far' | 'right';
    };
  }
}

/** What a slot and a builder's measure take up, mm. */
const TAKEN_UP_MM = 1;
const [RIGHT_MM, TENTHS] = [0.05, 10];

const offOf = ({ driving, driven, centreDistanceMm }: TrainMesh): number =>
  apartMm(driving, driven) - centreDistanceMm;

const isMotors = ({ drive }: BuildDocument, { stage }: TrainMesh): boolean =>
  drive.stages[0]?.id === stage.id;

/** Where motor and gears stand, their teeth meet: the worst pair of shafts beside each other. */
export const train = defineCheck({
  ...trainFace,
  find: ({ document }) => {
    const worst = worstOf(trainOfCar(document).meshes);
    if (!worst) return { missing: ['chassis.bodies:motor'] };
    const off = offOf(worst);
    return {
      value: Math.abs(off),
      limit: TAKEN_UP_MM,
      finding: finding('fit.train', {
        stage: document.drive.stages.findIndex(({ id }) => id === worst.stage.id) + 1,
        motor: isMotors(document, worst),
        apart: measure(apartMm(worst.driving, worst.driven), 'fitMm', 3),
        mesh: measure(worst.centreDistanceMm, 'fitMm', 3),
        too: Math.abs(off) < RIGHT_MM ? 'right' : off > 0 ? 'far' : 'near',
      }),
    };
  },
  remedies: ({ document }) => {
    const worst = worstOf(trainOfCar(document).meshes);
    if (!worst || !isMotors(document, worst)) return [];
    // the motor goes straight to or from the gear's shaft, across the line of both
    const { driving, driven, centreDistanceMm } = worst;
    const away = subtract(driving.atMm, driven.atMm);
    const flat: Vec3 = driving.along === 0 ? [0, away[1], away[2]] : [away[0], 0, away[2]];
    const size = lengthOf(flat);
    if (size === 0) return [];
    const at = add(driving.atMm, scale(flat, centreDistanceMm / size - 1));
    const [xMm, yMm, zMm] = at.map((mm) => Math.round(TENTHS * mm) / TENTHS) as [number, number, number];
    return [{ patch: moved(document, 'motor', driving.along === 0 ? { yMm, zMm } : { xMm, zMm }), cost: 1 }];
  },
});

function worstOf(meshes: readonly TrainMesh[]): TrainMesh | undefined {
  return meshes.reduce<TrainMesh | undefined>(
    (worst, one) => (worst && Math.abs(offOf(worst)) >= Math.abs(offOf(one)) ? worst : one),
    undefined,
  );
}
