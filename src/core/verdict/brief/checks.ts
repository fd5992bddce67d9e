import type { BuildDocument } from '../../car/document/document';
import type { CheckDefinition, Finding } from '../engine/check';
import type { WholePack } from '../../worked/drive/wholePack';
import { MEAN_CELL_V } from '../../base/constants';
import type { End } from '../../physics/heat/enduranceDefinition';
import { workingHeat } from '../../physics/heat/heatWorking';
import { massWithPayloadKg } from '../../worked/drive/runOfBuild';
import { otherPack } from '../../worked/exchange/otherPack';
import { plain } from '../../base/units/plain';

const mass: CheckDefinition = {
  id: 'brief.mass',
  segment: 'brief',
  title: 'Mass against the budget',
  short: 'mass',
  anySurface: true,
  quantity: 'massG',
  kind: 'ceiling',
  tightUnder: 1.05,
  evaluate: ({ document }) => {
    const own = document.chassis.massG;
    const size = document.brief.sizeClass;
    const kg = massWithPayloadKg(document);
    if (kg === undefined || !size)
      return {
        missing: [...(kg === undefined ? ['mass ready to run'] : []), ...(size ? [] : ['size class'])],
      };
    const payload = document.brief.payloadG ?? 0;
    return {
      value: kg * 1000,
      limit: size.massBudgetG,
      why:
        payload > 0
          ? `${plain(own!, 4)} g of car and ${plain(payload, 4)} g of payload; the class ${size.name} allows ${plain(size.massBudgetG, 5)} g.`
          : `The class ${size.name} allows ${plain(size.massBudgetG, 5)} g.`,
      working: [
        {
          label: 'Mass with payload',
          formula: `${plain(own!, 4)} g + ${plain(payload, 4)} g`,
          value: kg * 1000,
          quantity: 'massG',
        },
      ],
    };
  },
  propose: ({ document }) => {
    const size = document.brief.sizeClass;
    const payload = document.brief.payloadG ?? 0;
    if (!size || document.chassis.massG === undefined) return [];
    const over = document.chassis.massG + payload - size.massBudgetG / 1.06;
    const half = Math.round(payload / 2);
    return [
      ...(over > 0 && over < document.chassis.massG
        ? [
            {
              text: `Take ${Math.ceil(over)} g off the car`,
              patch: [{ path: ['chassis', 'massG'], value: document.chassis.massG - Math.ceil(over) }],
              cost: 3 as const,
            },
          ]
        : []),
      ...(half > 0
        ? [
            {
              text: `Carry ${half} g instead of ${payload} g`,
              patch: [{ path: ['brief', 'payloadG'], value: half }],
              cost: 2 as const,
            },
          ]
        : []),
    ];
  },
};

const ENDED: Readonly<Record<End, string>> = {
  battery: 'The pack is then down to its cut-off.',
  winding: 'Then the winding has reached its limit, before the pack is empty.',
  case: 'Then the motor case is too hot for what holds it, before the pack is empty.',
  time: 'The pack is not empty even then.',
  stalled: 'Then it no longer gets under way.',
};

function byEndurance({ ended, input }: WholePack, wished: number): Finding {
  const { cruiseMps, restS = 0 } = input.cycle;
  const amps =
    ended.meanBatteryCurrentA === undefined ? '' : ` at a mean of ${plain(ended.meanBatteryCurrentA)} A`;
  return {
    value: ended.durationS / 60,
    limit: wished,
    why: `Driven at ${plain(cruiseMps)} m/s${restS > 0 ? ' with stops' : ''}${amps}. ${ENDED[ended.endedBy]}`,
    working: workingHeat(input, ended).slice(-1),
  };
}

/** While the drive is not chosen: charge over mean power. */
function byMeanPower({ brief, power }: BuildDocument, meanW: number): Finding {
  const battery = power.battery!;
  const energyWh = (battery.capacityMah / 1000) * MEAN_CELL_V * battery.cells;
  const minutes = (60 * energyWh) / meanW;
  return {
    value: minutes,
    limit: brief.runTimeMinutes!,
    why: `At a mean of ${plain(100 * (brief.meanSpeedShare ?? 0.6))} % of the wished speed it draws ${plain(meanW)} W from a pack of ${plain(energyWh)} Wh.`,
    working: [
      {
        label: 'Energy of the pack',
        formula: `${plain(battery.capacityMah / 1000)} Ah · ${battery.cells} · 3.8 V`,
        value: energyWh,
        quantity: 'energyWh',
      },
      {
        label: 'Mean power',
        formula: 'resistance · speed / (driveline · motor efficiency) at the mean speed',
        value: meanW,
        quantity: 'powerW',
        source: 'Gillespie, Fundamentals of Vehicle Dynamics, ch. 2',
      },
      {
        label: 'Minutes',
        formula: `60 · ${plain(energyWh)} Wh / ${plain(meanW)} W`,
        value: minutes,
        quantity: 'minutes',
      },
    ],
  };
}

const charge: CheckDefinition = {
  id: 'brief.charge',
  segment: 'brief',
  title: 'Minutes a pack gives',
  short: 'run time',
  quantity: 'minutes',
  kind: 'floor',
  tightUnder: 1.1,
  heavy: true,
  evaluate: (subject) => {
    const { brief, power } = subject.document;
    const demand = subject.demand();
    const missing = [
      ...(demand.ok ? [] : demand.missing),
      ...(power.battery ? [] : ['pack']),
      ...(brief.runTimeMinutes === undefined ? ['run time a pack'] : []),
    ];
    if (missing.length > 0 || !demand.ok) return { missing };
    const whole = subject.endurance();
    return whole.ok
      ? byEndurance(whole.value, brief.runTimeMinutes!)
      : byMeanPower(subject.document, demand.value.surfaces[0]!.meanPowerW);
  },
  propose: ({ document }) => {
    return [1.3, 1.6, 2].flatMap((capacity) => {
      const pack = otherPack(document, { capacity });
      return pack
        ? [
            {
              text: `A pack of ${Math.round((document.power.battery!.capacityMah * capacity) / 100) * 100} mAh, ${plain(pack.heavierG)} g heavier`,
              patch: pack.patch,
              cost: 2 as const,
            },
          ]
        : [];
    });
  },
};

export const briefChecks: readonly CheckDefinition[] = [mass, charge];
