/** Values with their places: what tells apart the cells, columns and rows of a file, which may all be alike. */
export function placed<T>(values: readonly T[]): { value: T; place: number }[] {
  return values.map((value, place) => ({ value, place }));
}
