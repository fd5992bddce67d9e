import type { BuildDocument } from '../../car/document/document';
import type { DriveRunInput } from '../../physics/motion/definition';
import { type Standing, standing } from '../../physics/motion/standstill';

/** What full throttle does to the standing car on the steepest slope that the brief wishes. */
export const standstillOf = ({ brief }: Pick<BuildDocument, 'brief'>, input: DriveRunInput): Standing =>
  standing({ ...input, gradePct: Math.max(0, brief.gradePct ?? 0) });
