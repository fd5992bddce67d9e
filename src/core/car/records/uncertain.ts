/** Figures of a build that are not known exactly and that a run feels. */
export const UNCERTAIN_FIGURES = ['grip', 'rolling', 'drag', 'efficiency', 'motor'] as const;
export type UncertainFigure = (typeof UNCERTAIN_FIGURES)[number];
