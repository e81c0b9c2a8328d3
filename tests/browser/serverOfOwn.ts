import { type ChildProcess, spawn } from "node:child_process";
import { createServer } from "node:net";
import { expect } from "@playwright/test";

/** A server of a test's own on the test database, to be killed and brought back. */
export class ServerOfOwn {
  private running: ChildProcess | null = null;
  private port = 0;

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Starts it, at the same address every time. */
  async start(): Promise<void> {
    this.port ||= await freePort();
    this.running = spawn("node", ["scripts/serve.mjs"], {
      env: { ...process.env, DATABASE_URL: process.env.ODD_LEAD_TEST_DATABASE_URL, PORT: String(this.port) },
      stdio: "ignore",
    });
    const health = () =>
      fetch(`${this.address}/api/health`).then(
        ({ status }) => status,
        () => 0,
      );
    await expect.poll(health, { timeout: 30_000 }).toBe(200);
  }

  kill(): void {
    this.running?.kill("SIGKILL");
    this.running = null;
  }
}

function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer().listen(0, "127.0.0.1", () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === "object" && address ? address.port : 0));
    });
  });
}
