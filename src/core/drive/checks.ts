import type { Proposal, Subject, CheckDefinition, Finding } from '../checks/check';
import { chargedV } from '../build/power';
import { plain } from '../units/plain';
import { createPlant, resistanceN, tractionN, wheelForceN } from './plant';
import { workingLaunch, workingResistance, workingTopSpeed } from './working';

const unworked = (subject: Subject): Finding => {
  const input = subject.runInput();
  return { missing: input.ok ? [] : input.missing };
};

const NAMES = { grip: 'the grip of the tyres', lift: 'the front wheels lifting', current: "the controller's current limit", voltage: 'the voltage of the pack' } as const;

const moves: CheckDefinition = {
  id: 'drive.moves',
  segment: 'drive',
  title: 'Pull at a standstill',
  short: 'pull',
  quantity: 'forceN',
  kind: 'floor',
  tightUnder: 1.5,
  evaluate: (subject) => {
    const input = subject.runInput();
    if (!input.ok) return unworked(subject);
    const grade = Math.max(0, subject.document.brief.gradePct ?? 0);
    const plant = createPlant({ ...input.value, gradePct: grade });
    const motor = wheelForceN(plant, 0);
    const tyres = tractionN(plant, 0);
    const need = resistanceN(plant, 0);
    const slope = grade > 0 ? ` and a climb of ${plain(grade)} %` : '';
    return {
      value: Math.min(motor, tyres),
      limit: need,
      why: motor < tyres ? `The motor pulls ${plain(motor)} N at the wheels against ${plain(need)} N of rolling resistance${slope}.` : `The tyres pass on ${plain(tyres)} N of the motor's ${plain(motor)} N, against ${plain(need)} N of rolling resistance${slope}.`,
      working: workingLaunch(input.value, subject.run()!).slice(0, 3),
    };
  },
  propose: (subject) => [...gearing(subject, 'shorter'), ...otherPack(subject)],
};

const speed: CheckDefinition = {
  id: 'drive.speed',
  segment: 'drive',
  title: 'Top speed',
  short: 'top speed',
  quantity: 'speedMps',
  kind: 'floor',
  tightUnder: 1.05,
  evaluate: (subject) => {
    const input = subject.runInput();
    const target = subject.document.brief.targetMps;
    if (!input.ok || target === undefined) return { missing: [...(input.ok ? [] : input.missing), ...(target === undefined ? ['wished speed'] : [])] };
    const run = subject.run()!;
    const top = run.topSpeedMps ?? target * 10;
    return {
      value: top,
      limit: target,
      why: run.stalled ? 'It does not get under way.' : run.topSpeedLimitedBy === 'grip' ? 'The grip of the tyres sets the top speed, not the motor.' : `It runs at ${plain((100 * top) / run.noLoadSpeedMps)} % of its no-load speed.`,
      working: workingTopSpeed(input.value, run),
    };
  },
  propose: (subject) => [...gearing(subject, 'longer'), ...gearing(subject, 'shorter'), ...otherPack(subject)],
};

const time: CheckDefinition = {
  id: 'drive.time',
  segment: 'drive',
  title: 'Time to the distance',
  short: 'time',
  quantity: 'timeS',
  kind: 'ceiling',
  tightUnder: 1.05,
  evaluate: (subject) => {
    const { distanceM, timeToDistanceS } = subject.document.brief;
    const input = subject.runInput();
    const missing = [...(input.ok ? [] : input.missing), ...(distanceM === undefined ? ['distance from rest'] : []), ...(timeToDistanceS === undefined ? ['wished time for it'] : [])];
    if (missing.length > 0 || !input.ok) return { missing };
    const run = subject.run()!;
    const reached = run.timeToDistanceS;
    return {
      value: reached ?? input.value.maxTimeS ?? 60,
      limit: timeToDistanceS!,
      why: reached === undefined ? 'It does not get there.' : `At the launch ${NAMES[run.launchLimitedBy]} ${run.launchLimitedBy === 'lift' ? 'set' : 'sets'} the limit.`,
      working: workingLaunch(input.value, run),
    };
  },
  propose: (subject) => [...gearing(subject, 'longer'), ...gearing(subject, 'shorter'), ...otherPack(subject)],
};

