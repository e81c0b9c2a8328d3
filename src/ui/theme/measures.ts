/** Least size of what is touched with a probe in the other hand, in pixels. */
export const TOUCH = 48;
/** Height of the rail where it lies at the foot of a phone's screen, pixels. */
export const RAIL = 52;
/** Between a field and the words over and under it, pixels: what the ring of the focus takes. */
export const RING = 6;
/** Height of the words over a field, so that a button beside it stands level. */
export const LABEL_HEIGHT = `calc(1.3125rem + ${RING}px)`;
