import type { FactRow, FactStanding, KeptJob, LearnedPage } from "./factRow";

/** A photo on its way to the server. */
export interface PhotoRow {
  readonly id: string;
  readonly job: string;
  readonly name: string;
  readonly type: string;
  readonly bytes: ArrayBuffer;
  /** Why the server will not have it; it is not sent again by itself. */
  readonly says?: string;
  /** The server had it once: the job tells of it already. */
  readonly again?: true;
}

/** So many photos that the server has stay on the device as well; the oldest makes room. */
export const MOST_SENT_PHOTOS = 60;

/** Where a device keeps facts and photos: in its database, or, where that is refused, in memory. */
export interface Shelf {
  /** False where it lives no longer than the page. */
  readonly lasting: boolean;
  load(job: string): Promise<KeptJob>;
  /** Jobs of which anything is kept, those touched last first. */
  jobs(most: number): Promise<string[]>;
  /** Of a job what did not come back from the server yet, in the order made. */
  own(job: string): Promise<FactRow[]>;
  /** Keeps rows in the order given; one that is there already stays as it is. */
  put(rows: readonly FactRow[]): Promise<void>;
  /** Keeps what the server has of a job; how far that goes, where it follows on what is kept. */
  learn(job: string, page: LearnedPage): Promise<void>;
  /** Everything still to be sent, in the order made. */
  waiting(): Promise<FactRow[]>;
  mark(job: string, ids: readonly string[], standing: FactStanding, says?: string): Promise<void>;
  /** The server was set back: all that it ever had from here waits to be sent again, and arrivals are counted anew. */
  waitAgain(): Promise<void>;
  /** Drops a fact that was set aside. */
  drop(job: string, id: string): Promise<void>;
  /** Photos on their way. */
  photos(): Promise<PhotoRow[]>;
  putPhoto(photo: PhotoRow): Promise<void>;
  /** The server has it: it is on its way no longer, and stays here for a server that is set back. */
  photoSent(photo: PhotoRow): Promise<void>;
  dropPhoto(id: string): Promise<void>;
}

/** A shelf that lives as long as the page. */
export class MemoryShelf implements Shelf {
  readonly lasting = false;
  private readonly byJob = new Map<
    string,
    { rows: Map<string, FactRow>; arrival: number; learned: number }
  >();
  private readonly kept = new Map<string, PhotoRow>();
  private readonly sentPhotos = new Map<string, PhotoRow>();

  async load(job: string): Promise<KeptJob> {
    const { rows, arrival } = this.of(job);
    return { rows: sorted([...rows.values()]), arrival };
  }

  async jobs(most: number): Promise<string[]> {
    return [...this.byJob.keys()].reverse().slice(0, most);
  }

  async own(job: string): Promise<FactRow[]> {
    return [...this.of(job).rows.values()].filter(({ standing }) => standing !== "kept");
  }

  async put(rows: readonly FactRow[]): Promise<void> {
    for (const row of rows) {
      const job = this.of(row.job).rows;
      if (!job.has(row.id)) job.set(row.id, row);
    }
  }

  async learn(job: string, { facts, after, arrival }: LearnedPage): Promise<void> {
    const of = this.of(job);
    for (const fact of facts) {
      if (of.rows.get(fact.id)?.standing === "kept") continue;
      of.rows.set(fact.id, { job, id: fact.id, fact, standing: "kept", order: of.learned++ });
    }
    if (after <= of.arrival) of.arrival = Math.max(of.arrival, arrival);
  }

  async waiting(): Promise<FactRow[]> {
    return [...this.byJob.values()].flatMap(({ rows }) =>
      [...rows.values()].filter(({ standing }) => standing === "waiting"),
    );
  }

  async mark(job: string, ids: readonly string[], standing: FactStanding, says?: string): Promise<void> {
    const { rows } = this.of(job);
    for (const id of ids) {
      const row = rows.get(id);
      if (row && row.standing !== "kept")
        rows.set(id, { ...row, standing, ...(says === undefined ? {} : { says }) });
    }
  }

  async waitAgain(): Promise<void> {
    for (const of of this.byJob.values()) {
      of.arrival = 0;
      for (const [id, row] of of.rows) of.rows.set(id, waitingAgain(row));
    }
    for (const photo of this.sentPhotos.values()) this.kept.set(photo.id, { ...photo, again: true });
    this.sentPhotos.clear();
  }

  async drop(job: string, id: string): Promise<void> {
    this.of(job).rows.delete(id);
  }

  async photos(): Promise<PhotoRow[]> {
    return [...this.kept.values()];
  }

  async putPhoto(photo: PhotoRow): Promise<void> {
    this.kept.set(photo.id, photo);
  }

  async photoSent(photo: PhotoRow): Promise<void> {
    this.kept.delete(photo.id);
    this.sentPhotos.set(photo.id, photo);
    const [oldest] = this.sentPhotos.keys();
    if (this.sentPhotos.size > MOST_SENT_PHOTOS && oldest !== undefined) this.sentPhotos.delete(oldest);
  }

  async dropPhoto(id: string): Promise<void> {
    this.kept.delete(id);
  }

  private of(job: string) {
    const known = this.byJob.get(job) ?? { rows: new Map<string, FactRow>(), arrival: 0, learned: 0 };
    this.byJob.set(job, known);
    return known;
  }
}

/** A row as it waits once more; what was set aside stays so. */
export function waitingAgain(row: FactRow): FactRow {
  return row.standing === "kept" || row.standing === "sent"
    ? { ...row, standing: "waiting", again: true }
    : row;
}

/** What came from the server first, in its order; then the rest as it came in. */
export function sorted(rows: readonly FactRow[]): FactRow[] {
  const place = ({ order }: FactRow) => order ?? Number.POSITIVE_INFINITY;
  return rows.toSorted((a, b) => {
    const [one, other] = [place(a), place(b)];
    return one === other ? 0 : one - other;
  });
}
