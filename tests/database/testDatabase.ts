import { randomUUID } from "node:crypto";
import { Client } from "pg";
import { afterAll, beforeAll } from "vitest";
import { type Database, openDatabase } from "@/server/database";

/** A database of its own for a test file, made from the migrated template. */
export interface TestDatabase {
  readonly db: Database;
  readonly url: string;
  readonly drop: () => Promise<void>;
}

/** Makes one. The test command starts the server and says where it is. */
export async function makeTestDatabase(): Promise<TestDatabase> {
  const adminUrl = process.env.ODD_LEAD_TEST_ADMIN_URL;
  const template = process.env.ODD_LEAD_TEST_TEMPLATE;
  if (!adminUrl || !template)
    throw new Error("run the database tests through npm test, which starts the server");
  const name = `odd_lead_test_${randomUUID().replaceAll("-", "")}`;
  await run(adminUrl, `create database "${name}" template "${template}"`);
  const url = Object.assign(new URL(adminUrl), { pathname: `/${name}` }).toString();
  const { db, end } = openDatabase(url);
  const drop = async () => {
    await end();
    await run(adminUrl, `drop database "${name}" with (force)`);
  };
  return { db, url, drop };
}

/** Makes one for all tests of a file that the server's own modules use, as they use that of their environment. */
export function serveTestDatabase(): void {
  let made: TestDatabase;
  const before = process.env.DATABASE_URL;

  beforeAll(async () => {
    made = await makeTestDatabase();
    process.env.DATABASE_URL = made.url;
  });

  afterAll(async () => {
    if (before === undefined) delete process.env.DATABASE_URL;
    else process.env.DATABASE_URL = before;
    await made.drop();
  });
}

async function run(url: string, statement: string): Promise<void> {
  const client = new Client({ connectionString: url });
  await client.connect();
  try {
    await client.query(statement);
  } finally {
    await client.end();
  }
}
