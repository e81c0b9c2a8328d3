import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { Fact } from "@/core";
import { DATABASE_NAME } from "./anythingWaiting";
import type { FactRow, KeptJob, Standing } from "./factRow";
import { MOST_SENT_PHOTOS, type PhotoRow, type Shelf, sorted, waitingAgain } from "./shelf";

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

interface Shelves extends DBSchema {
  facts: {
    key: number;
    value: NumberedRow;
    indexes: {
      job: string;
      standing: Standing;
      "[job+id]": [string, string];
      "[job+standing]": [string, Standing];
    };
  };
  seen: { key: string; value: JobRow };
  sending: { key: string; value: PhotoRow };
  /** Photos that the server has, in the order sent. */
  sentPhotos: { key: number; value: PhotoRow; indexes: { id: string } };
}

/** The form of the database; a browser that was here before photos were kept once sent has it under the first number. */
const FIRST_VERSION = 10;
const VERSION = 11;
/** On the disk when the promise resolves: it outlives the browser and the machine. */
const STRICT = { durability: "strict" } as const;
const OWN: readonly Standing[] = ["waiting", "sent", "aside"];

/** The shelf in the browser's own database (IndexedDB), with strict durability for all that is written. */
export class DatabaseShelf implements Shelf {
  readonly lasting = true;
  private opened: Promise<IDBPDatabase<Shelves>> | null = null;
  /** The same, once it is open. */
  private here: IDBPDatabase<Shelves> | null = null;

  constructor(private readonly name = DATABASE_NAME) {}

  /** Opens the database, or makes it; rejects where the browser keeps nothing. */
  async open(): Promise<void> {
    await this.database();
  }

  async load(job: string): Promise<KeptJob> {
    const tx = (await this.database()).transaction(["facts", "seen"]);
    const [rows, seen] = await Promise.all([
      tx.objectStore("facts").index("job").getAll(job),
      tx.objectStore("seen").get(job),
    ]);
    return { rows: sorted(rows), arrival: seen?.arrival ?? 0 };
  }

  async jobs(most: number): Promise<string[]> {
    const latest = new Set<string>();
    const tx = (await this.database()).transaction("facts");
    let cursor = await tx.store.openCursor(null, "prev");
    while (cursor && latest.size < most) {
      latest.add(cursor.value.job);
      cursor = await cursor.continue();
    }
    return [...latest];
  }

  async own(job: string): Promise<FactRow[]> {
    const index = (await this.database()).transaction("facts").store.index("[job+standing]");
    const rows = await Promise.all(OWN.map((standing) => index.getAll(IDBKeyRange.only([job, standing]))));
    return rows.flat().sort((a, b) => (a.n ?? 0) - (b.n ?? 0));
  }

  /**
   * What a key entered is on its way to the disk before this returns: nothing of the page's own work, drawing least of all,
   * comes before it.
   */
  async put(rows: readonly FactRow[]): Promise<void> {
    const database = this.here ?? (await this.database());
    const tx = database.transaction("facts", "readwrite", STRICT);
    const added = rows.map((row) => tx.store.add({ ...row }));
    tx.commit();
    const [kept, ...each] = await Promise.allSettled([tx.done, ...added]);
    if (kept.status === "fulfilled") return;
    if (!each.some(isTwice)) throw kept.reason;
    await this.putMissing(rows);
  }

  private async putMissing(rows: readonly FactRow[]): Promise<void> {
    const tx = (await this.database()).transaction("facts", "readwrite", STRICT);
    const ids = tx.store.index("[job+id]");
    for (const row of rows)
      if ((await ids.count(IDBKeyRange.only([row.job, row.id]))) === 0) await tx.store.add({ ...row });
    await tx.done;
  }

  async learn(job: string, facts: readonly Fact[], arrival: number): Promise<void> {
    const tx = (await this.database()).transaction(["facts", "seen"], "readwrite", STRICT);
    const [store, jobs] = [tx.objectStore("facts"), tx.objectStore("seen")];
    const ids = store.index("[job+id]");
    const known = (await jobs.get(job)) ?? { job, arrival: 0, learned: 0 };
    const before = await Promise.all(facts.map(({ id }) => ids.get(IDBKeyRange.only([job, id]))));
    const news = facts.flatMap((fact, i) =>
      before[i]?.standing === "kept" ? [] : [{ fact, row: before[i] }],
    );
    await Promise.all([
      ...news.map(({ fact, row }, i) =>
        store.put({
          job,
          id: fact.id,
          fact,
          standing: "kept",
          order: known.learned + i,
          ...(row?.n === undefined ? {} : { n: row.n }),
        }),
      ),
      jobs.put({
        job,
        arrival: Math.max(known.arrival, arrival),
        learned: known.learned + news.length,
      }),
    ]);
    await tx.done;
  }