const ratio: CheckDefinition = {
  id: 'drive.ratio',
  segment: 'drive',
  title: 'Ratio',
  short: 'ratio',
  quantity: 'share',
  kind: 'band',
  evaluate: (subject) => {
    const input = subject.runInput();
    const target = subject.document.brief.targetMps;
    if (!input.ok || target === undefined) return { missing: [...(input.ok ? [] : input.missing), ...(target === undefined ? ['wished speed'] : [])] };
    const run = subject.run()!;
    const share = run.topSpeedMps === undefined ? 1 : run.topSpeedMps / run.noLoadSpeedMps;
    const missed = (run.topSpeedMps ?? Infinity) < target;
    return { value: share, ...verdictOfRatio(share, missed, run.stalled), working: workingTopSpeed(input.value, run) };
  },
  propose: (subject) => [...gearing(subject, 'longer'), ...gearing(subject, 'shorter')],
};

function verdictOfRatio(share: number, missed: boolean, stalled: boolean) {
  const percent = `${plain(100 * share)} % of its no-load speed`;
  if (stalled) return { state: 'over', limit: 0.5, why: 'Long: the motor stalls and cannot move the car.' } as const;
  if (share < 0.5) return { state: 'over', limit: 0.5, why: `Long: the motor is dragged down to ${percent} and cooks.` } as const;
  if (share > 0.9 && missed) return { state: 'over', limit: 0.9, why: `Short: the motor runs at ${percent} and stays cold, and the car tops out under the wish. It could pull a longer gear.` } as const;
  if (share > 0.9) return { state: 'tight', limit: 0.9, why: `Short, but the wish is met: the motor runs at ${percent} and could pull a longer gear.` } as const;
  if (share <= 0.55) return { state: 'tight', limit: 0.5, why: `Nearly too long: the motor runs at ${percent}.` } as const;
  return { state: 'clear', limit: 0.9, why: `The motor runs at ${percent}.` } as const;
}

const grip: CheckDefinition = {
  id: 'drive.grip',
  segment: 'drive',
  title: 'Grip at the wished speed',
  short: 'grip',
  quantity: 'forceN',
  kind: 'floor',
  tightUnder: 1.2,
  evaluate: (subject) => {
    const demand = subject.demand();
    if (!demand.ok) return { missing: demand.missing };
    const { gripN, resistanceN, gripSpeedMps } = demand.value.surfaces[0]!;
    const input = subject.runInput();
    return {
      value: gripN,
      limit: resistanceN,
      why: gripSpeedMps === undefined ? 'The tyres carry the resistance at every speed.' : `The tyres carry the resistance up to ${plain(gripSpeedMps)} m/s.`,
      working: input.ok ? workingResistance(input.value, subject.document.brief.targetMps!) : [],
    };
  },
};

export const driveChecks: readonly CheckDefinition[] = [moves, speed, time, ratio, grip];

/** Teeth of the first stage moved by up to four, the pinion first because it is quickly changed. */
function gearing(subject: Subject, way: 'longer' | 'shorter'): Proposal[] {
  const stage = subject.document.drive.stages.find(({ pinionTeeth, wheelTeeth }) => pinionTeeth !== undefined && wheelTeeth !== undefined);
  if (!stage) return [];
  const sign = way === 'longer' ? 1 : -1;
  const pinion = stage.pinionTeeth!;
  return [1, 2, 4, 6].flatMap((step) => {
    const teeth = pinion + sign * step;
    if (teeth < 8) return [];
    return [{ text: `Pinion ${pinion} to ${teeth} teeth`, patch: [{ path: ['drive', 'stages', stage.id, 'pinionTeeth'], value: teeth }], cost: 1 as const }];
  });
}

/** One cell more, where motor and controller bear it. */
function otherPack(subject: Subject): Proposal[] {
  const { power, drive } = subject.document;
  const { battery, controller } = power;
  if (!battery || !controller || !drive.motor) return [];
  const cells = battery.cells + 1;
  if (chargedV(cells) > Math.min(controller.maxV, drive.motor.maxV)) return [];
  return [{ text: `${cells} cells instead of ${battery.cells}`, patch: [{ path: ['power', 'battery', 'cells'], value: cells }], cost: 2 }];
}
