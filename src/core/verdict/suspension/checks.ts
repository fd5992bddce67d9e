import type { CheckDefinition } from '../engine/check';
import { bumpSteer } from './checks/bumpSteer.check';
import { damping } from './checks/damping.check';
import { landing } from './checks/landing.check';
import { lock } from './checks/lock.check';
import { play } from './checks/play.check';
import { sag } from './checks/sag.check';

/** The checks of what the wheels do. */
export const suspensionChecks: readonly CheckDefinition[] = [sag, landing, lock, bumpSteer, damping, play];
