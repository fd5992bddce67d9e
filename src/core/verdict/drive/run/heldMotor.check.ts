import { finding, working } from '../../../base/finding';
import { type Measure, measure } from '../../../base/measure';
import { heldMotor as held } from '../../../physics/heat/standstill';
import type { ThermalDefinition } from '../../../physics/heat/thermal';
import { thermalOf, underAir } from '../../../worked/heat/thermalOfBuild';
import type { Worked } from '../../../worked/worked';
import { defineCheck, type Proposal } from '../../engine/check';

declare module '../../../base/finding' {
  interface FindingFacts {
    'drive.hold.ends': { after: Measure; of: 'case' | 'winding'; current: Measure; safe: Measure };
    'drive.hold.forEver': { current: Measure };
  }
}

declare module '../../../base/finding' {
  interface WorkingFacts {
    'drive.hold': {
      currentA: number;
      resistanceMilliOhm: number;
      thermal: ThermalDefinition;
      afterS?: number;
      safeCurrentA: number;
    };
  }
}

/** A moment in which one notices that the wheels do not turn, s. */
const LONG_ENOUGH_S = 5;

/** How long the motor takes it when the wheels are held at full throttle, until winding or case is at its limit. */
export const heldMotor = defineCheck({
  id: 'drive.hold',
  at: { segment: 'drive', side: 'run' },
  anySurface: true,
  quantity: 'timeS',
  kind: 'floor',
  tightUnder: 2,
  find: (subject) => {
    const input = subject.runInput();
    if (!input.ok) return input;
    const { drive } = subject.document;
    const missing = underAir(thermalOf(drive, drive.motor!));
    if (missing.length > 0) return { missing };
    const { held: motor, safeThrottle, safeCurrentA } = heldOf(subject)!;
    const { windingLimitS = Infinity, caseLimitS = Infinity, motorCurrentA } = motor;
    const current = measure(motorCurrentA, 'currentA');
    const afterS = Math.min(windingLimitS, caseLimitS);
    const facts = working('drive.hold', {
      currentA: motorCurrentA,
      resistanceMilliOhm: drive.motor!.resistanceMilliOhm,
      thermal: thermalOf(drive, drive.motor!),
      ...(afterS === Infinity ? {} : { afterS }),
      safeCurrentA,
    });
    return afterS === Infinity
      ? { state: 'clear', finding: finding('drive.hold.forEver', { current }), working: facts }
      : {
          working: facts,
          value: afterS,
          limit: LONG_ENOUGH_S,
          finding: finding('drive.hold.ends', {
            after: measure(afterS, 'timeS'),
            of: windingLimitS < caseLimitS ? 'winding' : 'case',
            current,
            safe: measure(safeThrottle, 'share'),
          }),
        };
  },
  remedies: (subject): Proposal[] => {
    const input = subject.runInput();
    const found = heldOf(subject);
    if (!input.ok || !found) return [];
    // the heat goes with the square of the current
    return LESS.map((factor) => ({
      patch: [{ path: ['drive', 'currentLimitA'], value: Math.floor(factor * found.held.motorCurrentA) }],
      cost: 1 as const,
    })).filter(({ patch }) => patch[0]!.value > 0);
  },
  provenBy: { run: 'look', how: 'letGoWhenHeld' },
  supports: [],
});

/** Shares of the present current that are tried as a limit. */
const LESS = [0.8, 0.6, 0.4];

function heldOf(subject: Worked) {
  const input = subject.runInput();
  if (!input.ok) return undefined;
  const { drive } = subject.document;
  return held(input.value, thermalOf(drive, drive.motor!));
}
