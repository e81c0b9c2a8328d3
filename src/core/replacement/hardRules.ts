import { polesOf } from "../motor/plate/nominalSpeed";
import {
  BEARINGS,
  ENCLOSURES,
  type Enclosure,
  KINDS,
  MOUNTS,
  type Plate,
  SHAFT_POSITIONS,
} from "../motor/plate/plate";
import { formatLength } from "../quantity/length";
import { digits } from "../quantity/number";
import { formatRotation } from "../quantity/rotation";
import { connectionFor, formatVolts, type VoltRange } from "../quantity/volts";
import type { Candidate, Need } from "./need";
import { leadWatts } from "./powerLead";
import { retrofitSize } from "./retrofit";
import { canTurn } from "./rotationNeed";
import type { Words } from "./words";

/** What a hard rule says of a candidate. */
export type HardVerdict =
  | { readonly verdict: "passes"; readonly note?: Words }
  /** Rules it out. */
  | { readonly verdict: "misses"; readonly says: Words }
  /** One of the two plates does not tell: to be checked before the motor is taken. */
  | { readonly verdict: "unknown"; readonly says: Words };

/** A rule whose miss rules a candidate out. */
export interface HardRule {
  readonly id: string;
  readonly title: string;
  /** What the need decides by itself holds for every candidate; else each is judged. */
  readonly judge: (need: Need) => HardVerdict | ((candidate: Candidate) => HardVerdict);
}

/** Shafts and bores are made to so much: within it they are the same size, mm. */
const SHAFT_SLACK_MM = 0.15;
const BODY_SLACK_MM = 3;

const passes: HardVerdict = { verdict: "passes" };
const misses = (says: Words): HardVerdict => ({ verdict: "misses", says });
const unknown = (says: Words): HardVerdict => ({ verdict: "unknown", says });

/** A rule that compares what both plates say of one thing; it stays open where either does not tell. */
function compared<T>(
  of: (plate: Plate) => T | undefined,
  open: string,
  judge: (was: T, is: T) => HardVerdict,
): HardRule["judge"] {
  return ({ old }) => {
    const was = of(old);
    if (was === undefined) return unknown(open);
    return ({ plate }) => {
      const is = of(plate);
      return is === undefined ? unknown(open) : judge(was, is);
    };
  };
}

/** A belly band goes round one diameter only. */
const SAME_BAND = compared(
  ({ bodyDiameterMm }) => bodyDiameterMm,
  "Body diameter: the band goes round one diameter only; measure both.",
  (was, is) =>
    Math.abs(was - is) <= BODY_SLACK_MM
      ? passes
      : misses(() => `Body ${formatLength(is)} across; the band is for ${formatLength(was)}.`),
);

