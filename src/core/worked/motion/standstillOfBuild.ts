import type { BuildDocument } from '../../car/document/document';
import type { DriveRunInput } from '../../physics/motion/definition';
import { type Standing, standing } from '../../physics/motion/standstill';

type WithBrief = Pick<BuildDocument, 'brief'>;

/** The run's input on the steepest slope that the brief wishes. */
export const onSteepest = ({ brief }: WithBrief, input: DriveRunInput): DriveRunInput => ({
  ...input,
  gradePct: Math.max(0, brief.gradePct ?? 0),
});

/** What full throttle does to the standing car on the steepest slope that the brief wishes. */
export const standstillOf = (document: WithBrief, input: DriveRunInput): Standing =>
  standing(onSteepest(document, input));
