import type { Browser, BrowserContext, Page } from "@playwright/test";
import { BrowserOfOwn } from "../browserOfOwn";
import { type Chance, pause } from "./chance";

/** A reading that was typed on a device. */
export interface Typed {
  readonly value: string;
  /** When its Enter was over. */
  readonly at: number;
}

/** What makes a page's storage and clock fail; run before anything of the page's own. */
function troubled([dayShift]: readonly [number]): void {
  const trouble = { refuses: sessionStorageSays("chaos-refuses"), shiftMs: dayShift };
  Object.defineProperty(window, "chaosTrouble", { value: trouble });
  function sessionStorageSays(key: string): boolean {
    try {
      return window.sessionStorage.getItem(key) === "yes";
    } catch {
      return false;
    }
  }
  const refuse = () => {
    throw new DOMException("refused by chance", "QuotaExceededError");
  };
  for (const name of ["put", "add"] as const) {
    const real = IDBObjectStore.prototype[name];
    IDBObjectStore.prototype[name] = function (this: IDBObjectStore, ...words: [unknown, IDBValidKey?]) {
      return trouble.refuses ? refuse() : real.apply(this, words);
    };
  }
  const open = IDBFactory.prototype.open;
  IDBFactory.prototype.open = function (this: IDBFactory, ...words: [string, number?]) {
    return trouble.refuses ? refuse() : open.apply(this, words);
  };
  const setItem = Storage.prototype.setItem;
  Storage.prototype.setItem = function (this: Storage, key: string, value: string) {
    if (trouble.refuses && this === window.localStorage) refuse();
    setItem.call(this, key, value);
  };
  const now = Date.now;
  const RealDate = Date;
  Date.now = () => now() + trouble.shiftMs;
  window.Date = new Proxy(RealDate, {
    construct: (target, words) =>
      words.length === 0 ? new target(now() + trouble.shiftMs) : Reflect.construct(target, words),
  });
}

interface Troubled {
  chaosTrouble: { refuses: boolean; shiftMs: number };
}

const FIELD = "Reading in ohms, or OL for open";
const DAY_MS = 86_400_000;

/**
 * A person's browser with a profile of its own at the job: it types readings at a human's pace, and whatever can happen
 * to a browser happens to it. One thing at a time is done to it.
 */
export class Device {
  readonly typed: Typed[] = [];
  /** When its browser was killed or its page crashed or was loaded anew. */
  readonly ended: number[] = [];
  private readonly own = new BrowserOfOwn();
  private browser: Browser | null = null;
  private page: Page | null = null;
  private turn: Promise<unknown> = Promise.resolve();
  private count = 0;
  private address = "";
  private dayShift: number;

  /**
   * @param first its readings are this many ohms and a little more, one after the other: none is typed twice.
   * @param dayShift how many days its clock is off.
   */
  constructor(
    readonly name: string,
    private readonly leads: readonly string[],
    private readonly first: number,
    dayShift: number,
    private readonly chance: Chance,
  ) {
    this.dayShift = dayShift;
  }

  /** Does something to the device when nothing else is done to it. */
  alone<T>(work: () => Promise<T>): Promise<T> {
    const done = this.turn.then(work);
    this.turn = done.catch(() => undefined);
    return done;
  }

  async open(address: string): Promise<void> {
    this.address = address;
    await this.launch();
    await this.visit();
  }

  /** Starts a motor on the first page; gives the job's address. */
  async startMotor(origin: string): Promise<string> {
    await this.launch();
    const page = await this.freshPage();
    await page.goto(origin);
    await page.getByRole("button", { name: "Start with a motor" }).click();
    await page.getByLabel("Lead colors, in a row").fill(this.leads.join(" "));
    await page.keyboard.press("Enter");
    await page.getByLabel(FIELD).waitFor();
    this.address = page.url();
    await this.untilSaved();
    return new URL(this.address).pathname;
  }

  /** Waits until the application is kept on the device. */
  async untilKept(): Promise<void> {
    await this.page?.evaluate(async () => {
      const { active } = await navigator.serviceWorker.ready;
      if (active && active.state !== "activated")
        await new Promise((resolve) => active.addEventListener("statechange", resolve, { once: true }));
    });
  }

  /** Types one reading; false where the page did not take it, which then still stands in its field. */
  async type(): Promise<boolean> {
    const page = this.page;
    if (!page) return false;
    const value = (this.first + this.count / 100).toFixed(2);
    const i = Math.floor(this.chance.between(0, this.leads.length));
    const pair = `${this.leads[i]} ${this.leads[(i + 1) % this.leads.length]}`;
    const field = page.getByLabel(FIELD);
    try {
      await field.fill(`${pair} ${value}`, { timeout: 8000 });
      this.count += 1;
      await field.press("Enter", { timeout: 8000 });
      await page.waitForFunction(
        (label) => document.querySelector<HTMLInputElement>(`[aria-label="${label}"]`)?.value === "",
        FIELD,
        { timeout: 8000 },
      );
    } catch {
      return false;
    }
    this.typed.push({ value, at: Date.now() });
    return true;
  }

