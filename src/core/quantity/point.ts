/** A point of a drawing: x to the right, y down, in the drawing's own unit. */
export interface Point {
  readonly x: number;
  readonly y: number;
}
