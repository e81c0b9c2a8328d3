import type { Belief } from "./belief";
import { LIVE_SHARE } from "./callRun";
import type { Cause } from "./causes";
import { lineAmps, startAmps } from "./liveAmps";
import { readingsOf, standsStill } from "./nextCheck";
import type { Group } from "./oneCause";
import type { ProvingCase } from "./provingCase";
import { type Reading, readingKey, weighed } from "./reading";
import type { Sight } from "./sight";
import type { Suspect } from "./suspect";
import { AS_PLANNED, suspectsKept } from "./suspects";

/**
 * What looks at a cause itself and was not read: other figures only hint at it. Volts are read before the supply is blamed,
 * microfarads before a capacitor; speed, volts and amps before what is turned, which a weak rotor or low volts look like.
 * No motor is condemned before its capacitors, no wire blamed before its ohms, no clamp before the other leads.
 * Empty for a cause that nothing there shows by itself.
 *
 * @param odd whether some figure is unlike the plan's: then a turn alone does not explain it.
 */
export function unreadEvidence(
  made: ProvingCase,
  sight: Sight,
  { standing, believed }: Belief,
  likeliest: Pick<Group, "cause" | "at" | "members">,
  odd: boolean,
): readonly Reading[] {
  const { cause, at } = likeliest;
  const calls = standing.figures.flatMap(({ reading }) => ("call" in reading ? [reading.call] : []));
  const call = calls[0] ?? standing.told[0]?.call ?? made.calls[0]?.state.id;
  if (call === undefined) return [];
  const read = new Set(standing.figures.map(({ reading }) => readingKey(reading)));
  const kinds = new Set(standing.figures.map(({ reading }) => reading.what));
  const unread = (readings: readonly Reading[]) => readings.filter((one) => !read.has(readingKey(one)));
  // Volts under any call are the supply's, and any speed and amps tell the load.
  const anyUnread = (readings: readonly Reading[]) => readings.filter(({ what }) => !kinds.has(what));
  const { terminals } = made.plan.compartment.supply;
  const pairs = terminals.flatMap((one, i) => terminals.slice(i + 1).map((other) => [one, other] as const));
  const volts = (between: readonly [string, string]): Reading => ({ what: "supply-volts", call, between });
  const supply = pairs.slice(0, 1).map(volts);
  const serving = made.capacitors.filter(({ serves }) => serves);
  const microfaradsOf = (of: typeof serving) =>
    of.map(({ at: place }): Reading => ({ what: "capacitor-microfarads", at: place }));
  const microfarads = microfaradsOf(serving);
  const atWork = serving
    .filter(({ start }) => !start)
    .map(({ at: place }): Reading => ({ what: "capacitor-volts", call, at: place }));
  const startCapacitors = microfaradsOf(serving.filter(({ start }) => start));
  const speed: Reading[] = standsStill(standing, call) ? [] : [{ what: "rpm", call }];
  switch (cause) {
    case "supply-low":
    case "supply-high":
      return anyUnread(supply);
    case "phase-lost":
    case "volts-unbalanced":
      return unread(pairs.filter((pair) => at.some((line) => pair.includes(line))).map(volts));
    case "capacitor-weak":
    case "capacitor-wrong":
      return unread(at.map((place): Reading => ({ what: "capacitor-microfarads", at: place })));
    case "capacitor-missing":
    case "capacitor-open":
    case "capacitor-shorted":
      return believed.some(
        ({ suspect, probability }) =>
          suspect.cause !== cause &&
          NO_MICROFARADS.has(suspect.cause) !== NO_MICROFARADS.has(cause) &&
          suspect.at.join() === at.join() &&
          probability > STILL_MAY_BE,
      )
        ? unread(shownByShort(made, sight, likeliest, call))
        : [];
    case "load-heavy":
    case "load-light":
    case "drag":
      return [
        ...anyUnread([...speed, ...supply, ...lineAmps(made, sight, call).slice(0, 1)]),
        ...unread(startAmps(made, sight, call)),
        ...(odd ? unread(microfarads) : []),
      ];
    case "start-contact-stays-open":
    case "start-contact-stays-closed":
      return [...unread(startAmps(made, sight, call)), ...anyUnread(speed)];
    case "rotor-bars":
      return [
        ...anyUnread([...speed, ...supply, ...lineAmps(made, sight, call).slice(0, 1)]),
        ...unread(startAmps(made, sight, call)),
        ...unread(microfarads),
      ];
    case "shorted-turns":
      return [
        ...unread(microfarads),
        ...unread(startAmps(made, sight, call)),
        ...unread(lineAmps(made, sight, call).slice(0, 2)),
        ...unread(ampsAtEnds(made, sight, likeliest, call)),
        ...unread(tellingOhms(made, sight, likeliest, TURNS_TELL)),
        ...anyUnread(speed),
      ];
    case "shaft-stuck":
    case "start-winding-open":
    case "main-half-open":
      return unread(microfarads);
    case "wrong-voltage-setting":
      return [
        ...unread(tellingOhms(made, sight, likeliest, WIRES_TELL)),
        ...unread(startAmps(made, sight, call)).slice(0, 1),
      ];
    case "turn-reversed":
      // A start capacitor that is shorted turns some motors over as well, and no swap of leads mends that.
      return [
        ...unread(lineAmps(made, sight, call).slice(0, 2)),
        ...unread(odd ? microfarads : startCapacitors),
      ];
    case "leads-exchanged":
    case "lead-off":
    case "wrong-terminal":
    case "wrong-tap":
      return [
        ...unread(tellingOhms(made, sight, likeliest, WIRES_TELL)),
        ...unread(ampsMoved(made, sight, likeliest, call)),
      ];
    case "clamp-round-two":
    case "clamp-turns":
      return [
        ...unread(lineAmps(made, sight, call).slice(0, MOST_CLAMPED)),
        // What a start winding of other turns carries is told by its capacitor from a clamp put on wrong.
        ...anyUnread(atWork),
        ...unread(microfarads),
      ];
    default:
      return [];
  }
}

