/** Margin from which case and winding are clear. */
export const CLEAR_FROM = 1.15;
