import { hollowBody } from './hollowBody';
import { layerBodies } from './layerBody';
import type { TyreBody } from './spun';
import type { WholeMake } from './tyreKinds';

/** The bodies of a make, by the modulus in MPa. */
export const bodiesOf = (make: WholeMake): ((modulusMpa: number) => TyreBody) =>
  make.isHollow ? (modulusMpa) => hollowBody(make, modulusMpa) : layerBodies(make);

export const bodyOf = (make: WholeMake): TyreBody => bodiesOf(make)(make.hoopModulusMpa);
