import { Dexie, type Table } from "dexie";
import type { Fact } from "@/core";
import { DATABASE_NAME } from "./anythingWaiting";
import type { FactRow, KeptJob, Standing } from "./factRow";
import { type PhotoRow, type Shelf, sorted, waitingAgain } from "./shelf";

interface NumberedRow extends FactRow {
  /** In the order kept; given by the database. */
  readonly n?: number;
}

interface JobRow {
  readonly job: string;
  readonly arrival: number;
  /** Facts taken from the server so far: the order of the next. */
  readonly learned: number;
}

/**
 * The shelf in the browser's own database (IndexedDB). Strict durability: what is kept is on the disk when the promise
 * resolves, and outlives the browser and the machine.
 */
export class DatabaseShelf extends Dexie implements Shelf {
  readonly lasting = true;
  private readonly facts!: Table<NumberedRow, number>;
  private readonly seen!: Table<JobRow, string>;
  private readonly sending!: Table<PhotoRow, string>;

  constructor(name = DATABASE_NAME) {
    super(name, { chromeTransactionDurability: "strict" });
    this.version(1).stores({
      facts: "++n, &[job+id], [job+standing], job, standing",
      seen: "job",
      sending: "id",
    });
  }

  async load(job: string): Promise<KeptJob> {
    return this.transaction("r", this.facts, this.seen, async () => {
      const rows = await this.facts.where({ job }).sortBy("n");
      return { rows: sorted(rows), arrival: (await this.seen.get(job))?.arrival ?? 0 };
    });
  }

  async jobs(most: number): Promise<string[]> {
    const latest: string[] = [];
    const known = new Set<string>();
    await this.facts
      .orderBy("n")
      .reverse()
      .until(() => latest.length >= most)
      .each(({ job }) => {
        if (known.has(job)) return;
        known.add(job);
        latest.push(job);
      });
    return latest;
  }

  async own(job: string): Promise<FactRow[]> {
    const standings: readonly Standing[] = ["waiting", "sent", "aside"];
    return this.facts
      .where("[job+standing]")
      .anyOf(standings.map((standing) => [job, standing]))
      .sortBy("n");
  }

  async put(rows: readonly FactRow[]): Promise<void> {
    await this.transaction("rw", this.facts, async () => {
      for (const row of rows) {
        const there = await this.facts.where("[job+id]").equals([row.job, row.id]).count();
        if (there === 0) await this.facts.add({ ...row });
      }
    });
  }

  async learn(job: string, facts: readonly Fact[], arrival: number): Promise<void> {
    await this.transaction("rw", this.facts, this.seen, async () => {
      const known = (await this.seen.get(job)) ?? { job, arrival: 0, learned: 0 };
      const before = await this.facts
        .where("[job+id]")
        .anyOf(facts.map(({ id }) => [job, id]))
        .toArray();
      const byId = new Map(before.map((row) => [row.id, row]));
      const news = facts
        .filter(({ id }) => byId.get(id)?.standing !== "kept")
        .map((fact, i): NumberedRow => {
          const n = byId.get(fact.id)?.n;
          const row = { job, id: fact.id, fact, standing: "kept" as const, order: known.learned + i };
          return n === undefined ? row : { ...row, n };
        });
      await this.facts.bulkPut(news);
      await this.seen.put({
        job,
        arrival: Math.max(known.arrival, arrival),
        learned: known.learned + news.length,
      });
    });
  }

  async waiting(): Promise<FactRow[]> {
    return this.facts.where({ standing: "waiting" }).sortBy("n");
  }

  async mark(job: string, ids: readonly string[], standing: Standing, says?: string): Promise<void> {
    await this.facts
      .where("[job+id]")
      .anyOf(ids.map((id) => [job, id]))
      .and((row) => row.standing !== "kept")
      .modify({ standing, ...(says === undefined ? {} : { says }) });
  }

  async waitAgain(): Promise<void> {
    await this.transaction("rw", this.facts, this.seen, async () => {
      await this.facts
        .where("standing")
        .anyOf("kept", "sent")
        .modify((row) => {
          Object.assign(row, waitingAgain(row));
        });
      await this.seen.toCollection().modify({ arrival: 0 });
    });
  }

  async drop(job: string, id: string): Promise<void> {
    await this.facts.where("[job+id]").equals([job, id]).delete();
  }

  async photos(): Promise<PhotoRow[]> {
    return this.sending.toArray();
  }

  async putPhoto(photo: PhotoRow): Promise<void> {
    await this.sending.put(photo);
  }

  async dropPhoto(id: string): Promise<void> {
    await this.sending.delete(id);
  }
}
