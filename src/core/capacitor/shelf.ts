/** A capacitor on the shelf: how many there are, and what its label says. */
export type ShelfCapacitor = {
  readonly id: string;
  /** What it is called in a list: "35 + 5 µF 440 V". */
  readonly name: string;
  readonly count: number;
  readonly volts: number;
} & (
  | { readonly kind: "single"; readonly microfarads: number }
  | { readonly kind: "dual"; readonly hermMicrofarads: number; readonly fanMicrofarads: number }
  | { readonly kind: "start"; readonly lowMicrofarads: number; readonly highMicrofarads: number }
);

/** Side by side: values add. */
export function sideBySide(microfarads: readonly number[]): number {
  return microfarads.reduce((sum, value) => sum + value, 0);
}

/** One after the other: reciprocals add. */
export function inSeries(microfarads: readonly number[]): number {
  return 1 / microfarads.reduce((sum, value) => sum + 1 / value, 0);
}
