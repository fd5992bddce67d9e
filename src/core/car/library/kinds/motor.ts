import { defineLibraryKind } from './define';
import { type ChosenMotor } from '../../document/drive';
import { MOTOR_FIGURES } from '../../document/drive.figures';

export type MotorFigures = Omit<ChosenMotor, 'libraryId'>;

export const motor = defineLibraryKind<MotorFigures>({
  figures: MOTOR_FIGURES,
  blank: {
    kind: 'sensored',
    kvRpmPerV: 3000,
    resistanceMilliOhm: 25,
    noLoadCurrentA: 2,
    rotorInertiaKgM2: 4e-6,
    maxV: 8.5,
    massG: 165,
    diameterMm: 36,
    lengthMm: 52,
    housing: 'closed',
  },
  tells: ['kvRpmPerV', 'massG'],
});
