import type { ServerHistory } from "@/contract";
import type { Database } from "./database";
import { histories } from "./schema";

/** Which history of facts this database holds. */
export async function historyOf(db: Pick<Database, "select">): Promise<ServerHistory> {
  const [history] = await db.select().from(histories);
  return thatIsThere(history);
}

/** A database's history, which one that was migrated has. */
export function thatIsThere(history: ServerHistory | undefined): ServerHistory {
  if (!history) throw new Error("the database has no history; its migrations were not run");
  return history;
}