/** Causes that lie in how the wires lie: ohms show them with the power off. */
const OF_WIRES: ReadonlySet<string> = new Set(["leads-exchanged", "lead-off", "wrong-terminal", "wrong-tap"]);

/** Whether a cause is one of wires that no ohms there would tell: only what runs hints at it. */
export function isUntold(
  made: ProvingCase,
  sight: Sight,
  likeliest: Pick<Group, "cause" | "members">,
): boolean {
  return OF_WIRES.has(likeliest.cause) && tellingOhms(made, sight, likeliest, WIRES_TELL).length === 0;
}

/** Whether another cause than the likeliest is not out yet. */
export function mayBe({ believed }: Belief, cause: Cause): boolean {
  return believed.some(({ suspect, probability }) => suspect.cause === cause && probability > STILL_MAY_BE);
}

/** So many leads are clamped before a clamp is held to be put on wrong. */
const MOST_CLAMPED = 3;

/** Capacitors that are open, or gone: ohms through them are those of one that is whole. */
const NO_MICROFARADS: ReadonlySet<string> = new Set(["capacitor-missing", "capacitor-open"]);
/** What is believed less is out. */
const STILL_MAY_BE = 0.001;

/**
 * What tells a shorted capacitor from one that is open: a tester shows microfarads of neither. Ohms with the power off
 * where the short is among them, else the lead whose amps it changes most.
 */
function shownByShort(
  made: ProvingCase,
  sight: Sight,
  { at, members: [likeliest] }: Pick<Group, "at" | "members">,
  call: string,
): Reading[] {
  const other = suspectsKept(made).find(
    ({ cause, at: of }) =>
      of.join() === at.join() &&
      cause === (likeliest?.suspect.cause === "capacitor-shorted" ? "capacitor-open" : "capacitor-shorted"),
  );
  if (!other || !likeliest) return [];
  const ohms = ohmsMoved(made, sight, other, WIRES_TELL, likeliest.suspect);
  if (ohms.length > 0) return ohms;
  const { rating } = made.fitted;
  const [most] = made.motor.leads
    .map(({ id }): Reading => ({ what: "line-amps", call, lead: id }))
    .map((reading) => {
      const [is, was] = [sight.value(other, reading), sight.value(likeliest.suspect, reading)];
      const off = Math.abs(weighed("line-amps", is ?? 0, rating) - weighed("line-amps", was ?? 0, rating));
      return { reading, off };
    })
    .sort((a, b) => b.off - a.off);
  return most && most.off > AMPS_TELL ? [most.reading] : [];
}

/** Amps this far apart, of the logarithm, tell one from the other. */
const AMPS_TELL = 0.3;

/** The ohms, power off, that lie farthest from the plan's as the wires are said to lie; none where none differ. */
function tellingOhms(
  made: ProvingCase,
  sight: Sight,
  { members: [likeliest] }: Pick<Group, "members">,
  least: number,
): Reading[] {
  return likeliest ? ohmsMoved(made, sight, likeliest.suspect, least) : [];
}

function ohmsMoved(
  made: ProvingCase,
  sight: Sight,
  suspect: Suspect,
  least: number,
  beside: Suspect = AS_PLANNED,
): Reading[] {
  const { rating } = made.fitted;
  const off = (reading: Reading) => {
    const [is, right] = [sight.value(suspect, reading), sight.value(beside, reading)];
    if (is === null || right === null) return 0;
    return Math.abs(weighed("ohms", is, rating) - weighed("ohms", right, rating));
  };
  const [most] = readingsOf(made, sight)
    .filter(({ what }) => what === "ohms")
    .map((reading) => ({ reading, off: off(reading) }))
    .sort((a, b) => b.off - a.off);
  return most && most.off > least ? [most.reading] : [];
}

/** Ohms farther from the plan's than this, of the logarithm, tell where wires lie; and of a winding, whether it is whole. */
const WIRES_TELL = 0.06;
const TURNS_TELL = 0.02;

/** Amps at both ends of the winding that is said to be shorted: they are one current, and a clamp put on wrong shows in one. */
function ampsAtEnds(
  made: ProvingCase,
  sight: Sight,
  { at: [ends = ""] }: Pick<Group, "at">,
  call: string,
): Reading[] {
  const own = made.motor.leads
    .filter(({ junction }) => ends.split("–").includes(junction))
    .map(({ id }) => id);
  return lineAmps(made, sight, call).filter((reading) => "lead" in reading && own.includes(reading.lead));
}

/** Amps of the leads that are said to lie elsewhere, where they carry any there or in their place. */
function ampsMoved(
  made: ProvingCase,
  sight: Sight,
  { at, members }: Pick<Group, "at" | "members">,
  call: string,
): Reading[] {
  const [likeliest] = members;
  const alive = (suspect: Suspect, lead: string) =>
    (sight.value(suspect, { what: "line-amps", call, lead }) ?? 0) > LIVE_SHARE * made.fitted.rating.amps;
  return at
    .filter((lead) => alive(AS_PLANNED, lead) || (likeliest !== undefined && alive(likeliest.suspect, lead)))
    .map((lead): Reading => ({ what: "line-amps", call, lead }));
}
