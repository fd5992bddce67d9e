import { type Measure, measure } from '../../../base/measure';
import { CHARGED_CELL_V, chargedV } from '../../../car/document/power';
import { otherPack } from '../../../worked/exchange/otherPack';
import { defineCheck } from '../../engine/check';
import { finding, working } from '../../../base/finding';

declare module '../../../base/finding' {
  interface FindingFacts {
    'power.volts': { cells: number; charged: Measure; weaker: 'controller' | 'motor'; limit: Measure };
  }
  interface WorkingFacts {
    'power.volts': { cells: number; cellV: number; chargedV: number };
  }
}

/** A fresh pack against what controller and motor withstand. */
export const chargedVolts = defineCheck({
  id: 'power.volts',
  at: { segment: 'power', side: 'pack' },
  anySurface: true,
  quantity: 'voltageV',
  kind: 'ceiling',
  tightUnder: 1,
  find: ({ document }) => {
    const { battery, controller } = document.power;
    const { motor } = document.drive;
    if (!battery || !controller || !motor)
      return {
        missing: [
          ...(battery ? [] : ['power.battery']),
          ...(controller ? [] : ['power.controller']),
          ...(motor ? [] : ['drive.motor']),
        ],
      };
    const charged = chargedV(battery.cells);
    const limit = Math.min(controller.maxV, motor.maxV);
    return {
      value: charged,
      limit,
      finding: finding('power.volts', {
        cells: battery.cells,
        charged: measure(charged, 'voltageV'),
        weaker: controller.maxV <= motor.maxV ? 'controller' : 'motor',
        limit: measure(limit, 'voltageV'),
      }),
      working: working('power.volts', { cells: battery.cells, cellV: CHARGED_CELL_V, chargedV: charged }),
    };
  },
  remedies: ({ document }) => {
    const cells = (document.power.battery?.cells ?? 1) - 1;
    const fewer = cells > 0 ? otherPack(document, { cells }) : undefined;
    return fewer ? [{ patch: fewer.patch, cost: 2 }] : [];
  },
  provenBy: { run: 'spin', how: 'steerHardOnBench' },
  supports: [],
});
