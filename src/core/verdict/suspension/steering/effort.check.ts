import { steeringServo } from '../../../worked/power/steeringServo';
import { defineCheck } from '../../engine/check';
import { findServo, strongerServo } from '../../power/supply/servos.check';

/** The steering servo once more, under what the wheels do. */
export const effort = defineCheck({
  id: 'steering.effort',
  at: { segment: 'suspension', side: 'steering' },
  quantity: 'torqueNm',
  kind: 'floor',
  tightUnder: 1.3,
  find: (subject) => {
    const servo = steeringServo(subject.document);
    return servo ? findServo(subject, servo) : { missing: ['power.loads:steeringServo'] };
  },
  remedies: (subject) => {
    const servo = steeringServo(subject.document);
    return servo ? strongerServo(subject, servo) : [];
  },
  provenBy: { run: 'spin', how: 'steerOnGround' },
  supports: ['servoTooSmall', 'servoVoltsLow'],
});
