import * as z from "zod/mini";
import { text } from "../quantity/text";
import { COLOUR_WORD, colourLetters } from "./colour";

/** The most and fewest leads that can be told apart; the frame lead is not counted. */
export const LEAD_LIMITS = { fewest: 2, most: 12 } as const;

/** Our own id of a lead, on a sheet and in facts. */
export const leadId = z.string().check(z.minLength(1), z.maxLength(64));

/** A wire that comes out of the motor. Colour, stripe and mark are what an eye sees; `id` is ours. */
export const lead = z
  .readonly(
    z.object({
      id: leadId,
      colour: z.optional(text(40)),
      stripe: z.optional(text(40)),
      mark: z.optional(text(20)),
    }),
  )
  .check(z.meta({ description: "A motor lead; the green or bare frame lead is left out." }));
export type Lead = z.output<typeof lead>;

/** How one lead is called on a sheet: short beside a wire, long in a sentence. */
export interface LeadName {
  /** "WH/BK", with a number or mark when two leads look alike. */
  readonly short: string;
  /** "white/black", likewise. */
  readonly long: string;
}

/**
 * A name for every lead, no two alike: insulation first, the mark to tell twins apart, then a count.
 * A lead without colour goes by its mark, or else by its id.
 */
export function leadNames(leads: readonly Lead[]): ReadonlyMap<string, LeadName> {
  const plain = leads.map(insulationName);
  const shared = (short: string) => plain.filter((name) => name.short === short).length > 1;
  const seen = new Map<string, number>();
  const names = new Map<string, LeadName>();
  leads.forEach((lead, i) => {
    const name = plain[i] ?? { short: lead.id, long: lead.id };
    if (!shared(name.short)) {
      names.set(lead.id, name);
      return;
    }
    const count = (seen.get(name.short) ?? 0) + 1;
    seen.set(name.short, count);
    const twins = leads.filter((other, j) => plain[j]?.short === name.short && other.mark === lead.mark);
    const tail = lead.mark && twins.length === 1 ? lead.mark : String(count);
    names.set(lead.id, { short: `${name.short} ${tail}`, long: `${name.long} ${tail}` });
  });
  return names;
}

function insulationName(lead: Lead): LeadName {
  if (!lead.colour) return { short: lead.mark || lead.id, long: lead.mark || lead.id };
  const parts = lead.stripe ? [lead.colour, lead.stripe] : [lead.colour];
  return { short: parts.map(shortColour).join("/"), long: parts.map(longColour).join("/") };
}

function shortColour(word: string): string {
  return colourLetters(word) ?? word.toUpperCase().slice(0, 6);
}

function longColour(word: string): string {
  const letters = colourLetters(word);
  return letters && word.length <= 3 ? COLOUR_WORD[letters] : word.toLowerCase();
}
