import type { StockMatches } from "@/contract";
import { match } from "@/core/replacement";
import { candidateOf, type MatchRequest, needOf } from "@/core/stock";
import type { Database } from "./database";
import { stockStore } from "./stockStore";

const MOST_OFFERS = 40;
const MOST_RULED_OUT = 60;

/** Ranks every motor of the stock. */
export async function rankStock(db: Database, shopId: string, asked: MatchRequest): Promise<StockMatches> {
  const lines = await stockStore(db, shopId).all("motor");
  const motors = lines.flatMap(({ item, onHand }) => (item.kind === "motor" ? [{ item, onHand }] : []));
  const shown = match(
    needOf(asked),
    motors.map(({ item, onHand }) => candidateOf(item, onHand)),
    { offers: MOST_OFFERS, ruledOut: MOST_RULED_OUT },
  );
  const ids = new Set([...shown.offers, ...shown.ruledOut].map(({ candidate }) => candidate.id));
  const typed = Object.fromEntries(
    motors.filter(({ item }) => ids.has(item.id)).map(({ item }) => [item.id, item.plate]),
  );
  return { ...shown, typed };
}
