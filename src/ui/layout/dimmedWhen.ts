import { DIMMED } from '../theme/tokens';

/** Of what stands until the new is there, and of what is out of use. */
export const dimmedWhen = (dim: boolean) => (dim ? { opacity: DIMMED } : {});
