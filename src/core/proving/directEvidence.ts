import type { Belief } from "./belief";
import { LIVE_SHARE } from "./callRun";
import type { Cause } from "./causes";
import { lineAmps, startAmps } from "./liveAmps";
import { readingsOf, standsStill } from "./nextCheck";
import type { CauseGroup } from "./oneCause";
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
  belief: Belief,
  likeliest: Blamed,
  odd: boolean,
): readonly Reading[] {
  const { figures, told } = belief.standing;
  const [called] = figures.flatMap(({ reading }) => ("call" in reading ? [reading.call] : []));
  const call = called ?? told[0]?.call ?? made.calls[0]?.state.id;
  if (call === undefined) return [];
  const read = new Set(figures.map(({ reading }) => readingKey(reading)));
  const kinds = new Set(figures.map(({ reading }) => reading.what));
  return (
    SHOWN_BY[likeliest.cause]?.({
      made,
      sight,
      belief,
      likeliest,
      odd,
      call,
      unread: (readings) => readings.filter((one) => !read.has(readingKey(one))),
      anyUnread: (readings) => readings.filter(({ what }) => !kinds.has(what)),
    }) ?? []
  );
}

type Blamed = Pick<CauseGroup, "cause" | "at" | "members">;

/** A cause that is to be blamed, and what was read under which call. */
interface Blaming {
  readonly made: ProvingCase;
  readonly sight: Sight;
  readonly belief: Belief;
  readonly likeliest: Blamed;
  readonly odd: boolean;
  readonly call: string;
  readonly unread: (readings: readonly Reading[]) => readonly Reading[];
  /** Of kinds that were not read at all: volts under any call are the supply's, any speed and amps tell the load. */
  readonly anyUnread: (readings: readonly Reading[]) => readonly Reading[];
}

type Shown = (blaming: Blaming) => readonly Reading[];

const supply: Shown = (blaming) => blaming.anyUnread(linePairs(blaming).slice(0, 1));

/** Volts of the pairs that a line is in. */
const lines: Shown = (blaming) => {
  const { at } = blaming.likeliest;
  const touched = linePairs(blaming).filter(({ between }) => at.some((line) => between.includes(line)));
  return blaming.unread(touched);
};

const ownMicrofarads: Shown = ({ unread, likeliest }) => unread(microfaradsAt(likeliest.at));

/** A capacitor that shows no microfarads: shorted, open or gone, while the other is not out. */
const noMicrofarads: Shown = (blaming) => {
  const { made, sight, call, unread, likeliest, belief } = blaming;
  const { cause, at } = likeliest;
  const other = belief.believed.some(
    ({ suspect, probability }) =>
      suspect.cause !== cause &&
      NO_MICROFARADS.has(suspect.cause) !== NO_MICROFARADS.has(cause) &&
      suspect.at.join() === at.join() &&
      probability > STILL_MAY_BE,
  );
  return other ? unread(shownByShort(made, sight, likeliest, call)) : [];
};

/** Speed, volts and a line's amps, of each kind any. */
const ofTheShaft: Shown = (blaming) => {
  const { made, sight, call, belief, anyUnread } = blaming;
  const speed: Reading[] = standsStill(belief.standing, call) ? [] : [{ what: "rpm", call }];
  const [pair] = linePairs(blaming);
  return anyUnread([...speed, ...(pair ? [pair] : []), ...lineAmps(made, sight, call).slice(0, 1)]);
};

const starting: Shown = ({ made, sight, call, unread }) => unread(startAmps(made, sight, call));

const load: Shown = (blaming) => [
  ...ofTheShaft(blaming),
  ...starting(blaming),
  ...(blaming.odd ? capacitors(blaming) : []),
];

const speedOnly: Shown = ({ belief, call, anyUnread }) =>
  standsStill(belief.standing, call) ? [] : anyUnread([{ what: "rpm", call }]);

const startContact: Shown = (blaming) => [...starting(blaming), ...speedOnly(blaming)];

/** Microfarads of every capacitor that serves the motor. */
const capacitors: Shown = ({ made, unread }) => unread(microfaradsAt(serving(made).map(({ at }) => at)));

const turns: Shown = (blaming) => {
  const { made, sight, call, likeliest, unread } = blaming;
  return [
    ...capacitors(blaming),
    ...starting(blaming),
    ...unread(lineAmps(made, sight, call).slice(0, 2)),
    ...unread(ampsAtEnds(made, sight, likeliest, call)),
    ...unread(tellingOhms(made, sight, likeliest, TURNS_TELL)),
    ...speedOnly(blaming),
  ];
};

