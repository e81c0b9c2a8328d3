import { type ChildProcessByStdio, spawn } from "node:child_process";
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { request } from "node:http";
import { connect } from "node:net";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import type { Readable } from "node:stream";
import { afterAll, beforeAll, expect, test } from "vitest";

/** The route files of a made-up application. */
const ROUTES: Readonly<Record<string, string>> = {
  "v1/jobs/route.ts": `export const GET = () => Response.json({ is: "list" });
    export const HEAD = GET;
    export const POST = async (request: Request) => Response.json({ took: (await request.text()).length });`,
  "v1/jobs/[job]/route.ts": `export const GET = async (_: Request, context: { params: Promise<object> }) =>
    Response.json(await context.params);`,
  "v1/jobs/export/route.ts": `export const GET = () => Response.json({ is: "export" });`,
  "v1/events/route.ts": `export const GET = () => {
    const text = new TextEncoder();
    const body = new ReadableStream({
      start: (controller) => controller.enqueue(text.encode("data: 1\\n\\n")),
      cancel: () => console.log("gone"),
    });
    return new Response(body, { headers: { "content-type": "text/event-stream" } });
  };`,
  "v1/late/route.ts": `export const GET = async () => {
    await new Promise((resolve) => setTimeout(resolve, 200));
    const body = new ReadableStream({ cancel: () => console.log("late and gone") });
    return new Response(body, { headers: { "content-type": "text/event-stream" } });
  };`,
  "v1/broken/route.ts": `export const GET = () => {
    let given = 0;
    const body = new ReadableStream({
      pull: (controller) => {
        given += 1;
        if (given > 2) throw new Error("a secret of the database");
        controller.enqueue(new TextEncoder().encode("line\\n"));
      },
    });
    return new Response(body, { headers: { "content-type": "text/csv" } });
  };`,
  "v1/counted/route.ts": `export const GET = () => {
    globalThis.begun = (globalThis.begun ?? 0) + 1;
    return new Response(null, { status: 204 });
  };`,
  "health/route.ts": `export const GET = () => Response.json({ after: globalThis.begun ?? 0 });`,
  "[[...path]]/route.ts": `export const GET = () => Response.json({ is: "the rest" });`,
};

/** Makes the entrance of a folder's route files and serves by it; tells its port, and what the routes say. */
const SERVER = `
  import { createServer } from "node:http";
  import { join } from "node:path";
  import { directAnswers } from "./scripts/lib/directly.mjs";
  import { makeDirect } from "./scripts/lib/makeDirect.mjs";
  const made = join(process.env.FOLDER, "direct.cjs");
  await makeDirect(process.env.FOLDER, made);
  const direct = directAnswers(made);
  const server = createServer((asked, answer) => direct(asked, answer) || answer.end("somebody else"));
  server.listen(0, "127.0.0.1", () => console.log("port", server.address().port));
`;

const folder = mkdtempSync(join(tmpdir(), "direct-"));
let server: ChildProcessByStdio<null, Readable, null>;
let port: number;

beforeAll(async () => {
  for (const [name, text] of Object.entries(ROUTES)) {
    const file = join(folder, "src/app/api", name);
    mkdirSync(dirname(file), { recursive: true });
    writeFileSync(file, text);
  }
  server = spawn("node", ["--input-type=module", "-e", SERVER], {
    env: { ...process.env, FOLDER: folder },
    stdio: ["ignore", "pipe", "ignore"],
  });
  server.stdout.setEncoding("utf8");
  port = Number((await said(/^port (\d+)/m))[1]);
});

afterAll(() => {
  server.kill("SIGKILL");
  rmSync(folder, { recursive: true });
});

/** Waits until the server says so. */
function said(words: RegExp): Promise<RegExpExecArray> {
  return new Promise((resolve, reject) => {
    let text = "";
    const heard = (part: string) => {
      text += part;
      const found = words.exec(text);
      if (!found) return;
      server.stdout.off("data", heard);
      resolve(found);
    };
    server.stdout.on("data", heard);
    server.once("exit", () => reject(new Error(`the server ended: ${text}`)));
  });
}

