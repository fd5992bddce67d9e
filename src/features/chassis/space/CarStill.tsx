import type { Motion, Vec3 } from '@/core/base/vec3';
import type { DrawnThing } from '@/core/worked/space/drawnThings';
import { STILL_VIEWS } from '@/core/worked/space/still';
import { type DrawnCar, FlatCar } from '@/ui/charts/FlatCar';
import type { CarLook } from './carLook';

/** A force as it is drawn, in the car's axes. */
export interface SceneArrow {
  id: string;
  fromMm: Vec3;
  toMm: Vec3;
}

export interface CarSceneProps extends DrawnCar {
  /** What was clicked last, two at the most. */
  picked: readonly string[];
  onPick(id: string): void;
  wheelbaseMm: number;
  /** Parts that were made here, and their surfaces by the hash of the mesh, as far as they are read. */
  drawn: readonly DrawnThing[];
  surfaces: ReadonlyMap<string, Float32Array>;
  look: CarLook;
  /** How the car stands as a whole, where not as it is drawn. */
  carried?: Motion;
  arrows?: readonly SceneArrow[];
}

const WIDTH = 620;

/** The car drawn flat, in the pose that is shown: where no picture in space can be drawn, and on paper. */
export function CarStill(props: DrawnCar) {
  return STILL_VIEWS.map((view) => <FlatCar key={view} view={view} widthPx={WIDTH} named {...props} />);
}