  /** Whether the page says that all is at the server. */
  async isSaved(): Promise<boolean> {
    const saved = this.page?.getByRole("status").filter({ hasText: "Saved" });
    return (await saved?.isVisible().catch(() => false)) ?? false;
  }

  async untilSaved(withinMs = 60_000): Promise<boolean> {
    const until = Date.now() + withinMs;
    while (Date.now() < until) {
      if (await this.isSaved()) return true;
      await pause(250);
    }
    return false;
  }

  /** What the list of every reading says. */
  async table(): Promise<string> {
    const list = this.page?.getByRole("region", { name: "Every reading" });
    const fold = list?.getByRole("button");
    if ((await fold?.getAttribute("aria-expanded")) === "false") await fold?.click();
    return (await list?.getByRole("list").textContent()) ?? "";
  }

  async reload(): Promise<void> {
    this.ended.push(Date.now());
    await this.page?.reload({ waitUntil: "domcontentloaded", timeout: 20_000 }).catch(() => undefined);
    await this.ready();
  }

  /** The page's process dies; another tab opens the job. */
  async crash(): Promise<void> {
    const session = await this.page?.context().newCDPSession(this.page);
    this.ended.push(Date.now());
    void session?.send("Page.crash").catch(() => undefined);
    await pause(300);
    await this.visit();
  }

  /** The whole browser dies at once; it is opened again. */
  async kill(): Promise<void> {
    this.ended.push(Date.now());
    this.end();
    await pause(this.chance.between(200, 1500));
    await this.launch();
    await this.visit();
  }

  async freeze(ms: number): Promise<void> {
    this.own.signal("SIGSTOP");
    await pause(ms);
    this.own.signal("SIGCONT");
  }

  /** Another tab of the same browser goes on; the one before stays open a while. */
  async otherTab(): Promise<void> {
    const before = this.page;
    await this.visit({ keep: true });
    setTimeout(() => void before?.close().catch(() => undefined), 5000);
  }

  /** Storage refuses whatever is written, from now on or from the next opening. */
  async refuse(refuses: boolean): Promise<void> {
    await this.page
      ?.evaluate((says) => {
        sessionStorage.setItem("chaos-refuses", says ? "yes" : "no");
        (window as unknown as Troubled).chaosTrouble.refuses = says;
      }, refuses)
      .catch(() => undefined);
  }

  /** The clock jumps, and stays there. */
  async shiftClock(days: number): Promise<void> {
    this.dayShift = days;
    await this.page
      ?.evaluate((ms) => {
        (window as unknown as Troubled).chaosTrouble.shiftMs = ms;
      }, days * DAY_MS)
      .catch(() => undefined);
  }

  /** Opens the job in a tab of its own and leaves no other. */
  async visit({ keep = false } = {}): Promise<void> {
    const old = this.context().pages();
    const page = await this.freshPage();
    if (!keep) for (const one of old) await one.close().catch(() => undefined);
    this.page = page;
    await page.goto(this.address, { waitUntil: "domcontentloaded", timeout: 20_000 }).catch(() => undefined);
    await this.ready();
  }

  end(): void {
    this.own.kill();
    this.page = null;
  }

  remove(): void {
    this.end();
    this.own.remove();
  }

  /** Waits until there is a page to type on; where neither server nor browser gave one it is asked for again. */
  private async ready(): Promise<void> {
    for (let tries = 0; tries < 12; tries++) {
      const field = this.page?.getByLabel(FIELD);
      const isHere = await field?.waitFor({ timeout: 5000 }).then(
        () => true,
        () => false,
      );
      if (isHere) return;
      await this.page
        ?.goto(this.address, { waitUntil: "domcontentloaded", timeout: 10_000 })
        .catch(() => undefined);
    }
    throw new Error(`${this.name} has no page of the job after a minute`);
  }

  private async freshPage(): Promise<Page> {
    const page = await this.context().newPage();
    await page.addInitScript(troubled, [this.dayShift * DAY_MS] as const);
    this.page = page;
    return page;
  }

  private context(): BrowserContext {
    const context = this.browser?.contexts()[0];
    if (!context) throw new Error(`${this.name} has no browser`);
    return context;
  }

  private async launch(): Promise<void> {
    this.browser = await this.own.open();
  }
}
