import type { BuildDocument } from '../../car/document/document';
import type { CheckDefinition, Proposal } from '../engine/check';
import type { Subject } from '../../worked/subject';
import { CHARGED_CELL_V, chargedV, USUAL_CUTOFF_V } from '../../car/document/power';
import { RAD_PER_S_PER_RPM } from '../../base/constants';
import { createPlant, resistanceN } from '../../physics/motion/plant';
import { plain } from '../../base/units/plain';
import { otherPack } from '../../worked/exchange/otherPack';
import { railCheck, loadCheck } from './supplyChecks';
import { servoCheck } from './servoCheck';
import { supplyOf } from '../../worked/power/supplyOfBuild';
import { radioChecks } from './radioChecks';

/** Capacity of the next larger pack over the present one's. */
const LARGER = 1.3;
/** Charge at which a pack is watched for sagging, share. */
const LOW_CHARGE = 0.3;

const volts: CheckDefinition = {
  id: 'power.volts',
  segment: 'power',
  title: 'Charged pack',
  short: 'charged',
  anySurface: true,
  quantity: 'voltageV',
  kind: 'ceiling',
  tightUnder: 1,
  evaluate: ({ document }) => {
    const { battery, controller } = document.power;
    const { motor } = document.drive;
    if (!battery || !controller || !motor)
      return {
        missing: [
          ...(battery ? [] : ['pack']),
          ...(controller ? [] : ['controller']),
          ...(motor ? [] : ['motor']),
        ],
      };
    const charged = chargedV(battery.cells);
    const weaker = controller.maxV <= motor.maxV ? 'controller' : 'motor';
    const limit = Math.min(controller.maxV, motor.maxV);
    return {
      value: charged,
      limit,
      why: `A fresh pack of ${battery.cells} ${battery.cells === 1 ? 'cell' : 'cells'} gives ${plain(charged)} V; the ${weaker} bears ${plain(limit)} V.`,
      working: [
        {
          label: 'Charged',
          formula: `${battery.cells} · ${CHARGED_CELL_V} V`,
          value: charged,
          quantity: 'voltageV',
        },
      ],
    };
  },
  propose: ({ document }) => {
    const battery = document.power.battery;
    const fewer =
      battery && battery.cells > 1 ? otherPack(document, { cells: battery.cells - 1 }) : undefined;
    return battery && fewer
      ? [
          {
            text: `${battery.cells - 1} ${battery.cells === 2 ? 'cell' : 'cells'} instead of ${battery.cells}`,
            patch: fewer.patch,
            cost: 2,
          },
        ]
      : [];
  },
};

const controllerCurrent: CheckDefinition = {
  id: 'power.controller',
  segment: 'power',
  title: 'Controller at the wished speed',
  short: 'controller',
  quantity: 'currentA',
  kind: 'ceiling',
  tightUnder: 1.3,
  evaluate: (subject) => {
    const input = subject.runInput();
    const target = subject.document.brief.targetMps;
    if (!input.ok || target === undefined)
      return {
        missing: [...(input.ok ? [] : input.missing), ...(target === undefined ? ['wished speed'] : [])],
      };
    const { motor, drive, tyre } = input.value;
    const resistance = resistanceN(createPlant(input.value), target);
    const torque =
      (resistance * (tyre.radiusMm / 1000)) / ((motor.count ?? 1) * drive.ratio * drive.efficiency);
    const amps = torque * motor.kvRpmPerV * RAD_PER_S_PER_RPM + motor.noLoadCurrentA;
    const rating = subject.document.power.controller!.continuousA;
    return {
      value: amps,
      limit: rating,
      why: `Holding the wished speed takes ${plain(amps)} A a motor; the controller bears ${plain(rating)} A for long.`,
      working: [
        { label: 'Resistance', formula: `at ${plain(target)} m/s`, value: resistance, quantity: 'forceN' },
        {
          label: 'Motor torque',
          formula: `${plain(resistance)} N · ${plain(tyre.radiusMm / 1000)} m / (${motor.count ?? 1} · ${plain(drive.ratio, 4)} · ${plain(drive.efficiency)}) = ${plain(torque)} Nm`,
        },
        {
          label: 'Current',
          formula: `${plain(torque)} Nm · ${plain(motor.kvRpmPerV, 4)} rpm/V · 2π/60 + ${plain(motor.noLoadCurrentA)} A`,
          value: amps,
          quantity: 'currentA',
          source: 'DC-motor equations',
        },
      ],
    };
  },
  propose: (subject) => [...shorter(subject), ...biggerController(subject)],
};

