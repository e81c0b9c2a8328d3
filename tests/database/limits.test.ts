import { describe, expect, it, vi } from "vitest";
import { serveTestDatabase } from "./testDatabase";

serveTestDatabase();

const LIMIT = { name: "requests", points: 100, seconds: 60 };

/** The limiter as another process has it. */
async function another(limit = LIMIT) {
  vi.resetModules();
  Reflect.deleteProperty(globalThis, "oddLeadLimits");
  const { sharedLimiter } = await import("@/server/limits/sharedLimiter");
  return sharedLimiter(limit);
}

describe("limits behind one database", () => {
  it("are one for all processes, each key and each name apart", async () => {
    const [one, other] = [await another(), await another()];
    await one.consume("10.0.0.1", 60);
    await expect(other.consume("10.0.0.1", 60)).rejects.toMatchObject({ remainingPoints: 0 });
    expect((await other.consume("10.0.0.2", 60)).remainingPoints).toBe(40);
    const work = await another({ ...LIMIT, name: "work" });
    expect((await work.consume("10.0.0.1", 60)).remainingPoints).toBe(40);
  });

  it("are had again when their time is over", async () => {
    const [one, other] = [await another({ ...LIMIT, seconds: 1 }), await another({ ...LIMIT, seconds: 1 })];
    await one.consume("10.0.0.3", 100);
    await expect(other.consume("10.0.0.3")).rejects.toMatchObject({ remainingPoints: 0 });
    await new Promise((resolve) => setTimeout(resolve, 1100));
    expect((await other.consume("10.0.0.3")).remainingPoints).toBe(99);
  });

  it("are counted by each process alone while the database is away", async () => {
    const there = process.env.DATABASE_URL;
    // An address of a network for documentation: nothing answers, nothing refuses.
    process.env.DATABASE_URL = "postgresql://odd_lead@192.0.2.7:5432/odd_lead";
    try {
      const alone = await another();
      expect((await alone.consume("10.0.0.4", 60)).remainingPoints).toBe(40);
      await expect(alone.consume("10.0.0.4", 60)).rejects.toMatchObject({ remainingPoints: 0 });
    } finally {
      process.env.DATABASE_URL = there;
    }
  });
});
