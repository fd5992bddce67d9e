import { LOG_ROLES } from '@/core/physics/logs/roles';
import { listed } from '../lists';
import type { Refusals } from '../refusals/refusals';

/** What balancing, blows and series of settings refuse. */
export const BENCH_REFUSALS: Refusals<
  'balanceRun' | 'log' | 'motorLog' | 'blow' | 'staircase' | 'series' | 'tyreFit' | 'tyreMake' | 'logFile'
> = {
  'logFile.large': () => ['has over 50 MB', 'cut it to the runs that count'],
  'tyreMake.own': () => ['is missing: nothing is typical of a tyre of one’s own', 'give it'],
  'tyreMake.rim': ({ radiusMm }) => [
    `must be under the tyre’s radius, ${radiusMm} mm`,
    'measure the rim where the tyre sits',
  ],
  'tyreMake.bonded': () => ['a hollow tyre is not glued all over', 'glue it at its beads'],
  'tyreMake.layer': () => ['belongs to a hollow tyre', 'leave it out, or choose a hollow kind'],
  'tyreMake.hold': ({ hold }) => [
    hold === 'clamp' ? 'is missing for a bolted ring' : 'is missing for a tyre that sits by tightness',
    'give it, or choose another hold',
  ],
  'tyreMake.wall': ({ roomMm }) => [
    `must be under the room between rim and tread, ${roomMm} mm`,
    'measure the wall, or the rim',
  ],
  'tyreFit.twice': ({ id }) => [`“${id}” stands there twice`, 'give each tyre a name of its own'],
  'tyreFit.free': () => ['a loop on nothing is not spun on a bench', 'give its rim and what holds it'],
  'tyreFit.nothing': () => [
    'has nothing that was read',
    'give diameters at some speeds, or what became of the tyre at them',
  ],
  'tyreFit.onlyRest': () => ['has no reading but at rest', 'read the diameter at a speed too'],
  'balanceRun.angles': () => [
    'need three different angles at least',
    'put the trial weight at three places round the wheel',
  ],
  'balanceRun.shows': ({ errorPct }) => [
    `all lie within ${errorPct} % of the run without a weight: they show nothing`,
    'take a heavier trial weight',
  ],
  'balanceRun.together': ({ other }) => [
    `is missing beside ${other}`,
    'give mass and speed together, or neither',
  ],
  'balanceRun.between': ({ apart }) => [
    `leave the correction in a gap of ${apart}, which two weights cannot span`,
    'add a place on that side',
  ],
  'blow.oneWay': () => [
    'is told in no way, or in several',
    'give the energy, or what fell and from where, or the swing of a hammer',
  ],
  'blow.half': ({ other }) => [`is missing beside ${other}`, 'give both, or tell the energy another way'],
  'log.oneForm': () => ['stands beside columns, or both are missing', 'give the one or the other'],
  'log.empty': () => ['holds no line', 'give a log with a row at least'],
  'log.lengths': () => ['is longer or shorter than the other columns', 'give a number in each for every row'],
  'log.role': () => ['is nothing that a column can be', `take one of ${LOG_ROLES.join(', ')}`],
  'log.noColumn': ({ names }) => ['names a column that is not there', `take one of ${listed(names, 12)}`],
  'log.noTime': () => [
    'holds no column of times for two rows at least',
    'say which column is the time, by its name',
  ],
  'motorLog.lengths': () => ['must have columns of equal length', 'give a number in each for every row'],
  'motorLog.rows': ({ least }) => [
    `and the other readings make too few: ${least} at least are needed that turn`,
    'read volts, turns and amps at one more speed',
  ],
  'motorLog.kv': () => [
    'and the other readings do not tell turns a volt surely',
    'let it spin free at several voltages and read again',
  ],
  'motorLog.resistance': () => [
    'does not tell the resistance: the currents are too small or too much alike',
    'read under load or held fast, or give meterMilliOhm',
  ],
  'motorLog.rising': () => ['must be later than the one before', 'give the times in order'],
  'motorLog.noFreeSpin': () => [
    'is needed beside a coast-down: what idles slows it',
    'read the current of the motor spinning free',
  ],
  'motorLog.noSlowing': () => [
    'does not fall as a motor that idles would let it',
    'log from the moment at which the current is off, a speed for each time',
  ],
  'series.twice': ({ x }) => [`${x} occurs twice`, 'put its results into one list'],
  'series.shape': () => [
    'needs three values of the setting for a curve',
    'try another value, or take a line',
  ],
  'staircase.twice': ({ id }) => [`“${id}” occurs twice`, 'name each variant once'],
  'staircase.broken': ({ part }) => [`“${part}” was broken before`, 'hit a whole copy'],
  'staircase.predicted': () => [
    'must be an energy, or a force that breaks it with its stiffness',
    'give the one or the other',
  ],
};