interface Got {
  readonly status: number;
  readonly text: string;
  readonly headers: Readonly<Record<string, unknown>>;
  /** Whether the answer broke off before its end. */
  readonly broken: boolean;
}

/** Asks as it stands there, with no library to put the address right. */
function ask(method: string, path: string, body?: string): Promise<Got> {
  return new Promise((resolve, reject) => {
    const asked = request({ host: "127.0.0.1", port, method, path }, (answer) => {
      let text = "";
      answer.setEncoding("utf8");
      answer.on("data", (part: string) => {
        text += part;
      });
      const got = (broken: boolean) =>
        resolve({ status: answer.statusCode ?? 0, text, headers: answer.headers, broken });
      answer.on("error", () => got(true));
      answer.on("end", () => got(false));
    });
    asked.on("error", reject);
    asked.end(body);
  });
}

test("a route is found by its address, a name before a place for any", async () => {
  expect(JSON.parse((await ask("GET", "/api/v1/jobs?most=1")).text)).toEqual({ is: "list" });
  expect(JSON.parse((await ask("GET", "/api/v1/jobs/export")).text)).toEqual({ is: "export" });
  expect(JSON.parse((await ask("GET", "/api/v1/jobs/a%20b")).text)).toEqual({ job: "a b" });
  expect((await ask("HEAD", "/api/v1/jobs")).text).toBe("");
  expect(JSON.parse((await ask("POST", "/api/v1/jobs", "x".repeat(70_000))).text)).toEqual({ took: 70_000 });
});

test("what is no route of ours is left to somebody else", async () => {
  for (const path of ["/", "/api", "/api/v1/jobs/", "/api/v1/jobs/1/facts", "/api/nothing", "/API/v1/jobs"])
    expect([path, (await ask("GET", path)).text]).toEqual([path, "somebody else"]);
});

test("an address that cannot be one is refused as everything is", async () => {
  const { status, headers, text } = await ask("GET", "/api/v1/jobs/a\\b");
  expect([status, headers["content-type"]]).toEqual([400, "application/problem+json"]);
  expect(text).not.toMatch(/Error/);
});

test("events arrive one by one, and the route hears when nobody listens any more", async () => {
  const gone = said(/^gone$/m);
  const first = await new Promise<string>((resolve) => {
    const asked = request(
      { host: "127.0.0.1", port, path: "/api/v1/events", headers: { "accept-encoding": "gzip" } },
      (answer) => {
        answer.once("data", (part) => {
          resolve(String(part));
          asked.destroy();
        });
      },
    );
    asked.on("error", () => undefined);
    asked.end();
  });
  expect(first).toBe("data: 1\n\n");
  await gone;
});

test("who went away before there was an answer holds nothing up", async () => {
  const gone = said(/^late and gone$/m);
  const asked = request({ host: "127.0.0.1", port, path: "/api/v1/late" });
  asked.on("error", () => undefined);
  asked.end();
  setTimeout(() => asked.destroy(), 50);
  await gone;
});

test("an answer that fails on the way breaks off and tells nothing of why", async () => {
  const { broken, text } = await ask("GET", "/api/v1/broken");
  expect(broken).toBe(true);
  expect(text).not.toContain("secret");
});

test("whoever asks whether the server is well waits for none of those who asked before him", async () => {
  const line = connect(port, "127.0.0.1");
  line.setEncoding("utf8");
  const asking = (path: string) => `GET ${path} HTTP/1.1\r\nhost: here\r\n\r\n`;
  // Asked in one breath, so that all of it is there before any is begun.
  line.write(asking("/api/v1/counted").repeat(40) + asking("/api/health"));
  const text = await new Promise<string>((resolve) => {
    let all = "";
    line.on("data", (part: string) => {
      all += part;
      if (all.includes("after")) resolve(all);
    });
  });
  line.destroy();
  expect(text.match(/ 204 /g)).toHaveLength(40);
  expect(text).toContain('{"after":0}');
});
