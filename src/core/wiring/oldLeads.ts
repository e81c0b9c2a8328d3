import type { Compartment } from "./compartment";
import { terminalOf } from "./compartment";

/** An old lead and the terminal it was on. */
export interface OldLanding {
  readonly lead: string;
  readonly terminal: string;
}

/** What an old lead must have been, and why. */
export interface OldLeadReading {
  readonly lead: string;
  readonly was: string;
  readonly because: string;
  /** Sure by how the equipment is built, or likely by what usually hangs there. */
  readonly sure: boolean;
}

/**
 * What each old lead was, by where it was landed: the capacitor terminal that holds one wire holds the start end, the one
 * with two carries line as well; on a dual it is FAN; a call's terminal feeds a speed; the neutral bank is the return.
 */
export function readOldLeads(made: Compartment, old: readonly OldLanding[]): OldLeadReading[] {
  return old.map(({ lead, terminal }) => ({ lead, ...reading(made, old, terminal) }));
}

type Said = Omit<OldLeadReading, "lead">;

function reading(made: Compartment, old: readonly OldLanding[], terminal: string): Said {
  const found = terminalOf(made, terminal);
  if (!found) return { was: "not known", because: "That terminal is not in this equipment.", sure: false };
  const { device, terminal: at } = found;
  const { offers, calls } = made;
  const { capacitor } = offers;
  const wiresHere = (id: string) =>
    old.filter((one) => one.terminal === id).length +
    made.wires.filter(({ from, to }) => from === id || to === id).length;
  if (at.kind === "ground") return { was: "frame ground", because: "It was on the ground.", sure: true };
  if (at.kind === "park")
    return { was: "a speed not used", because: "It was parked: joined to nothing on the board.", sure: true };
  if (device.id === capacitor?.device) {
    if (capacitor.dual) {
      if (terminal === capacitor.startSide)
        return {
          was: "start end, to the capacitor",
          because: "On a dual capacitor the fan’s start end is on FAN.",
          sure: true,
        };
      if (terminal === capacitor.lineSide)
        return {
          was: offers.feeds.length > 1 ? "run end, shared by the speeds" : "run end",
          because: "C carries the line that feeds both capacitors’ other sides.",
          sure: true,
        };
      return { was: "not a fan lead", because: "HERM belongs to the compressor.", sure: false };
    }
    const other = terminal === capacitor.startSide ? capacitor.lineSide : capacitor.startSide;
    const [here, there] = [wiresHere(terminal), wiresHere(other)];
    if (here === 1 && there > 1)
      return {
        was: "start end, to the capacitor",
        because: "This capacitor terminal holds one wire; the other has more and carries line.",
        sure: true,
      };
    if (here > 1 && there <= 1)
      return {
        was: "run end, or its copy at the capacitor",
        because: "This capacitor terminal holds more than one wire: it carries line as well.",
        sure: true,
      };
    return {
      was: "one of the two capacitor leads",
      because: "Both capacitor terminals hold alike many wires: the old motor’s ohms tell which is which.",
      sure: false,
    };
  }
  if (at.kind === "start")
    return { was: "start winding", because: `${at.name} feeds the start winding.`, sure: true };
  const feeds = offers.feeds.filter(({ hot }) => hot === terminal);
  if (feeds.length > 0 && !offers.lines) {
    const names = feeds.map(({ call }) => calls.find(({ id }) => id === call)?.name ?? call);
    return {
      was:
        offers.feeds.length > 1
          ? `the speed of ${names.join(" and ").toLowerCase()}`
          : "the switched line’s lead (joint or speed)",
      because: `${at.name} is live on ${names.join(" and ").toLowerCase()} alone.`,
      sure: true,
    };
  }
  if (terminal === offers.back && !offers.lines)
    return {
      was:
        offers.feeds.length > 1
          ? "the return, shared by the speeds"
          : "the return: run end, or the joint where line and return stand the other way",
      because:
        at.kind === "neutral" ? "It was on the neutral." : "It was on the line that no call switches apart.",
      sure: at.kind === "neutral",
    };
  if (offers.lines?.includes(terminal))
    return {
      was: "a line lead",
      because: "A line of three: any two of the lines changed over reverse it.",
      sure: true,
    };
  return { was: "a line lead", because: `It was on ${at.name} of the ${device.name}.`, sure: false };
}