const setting: Shown = (blaming) => {
  const { made, sight, likeliest, unread } = blaming;
  return [...unread(tellingOhms(made, sight, likeliest, WIRES_TELL)), ...starting(blaming).slice(0, 1)];
};

/** A start capacitor that is shorted turns some motors over as well, and no swap of leads mends that. */
const turning: Shown = (blaming) => {
  const { made, sight, call, unread, odd } = blaming;
  const start = serving(made).flatMap(({ at, start: starts }) => (starts ? [at] : []));
  return [
    ...unread(lineAmps(made, sight, call).slice(0, 2)),
    ...(odd ? capacitors(blaming) : unread(microfaradsAt(start))),
  ];
};

const wires: Shown = ({ made, sight, call, likeliest, unread }) => [
  ...unread(tellingOhms(made, sight, likeliest, WIRES_TELL)),
  ...unread(ampsMoved(made, sight, likeliest, call)),
];

/** What a start winding of other turns carries is told by its capacitor from a clamp put on wrong. */
const clamp: Shown = (blaming) => {
  const { made, sight, call, unread, anyUnread } = blaming;
  const running = serving(made).flatMap(({ at, start }): Reading[] =>
    start ? [] : [{ what: "capacitor-volts", call, at }],
  );
  return [
    ...unread(lineAmps(made, sight, call).slice(0, MOST_CLAMPED)),
    ...anyUnread(running),
    ...capacitors(blaming),
  ];
};

/** What shows each cause itself; those that nothing shows are left out. */
const SHOWN_BY: Readonly<Partial<Record<Cause, Shown>>> = {
  "supply-low": supply,
  "supply-high": supply,
  "phase-lost": lines,
  "volts-unbalanced": lines,
  "capacitor-weak": ownMicrofarads,
  "capacitor-wrong": ownMicrofarads,
  "capacitor-missing": noMicrofarads,
  "capacitor-open": noMicrofarads,
  "capacitor-shorted": noMicrofarads,
  "load-heavy": load,
  "load-light": load,
  drag: load,
  "start-contact-stays-open": startContact,
  "start-contact-stays-closed": startContact,
  "rotor-bars": (blaming) => [...ofTheShaft(blaming), ...starting(blaming), ...capacitors(blaming)],
  "shorted-turns": turns,
  "shaft-stuck": capacitors,
  "start-winding-open": capacitors,
  "main-half-open": capacitors,
  "wrong-voltage-setting": setting,
  "turn-reversed": turning,
  "leads-exchanged": wires,
  "lead-off": wires,
  "wrong-terminal": wires,
  "wrong-tap": wires,
  "clamp-round-two": clamp,
  "clamp-turns": clamp,
};

/** Volts between each two lines. */
function linePairs({ made, call }: Blaming): (Reading & { readonly what: "supply-volts" })[] {
  const { terminals } = made.plan.compartment.supply;
  return terminals.flatMap((one, i) =>
    terminals
      .slice(i + 1)
      .map((other) => ({ what: "supply-volts" as const, call, between: [one, other] as const })),
  );
}

function serving({ capacitors: all }: ProvingCase): ProvingCase["capacitors"] {
  return all.filter(({ serves }) => serves);
}

function microfaradsAt(places: readonly string[]): Reading[] {
  return places.map((at) => ({ what: "capacitor-microfarads", at }));
}

/** Causes that lie in how the wires lie: ohms show them with the power off. */
const OF_WIRES: ReadonlySet<string> = new Set(["leads-exchanged", "lead-off", "wrong-terminal", "wrong-tap"]);

/** Whether a cause is one of wires that no ohms there would tell: only what runs hints at it. */
export function isUntold(
  made: ProvingCase,
  sight: Sight,
  likeliest: Pick<CauseGroup, "cause" | "members">,
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
  { at, members: [likeliest] }: Pick<CauseGroup, "at" | "members">,
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
  { members: [likeliest] }: Pick<CauseGroup, "members">,
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
  { at: [ends = ""] }: Pick<CauseGroup, "at">,
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
  { at, members }: Pick<CauseGroup, "at" | "members">,
  call: string,
): Reading[] {
  const [likeliest] = members;
  const alive = (suspect: Suspect, lead: string) =>
    (sight.value(suspect, { what: "line-amps", call, lead }) ?? 0) > LIVE_SHARE * made.fitted.rating.amps;
  return at
    .filter((lead) => alive(AS_PLANNED, lead) || (likeliest !== undefined && alive(likeliest.suspect, lead)))
    .map((lead): Reading => ({ what: "line-amps", call, lead }));
}
