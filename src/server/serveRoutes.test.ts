import { beforeAll, describe, expect, it } from "vitest";
import * as z from "zod/mini";
import { openApi } from "@/contract";
import { MOST_BODY_BYTES } from "./body";
import { Problem } from "./problem";
import { served, serveRoutes } from "./serveRoutes";

beforeAll(() => {
  process.env.LOG_LEVEL = "silent";
});

const weather = {
  id: "weather",
  method: "POST",
  path: "/api/v1/places/{place}/weather",
  summary: "Tell the weather",
  params: z.object({ place: z.uuid() }),
  absent: "There is no such place.",
  query: z.object({ after: z._default(z.coerce.number().check(z.int(), z.gte(0)), 0) }),
  body: z.object({ says: z.string().check(z.maxLength(10)) }),
  refused: "That is no weather.",
  answer: z.object({ kept: z.string() }),
  status: 201,
} as const;

const PLACE = "019c6adf-2698-7f89-84a8-17c898cd6c18";
let visitor = 0;

/** A request as Next hands it over, each from an address of its own. */
async function ask(
  { method = "POST", body = '{"says":"rain"}', type = "application/json", place = PLACE, query = "" } = {},
  handle: () => { kept: string } | Problem = () => ({ kept: "it" }),
) {
  visitor += 1;
  const handlers = serveRoutes(served(weather, handle));
  const request = new Request(`http://127.0.0.1/x${query}`, {
    method,
    headers: { "content-type": type, "x-odd-lead-remote": `visitor ${visitor}` },
    ...(method === "GET" || method === "HEAD" ? {} : { body }),
  });
  const response = await handlers[method as "POST"](request, { params: Promise.resolve({ place }) });
  const text = await response.text();
  return { status: response.status, headers: response.headers, json: text === "" ? null : JSON.parse(text) };
}

