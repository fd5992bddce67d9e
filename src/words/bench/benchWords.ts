import { blowEnergyJ } from '@/core/physics/bench/blow';
import type { RunReport } from '@/core/car/records/report';
import { balanceOfRun } from '@/core/worked/bench/balanceOfRun';
import { growthOf } from '@/core/worked/field/report';
import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import { SPIN_OUTCOME_WORDS } from '../labels/tyres';
import { counted } from '../lists';
import { WHEEL_WORDS } from './wheelWords';

/** What was spun, how far it grew, and what became of it at the fastest. */
export function spinWords(report: RunReport, reader: Reader): string[] {
  const { spins = [], spunTyre } = report;
  const grown = growthOf(report);
  const [last] = [...spins].sort((one, other) => other.rpm - one.rpm);
  const ended = spins.findLast(({ outcome }) => outcome !== undefined);
  return [
    spunTyre?.name ?? '',
    counted(spins.length, 'speed', 'speeds'),
    grown === undefined ? '' : `grew by ${formatText(grown, 'share', reader, 2)}`,
    ended
      ? `${SPIN_OUTCOME_WORDS[ended.outcome!]} at ${formatText(ended.rpm, 'rpm', reader, 5)}`
      : last
        ? `up to ${formatText(last.rpm, 'rpm', reader, 5)}`
        : '',
  ];
}

/** What has to be stuck on where, or what is left after it. */
export function balanceWords({ balance }: RunReport, reader: Reader): string[] {
  const told = balanceOfRun(balance);
  const wheel = balance?.wheel ? WHEEL_WORDS[balance.wheel] : '';
  if (!told?.ok) return [wheel, 'no weight shows in the readings'];
  const { correctionG, correctionAngleDeg, improvement } = told.value;
  return [
    wheel,
    `${formatText(correctionG, 'massG', reader, 2)} at ${formatText(correctionAngleDeg, 'angleDeg', reader, 3)}`,
    improvement === undefined
      ? ''
      : `with it ${formatText(1 / improvement, 'share', reader, 2)} of the shaking is left`,
  ];
}

/** Blows of each variant, and the most that it held and the least that broke it. */
export const blowEnergyWords = ({ blows }: RunReport, reader: Reader): string[] =>
  (blows?.variants ?? []).map(({ name, blows: given }) => {
    const energies = (broke: boolean) =>
      given.filter((blow) => blow.broke === broke).map((blow) => blowEnergyJ(blow, 'blow'));
    const [held, broke] = [energies(false), energies(true)];
    const energy = (joules: number) => formatText(joules, 'energyJ', reader, 2);
    return [
      `${name}: ${counted(given.length, 'blow', 'blows')}`,
      ...(held.length > 0 ? [`held ${energy(Math.max(...held))}`] : []),
      ...(broke.length > 0 ? [`broke at ${energy(Math.min(...broke))}`] : []),
    ].join(', ');
  });
