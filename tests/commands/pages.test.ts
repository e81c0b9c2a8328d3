import { type ChildProcessByStdio, spawn } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { request } from "node:http";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Readable } from "node:stream";
import { afterAll, beforeAll, expect, test, vi } from "vitest";

/** In place of the framework: a thread that does as its address says. */
const THREAD = `
  import { createServer } from "node:http";
  import { parentPort, workerData } from "node:worker_threads";
  const [name, word] = workerData.inside;
  const ways = {
    "/asked": (asked, answer) => answer.end(JSON.stringify({ host: asked.headers.host, inside: asked.headers[name] === word })),
    "/busy": (_, answer) => {
      const until = Date.now() + 1500;
      while (Date.now() < until);
      answer.end("done");
    },
    "/parts": (_, answer) => {
      answer.write("first ");
      setTimeout(() => answer.end("last"), 200);
    },
    "/heard": (asked, answer) => asked.pipe(answer.writeHead(201, { "x-own": "kept" })),
    "/watched": (_, answer) => answer.on("close", () => console.log("nobody waits")).write("some"),
    "/never": () => { while (true); },
    "/end": () => process.exit(3),
    "/fault": () => setTimeout(() => { throw new Error("a fault of a page"); }),
  };
  const server = createServer((asked, answer) => ways[asked.url](asked, answer));
  server.listen(0, "127.0.0.1", () => {
    parentPort.postMessage(server.address().port);
    setInterval(() => parentPort.postMessage("runs"), 100);
  });
`;

/** Hands everything on to the thread but for one address, which it answers itself. */
const SERVER = `
  import { createServer } from "node:http";
  import { pathToFileURL } from "node:url";
  const { pagesBeside } = await import(pathToFileURL(process.argv[2]));
  const pages = await pagesBeside({ host: "127.0.0.1", port: 0, thread: pathToFileURL(process.argv[3]), hangsAfterMs: 4000 });
  const server = createServer((asked, answer) => (asked.url === "/here" ? answer.end("here") : pages(asked, answer)));
  server.listen(0, "127.0.0.1", () => console.log("port", server.address().port));
`;

const folder = mkdtempSync(join(tmpdir(), "pages-"));
let server: ChildProcessByStdio<null, Readable, null>;
let port: number;
let heard = "";

/** Starts a server whose pages such a thread makes. */
function serverOf(threadText: string) {
  const [started, thread] = ["server.mjs", "thread.mjs"].map((name) => join(folder, name)) as [
    string,
    string,
  ];
  writeFileSync(started, SERVER);
  writeFileSync(thread, threadText);
  return spawn("node", [started, join(process.cwd(), "scripts/lib/pages.mjs"), thread], {
    stdio: ["ignore", "pipe", "ignore"],
  });
}

beforeAll(async () => {
  server = serverOf(THREAD);
  server.stdout.setEncoding("utf8");
  server.stdout.on("data", (part: string) => {
    heard += part;
  });
  await vi.waitFor(() => expect(heard).toMatch(/^port \d+/m), { timeout: 10_000 });
  port = Number(/^port (\d+)/m.exec(heard)?.[1]);
});

afterAll(() => {
  server.kill("SIGKILL");
  rmSync(folder, { recursive: true });
});

interface Got {
  readonly status: number;
  readonly parts: readonly string[];
  readonly headers: Readonly<Record<string, unknown>>;
}

function ask(path: string, body?: string): Promise<Got> {
  return new Promise((resolve, reject) => {
    const options = { host: "127.0.0.1", port, path, method: body === undefined ? "GET" : "POST" };
    const asked = request(options, (answer) => {
      const parts: string[] = [];
      answer.setEncoding("utf8");
      answer.on("data", (part: string) => parts.push(part));
      answer.on("end", () => resolve({ status: answer.statusCode ?? 0, parts, headers: answer.headers }));
    });
    asked.on("error", reject);
    asked.end(body);
  });
}

test("a page is asked for under the name it was asked by, with the word of this process alone", async () => {
  const { parts } = await ask("/asked");
  expect(JSON.parse(parts.join(""))).toEqual({ host: `127.0.0.1:${port}`, inside: true });
});

test("while a page is made, all else is answered", async () => {
  const page = ask("/busy").then(() => "page");
  for (let i = 0; i < 5; i++)
    expect(await Promise.race([page, ask("/here").then(({ parts }) => parts[0])])).toBe("here");
  expect(await page).toBe("page");
});

test("what is sent arrives, and its answer with what stands over it", async () => {
  const { status, parts, headers } = await ask("/heard", "x".repeat(200_000));
  expect([status, headers["x-own"], parts.join("").length]).toEqual([201, "kept", 200_000]);
});

test("a page comes as it is made", async () => {
  expect((await ask("/parts")).parts).toEqual(["first ", "last"]);
});

test("who goes away is made no page for", async () => {
  const asked = request({ host: "127.0.0.1", port, path: "/watched" }, () => asked.destroy());
  asked.on("error", () => undefined);
  asked.end();
  await expect.poll(() => heard).toContain("nobody waits");
});

test.each(["/end", "/fault"])(
  "a thread that ends is told of and started again (%s)",
  async (way) => {
    const before = heard.split("is started again").length;
    const { status, headers, parts } = await ask(way);
    expect([status, headers["content-type"]]).toEqual([503, "application/problem+json"]);
    expect(parts.join("")).toContain("The pages are being started again");
    await expect.poll(() => heard.split("is started again").length).toBe(before + 1);
    expect((await ask("/asked")).status).toBe(503);
    expect((await ask("/here")).status).toBe(200);
    await expect.poll(async () => (await ask("/asked")).status, { timeout: 15_000 }).toBe(200);
  },
  20_000,
);

test("a page that never ends takes its thread with it, and no more", async () => {
  const before = heard.split("is started again").length;
  const never = ask("/never");
  expect((await ask("/here")).status).toBe(200);
  expect((await never).status).toBe(503);
  expect(heard).toContain("was silent for 4 s and is ended");
  await expect.poll(() => heard.split("is started again").length).toBe(before + 1);
  await expect.poll(async () => (await ask("/asked")).status, { timeout: 15_000 }).toBe(200);
}, 30_000);

test("a thread that does not begin is a fault of the start", async () => {
  const failed = serverOf("throw new Error('nothing here begins');");
  expect(await new Promise((resolve) => failed.once("exit", resolve))).toBe(1);
});
