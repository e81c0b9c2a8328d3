import type { PRESSURE_WAYS, ProvingObservation } from "./observation";

/** Two pressures nearer than this are no answer to which is the higher. */
const PLAINLY_MORE = 1.1;

/** Which way a pump delivers plainly more, once it was read both ways; null before, or where they are alike. */
export function higherWay(
  { call, way, kilopascals }: Extract<ProvingObservation, { what: "pressure" }>,
  before: readonly ProvingObservation[],
): (typeof PRESSURE_WAYS)[number] | null {
  const other = before.findLast((one) => one.what === "pressure" && one.call === call && one.way !== way) as
    | Extract<ProvingObservation, { what: "pressure" }>
    | undefined;
  if (!other) return null;
  if (kilopascals > PLAINLY_MORE * other.kilopascals) return way;
  return other.kilopascals > PLAINLY_MORE * kilopascals ? other.way : null;
}
