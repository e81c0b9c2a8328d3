import { DatabaseShelf } from "./databaseShelf";
import type { FactRow, FactStanding, KeptJob, LearnedPage } from "./factRow";
import { cleared, leftBehind } from "./journal";
import { MemoryShelf, type PhotoRow, type Shelf } from "./shelf";

/** A database that does not open in so long is taken for refused: another tab may hold an older version of it. */
const OPENS_WITHIN_MS = 4000;

let opening: Promise<Shelf> | null = null;

/** The shelf of this device; in memory where the browser keeps nothing. Opened once for the page. */
export function openShelf(): Promise<Shelf> {
  opening ??= open();
  return opening;
}

async function open(): Promise<Shelf> {
  const shelf = new SafeShelf(await openDatabase());
  const { rows, keys } = leftBehind();
  if (rows.length > 0) await shelf.put(rows);
  if (shelf.lasting) cleared(keys);
  return shelf;
}

async function openDatabase(): Promise<DatabaseShelf | null> {
  try {
    const database = new DatabaseShelf();
    const late = new Promise<never>((_, reject) => setTimeout(reject, OPENS_WITHIN_MS));
    await Promise.race([database.open(), late]);
    return database;
  } catch {
    return null;
  }
}

/**
 * The database while it keeps, and memory beside it from the first time that it does not: the disk is full, storage was
 * switched off. Nothing that was entered hangs on it, and what is in memory is sent all the same.
 */
export class SafeShelf implements Shelf {
  private readonly memory = new MemoryShelf();
  private refused: boolean;

  constructor(private readonly database: Shelf | null) {
    this.refused = database === null;
  }

  get lasting(): boolean {
    return !this.refused;
  }

  async load(job: string): Promise<KeptJob> {
    const [kept, held] = await Promise.all([
      this.asked((shelf) => shelf.load(job), { rows: [], arrival: 0 }),
      this.memory.load(job),
    ]);
    const known = new Set(kept.rows.map(({ id }) => id));
    return {
      rows: [...kept.rows, ...held.rows.filter(({ id }) => !known.has(id))],
      arrival: Math.max(kept.arrival, held.arrival),
    };
  }

  async jobs(most: number): Promise<string[]> {
    const kept = await this.asked((shelf) => shelf.jobs(most), []);
    return [...new Set([...(await this.memory.jobs(most)), ...kept])].slice(0, most);
  }

  async own(job: string): Promise<FactRow[]> {
    const kept = await this.asked((shelf) => shelf.own(job), []);
    const known = new Set(kept.map(({ id }) => id));
    return [...kept, ...(await this.memory.own(job)).filter(({ id }) => !known.has(id))];
  }

  put(rows: readonly FactRow[]): Promise<void> {
    return this.kept((shelf) => shelf.put(rows));
  }

  learn(job: string, page: LearnedPage): Promise<void> {
    return this.kept((shelf) => shelf.learn(job, page));
  }

  async waiting(): Promise<FactRow[]> {
    const [kept, held] = await Promise.all([
      this.asked((shelf) => shelf.waiting(), []),
      this.memory.waiting(),
    ]);
    const known = new Set(kept.map(({ id }) => id));
    return [...kept, ...held.filter(({ id }) => !known.has(id))];
  }

  async mark(job: string, ids: readonly string[], standing: FactStanding, says?: string): Promise<void> {
    await this.asked((shelf) => shelf.mark(job, ids, standing, says), undefined);
    await this.memory.mark(job, ids, standing, says);
  }

  async waitAgain(): Promise<void> {
    await this.memory.waitAgain();
    // Unlike what is asked, this must not fail unseen: it would never be done again.
    await this.database?.waitAgain();
  }

  async drop(job: string, id: string): Promise<void> {
    await this.asked((shelf) => shelf.drop(job, id), undefined);
    await this.memory.drop(job, id);
  }

  async photos(): Promise<PhotoRow[]> {
    return [...(await this.asked((shelf) => shelf.photos(), [])), ...(await this.memory.photos())];
  }

  putPhoto(photo: PhotoRow): Promise<void> {
    return this.kept((shelf) => shelf.putPhoto(photo));
  }

  async photoSent(photo: PhotoRow): Promise<void> {
    await this.memory.dropPhoto(photo.id);
    await this.kept((shelf) => shelf.photoSent(photo));
  }

  async dropPhoto(id: string): Promise<void> {
    await this.asked((shelf) => shelf.dropPhoto(id), undefined);
    await this.memory.dropPhoto(id);
  }

  /** In the database, or else in memory. */
  private async kept(keep: (shelf: Shelf) => Promise<void>): Promise<void> {
    try {
      if (!this.database) throw new Error("there is no database");
      await keep(this.database);
      this.refused = false;
    } catch {
      this.refused = true;
      await keep(this.memory);
    }
  }

  private async asked<T>(ask: (shelf: Shelf) => Promise<T>, otherwise: T): Promise<T> {
    try {
      return this.database ? await ask(this.database) : otherwise;
    } catch {
      return otherwise;
    }
  }
}
