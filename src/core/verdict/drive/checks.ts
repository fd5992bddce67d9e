import type { Proposal, CheckDefinition, Finding } from '../engine/check';
import type { Subject } from '../../worked/subject';
import { bearsCells, otherPack } from '../../worked/exchange/otherPack';
import { plain } from '../../base/units/plain';
import type { DriveRunInput } from '../../physics/motion/definition';
import { driveRun, type DriveRunResult } from '../../physics/motion/run';
import { createPlant, resistanceN, tractionN, wheelForceN } from '../../physics/motion/plant';
import { workingLaunch, workingResistance, workingTopSpeed } from '../../physics/motion/working';

const unworked = (subject: Subject): Finding => {
  const input = subject.runInput();
  return { missing: input.ok ? [] : input.missing };
};

const NAMES = {
  grip: 'the grip of the tyres',
  lift: 'the front wheels lifting',
  current: "the controller's current limit",
  voltage: 'the voltage of the pack',
} as const;

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
      why:
        motor < tyres
          ? `The motor pulls ${plain(motor)} N at the wheels against ${plain(need)} N of rolling resistance${slope}.`
          : `The tyres pass on ${plain(tyres)} N of the motor's ${plain(motor)} N, against ${plain(need)} N of rolling resistance${slope}.`,
      working: workingLaunch(input.value, subject.run()!).slice(0, 3),
    };
  },
  propose: (subject) => [...gearing(subject, 'shorter'), ...oneCellMore(subject)],
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
    if (!input.ok || target === undefined)
      return {
        missing: [...(input.ok ? [] : input.missing), ...(target === undefined ? ['wished speed'] : [])],
      };
    const run = subject.run()!;
    const top = run.topSpeedMps ?? target * 10;
    return {
      value: top,
      limit: target,
      why: run.stalled
        ? 'It does not get under way.'
        : run.topSpeedLimitedBy === 'grip'
          ? 'The grip of the tyres sets the top speed, not the motor.'
          : `It runs at ${plain((100 * top) / run.noLoadSpeedMps)} % of its no-load speed.`,
      working: workingTopSpeed(input.value, run),
    };
  },
  propose: (subject) => [
    ...gearing(subject, 'longer'),
    ...gearing(subject, 'shorter'),
    ...oneCellMore(subject),
  ],
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
    const missing = [
      ...(input.ok ? [] : input.missing),
      ...(distanceM === undefined ? ['distance from rest'] : []),
      ...(timeToDistanceS === undefined ? ['wished time for it'] : []),
    ];
    if (missing.length > 0 || !input.ok) return { missing };
    const run = subject.run()!;
    const reached = run.timeToDistanceS;
    return {
      value: reached ?? input.value.maxTimeS ?? 60,
      limit: timeToDistanceS!,
      why:
        reached === undefined
          ? 'It does not get there.'
          : `At the launch ${NAMES[run.launchLimitedBy]} ${run.launchLimitedBy === 'lift' ? 'set' : 'sets'} the limit.`,
      working: workingLaunch(input.value, run),
    };
  },
  propose: (subject) => [
    ...gearing(subject, 'longer'),
    ...gearing(subject, 'shorter'),
    ...oneCellMore(subject),
  ],
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
    if (!input.ok || target === undefined)
      return {
        missing: [...(input.ok ? [] : input.missing), ...(target === undefined ? ['wished speed'] : [])],
      };
    const run = subject.run()!;
    const share = run.stalled ? 0 : run.topSpeedMps === undefined ? 1 : run.topSpeedMps / run.noLoadSpeedMps;
    return {
      value: share,
      ...verdictOfRatio(input.value, run, target),
      working: workingTopSpeed(input.value, run),
    };
  },
  propose: (subject) => {
    const input = subject.runInput();
    const target = subject.document.brief.targetMps;
    if (!input.ok || target === undefined) return [];
    const { way } = verdictOfRatio(input.value, subject.run()!, target);
    return way ? gearing(subject, way) : [];
  },
};

/** A ratio is tried this far to either side. */
const NEARBY = 0.05;
/** How near an end of the ratios that meet the wish is near. */
const TO_AN_END = 0.1;
/** Gain of speed that names a way. */
const WORTH = 1.005;

interface RatioVerdict {
  state: 'over' | 'tight' | 'clear';
  /** Share of the no-load speed. */
  limit: number;
  why: string;
  /** Which way the gear should go. */
  way?: 'longer' | 'shorter';
}

