import Joi from 'joi';
import { count, finite, identifier, notNegative, ownId, positive, text } from '../../base/schema/fields';
import { FAILURE_MODES } from './failureModes';
import { LOG_ROLES } from '../../physics/logs/roles';
import { SPIN_OUTCOMES } from '../../physics/tyres/tyreFit';
import { KNOWN_TYRE_KINDS } from '../../physics/tyres/tyreKinds';
import { holdSchema } from '../tyres/tyre.schema';
import { AXLES } from '../stages/stage';
import {
  BLOW_WAYS,
  CRASH_SIDES,
  type DamagedPart,
  type MeasuredCrash,
  type ClampedBlow,
  type ClampedVariant,
  type KeptLog,
  type MeasuredBalance,
  type MeasuredBlows,
  type SpunTyre,
  type TyreSpin,
} from './benchReport';
import { WHEELS } from './wheels';

const angle = () => finite().min(-3600).max(3600);

const spunTyre = Joi.object<SpunTyre>({
  name: text(80).required(),
  axle: Joi.valid(...AXLES).required(),
  kind: Joi.valid(...KNOWN_TYRE_KINDS).required(),
  radiusMm: positive().max(1000).required(),
  hold: holdSchema().required(),
});

const spin = Joi.object<TyreSpin>({
  id: identifier().required(),
  rpm: notNegative().max(500_000).required(),
  diameterMm: positive().max(2000),
  outcome: Joi.valid(...SPIN_OUTCOMES),
}).or('diameterMm', 'outcome');

const balance = Joi.object<MeasuredBalance>({
  wheel: Joi.valid(...WHEELS),
  amplitude: positive(),
  errorPct: notNegative().max(50),
  trialMassG: positive().max(10_000),
  trialRadiusMm: positive().max(1000),
  correctionRadiusMm: positive().max(1000),
  runs: Joi.array()
    .items(
      Joi.object({
        id: identifier().required(),
        angleDeg: angle().required(),
        amplitude: notNegative().required(),
      }),
    )
    .max(60)
    .unique('id'),
  massG: positive().max(100_000),
  rpm: positive().max(500_000),
  placesDeg: Joi.array().items(angle()).max(60),
  amplitudeAfter: notNegative(),
});

const blow = Joi.object<ClampedBlow>({
  id: identifier().required(),
  energyJ: positive().max(1e6),
  dropMassKg: positive().max(1000),
  heightMm: positive().max(100_000),
  hammerKg: positive().max(1000),
  armMm: positive().max(10_000),
  angleDeg: positive().max(180),
  broke: Joi.boolean().required(),
  part: ownId(),
  copyId: identifier(),
  bentMm: notNegative().max(1000),
})
  .xor('energyJ', 'dropMassKg', 'hammerKg')
  .and('dropMassKg', 'heightMm')
  .and('hammerKg', 'armMm', 'angleDeg');

const blows = Joi.object<MeasuredBlows>({
  way: Joi.valid(...BLOW_WAYS),
  dropMassKg: positive().max(1000),
  hammerKg: positive().max(1000),
  armMm: positive().max(10_000),
  massShare: positive().max(1),
  variants: Joi.array()
    .items(
      Joi.object<ClampedVariant>({
        id: identifier().required(),
        name: text(80).required(),
        partId: identifier(),
        blows: Joi.array().items(blow).max(500).unique('id').required(),
      }),
    )
    .max(10)
    .unique('id')
    .unique('name'),
});

const log = Joi.object<KeptLog>({
  hash: Joi.string().hex().length(64).required(),
  name: text(120).required(),
  rows: count().required(),
  durationS: positive().required(),
  roles: Joi.object(Object.fromEntries(LOG_ROLES.map((role) => [role, text(200)]))),
  polePairs: count().max(60),
});

const crash = Joi.object<MeasuredCrash>({
  side: Joi.valid(...CRASH_SIDES),
  damaged: Joi.array()
    .items(
      Joi.object<DamagedPart>({
        partId: identifier().required(),
        name: text(80).required(),
        mode: Joi.valid(...FAILURE_MODES).required(),
        came: Joi.valid('first', 'after').required(),
        copyId: identifier(),
      }),
    )
    .max(100)
    .unique('partId'),
  packHit: Joi.boolean(),
});

/** What the benches bring home: tyres spun, wheels balanced, clamped parts hit. */
export const benchReportFields = {
  spunTyre,
  spins: Joi.array().items(spin).max(200).unique('id'),
  balance,
  blows,
  log,
  crash,
};