const packCurrent: CheckDefinition = {
  id: 'power.pack',
  segment: 'power',
  title: 'Peak current of the pack',
  short: 'pack peak',
  quantity: 'currentA',
  kind: 'ceiling',
  tightUnder: 1.15,
  evaluate: (subject) => {
    const input = subject.runInput();
    if (!input.ok) return { missing: input.missing };
    const battery = subject.document.power.battery!;
    const rated = (battery.capacityMah / 1000) * battery.maxDischargeC;
    const motorA = subject.run()!.peakBatteryCurrentA;
    const supply = supplyOf(subject.document, motorA);
    const peak = supply.ok ? supply.result.batteryPeakA : motorA;
    return {
      value: peak,
      limit: rated,
      why: `At full throttle it draws ${plain(peak)} A${supply.ok ? ` with all that hangs on it` : ''}; the pack is rated ${plain(rated)} A.`,
      working: [
        {
          label: 'Rated',
          formula: `${plain(battery.capacityMah / 1000)} Ah · ${plain(battery.maxDischargeC)} C`,
          value: rated,
          quantity: 'currentA',
        },
        {
          label: 'Peak',
          formula: `largest battery current of the run, duty · motor current${supply.ok ? `, ${plain(motorA)} A, and the supply tree at its peak` : ''}`,
          value: peak,
          quantity: 'currentA',
        },
      ],
    };
  },
  propose: biggerPack,
};

const sag: CheckDefinition = {
  id: 'power.sag',
  segment: 'power',
  title: 'Pack under load at 30 %',
  short: 'pack at 30 %',
  quantity: 'voltageV',
  kind: 'floor',
  tightUnder: 1.03,
  evaluate: (subject) => {
    const input = subject.runInput();
    if (!input.ok) return { missing: input.missing };
    const run = subject.run(LOW_CHARGE)!;
    const { cells } = input.value.battery;
    const perCell = run.minBatteryVoltageV / cells;
    const cutoff = subject.document.power.cutoffVPerCell ?? USUAL_CUTOFF_V;
    return {
      value: perCell,
      limit: cutoff,
      why: `A launch at 30 % charge pulls a cell down to ${plain(perCell)} V; the cut-off is ${plain(cutoff)} V.`,
      working: [
        {
          label: 'Loaded cell',
          formula: `(open-circuit volts − ${plain(run.peakBatteryCurrentA)} A · pack resistance) / ${cells}`,
          value: perCell,
          quantity: 'voltageV',
        },
      ],
    };
  },
  propose: biggerPack,
};

export const powerChecks: readonly CheckDefinition[] = [
  volts,
  controllerCurrent,
  packCurrent,
  sag,
  ...radioChecks,
];

/** Checks of each rail, load and servo that a build has. */
export function supplyChecksOf({
  power: { rails = [], loads = [] },
}: Pick<BuildDocument, 'power'>): CheckDefinition[] {
  return [
    ...rails.map(railCheck),
    ...loads.map(loadCheck),
    ...loads.filter(({ kind }) => kind === 'servo').map(servoCheck),
  ];
}

function biggerPack({ document }: Subject): Proposal[] {
  const battery = document.power.battery;
  const [larger, twice] = [otherPack(document, { capacity: LARGER }), otherPack(document, { parallel: 2 })];
  if (!battery || !larger || !twice) return [];
  return [
    {
      text: `A pack of ${Math.round((battery.capacityMah * LARGER) / 100) * 100} mAh of the same make, ${plain(larger.heavierG)} g heavier`,
      patch: larger.patch,
      cost: 2,
    },
    { text: `Two such packs in parallel, ${plain(twice.heavierG)} g heavier`, patch: twice.patch, cost: 2 },
  ];
}

function biggerController({ document }: Subject): Proposal[] {
  const controller = document.power.controller;
  if (!controller) return [];
  const continuousA = Math.ceil((controller.continuousA * 1.5) / 10) * 10;
  return [
    {
      text: `A controller of ${continuousA} A`,
      patch: [{ path: ['power', 'controller', 'continuousA'], value: continuousA }],
      cost: 2,
    },
  ];
}

function shorter({ document }: Subject): Proposal[] {
  const stage = document.drive.stages.find(
    ({ pinionTeeth, wheelTeeth }) => pinionTeeth !== undefined && wheelTeeth !== undefined,
  );
  if (!stage || stage.pinionTeeth! < 10) return [];
  return [
    {
      text: `Pinion ${stage.pinionTeeth} to ${stage.pinionTeeth! - 2} teeth`,
      patch: [{ path: ['drive', 'stages', stage.id, 'pinionTeeth'], value: stage.pinionTeeth! - 2 }],
      cost: 1,
    },
  ];
}
