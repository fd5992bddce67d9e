import { enduranceOf } from '../../worked/heat/enduranceOf';
import { MEAN_CELL_V } from '../../base/constants';
import { type Measure, measure } from '../../base/measure';
import type { BuildDocument } from '../../car/document/document';
import { allPacks, USUAL_USABLE_SHARE } from '../../car/document/power';
import type { End } from '../../physics/heat/enduranceDefinition';
import { auxiliaryOf } from '../../worked/power/auxiliaryOfBuild';
import type { WholePack } from '../../worked/heat/wholePack';
import { otherPack } from '../../worked/exchange/otherPack';
import { defineCheck, type Found } from '../engine/check';
import { runTimeFace } from './runTime.face';
import { finding, working } from '../../base/finding';
import { coolerBy, coolerController } from '../drive/heat/heldAgainst';
import { heatFacts } from '../../worked/heat/heatFacts';

declare module '../../base/finding' {
  interface FindingFacts {
    'brief.charge.stands': Record<never, never>;
    'brief.charge.driven': { speed: Measure; current?: Measure; ended: End };
    'brief.charge.meanPower': { share: Measure; power: Measure; energy: Measure };
  }
  interface WorkingFacts {
    'brief.charge.meanPower': {
      capacityMah: number;
      cells: number;
      cellV: number;
      usableShare: number;
      energyWh: number;
      meanW: number;
      auxiliaryA: number;
      powerW: number;
      minutes: number;
    };
  }
}

const USUAL_MEAN_SHARE = 0.6;
/** Capacities that are tried over the present one. */
const LARGER = [1.3, 1.6, 2];
/** A car that draws nothing is driven no longer than this, min. */
const MOST_MINUTES = 24 * 60;

/** Minutes per pack against the wish. */
export const runTime = defineCheck({
  ...runTimeFace,
  find: (subject) => {
    const { brief, power } = subject.document;
    const demand = subject.demand();
    const missing = [
      ...(demand.ok ? [] : demand.missing),
      ...(power.battery ? [] : ['power.battery']),
      ...(brief.runTimeMinutes === undefined ? ['brief.runTimeMinutes'] : []),
    ];
    if (missing.length > 0 || !demand.ok) return { missing };
    const whole = enduranceOf(subject);
    return whole.ok
      ? byEndurance(whole.value, brief.runTimeMinutes!)
      : byMeanPower(subject.document, demand.value.surfaces[0]!.meanPowerW);
  },
  remedies: (subject) => {
    const whole = enduranceOf(subject);
    // charge that is left does no good in a larger pack
    const { endedBy } = whole.ok ? whole.value.ended : {};
    if (endedBy === 'controller') return coolerController(subject);
    if (endedBy === 'case' || endedBy === 'winding')
      return coolerBy(
        subject,
        ({ ended }) => ended.durationS / 60 >= (subject.document.brief.runTimeMinutes ?? 0),
      );
    return LARGER.flatMap((capacity) => {
      const pack = otherPack(subject.document, { capacity });
      return pack ? [{ patch: pack.patch, cost: 2 as const }] : [];
    });
  },
});

function byEndurance({ ended, input }: WholePack, wished: number): Found {
  const { durationS, distanceM, meanBatteryCurrentA, endedBy } = ended;
  if (durationS === 0) return { state: 'over', margin: 0, finding: finding('brief.charge.stands', {}) };
  return {
    value: durationS / 60,
    limit: wished,
    finding: finding('brief.charge.driven', {
      speed: measure(distanceM / durationS, 'speedMps'),
      ...(meanBatteryCurrentA === undefined ? {} : { current: measure(meanBatteryCurrentA, 'currentA') }),
      ended: endedBy,
    }),
    working: working('drive.heat', heatFacts(input, ended)),
  };
}

/** While the drive is not chosen: charge over mean power and what hangs on the pack beside it. */
function byMeanPower(document: BuildDocument, meanW: number): Found {
  const { brief, power } = document;
  const { capacityMah, cells } = allPacks(power)!;
  const { usableShare = USUAL_USABLE_SHARE } = power;
  const auxiliaryA = auxiliaryOf(document);
  const energyWh = usableShare * (capacityMah / 1000) * MEAN_CELL_V * cells;
  const powerW = meanW + auxiliaryA * MEAN_CELL_V * cells;
  const minutes = Math.min(MOST_MINUTES, (60 * energyWh) / powerW);
  return {
    value: minutes,
    limit: brief.runTimeMinutes!,
    finding: finding('brief.charge.meanPower', {
      share: measure(brief.meanSpeedShare ?? USUAL_MEAN_SHARE, 'share'),
      power: measure(powerW, 'powerW'),
      energy: measure(energyWh, 'energyWh'),
    }),
    working: working('brief.charge.meanPower', {
      capacityMah,
      cells,
      cellV: MEAN_CELL_V,
      usableShare,
      energyWh,
      meanW,
      auxiliaryA,
      powerW,
      minutes,
    }),
  };
}
