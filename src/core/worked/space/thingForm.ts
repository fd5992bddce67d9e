import type { Vec3 } from '../../base/vec3';
import type { Form } from '../../physics/clearance/definition';

/** A box, a bar with round ends, or what a thread round points holds. */
export type ThingForm =
  Extract<Form, { kind: 'box' | 'hull' }> | { kind: 'capsule'; fromMm: Vec3; toMm: Vec3; radiusMm: number };