/** The hard rules, in the order a technician goes through them. */
export const HARD_RULES: readonly HardRule[] = [
  {
    id: "kind",
    title:
      "An electronic original is never replaced by a plain motor, nor the reverse, without the maker’s kit",
    judge:
      ({ old }) =>
      ({ plate }) => {
        const was = old.kind ?? "plain";
        const is = plate.kind ?? "plain";
        if (was === "electronic")
          return is === "electronic"
            ? unknown(
                "An electronic motor is set by its maker for the machine: only the machine’s own part, or the maker’s kit, will do.",
              )
            : misses(
                is === "retrofit"
                  ? "The original is electronic: a retrofit for plain motors does not take its place."
                  : "The original is electronic: a plain motor does not take its place.",
              );
        if (is === "electronic")
          return misses("An electronic motor set by its maker does not take a plain one’s place.");
        if (old.kind === undefined && is === "retrofit")
          return unknown(
            () => `Make sure that the old one is a ${KINDS.plain}: a retrofit replaces nothing else.`,
          );
        return passes;
      },
  },
  {
    id: "phase",
    title: "Phase as the supply has it",
    judge: compared(
      ({ phase }) => phase,
      "Phase: check that both are the same.",
      (was, is) =>
        is === was
          ? passes
          : misses(
              () =>
                `${is === 3 ? "Three-phase" : "Single-phase"}, where the old one is ${was === 3 ? "three-phase" : "single-phase"}.`,
            ),
    ),
  },
  {
    id: "hertz",
    title: "Hertz as the supply has them",
    judge: compared(
      ({ hertz }) => hertz,
      "Hertz: check that it is made for the supply’s.",
      (was, is) =>
        was.some((value) => is.includes(value))
          ? passes
          : misses(() => `Made for ${is.join(" and ")} Hz, not for ${was.join(" or ")} Hz.`),
    ),
  },
  {
    id: "volts",
    title: "Volts of the supply; a dual-voltage motor serves either, and must be set",
    judge: ({ old, supplyVolts }) => {
      const supply = supplyVolts ?? supplyFrom(old.volts);
      return ({ plate: { volts } }) => {
        if (!volts) return unknown("Volts: its plate is not known.");
        if (supply === null) return unknown("Volts: measure the supply, then check them.");
        const connection = connectionFor(volts, supply);
        if (!connection)
          return misses(() => `Made for ${formatVolts(volts)}; the supply has ${Math.round(supply)} V.`);
        return volts.length > 1
          ? { verdict: "passes", note: () => `Must be SET to ${formatVolts([connection])} before power.` }
          : passes;
      };
    },
  },
  {
    id: "speed",
    title: "The same nominal speed: the same poles",
    judge: ({ old }) => {
      const was = polesOf(old);
      return ({ plate }) => {
        if ((plate.kind ?? "plain") === "retrofit") return passes;
        const is = polesOf(plate);
        // Poles of an odd stamped speed are a guess; speeds far apart are not, whatever poles they are taken for.
        if (was === null || is === null || was === is)
          if (old.rpm !== undefined && plate.rpm !== undefined && differsTooMuch(old.rpm, plate.rpm))
            return misses(() => `${plate.rpm} rpm, where the old one has ${old.rpm} rpm.`);
        if (was === null || is === null) return unknown("Speed: check that the nominal speed is the same.");
        return was === is
          ? passes
          : misses(
              () =>
                `${plate.rpm ?? `${is} poles`}${plate.rpm ? " rpm" : ""} (${is} poles), where the old one has ${old.rpm ? `${old.rpm} rpm, ` : ""}${was} poles.`,
            );
      };
    },
  },
  {
    id: "power",
    title: "Power not less than the old one’s",
    judge: (need) => {
      const { old } = need;
      const stated = old.powerWatts && Math.max(...old.powerWatts);
      return ({ plate }) => {
        const sized = plate.kind === "retrofit" ? retrofitSize(need) : null;
        const oldWatts = stated ?? sized?.watts;
        const { powerWatts } = plate;
        if (oldWatts === undefined || !powerWatts)
          return unknown("Power: check that it is not less than the old one’s.");
        return leadWatts(powerWatts, oldWatts) !== undefined
          ? sized && sized.by !== "power"
            ? { verdict: "passes", note: () => sized.says }
            : passes
          : misses(
              () =>
                `${digits(Math.max(...powerWatts) / 745.7, 3)} hp is less than the old ${digits(oldWatts / 745.7, 3)} hp.`,
            );
      };
    },
  },
  {
    id: "shaft-diameter",
    title: "Shaft diameter as the hub’s bore",
    judge: compared(
      ({ shaftDiameterMm }) => shaftDiameterMm,
      "Shaft diameter: measure both.",
      (was, is) =>
        Math.abs(was - is) <= SHAFT_SLACK_MM
          ? passes
          : misses(() => `Shaft ${formatLength(is)}, the hub’s bore ${formatLength(was)}.`),
    ),
  },
  {
    id: "shafts",
    title: "A shaft at both ends where both are used",
    judge: ({ old }) =>
      old.shafts !== 2
        ? passes
        : ({ plate: { shafts } }) =>
            shafts === undefined
              ? unknown("Both ends of the old shaft are used: check that it has two.")
              : shafts === 2
                ? passes
                : misses("One shaft only; the old motor drives at both ends."),
  },
  {
    id: "rotation",
    title: "The needed turning direction is available",
    judge: ({ old, rotation }) => {
      const needed = rotation ?? old.rotation;
      const open = unknown("Rotation: check which way the fan must turn and whether it can.");
      if (needed === undefined) return open;
      return ({ plate: { rotation: turns } }) => {
        if (turns === undefined) return open;
        if (!canTurn(turns, needed))
          return misses(() => `Turns ${formatRotation(turns)}; needed is ${formatRotation(needed)}.`);
        return turns === "either" && needed !== "either"
          ? { verdict: "passes", note: () => `Set it to turn ${formatRotation(needed)}.` }
          : passes;
      };
    },
  },
  {
    id: "enclosure",
    title: "Enclosure no less closed; an air-over motor only in the air stream",
    judge:
      ({ old, inAirStream }) =>
      ({ plate }) => {
        const [was, is] = [old.enclosure, plate.enclosure];
        if (is === "air-over" && inAirStream === false)
          return misses("Cooled by the fan’s air, and this place is out of the air stream.");
        if (!was || !is) return unknown("Enclosure: check that it is no less closed.");
        if (CLOSED[is] < CLOSED[was])
          return misses(() => `${ENCLOSURES[is]}; the old one is ${ENCLOSURES[was]}.`);
        if (is === "air-over" && inAirStream === undefined && was !== "air-over")
          return unknown("Air-over: only where the fan’s air passes over it.");
        return passes;
      },
  },
  {
    id: "ambient",
    title: "Ambient no lower",
    judge: compared(
      ({ ambientC }) => ambientC,
      "Ambient: check that it is no lower.",
      (was, is) => (is >= was ? passes : misses(() => `For ${is} °C, the old one for ${was} °C.`)),
    ),
  },
  {
    id: "position",
    title: "Bearings only in the positions they allow",
    judge: ({ old }) => {
      const [place] = old.positions ?? [];
      if (place === undefined) return passes;
      return ({ plate }) => {
        const { positions } = plate;
        if (!positions)
          return plate.bearings === "ball"
            ? passes
            : unknown(
                () =>
                  `It sits ${SHAFT_POSITIONS[place]}: check that its ${plate.bearings ? BEARINGS[plate.bearings] : "bearings"} may.`,
              );
        return positions.includes(place)
          ? passes
          : misses(
              () =>
                `Not made to sit ${SHAFT_POSITIONS[place]}: only ${positions.map((p) => SHAFT_POSITIONS[p]).join(", ")}.`,
            );
      };
    },
  },
  {
    id: "body",
    title: "Body and mount within the space",
    judge: (need) => {
      const { old, roomMm: room } = need;
      const held = old.mounts?.length === 1 && old.mounts[0] === "band" ? SAME_BAND(need) : passes;
      if (room === undefined) return held;
      return (candidate) => {
        const { bodyLengthMm: long } = candidate.plate;
        if (long === undefined) return unknown("Body length: measure it against the room.");
        if (long > room)
          return misses(() => `Body ${formatLength(long)} long; the room is ${formatLength(room)}.`);
        return typeof held === "function" ? held(candidate) : held;
      };
    },
  },
  {
    id: "mount",
    title: "A mount it can be held by",
    judge: compared(
      ({ mounts }) => mounts,
      "Mount: check how it is held.",
      (was, is) =>
        was.some((mount) => is.includes(mount))
          ? passes
          : misses(
              () =>
                `Held by ${is.map((m) => MOUNTS[m]).join(", ")}; the old one by ${was.map((m) => MOUNTS[m]).join(", ")}.`,
            ),
    ),
  },
  {
    id: "pump",
    title: "A pump’s wet end, seal and face",
    judge: ({ old }) =>
      old.load !== "pump"
        ? passes
        : ({ plate: { load, mounts } }) => {
            if (load !== undefined && load !== "pump")
              return misses("Not made for a pump: no face for its wet end.");
            if (mounts && !mounts.includes("face")) return misses("No face for the pump’s wet end.");
            return unknown("Pump: check that wet end, seal and face fit this motor.");
          },
  },
  {
    id: "bolt-circle",
    title: "A mount’s bolt circle exceeds the air opening by an inch or more",
    judge: ({ airOpeningMm: opening }) =>
      opening === undefined
        ? passes
        : ({ plate: { boltCircleMm: circle } }) =>
            circle === undefined || circle >= opening + 25.4 - 0.1
              ? passes
              : misses(
                  () =>
                    `Bolt circle ${formatLength(circle)} does not exceed the opening of ${formatLength(opening)} by an inch.`,
                ),
  },
];

/** Speeds of one number of poles lie nearer to each other than this; those of two do not. */
const SAME_POLES_SHARE = 1.15;

function differsTooMuch(one: number, other: number): boolean {
  return Math.max(one / other, other / one) > SAME_POLES_SHARE;
}

/** How far closed an enclosure is; air-over and not ventilated are closed alike. */
const CLOSED: Readonly<Record<Enclosure, number>> = {
  "open-drip-proof": 0,
  "air-over": 1,
  "non-ventilated": 1,
  "fan-cooled": 1,
};

/** The supply a plate with one connection tells of. */
function supplyFrom(volts: readonly VoltRange[] | undefined): number | null {
  const [only, other] = volts ?? [];
  return only && !other ? only.high : null;
}
