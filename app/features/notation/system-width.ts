/** Widths come in such steps, so that windows of nearly the same size are given the same drawing. */
const STEP = 80;
/** The units of a staff's height, in which the engraver is told the width. */
const STAFF_UNITS = 72;

/** How wide a system is for a width in CSS px, so that a staff is `staff` px high. */
export const systemWidth = (width: number, staff: number): number =>
  Math.max(STEP * 5, Math.round((width * STAFF_UNITS) / staff / STEP) * STEP);
