import type { BuildDocument } from './document';
import { type ChosenMotor, type Drive, drivenOf, type MotorPlace } from './drive';
import type { ChosenController, MotorKind } from './power';

/** Places that have motors of their own. */
export function motorPlaces(drive: Drive): readonly MotorPlace[] {
  const axles = drivenOf(drive);
  switch (drive.motorsAt ?? 'car') {
    case 'car':
      return ['car'];
    case 'axle':
      return axles;
    case 'side':
      return ['left', 'right'];
    case 'wheel':
      return axles.flatMap((axle): MotorPlace[] =>
        axle === 'front' ? ['frontLeft', 'frontRight'] : ['rearLeft', 'rearRight'],
      );
  }
}

/** The motor of one place: the build's, with what is known of this one. */
export function motorAt({ motor, ownMotors = [] }: Drive, place: MotorPlace): ChosenMotor | undefined {
  const {
    id: _,
    controllerLimitA: __,
    controllerMilliOhm: ___,
    controllerName: ____,
    controllerMassG: _____,
    ...own
  } = ownMotors.find(({ id }) => id === place) ?? {};
  return motor && { ...motor, ...own };
}

/** Motors that are the same thing by name and mass, with how many there are of them. */
export function motorsListed(drive: Drive): { place: MotorPlace; motor: ChosenMotor; count: number }[] {
  const found: { place: MotorPlace; motor: ChosenMotor; count: number }[] = [];
  for (const place of motorPlaces(drive)) {
    const motor = motorAt(drive, place);
    if (!motor) continue;
    const like = found.find((one) => one.motor.name === motor.name && one.motor.massG === motor.massG);
    if (like) like.count += drive.motorCount ?? 1;
    else found.push({ place, motor, count: drive.motorCount ?? 1 });
  }
  return found;
}

/** Motors in the car. */
export function motorsInAll(drive: Drive): number {
  return motorPlaces(drive).length * (drive.motorCount ?? 1);
}

type Motored = Pick<BuildDocument, 'drive' | 'power'>;

/** Motors that one controller drives. */
export const motorsPerController = ({ drive, power }: Motored): number =>
  Math.min(power.motorsPerController ?? 1, motorsInAll(drive));

/** Controllers in the car. */
export const controllersInAll = (document: Motored): number =>
  Math.ceil(motorsInAll(document.drive) / motorsPerController(document));

/** Controllers that are the same thing by name and mass, with how many there are of them. */
export function controllersListed(
  document: Motored,
): { place: MotorPlace; name: string; massG: number; count: number }[] {
  const { controller } = document.power;
  if (!controller) return [];
  const places = motorPlaces(document.drive);
  const [first] = places;
  const each = (document.drive.motorCount ?? 1) / motorsPerController(document);
  // one that feeds motors of several places is of none of them
  if (!Number.isInteger(each))
    return [
      { place: first!, name: controller.name, massG: controller.massG, count: controllersInAll(document) },
    ];
  const found: { place: MotorPlace; name: string; massG: number; count: number }[] = [];
  for (const place of places) {
    const own = document.drive.ownMotors?.find(({ id }) => id === place);
    const name = own?.controllerName ?? controller.name;
    const massG = own?.controllerMassG ?? controller.massG;
    const like = found.find((one) => one.name === name && one.massG === massG);
    if (like) like.count += each;
    else found.push({ place, name, massG, count: each });
  }
  return found;
}

/** A current that no motor of a model draws, A. */
const NO_LIMIT_A = 100_000;

/** Current at which a controller limits; none of any use where it does not limit. */
export const limitOfController = ({ currentLimitA, limitsCurrent = true }: ChosenController): number =>
  limitsCurrent ? currentLimitA : NO_LIMIT_A;

/** Brushes switch themselves: a brushed motor needs a brushed controller, and no other motor can use one. */
export const goTogether = (motor: MotorKind | undefined, controller: MotorKind | undefined): boolean =>
  motor === undefined || controller === undefined || (motor === 'brushed') === (controller === 'brushed');
