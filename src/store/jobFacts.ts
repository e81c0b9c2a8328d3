import { dequal } from "dequal";
import type { FactsSince } from "@/contract/routes/jobs";
import type { ServerHistory } from "@/contract/serverHistory";
import { type Fact, type FactBody, readFact } from "@/core";
import { type AsideFact, asideFact, type FactRow, waitingRow } from "./factRow";
import { eachPage } from "./factsAtServer";
import { learnHistory } from "./history";
import { takeOut, writeDown } from "./journal";
import { madeBefore, makeFact } from "./making";
import { mendingOf, withText } from "./mending";
import { listen, tell } from "./news";
import { openShelf } from "./openShelf";
import { sendWaiting } from "./sending";
import type { PhotoRow, Shelf } from "./shelf";

/** How what was entered stands. */
export interface Saving {
  /** False until all of the job is here that this device and the server keep of it. */
  readonly ready: boolean;
  /** Facts and photos that the server has not confirmed. */
  readonly waiting: number;
  /** The server does not answer. */
  readonly away: boolean;
  /** False where this browser keeps nothing: then what waits lives no longer than the page. */
  readonly lasting: boolean;
}

/** What a page shows of a job's facts; the same object while nothing changed. */
export interface JobFactsState {
  readonly facts: readonly Fact[];
  readonly saving: Saving;
  /** Facts that were refused, kept apart. */
  readonly aside: readonly AsideFact[];
  /** Photos on their way. */
  readonly photos: readonly PhotoRow[];
  /** Facts kept that this version cannot read. */
  readonly unreadable: number;
}

const RETRY_MS = 2500;
const FOLLOW_MS = 4000;
/** So many facts are read before others have their turn. */
const MOST_AT_ONCE = 2000;

/**
 * The facts of an open job on this device: what the server has as far as it was seen, what was entered here, and what
 * arrives from elsewhere. A fact is shown, written down and kept at once, then sent until the server confirms it.
 *
 * Without framework: whoever shows it subscribes. It reads the shelf again whenever the store tells of the job, from this
 * tab or another.
 */
export class JobFacts {
  private readonly listeners = new Set<() => void>();
  /** What the server has, in its order. */
  private readonly known = new Map<string, Fact>();
  private arrival: number;
  /** Which history of the server that arrival is of. */
  private latest: string | null;
  /** The page came with what the server has. */
  private readonly heard: boolean;
  private unreadable: number;
  /** The server has more of the job than has come yet. */
  private partly: boolean;
  /** Made here; not come back from the server yet. */
  private own: readonly Fact[] = [];
  private waitingIds: ReadonlySet<string> = new Set();
  /** Made here and on the way to the shelf. */
  private readonly fresh = new Map<string, FactRow>();
  private aside: readonly AsideFact[] = [];
  private photoRows: readonly PhotoRow[] = [];
  /** The server did not take what was sent last, or did not say what arrived. */
  private unsent = false;
  private unheard = false;
  private lasting = true;
  private ready = false;
  private shelf: Shelf | null = null;
  private current: JobFactsState;
  /** The facts as they were shown last, with how many of them the server has and which it has not. */
  private listed: {
    readonly known: number;
    readonly extra: readonly string[];
    readonly facts: readonly Fact[];
  } = { known: 0, extra: [], facts: [] };
  private readonly stops: (() => void)[] = [];
  private pulling = false;

  /**
   * @param first what the server had when the page was made; null where the page came without it.
   * @param by who works on this device.
   * @param drawn resolves once what was entered by then is on the page.
   */
  constructor(
    private readonly job: string,
    private readonly first: FactsSince | null,
    private readonly by: () => string,
    private readonly drawn: () => Promise<void>,
  ) {
    for (const fact of first?.facts ?? []) this.known.set(fact.id, fact);
    this.heard = first !== null;
    this.arrival = first?.arrival ?? 0;
    this.latest = first?.history?.latest ?? null;
    this.unreadable = first?.unreadable ?? 0;
    this.partly = first?.more ?? false;
    this.current = this.made();
  }

