import { TABLES } from '@/core/physics/diagnosis/tables';
import { verdictWords } from './learn/verdictWords';
import type { FailureLedger, Verdict } from '@/core/car/records/failureLedger';
import type { PrintSheet, WearReading } from '@/core/car/records/prints';
import type { Rival, SheetKind } from '@/core/car/records/mergeSheets';
import { durationText } from '@/core/base/units/duration';
import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { QuantityName } from '@/core/base/units/quantities';

/** A fact that two writers changed, as a reader says it. */
export interface RivalWords {
  readonly label: string;
  readonly mine: string;
  readonly theirs: string;
}

type Say<T> = (value: T, reader: Reader) => string;
interface Fact {
  readonly label: string;
  readonly say: (value: unknown, reader: Reader) => string;
}

const fact = <T>(label: string, say: Say<T>): Fact => ({
  label,
  say: (value, reader) => (value === undefined ? 'nothing' : say(value as T, reader)),
});
const figure = (label: string, name: QuantityName): Fact =>
  fact<number>(label, (value, reader) => formatText(value, name, reader));
const words = (label: string): Fact => fact<string>(label, (value) => `“${value}”`);
const ticked = (label: string): Fact => fact<boolean>(label, (value) => (value ? 'yes' : 'no'));

const became: Say<Partial<PrintSheet>> = ({ state, why, actualS }) => {
  if (state === 'finished')
    return actualS === undefined ? 'finished' : `finished after ${durationText(actualS)}`;
  if (state === 'failed') return why ? `failed: ${why}` : 'failed';
  return state === 'printing' ? 'on the bed' : 'in the queue';
};

const FACTS: Readonly<Record<SheetKind, Readonly<Record<string, Fact>>>> = {
  failure: {
    mode: fact<{ mode: string; 'ledger.modeWords'?: string }>(
      'How it failed',
      (value) => value['ledger.modeWords'] ?? TABLES.modes[value.mode]?.means ?? value.mode,
    ),
    partName: fact<{ partName: string }>('The part that failed', ({ partName }) => partName),
    fix: fact<{ fix?: string }>('What was done about it', ({ fix }) => `“${fix}”`),
    hours: figure('Driven until then', 'hours'),
    story: words('What happened'),
    runId: fact('The run in which it failed', () => 'a run'),
    occurredAt: fact<string>('When it failed', (at) => at.slice(0, 10)),
    'ledger.copyId': fact('Which copy failed', () => 'a copy'),
    'ledger.stateOfCharge': figure('Charge left', 'share'),
    'ledger.motorCaseC': figure('The motor’s case', 'temperatureC'),
    'ledger.impactMps': figure('Speed of the blow', 'speedMps'),
    'ledger.lostMinutes': figure('Until it ran again', 'minutes'),
    'ledger.wet': ticked('Whether it was wet'),
    'ledger.repaired': ticked('Whether the part had been repaired'),
    'ledger.crackedBefore': ticked('Whether it had been cracked before'),
    'ledger.verdict': fact<Verdict>('The verdict', verdictWords),
    'ledger.rounds': fact<FailureLedger['rounds']>('Earlier looks', (rounds) => `${rounds!.length}`),
    'ledger.outcomes': fact<{ check: string; result: string }>(
      'A check',
      ({ check, result }) => `${TABLES.checks.find(({ id }) => id === check)?.ask ?? check} ${result}`,
    ),
    'ledger.photos': fact<{ caption?: string }>('A photograph', ({ caption }) =>
      caption ? `“${caption}”` : 'without words',
    ),
  },
  print: {
    state: fact('What became of the print', became),
    massG: figure('Weighed', 'massG'),
    estimateS: fact<number>('Expected time', (seconds) => durationText(seconds)),
    printer: fact<string>('The printer', (name) => name),
    items: fact<{ partName: string }>('What came off the plate', ({ partName }) => partName),
  },
  copy: {
    retiredAt: fact<{ retiredWhy?: string }>('Whether the copy was given up', ({ retiredWhy }) =>
      retiredWhy ? `given up: ${retiredWhy}` : 'given up',
    ),
    readings: fact<WearReading>(
      'A reading of the caliper',
      ({ valueMm, hours }, reader) =>
        `${formatText(valueMm, 'lengthMm', reader, 4)} after ${formatText(hours, 'hours', reader)}`,
    ),
    repairs: fact<{ what: string }>('A repair', ({ what }) => `“${what}”`),
    massG: figure('Weighed', 'massG'),
  },
};

/** What two writers said of one fact; a fact without words of its own goes by its name. */
export function rivalWords({ kind, fact: [name], mine, theirs }: Rival, reader: Reader): RivalWords {
  const { label, say } = FACTS[kind][name] ?? fact<unknown>(name, (value) => JSON.stringify(value));
  return { label, mine: say(mine, reader), theirs: say(theirs, reader) };
}
