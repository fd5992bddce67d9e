import { finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import { fittedTo } from '../../car/document/brief';
import { dragMeasured } from '../../car/document/chassis';
import { airOfBuild, shapesOf } from '../../worked/air/airOfBuild';
import { worked, type Worked } from '../../worked/worked';
import { createPlant, resistanceN } from '../../physics/motion/plant';
import { defineCheck, type Found } from '../engine/check';

declare module '../../base/finding' {
  interface FindingFacts {
    'chassis.air.measured': { area: Measure; error?: Measure };
    'chassis.air.shapes': { area: Measure; low: Measure; high: Measure };
    'chassis.air.started': { area: Measure; share: Measure; speed: Measure };
  }
}

/** Of all resistance at the wished speed, over which drag decides. */
const DECIDES = 0.5;

/** Whether drag and lift are known, where they matter. */
export const air = defineCheck({
  id: 'chassis.air',
  at: { segment: 'chassis', side: 'air' },
  quantity: 'share',
  kind: 'ceiling',
  find: (subject): Found => {
    const { document } = subject;
    const { cdaM2 } = airOfBuild(document);
    if (cdaM2 === undefined) return { missing: ['chassis.cdaM2'] };
    const area = measure(cdaM2, 'areaM2', 2);
    const measured = dragMeasured(document.chassis);
    if (cdaM2 === document.chassis.cdaM2) {
      if (measured || fittedTo(document.brief, ['chassis', 'cdaM2'], cdaM2) !== undefined)
        return {
          state: 'clear',
          finding: finding('chassis.air.measured', {
            area,
            ...(measured ? { error: measure(measured.errorM2, 'areaM2', 1) } : {}),
          }),
        };
    } else {
      const shapes = shapesOf(document);
      if (shapes.ok) {
        const [low, high] = shapes.value.bands.cdaM2.map((one) => measure(one, 'areaM2', 2));
        return {
          state: 'clear',
          finding: finding('chassis.air.shapes', { area, low: low!, high: high! }),
        };
      }
    }
    return started(subject, area);
  },
  provenBy: { run: 'look', how: 'rollOut' },
  supports: [],
});

function started({ document, surface }: Worked, area: Measure): Found {
  const wish = document.brief.targetMps;
  const input = worked(document, surface).runInput();
  if (!input.ok) return input;
  if (wish === undefined) return { missing: ['brief.targetMps'] };
  const whole = resistanceN(createPlant(input.value), wish);
  const bare = resistanceN(createPlant({ ...input.value, car: { ...input.value.car, cdaM2: 0 } }), wish);
  const share = 1 - bare / whole;
  return {
    value: share,
    limit: DECIDES,
    state: share > DECIDES ? 'tight' : 'clear',
    finding: finding('chassis.air.started', {
      area,
      share: measure(share, 'share', 2),
      speed: measure(wish, 'speedMps'),
    }),
  };
}