describe("a route's handler", () => {
  it("answers as asked, with a request id, and nothing kept on the way", async () => {
    const { status, headers, json } = await ask();
    expect([status, json]).toEqual([201, { kept: "it" }]);
    expect(headers.get("x-request-id")).toMatch(/^[0-9a-f-]{36}$/);
    expect(headers.get("cache-control")).toBe("no-store");
  });

  it.each([
    ["another type", { type: "text/plain" }, 415],
    ["broken JSON", { body: "{" }, 400],
    ["more than the limit", { body: `{"says":"${"x".repeat(MOST_BODY_BYTES)}"}` }, 413],
    ["a body that does not hold together", { body: '{"says":7}' }, 422],
    ["a NUL", { body: '{"says":"a\\u0000b"}' }, 422],
    ["half a character", { body: '{"says":"\\ud83d"}' }, 422],
    ["half a character in a key", { body: '{"\\ud83d":1,"says":"x"}' }, 422],
    ["an address that is none", { place: "7" }, 404],
    ["a question that is none", { query: "?after=-1" }, 422],
    ["a NUL in the question", { query: "?after=1&x=%00" }, 422],
    ["a method it has not", { method: "PATCH" }, 405],
    ["nesting in a text", { body: JSON.stringify({ says: "[{".repeat(200) }) }, 422],
    ["deep nesting", { body: `${"[".repeat(60_000)}${"]".repeat(60_000)}` }, 422],
  ])("%s is the caller's, in problem details", async (_, what, expected) => {
    const { status, headers, json } = await ask(what);
    expect(status).toBe(expected);
    expect(headers.get("content-type")).toBe("application/problem+json");
    expect(json).toMatchObject({ type: "about:blank", status: expected });
  });

  it("takes brackets in a text for what they are, escapes or not", async () => {
    for (const says of ["[".repeat(10), '"[[[[[', '\\"[[[', "{\\"])
      expect((await ask({ body: JSON.stringify({ says }) })).status).toBe(201);
    const nested = JSON.stringify({ says: "x", more: `"${"[".repeat(500)}` });
    expect((await ask({ body: nested })).status).toBe(201);
    const deep = (levels: number) => `{"says":"x","more":${"[".repeat(levels)}${"]".repeat(levels)}}`;
    expect((await ask({ body: deep(60) })).status).toBe(201);
    expect((await ask({ body: deep(101) })).status).toBe(422);
  });

  it("names every fault by its path", async () => {
    const { json } = await ask({ body: '{"says":"much too long a word"}' });
    expect(json).toMatchObject({ title: "That is no weather.", faults: [{ path: ["says"] }] });
    expect((await ask({ body: '{"says":"\\u0000"}' })).json.faults[0].path).toEqual(["says"]);
    const inside = '{"says":{"who":["x",{"a":"\\ud800"}]}}';
    expect((await ask({ body: inside })).json.faults[0].path).toEqual(["says", "who", 1, "a"]);
  });

  it("tells the database's absence from a fault of ours, and nothing of its insides", async () => {
    const away = Object.assign(new Error("connect ECONNREFUSED postgresql://secret"), {
      code: "ECONNREFUSED",
    });
    const wrapped = new Error("Failed query", { cause: Object.assign(new Error("x"), { code: "57P03" }) });
    for (const error of [away, wrapped]) {
      const { status, headers, json } = await ask({}, () => {
        throw error;
      });
      expect(status).toBe(503);
      expect(headers.get("retry-after")).toBe("2");
      expect(JSON.stringify(json)).not.toContain("secret");
    }
    const ours = await ask({}, () => {
      throw new TypeError("cannot read properties of secret");
    });
    expect(ours.status).toBe(500);
    expect(ours.json.requestId).toBe(ours.headers.get("x-request-id"));
    expect(JSON.stringify(ours.json)).not.toContain("secret");
  });

  it("passes a stream on piece by piece, sees it break, and ends it with who reads it", async () => {
    let ended = "";
    const pieces = (breaks: boolean) =>
      new ReadableStream<Uint8Array>(
        {
          pull: (controller) => {
            if (breaks) throw new Error("a secret of the database");
            controller.enqueue(new TextEncoder().encode("piece"));
          },
          cancel: (reason) => {
            ended = String(reason);
          },
        },
        { highWaterMark: 0 },
      );
    const download = { ...weather, method: "GET", answer: { media: "text/csv" }, body: undefined } as const;
    const stream = async (breaks: boolean) => {
      visitor += 1;
      const { GET } = serveRoutes(served(download, () => new Response(pieces(breaks))));
      const headers = { "x-odd-lead-remote": `visitor ${visitor}` };
      const asked = new Request("http://127.0.0.1/x", { headers });
      return (await GET(asked, { params: Promise.resolve({ place: PLACE }) })).body?.getReader();
    };
    const whole = await stream(false);
    expect(new TextDecoder().decode((await whole?.read())?.value)).toBe("piece");
    await whole?.cancel("gone");
    expect(ended).toBe("gone");
    await expect((await stream(true))?.read()).rejects.toMatchObject({
      name: "BrokenOff",
      message: "an answer broke off",
    });
  });

  it("hands a handler's own refusal on", async () => {
    const { status, json } = await ask({}, () => new Problem(409, "Full."));
    expect([status, json.title]).toEqual([409, "Full."]);
  });
});

describe("the rate limit", () => {
  it("refuses who asks too much, says when to come back, and leaves others alone", async () => {
    const asked = (remote: string) =>
      serveRoutes(served(weather, () => ({ kept: "it" }))).POST(
        new Request("http://127.0.0.1/x", {
          method: "POST",
          headers: { "content-type": "application/json", "x-odd-lead-remote": remote },
          body: '{"says":"rain"}',
        }),
        { params: Promise.resolve({ place: PLACE }) },
      );
    const answers = await Promise.all(Array.from({ length: 400 }, () => asked("greedy")));
    const refused = answers.filter(({ status }) => status === 429);
    expect(refused.length).toBeGreaterThan(50);
    expect(answers.length - refused.length).toBeGreaterThan(100);
    expect(Number(refused[0]?.headers.get("retry-after"))).toBeGreaterThanOrEqual(1);
    expect((await asked("modest")).status).toBe(201);
  });
});

describe("the OpenAPI document", () => {
  const document = openApi();

  it("refers only to schemas it holds", () => {
    const text = JSON.stringify(document);
    for (const [, name] of text.matchAll(/#\/components\/schemas\/(\w+)/g))
      expect(Object.keys(document.components.schemas)).toContain(name);
  });

  it("names each operation once, and every part of an address", () => {
    const operations = Object.entries(document.paths).flatMap(([path, methods]) =>
      Object.values(methods).map((one) => ({
        path,
        ...(one as { operationId: string; parameters?: { name: string }[] }),
      })),
    );
    expect(new Set(operations.map(({ operationId }) => operationId)).size).toBe(operations.length);
    for (const { path, parameters = [] } of operations)
      for (const [, name] of path.matchAll(/\{(\w+)\}/g))
        expect(parameters.map((one) => one.name)).toContain(name);
  });
});