/** Whether the gear is at fault: where the wish is missed the faster neighbour names the way, where it is met a motor that is dragged down asks for a shorter one. */
function verdictOfRatio(input: DriveRunInput, run: DriveRunResult, target: number): RatioVerdict {
  const share = run.topSpeedMps === undefined ? 1 : run.topSpeedMps / run.noLoadSpeedMps;
  const percent = `${plain(100 * share)} % of its no-load speed`;
  if (run.stalled && heldByTyres(input))
    return { state: 'clear', limit: 0.5, why: 'The tyres cannot move the car here, whatever the gear.' };
  if (run.stalled)
    return {
      state: 'over',
      limit: 0.5,
      why: 'Long: the motor stalls and cannot move the car.',
      way: 'shorter',
    };
  const top = run.topSpeedMps ?? Infinity;
  const topAt = (factor: number) =>
    driveRun({ ...input, drive: { ...input.drive, ratio: input.drive.ratio * factor } }).topSpeedMps ??
    Infinity;
  if (top < target) {
    if (run.topSpeedLimitedBy === 'grip')
      return {
        state: 'clear',
        limit: 0.9,
        why: 'The grip of the tyres sets the top speed, whatever the gear.',
      };
    const [longer, shorter] = [topAt(1 - NEARBY), topAt(1 + NEARBY)];
    if (Math.max(longer, shorter) < WORTH * top)
      return {
        state: 'over',
        limit: 0.9,
        why: `Too little motor: at ${percent} neither a longer nor a shorter gear is faster, and the wish is missed.`,
      };
    if (longer > shorter)
      return {
        state: 'over',
        limit: 0.9,
        why: `Short: the motor runs at ${percent} and the car tops out under the wish. A longer gear is faster.`,
        way: 'longer',
      };
    return {
      state: 'over',
      limit: 0.5,
      why: `Long: the motor is dragged down to ${percent} and the wish is missed. A shorter gear is faster.`,
      way: 'shorter',
    };
  }
  if (share < 0.5)
    return {
      state: 'over',
      limit: 0.5,
      why: `Long: the wish is met, but the motor is dragged down to ${percent} and cooks.`,
      way: 'shorter',
    };
  if (share <= 0.55)
    return {
      state: 'tight',
      limit: 0.5,
      why: `Nearly too long: the wish is met with the motor at ${percent}.`,
      way: 'shorter',
    };
  if (topAt(1 + TO_AN_END) < target)
    return {
      state: 'tight',
      limit: 0.9,
      why: `Nearly too short: a gear ${plain(100 * TO_AN_END)} % shorter misses the wish. The motor runs at ${percent}.`,
      way: 'longer',
    };
  if (topAt(1 - TO_AN_END) < target)
    return {
      state: 'tight',
      limit: 0.5,
      why: `Nearly too long: a gear ${plain(100 * TO_AN_END)} % longer misses the wish. The motor runs at ${percent}.`,
      way: 'shorter',
    };
  return {
    state: 'clear',
    limit: 0.5,
    why:
      share > 0.9
        ? `The wish is met with the motor hardly loaded, at ${percent}.`
        : `The motor runs at ${percent}.`,
  };
}

const heldByTyres = (input: DriveRunInput) => {
  const plant = createPlant(input);
  return tractionN(plant, 0) <= resistanceN(plant, 0);
};

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
      why:
        gripSpeedMps === undefined
          ? 'The tyres carry the resistance at every speed.'
          : `The tyres carry the resistance up to ${plain(gripSpeedMps)} m/s.`,
      working: input.ok ? workingResistance(input.value, subject.document.brief.targetMps!) : [],
    };
  },
};

export const driveChecks: readonly CheckDefinition[] = [moves, speed, time, ratio, grip];

/** Teeth of the first stage moved by up to four, the pinion first because it is quickly changed. */
function gearing(subject: Subject, way: 'longer' | 'shorter'): Proposal[] {
  const stage = subject.document.drive.stages.find(
    ({ pinionTeeth, wheelTeeth }) => pinionTeeth !== undefined && wheelTeeth !== undefined,
  );
  if (!stage) return [];
  const sign = way === 'longer' ? 1 : -1;
  const pinion = stage.pinionTeeth!;
  return [1, 2, 4, 6].flatMap((step) => {
    const teeth = pinion + sign * step;
    if (teeth < 8) return [];
    return [
      {
        text: `Pinion ${pinion} to ${teeth} teeth`,
        patch: [{ path: ['drive', 'stages', stage.id, 'pinionTeeth'], value: teeth }],
        cost: 1 as const,
      },
    ];
  });
}

/** One cell more, where motor and controller bear it. */
function oneCellMore({ document }: Subject): Proposal[] {
  const { battery, controller } = document.power;
  if (!battery || !controller || !document.drive.motor) return [];
  const cells = battery.cells + 1;
  const pack = bearsCells(document, cells) ? otherPack(document, { cells }) : undefined;
  return pack
    ? [
        {
          text: `${cells} cells instead of ${battery.cells}, ${plain(pack.heavierG)} g heavier`,
          patch: pack.patch,
          cost: 2,
        },
      ]
    : [];
}
