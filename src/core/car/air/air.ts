import type { AirBody, AirFin, AirInput, AirWing } from '../../physics/air/definition';

/** A wing with its place from the front axle on the ground, x forward, z up. */
export interface Wing extends AirWing {
  name?: string;
}

export interface Fin extends AirFin {
  name?: string;
}

/** What the air meets: the kind of body, of which the rest has usual figures, and what is built on it. */
export interface AirShapes extends Partial<AirBody>, Pick<AirInput, 'splitter' | 'undertray' | 'noseScoop'> {
  wings?: Wing[];
  fins?: Fin[];
}
