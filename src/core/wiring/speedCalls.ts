import type { Compartment } from "./compartment";

/**
 * Which speed each call takes unless a person says otherwise: cooling the fastest, for dense cold air; continuous fan the
 * slowest; heating between, to be set by the temperature rise. A motor with fewer speeds than the equipment has calls
 * gives two calls one tap.
 *
 * @param speeds of the motor, 1 or more.
 * @returns rank by call, 1 the fastest.
 */
export function speedCalls({ offers }: Pick<Compartment, "offers">, speeds: number): Record<string, number> {
  const between = offers.feeds.filter(({ want }) => want === "middle");
  return Object.fromEntries(
    offers.feeds.map(({ call, want }) => {
      if (want === "slowest") return [call, speeds];
      if (want !== "middle") return [call, 1];
      const at = between.findIndex((feed) => feed.call === call) + 1;
      return [
        call,
        Math.min(speeds, 1 + Math.max(1, Math.round((at * (speeds - 1)) / (between.length + 1)))),
      ];
    }),
  );
}
