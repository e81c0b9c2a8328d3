import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import { DATABASE_NAME } from "./anythingWaiting";
import type { FactRow, FactStanding, KeptJob, LearnedPage } from "./factRow";
import { MOST_SENT_PHOTOS, type PhotoRow, type Shelf, sorted, waitingAgain } from "./shelf";

interface NumberedRow extends FactRow {
  /** In the order kept; given by the database. */
  readonly n?: number;
}

/** What the server told of a job at once, in one row: a job of very many facts is kept as quickly as it comes. */
interface PageRow extends LearnedPage {
  readonly job: string;
  readonly standing: "kept";
  readonly n?: number;
}

interface JobRow {
  readonly job: string;
  readonly arrival: number;
}

interface Shelves extends DBSchema {
  /** What this device made, and what an earlier version kept, a fact a row; what the server told since, a page a row. */
  facts: {
    key: number;
    value: NumberedRow | PageRow;
    indexes: {
      job: string;
      standing: FactStanding;
      "[job+id]": [string, string];
      "[job+standing]": [string, FactStanding];
      /** Pages alone. */
      "[job+arrival]": [string, number];
    };
  };
  seen: { key: string; value: JobRow };
  sending: { key: string; value: PhotoRow };
  /** Photos that the server has, in the order sent. */
  sentPhotos: { key: number; value: PhotoRow; indexes: { id: string } };
}

