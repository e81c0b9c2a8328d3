import { leadNames } from "../motor/lead";
import { parseStatedOhms } from "../ohms/statedOhms";
import type { StockItem } from "../stock/item";
import { FEWEST_KNOWN, type Fingerprint, pairAt, UNKNOWN_OHMS } from "./fingerprint";

/** What a line of the stock is known again by: the ohms stated with it; null where they are too few, or none. */
export function stockFingerprint(item: StockItem): Fingerprint | null {
  if (item.kind !== "motor" || item.ohms === "") return null;
  const stated = parseStatedOhms(item.ohms);
  if (!stated.ok) return null;
  const { leads, pairs, windingC } = stated;
  const at = new Map(leads.map(({ id }, i) => [id, i]));
  const ohms: (number | null)[] = new Array((leads.length * (leads.length - 1)) / 2).fill(UNKNOWN_OHMS);
  for (const pair of pairs) {
    const [one = 0, other = 0] = pair.between.map((id) => at.get(id));
    ohms[pairAt(one, other, leads.length)] = pair.ohms;
  }
  if (ohms.filter((one) => one !== null && one > 0).length < FEWEST_KNOWN) return null;
  const names = leadNames(leads);
  return {
    leads: leads.map(({ id }) => ({ name: (names.get(id)?.short ?? id).slice(0, 40), was: "" })),
    ohms,
    windingC,
  };
}