  /** Begins to keep, send and follow; gives the way to stop. */
  open(): () => void {
    const resend = () => void this.send();
    const follow = () => void this.pull();
    const timers = [setInterval(follow, FOLLOW_MS), setInterval(() => this.unsent && resend(), RETRY_MS)];
    window.addEventListener("online", resend);
    document.addEventListener("visibilitychange", follow);
    this.stops.push(
      listen(({ job }) => job === this.job && void this.reload()),
      () => timers.forEach(clearInterval),
      () => window.removeEventListener("online", resend),
      () => document.removeEventListener("visibilitychange", follow),
    );
    void this.begin();
    return () => {
      for (const stop of this.stops.splice(0)) stop();
    };
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly state = (): JobFactsState => this.current;

  /** Adds a fact; gives its id. What does not hold together is set aside and shown as that, not as entered. */
  readonly add = (body: FactBody): string => {
    const made = makeFact(body, this.by());
    const read = readFact(made);
    const row: FactRow = read.ok
      ? waitingRow(this.job, read.fact)
      : {
          job: this.job,
          id: made.id,
          fact: made,
          standing: "aside",
          says: read.faults.map(({ says }) => says).join(" "),
        };
    this.fresh.set(row.id, row);
    const written = read.ok && writeDown(this.job, read.fact);
    // First on its way to the disk, then drawn. What is written down is safe: its way to the database and the server takes
    // nothing of the time until it is drawn.
    if (!written) void this.keep(row);
    this.show();
    if (written) void this.drawn().then(() => this.keep(row));
    return made.id;
  };

  /** Keeps a photo and sends it. */
  readonly addPhoto = async (photo: Omit<PhotoRow, "job">): Promise<void> => {
    const shelf = await openShelf();
    await shelf.putPhoto({ ...photo, job: this.job });
    tell({ job: this.job });
    await this.send();
  };

  readonly dropPhoto = async (id: string): Promise<void> => {
    await (await openShelf()).dropPhoto(id);
    tell({ job: this.job });
  };

  /** Lets a fact that was set aside go. */
  readonly dropAside = async (id: string): Promise<void> => {
    this.fresh.delete(id);
    await (await openShelf()).drop(this.job, id);
    tell({ job: this.job });
  };

  /** Sends a fact that was set aside once more: what the server refused then it may take now. */
  readonly sendAgain = async (id: string): Promise<void> => {
    await (await openShelf()).mark(this.job, [id], "waiting");
    tell({ job: this.job });
    await this.send();
  };

  /** Enters a fact that was set aside anew with the text put right that is at fault; refused again it is set aside again. */
  readonly mendAside = async (id: string, text: string): Promise<void> => {
    const refused = this.current.aside.find((one) => one.id === id)?.fact;
    const mending = mendingOf(refused);
    if (mending.kind !== "text") return;
    const { body } = withText(refused, mending.path, text) as { body: FactBody };
    this.add(body);
    await this.dropAside(id);
  };

  private async keep(row: FactRow): Promise<void> {
    const shelf = this.shelf ?? (await openShelf());
    await shelf.put([row]);
    askToLast();
    if (shelf.lasting) takeOut(this.job, row.id);
    await this.reload();
    // Only now: what is shown never goes away on its way to the shelf.
    this.fresh.delete(row.id);
    tell({ job: this.job });
    await this.send();
  }

  private async begin(): Promise<void> {
    const shelf = await openShelf();
    this.shelf = shelf;
    if (this.first?.history) await learnHistory(shelf, this.first.history);
    const kept = await shelf.load(this.job);
    if (kept.arrival > this.arrival || this.known.size === 0) {
      // The page is older than what this device has seen, or the server was set back to a backup.
      await this.takeAll(kept.rows.filter(({ standing }) => standing === "kept").map(({ fact }) => fact));
      // Where the server has spoken it is asked on from there: set back, it numbers arrivals anew. Of a job in pages it
      // has spoken of the first alone.
      if (!this.heard || this.partly) this.arrival = Math.max(this.arrival, kept.arrival);
    }
    madeBefore([...this.known.values()]);
    if (this.first) await shelf.learn(this.job, { ...this.first, after: 0 });
    await this.reload();
    await this.send();
    await this.pull();
  }

  /** Takes facts that were kept here, with a breath now and then: of very many nothing stands still. */
  private async takeAll(facts: readonly unknown[]): Promise<void> {
    for (const [i, fact] of facts.entries()) {
      if (i % MOST_AT_ONCE === MOST_AT_ONCE - 1) await new Promise((resolve) => setTimeout(resolve));
      this.take(fact);
    }
  }

  private take(fact: unknown): void {
    const read = readFact(fact);
    if (read.ok) this.known.set(read.fact.id, read.fact);
    else this.unreadable += 1;
  }

  /** Reads again what of this job is this device's own. */
  private async reload(): Promise<void> {
    const shelf = await openShelf();
    const [rows, photos] = await Promise.all([shelf.own(this.job), shelf.photos()]);
    const own: Fact[] = [];
    const waiting = new Set<string>();
    for (const { standing, fact, id } of rows) {
      const read = standing === "aside" ? null : readFact(fact);
      // A newer version's is left for that to send.
      if (!read?.ok) continue;
      own.push(read.fact);
      if (standing === "waiting") waiting.add(id);
    }
    madeBefore(own);
    this.own = own;
    this.waitingIds = waiting;
    this.aside = rows.filter(({ standing }) => standing === "aside").map(asideFact);
    this.photoRows = photos.filter(({ job }) => job === this.job);
    this.lasting = shelf.lasting;
    this.ready = true;
    this.show();
  }

  private async send(): Promise<void> {
    const sent = await sendWaiting(await openShelf(), this.by());
    this.unsent = sent === "away";
    await this.reload();
  }

  /** Takes what arrived at the server since, page by page; it is shown once it is all here. */
  private async pull(): Promise<void> {
    if (this.pulling || !this.shelf) return;
    this.pulling = true;
    const shelf = this.shelf;
    let setBack = false;
    let news = false;
    try {
      const called = await eachPage(this.job, this.arrival, async ({ history, ...page }) => {
        setBack = history !== null && (await this.isSetBack(history));
        if (setBack) return false;
        if (page.arrival === this.arrival && page.facts.length === 0) return true;
        const after = this.arrival;
        for (const fact of page.facts) this.known.set(fact.id, fact);
        this.arrival = page.arrival;
        this.unreadable += page.unreadable;
        madeBefore(page.facts);
        await shelf.learn(this.job, { ...page, after });
        news = true;
        return true;
      });
      const before = this.unheard;
      this.unheard = !called.ok && (called.status === null || called.later);
      const whole = called.ok && !called.value.more && this.partly;
      if (whole) this.partly = false;
      if (news) await this.reload();
      else if (whole || this.unheard !== before) this.show();
    } finally {
      this.pulling = false;
    }
    if (setBack) {
      await this.send();
      await this.pull();
    }
  }

  /** Whether the server was set back to a backup since it last spoke: then it is asked from the beginning. */
  private async isSetBack(history: ServerHistory): Promise<boolean> {
    const news = await learnHistory(await openShelf(), history);
    const before = this.latest;
    this.latest = history.latest;
    // Another tab may have learned it first: what this page itself heard last counts too.
    const setBack = before === null ? news : before !== history.latest;
    if (setBack) this.arrival = 0;
    return setBack;
  }

  /** Tells of what is new; where nothing is, whoever shows it hears nothing. */
  private show(): void {
    const next = this.made();
    const before = this.current;
    const kept: JobFactsState = {
      ...next,
      saving: dequal(next.saving, before.saving) ? before.saving : next.saving,
      aside: dequal(next.aside, before.aside) ? before.aside : next.aside,
      photos: next.photos.length + before.photos.length === 0 ? before.photos : next.photos,
    };
    const isNews = (Object.keys(kept) as (keyof JobFactsState)[]).some((part) => kept[part] !== before[part]);
    if (!isNews) return;
    this.current = kept;
    for (const listener of this.listeners) listener();
  }

  private made(): JobFactsState {
    const fresh = [...this.fresh.values()];
    const made = fresh.filter(({ standing }) => standing === "waiting").map(({ fact }) => fact as Fact);
    const refused = fresh.filter(({ standing }) => standing === "aside").map(asideFact);
    const aside = new Map([...this.aside, ...refused].map((one) => [one.id, one]));
    const waiting = new Set([...this.waitingIds, ...made.map(({ id }) => id)]);
    return {
      facts: this.factsWith([...this.own, ...made]),
      saving: {
        ready: this.ready && !this.partly,
        waiting: waiting.size + this.photoRows.filter(({ says }) => says === undefined).length,
        away: this.unsent || this.unheard,
        lasting: this.lasting,
      },
      aside: [...aside.values()],
      photos: this.photoRows,
      unreadable: this.unreadable,
    };
  }

  /**
   * What the server has, then what was made here and has not come back: the list before where nothing of it changed, so
   * that nothing is worked out anew.
   */
  private factsWith(made: readonly Fact[]): readonly Fact[] {
    const before = this.listed;
    const extra = new Map(made.filter(({ id }) => !this.known.has(id)).map((fact) => [fact.id, fact]));
    const isSame =
      before.known === this.known.size &&
      before.extra.length === extra.size &&
      before.extra.every((id) => extra.has(id));
    if (isSame) return before.facts;
    const all = [...this.known.values(), ...extra.values()];
    // What came back from the server in the place it had is no news.
    const isNews = all.length !== before.facts.length || all.some(({ id }, i) => before.facts[i]?.id !== id);
    const facts = isNews ? all : before.facts;
    this.listed = { known: this.known.size, extra: [...extra.keys()], facts };
    return facts;
  }
}

let asked = false;

/** Asks the browser, once there is something to lose, not to clear what is kept when the disk runs short. */
function askToLast(): void {
  if (asked) return;
  asked = true;
  void navigator.storage?.persist?.().catch(() => undefined);
}
