import { sql } from "drizzle-orm";
import { expect, it } from "vitest";
import { GET } from "@/app/api/health/route";
import { database } from "@/server/database";
import { serveTestDatabase } from "./testDatabase";

/** More than the connections that requests share. */
const HELD = 12;
/** Longer than a request waits for one of them. */
const HELD_SECONDS = 6;

serveTestDatabase();

async function health() {
  const answer = await GET(new Request("http://127.0.0.1/api/health"), { params: Promise.resolve({}) });
  return [answer.status, ((await answer.json()) as { database: string }).database];
}

it("tells a database that is busy with others from one that is away", async () => {
  const held = Array.from({ length: HELD }, () =>
    database()
      .execute(sql`select pg_sleep(${HELD_SECONDS})`)
      .then(
        () => "had",
        () => "waited in vain",
      ),
  );
  expect(await health()).toEqual([200, "ok"]);
  // The connections were all taken meanwhile: who came too late for one of them has not got it.
  expect(new Set(await Promise.all(held))).toEqual(new Set(["had", "waited in vain"]));
});