  async waiting(): Promise<FactRow[]> {
    return (await this.database()).getAllFromIndex("facts", "standing", "waiting");
  }

  async mark(job: string, ids: readonly string[], standing: Standing, says?: string): Promise<void> {
    const tx = (await this.database()).transaction("facts", "readwrite", STRICT);
    const index = tx.store.index("[job+id]");
    for (const id of ids) {
      const row = await index.get(IDBKeyRange.only([job, id]));
      if (row && row.standing !== "kept")
        await tx.store.put({ ...row, standing, ...(says === undefined ? {} : { says }) });
    }
    await tx.done;
  }

  async waitAgain(): Promise<void> {
    const stores = ["facts", "seen", "sending", "sentPhotos"] as const;
    const tx = (await this.database()).transaction(stores, "readwrite", STRICT);
    for (let at = await tx.objectStore("facts").openCursor(); at; at = await at.continue())
      await at.update(waitingAgain(at.value));
    for (let at = await tx.objectStore("seen").openCursor(); at; at = await at.continue())
      await at.update({ ...at.value, arrival: 0 });
    for (let at = await tx.objectStore("sentPhotos").openCursor(); at; at = await at.continue()) {
      await tx.objectStore("sending").put({ ...at.value, again: true });
      await at.delete();
    }
    await tx.done;
  }

  async drop(job: string, id: string): Promise<void> {
    const tx = (await this.database()).transaction("facts", "readwrite", STRICT);
    const key = await tx.store.index("[job+id]").getKey(IDBKeyRange.only([job, id]));
    if (key !== undefined) await tx.store.delete(key);
    await tx.done;
  }

  async photos(): Promise<PhotoRow[]> {
    return (await this.database()).getAll("sending");
  }

  async putPhoto(photo: PhotoRow): Promise<void> {
    const tx = (await this.database()).transaction("sending", "readwrite", STRICT);
    await tx.store.put(photo);
    await tx.done;
  }

  async photoSent(photo: PhotoRow): Promise<void> {
    const tx = (await this.database()).transaction(["sending", "sentPhotos"], "readwrite", STRICT);
    const sent = tx.objectStore("sentPhotos");
    await tx.objectStore("sending").delete(photo.id);
    if ((await sent.index("id").count(photo.id)) === 0) await sent.add(photo);
    if ((await sent.count()) > MOST_SENT_PHOTOS) await (await sent.openCursor())?.delete();
    await tx.done;
  }

  async dropPhoto(id: string): Promise<void> {
    const tx = (await this.database()).transaction("sending", "readwrite", STRICT);
    await tx.store.delete(id);
    await tx.done;
  }

  private database(): Promise<IDBPDatabase<Shelves>> {
    this.opened ??= this.openAnew();
    return this.opened;
  }

  private async openAnew(): Promise<IDBPDatabase<Shelves>> {
    const again = () => {
      this.opened = null;
      this.here = null;
    };
    try {
      this.here = await openDB<Shelves>(this.name, VERSION, {
        upgrade(database, before) {
          if (before < FIRST_VERSION) makeStores(database);
          database.createObjectStore("sentPhotos", { autoIncrement: true }).createIndex("id", "id");
        },
        // A newer version of the page wants another form of it: this one makes way, and asks again when it has to.
        blocking(_, __, event) {
          (event.target as IDBDatabase | null)?.close();
          again();
        },
        terminated: again,
      });
      return this.here;
    } catch (error) {
      again();
      throw error;
    }
  }
}

/** What the database began with. */
function makeStores(database: IDBPDatabase<Shelves>): void {
  const facts = database.createObjectStore("facts", { keyPath: "n", autoIncrement: true });
  facts.createIndex("job", "job");
  facts.createIndex("standing", "standing");
  facts.createIndex("[job+id]", ["job", "id"], { unique: true });
  facts.createIndex("[job+standing]", ["job", "standing"]);
  database.createObjectStore("seen", { keyPath: "job" });
  database.createObjectStore("sending", { keyPath: "id" });
}

/** Whether a row was there already. */
function isTwice(outcome: PromiseSettledResult<unknown>): boolean {
  return (
    outcome.status === "rejected" &&
    outcome.reason instanceof DOMException &&
    outcome.reason.name === "ConstraintError"
  );
}
