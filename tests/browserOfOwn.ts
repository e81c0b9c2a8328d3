import { type ChildProcess, spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type Browser, chromium } from "@playwright/test";

/** A browser of a test's own with a profile that outlives it, to be killed and frozen as a whole and opened again. */
export class BrowserOfOwn {
  private readonly profile = mkdtempSync(join(tmpdir(), "odd-lead-browser-"));
  private running: ChildProcess | null = null;

  /** Opens it; rejects with what it said where it does not come up. */
  async open(): Promise<Browser> {
    const words = [
      ...(process.env.ODD_LEAD_CHROMIUM_ARGUMENTS?.split(" ") ?? []),
      "--headless=new",
      "--remote-debugging-port=0",
      "--no-first-run",
      `--user-data-dir=${this.profile}`,
    ];
    const started = spawn(process.env.ODD_LEAD_CHROMIUM ?? "chromium", words, {
      stdio: ["ignore", "ignore", "pipe"],
      detached: true,
    });
    this.running = started;
    const address = await new Promise<string>((resolve, reject) => {
      let said = "";
      started.stderr?.on("data", (part: Buffer) => {
        said += part.toString();
        const found = /ws:\/\/\S+/.exec(said)?.[0];
        if (found) resolve(found);
      });
      started.once("exit", () => reject(new Error(`the browser ended: ${said}`)));
    });
    return chromium.connectOverCDP(address);
  }

  /** Every process of it at once. */
  signal(name: NodeJS.Signals): void {
    if (!this.running?.pid) return;
    try {
      process.kill(-this.running.pid, name);
    } catch (error) {
      // It ended by itself.
      if ((error as NodeJS.ErrnoException).code !== "ESRCH") throw error;
    }
  }

  kill(): void {
    this.signal("SIGKILL");
    this.running = null;
  }

  /** Ends it and takes its profile away. */
  remove(): void {
    this.kill();
    rmSync(this.profile, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
  }
}