/** The form of the database. */
const VERSION = 12;
/** The numbers from which on it had its first stores, sent photos, and pages. */
const [FIRST, SENT_PHOTOS, PAGES] = [10, 11, 12];
/** On the disk when the promise resolves: it outlives the browser and the machine. */
const STRICT = { durability: "strict" } as const;
const OWN: readonly FactStanding[] = ["waiting", "sent", "aside"];

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
    const facts = tx.objectStore("facts");
    const [rows, pages, seen] = await Promise.all([
      facts.index("[job+id]").getAll(anyOf(job)),
      facts.index("[job+arrival]").getAll(pagesAfter(job, 0)),
      tx.objectStore("seen").get(job),
    ]);
    const told = pages.filter(isPage).flatMap(rowsOf);
    const known = new Set(told.map(({ id }) => id));
    return {
      rows: sorted([...told, ...asMade(rows.filter(isFactRow)).filter(({ id }) => !known.has(id))]),
      arrival: seen?.arrival ?? 0,
    };
  }

  async jobs(most: number): Promise<string[]> {
    const index = (await this.database()).transaction("facts").store.index("job");
    const latest: { job: string; n: number }[] = [];
    for (let at = await index.openKeyCursor(null, "nextunique"); at; at = await at.continue()) {
      const last = await index.openKeyCursor(at.key, "prev");
      latest.push({ job: at.key, n: last?.primaryKey ?? 0 });
    }
    return latest
      .sort((a, b) => b.n - a.n)
      .slice(0, most)
      .map(({ job }) => job);
  }

  async own(job: string): Promise<FactRow[]> {
    const index = (await this.database()).transaction("facts").store.index("[job+standing]");
    const rows = await Promise.all(OWN.map((standing) => index.getAll(IDBKeyRange.only([job, standing]))));
    return asMade(rows.flat().filter(isFactRow));
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

  async learn(job: string, { facts, after, arrival }: LearnedPage): Promise<void> {
    const tx = (await this.database()).transaction(["facts", "seen"], "readwrite", STRICT);
    const [store, jobs] = [tx.objectStore("facts"), tx.objectStore("seen")];
    const seen = (await jobs.get(job))?.arrival ?? 0;
    // Known already, this tab's or another's.
    if (arrival <= seen) return;
    const overlapping = (await store.index("[job+arrival]").getAll(pagesAfter(job, after))).filter(isPage);
    const known = new Set(overlapping.flatMap((page) => page.facts.map(({ id }) => id)));
    const news = facts.filter(({ id }) => !known.has(id));
    const [ids, each] = [store.index("[job+id]"), news.map(({ id }) => IDBKeyRange.only([job, id]))];
    const isAnyHere = (await ids.count(anyOf(job))) > 0;
    // What came back is no longer this device's own.
    const own = isAnyHere ? await Promise.all(each.map((id) => ids.getKey(id))) : [];
    await Promise.all([
      ...own.flatMap((n) => (n === undefined ? [] : [store.delete(n)])),
      ...(news.length > 0 ? [store.add({ job, standing: "kept", facts: news, after, arrival })] : []),
      ...(after <= seen ? [jobs.put({ job, arrival })] : []),
    ]);
    await tx.done;
  }

  async waiting(): Promise<FactRow[]> {
    const rows = await (await this.database()).getAllFromIndex("facts", "standing", "waiting");
    // What the server had once goes back in the order that it had.
    return sorted(asMade(rows.filter(isFactRow)));
  }

  async mark(job: string, ids: readonly string[], standing: FactStanding, says?: string): Promise<void> {
    const tx = (await this.database()).transaction("facts", "readwrite", STRICT);
    const index = tx.store.index("[job+id]");
    // All asked for at once: one after the other, five hundred take two seconds.
    const rows = await Promise.all(ids.map((id) => index.get(IDBKeyRange.only([job, id]))));
    const here = rows.filter((row) => row !== undefined).filter(isFactRow);
    await Promise.all(
      here
        .filter((row) => row.standing !== "kept")
        .map((row) => tx.store.put({ ...row, standing, ...(says === undefined ? {} : { says }) })),
    );
    await tx.done;
  }

  async waitAgain(): Promise<void> {
    const stores = ["facts", "seen", "sending", "sentPhotos"] as const;
    const tx = (await this.database()).transaction(stores, "readwrite", STRICT);
    const facts = tx.objectStore("facts");
    // By their ids: pages have none, and are not brought here only to be left out.
    const rows = await facts.index("[job+id]").getAll();
    await Promise.all(rows.filter(isFactRow).map((row) => facts.put(waitingAgain(row))));
    for (let at = await facts.index("[job+arrival]").openCursor(); at; at = await at.continue()) {
      const page = at.value;
      await at.delete();
      if (isPage(page)) await Promise.all(rowsOf(page).map((row) => facts.add(waitingAgain(row))));
    }
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
        upgrade(database, before, _, tx) {
          if (before < FIRST) makeStores(database);
          if (before < SENT_PHOTOS)
            database.createObjectStore("sentPhotos", { autoIncrement: true }).createIndex("id", "id");
          if (before < PAGES) tx.objectStore("facts").createIndex("[job+arrival]", ["job", "arrival"]);
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

function isPage(row: NumberedRow | PageRow): row is PageRow {
  return "facts" in row;
}

function isFactRow(row: NumberedRow | PageRow): row is NumberedRow {
  return !isPage(row);
}

function asMade(rows: readonly NumberedRow[]): NumberedRow[] {
  return rows.toSorted((a, b) => (a.n ?? 0) - (b.n ?? 0));
}

/** All rows of a job that have an id of their own. */
function anyOf(job: string): IDBKeyRange {
  return IDBKeyRange.bound([job], [job, []]);
}

/**
 * A page's facts as rows. Each fact has an arrival of its own: so no page's places are among another's, nor among those
 * counted up by one before there were pages.
 */
function rowsOf({ job, facts, arrival }: PageRow): FactRow[] {
  const first = arrival - facts.length;
  return facts.map((fact, i) => ({ job, id: fact.id, fact, standing: "kept", order: first + i }));
}

/** Pages of a job that tell of anything after an arrival. */
function pagesAfter(job: string, after: number): IDBKeyRange {
  return IDBKeyRange.bound([job, after], [job, Number.POSITIVE_INFINITY], true);
}

/** Whether a row was there already. */
function isTwice(outcome: PromiseSettledResult<unknown>): boolean {
  return (
    outcome.status === "rejected" &&
    outcome.reason instanceof DOMException &&
    outcome.reason.name === "ConstraintError"
  );
}
