import { judgeInsulation } from "../ohms/insulation";
import type { Weight } from "../quantity/weight";
import { higherWay } from "./higherPressure";
import type { AIRS, Instrument, PRESSURE_WAYS, ProvingObservation } from "./observation";
import type { ProvingCase } from "./provingCase";
import { measured, type Reading, readingKey } from "./reading";
import { type How, type Sign, turnSeen } from "./seen";

/** A figure that was read and stands: one read again takes the place of the one before. */
export interface Figure {
  readonly index: number;
  readonly reading: Reading;
  readonly value: number;
  readonly meter: Instrument | undefined;
  /** How the air stood, as a factor on the load. */
  readonly air: number;
}

/** What is not a figure: seen by an eye, or held against a limit of its own. */
export type Discrete = { readonly index: number; readonly air: number } & (
  | { readonly kind: "starts"; readonly call: string; readonly how: How }
  | { readonly kind: "turn"; readonly call: string; readonly way: "cw-lead-end" | "ccw-lead-end" }
  | { readonly kind: "sign"; readonly call: string | null; readonly sign: Sign }
  | { readonly kind: "insulation"; readonly call: null; readonly lead: string; readonly weight: Weight }
  /** A pump tried both ways delivered more the one way than the other. */
  | { readonly kind: "delivers"; readonly call: string; readonly more: (typeof PRESSURE_WAYS)[number] }
);

/** What stands of all that was observed. */
export interface Standing {
  readonly figures: readonly Figure[];
  readonly told: readonly Discrete[];
  /** A pump's pressures by call, moment and way of turning: the observation that has each. */
  readonly pressures: ReadonlyMap<string, number>;
}

/** Blocked and open air, as factors on the load of a wheel with blades curved forward, and of others (fan laws; see the fan's curve). */
const AIR_TIMES: Readonly<
  Record<"forward-curved" | "other", Readonly<Record<(typeof AIRS)[number], number>>>
> = {
  "forward-curved": { free: 1, blocked: 0.5, open: 1.4 },
  other: { free: 1, blocked: 1.2, open: 1 },
};

/** What stands of the observations, in the case's own names; what names an unknown place is left out. */
export function standingOf(made: ProvingCase, observations: readonly ProvingObservation[]): Standing {
  const figures = new Map<string, Figure>();
  const told = new Map<string, Discrete>();
  const airs = new Map<string, number>();
  const wheel = made.load.wheel ?? (made.load.kind === "blower" ? "forward-curved" : "propeller");
  const airTimes = AIR_TIMES[wheel === "forward-curved" ? wheel : "other"];
  observations.forEach((seen, index) => {
    const air = airs.get("call" in seen ? (seen.call ?? "") : "") ?? 1;
    const figure = measured(made, seen);
    if (figure) figures.set(`${readingKey(figure.reading)}/${air}`, { ...figure, index, air });
    if (seen.what === "air") airs.set(seen.call, airTimes[seen.state]);
    const one = discreteOf(seen, index, air, observations.slice(0, index));
    if (one) told.set(one.key, one.seen);
  });
  const known = (call: string | null) => call === null || made.calls.some(({ state }) => state.id === call);
  return {
    figures: [...figures.values()],
    told: [...told.values()].filter(({ call }) => known(call)),
    pressures: new Map(
      observations.flatMap((one, index) =>
        one.what === "pressure" ? [[`${one.call}/${one.at}/${one.way}`, index] as const] : [],
      ),
    ),
  };
}

interface Keyed {
  /** Seen again, it takes the place of the one before. */
  readonly key: string;
  readonly seen: Discrete;
}

function discreteOf(
  seen: ProvingObservation,
  index: number,
  air: number,
  before: readonly ProvingObservation[],
): Keyed | null {
  const at = { index, air };
  switch (seen.what) {
    case "starts":
      return { key: `starts/${seen.call}`, seen: { kind: "starts", call: seen.call, how: seen.how, ...at } };
    case "turn":
      return {
        key: `turn/${seen.call}`,
        seen: { kind: "turn", call: seen.call, way: turnSeen(seen), ...at },
      };
    case "sign":
      return {
        key: `sign/${seen.call ?? ""}/${seen.sign}`,
        seen: { kind: "sign", call: seen.call ?? null, sign: seen.sign, ...at },
      };
    case "insulation": {
      const { weight } = judgeInsulation(seen.megohms, seen.windingC, seen.inWell);
      return {
        key: `insulation/${seen.lead}`,
        seen: { kind: "insulation", call: null, lead: seen.lead, weight, ...at },
      };
    }
    case "pressure": {
      const more = higherWay(seen, before);
      return (
        more && { key: `delivers/${seen.call}`, seen: { kind: "delivers", call: seen.call, more, ...at } }
      );
    }
    default:
      return null;
  }
}
