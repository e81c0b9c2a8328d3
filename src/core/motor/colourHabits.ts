import { type ColourLetters, colourLetters } from "./colour";
import type { Lead } from "./lead";
import type { Role, RoleName } from "./role";

/** What a colour stands for by habit: roles it is given, how strongly (nats at full trust), and the words for it. */
export interface ColourHabit {
  readonly roles: readonly RoleName[];
  readonly nats: number;
  readonly words: string;
}

/**
 * North American habits for single-phase motors. A plate overrides every one, and so do the ohms: these are weights for
 * who wants them, never proof.
 */
const PLAIN: Partial<Record<ColourLetters, ColourHabit>> = {
  BN: { roles: ["start-end"], nats: 2.5, words: "the capacitor's lead" },
  WH: { roles: ["run-end", "line-common"], nats: 1.5, words: "the shared lead" },
  BK: { roles: ["speed"], nats: 1, words: "the fastest speed or the line" },
  RD: { roles: ["speed"], nats: 1, words: "a slow speed" },
  BU: { roles: ["speed"], nats: 0.7, words: "a speed between" },
  OG: { roles: ["speed"], nats: 0.7, words: "a speed between" },
};

const BROWN_STRIPED: ColourHabit = {
  roles: ["run-end"],
  nats: 2,
  words: "the duplicate of the run end, to the capacitor",
};

/** What a lead's insulation stands for by habit; null where there is no habit. */
export function conventionalRole(lead: Lead): ColourHabit | null {
  const colour = lead.colour === undefined ? null : colourLetters(lead.colour);
  if (!colour) return null;
  if (lead.stripe !== undefined) return colour === "BN" ? BROWN_STRIPED : null;
  return PLAIN[colour] ?? null;
}

/** The habit of a whole motor's colours for a set of roles: log weight in nats at full trust, 0 where none speaks. */
export function colourNats(leads: readonly Lead[], roles: readonly (Role | null)[]): number {
  let nats = 0;
  leads.forEach((lead, i) => {
    const role = roles[i];
    const habit = role ? conventionalRole(lead) : null;
    if (role && habit?.roles.includes(role.role)) nats += habit.nats;
  });
  return nats + speedOrderNats(leads, roles);
}

/** Black on the fastest and red on the slowest speed. */
function speedOrderNats(leads: readonly Lead[], roles: readonly (Role | null)[]): number {
  const slowest = Math.max(0, ...roles.map((role) => role?.rank ?? 0));
  if (slowest < 2) return 0;
  return leads.reduce((sum, lead, i) => {
    const rank = roles[i]?.rank;
    const colour = lead.colour === undefined || lead.stripe ? null : colourLetters(lead.colour);
    if (colour === "BK" && rank === 1) return sum + 1;
    return colour === "RD" && rank === slowest ? sum + 1 : sum;
  }, 0);
}
