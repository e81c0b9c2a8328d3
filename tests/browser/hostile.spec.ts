import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { expect, test } from "@playwright/test";
import { seededRandom } from "../../src/core/bench";
import { hostileRequest, raw, saysTooMuch } from "../hostileRequests";

const JOB = "/api/v1/jobs/019c6ade-eb00-7241-85af-9da521a8da87/facts";

test("what is no address, no method or no text is the caller's, in problem details", async ({ baseURL }) => {
  for (const [method, path, body, status] of [
    ["GET", "/api/v1/jobs/%E0%A4%A/facts", undefined, 400],
    ["GET", "/%", undefined, 400],
    ["GET", "/jobs/%00/probe", undefined, 400],
    ["GET", `${JOB}?after=%ff`, undefined, 400],
    ["TRACE", "/", undefined, 405],
    ["TRACE", JOB, undefined, 405],
    ["PATCH", JOB, "{}", 405],
    ["DELETE", "/api/v1/identify", undefined, 405],
    ["GET", "/api/v1/nothing", undefined, 404],
    ["GET", "/api", undefined, 404],
    ["POST", "/api/nothing/at/all", "{}", 404],
    ["POST", JOB, '{"facts":[{"id":"\\u0000"}]}', 422],
    ["POST", JOB, '{"facts":[{"by":"\\ud83d"}]}', 422],
    ["POST", JOB, '{"facts":null}', 422],
    ["POST", JOB, "[]", 422],
    ["GET", "/api/v1/practice?person=%F0%9F", undefined, 400],
    ["GET", "/api/v1/stock?search=a%00b", undefined, 400],
    ["GET", `/api/v1/jobs?before=9999-99-99T99:99:99.999Z_${JOB.slice(13, 49)}`, undefined, 422],
    [
      "GET",
      "/api/v1/jobs?before=2026-11-28T12:00:00.000Z_------------------------------------",
      undefined,
      422,
    ],
    ["GET", `/api/v1/jobs?before=0000-01-01T00:00:00.000Z_${JOB.slice(13, 49)}`, undefined, 422],
    ["GET", "/api/v1/units/nothing", undefined, 404],
  ] as const) {
    const answer = await raw(baseURL, method, path, body);
    expect([method, path, answer.status]).toEqual([method, path, status]);
    expect(answer.type).toContain("application/problem+json");
  }
});

test("only our own page is answered: no other name, origin or site", async ({ baseURL }) => {
  const own = new URL(baseURL ?? "").host;
  for (const [headers, status] of [
    [{ host: "rebound.example" }, 421],
    [{ host: `rebound.example:${own.split(":")[1]}` }, 421],
    [{ host: "127.0.0.1.rebound.example" }, 421],
    [{ host: "@:1" }, 421],
    [{ host: `localhost:${own.split(":")[1]}` }, 200],
    [{ origin: "http://elsewhere.example" }, 403],
    [{ origin: "http://127.0.0.1:1" }, 403],
    [{ origin: "null" }, 403],
    [{ origin: `http://${own}` }, 200],
    [{ "sec-fetch-site": "cross-site" }, 403],
    [{ "sec-fetch-site": "same-origin" }, 200],
  ] as const) {
    for (const path of ["/api/health", "/stock"]) {
      const answer = await raw(baseURL, "GET", path, undefined, headers);
      expect([path, headers, answer.status]).toEqual([path, headers, status]);
    }
  }
});

test("a page of another port here can neither read nor write", async ({ page, baseURL }) => {
  const job = `${baseURL}${JOB}`;
  const stranger = createServer((_, response) => {
    response.setHeader("content-type", "text/html");
    response.end("<!doctype html><title>Elsewhere</title>");
  });
  await new Promise<void>((resolve) => stranger.listen(0, "127.0.0.1", resolve));
  const { port } = stranger.address() as AddressInfo;
  await page.goto(`http://127.0.0.1:${port}/`);
  const tried = await page.evaluate(async (url) => {
    const outcome = (asked: Promise<Response>) =>
      asked.then(
        (answer) => `${answer.type} ${answer.status}`,
        () => "refused",
      );
    return [
      await outcome(fetch(url)),
      await outcome(fetch(url, { mode: "no-cors" })),
      await outcome(fetch(url, { method: "POST", mode: "no-cors", body: "{}" })),
    ];
  }, job);
  expect(tried.filter((outcome) => /200/.test(outcome))).toEqual([]);
  stranger.close();
});

test("every answer says that it is of no use elsewhere", async ({ request }) => {
  for (const path of ["/", "/api/health", "/api/nothing", "/nowhere"]) {
    const headers = (await request.get(path)).headers();
    expect(headers["x-content-type-options"]).toBe("nosniff");
    expect(headers["cross-origin-resource-policy"]).toBe("same-origin");
    expect(headers["cross-origin-opener-policy"]).toBe("same-origin");
  }
});

test("the limit counts the address that asks, whatever is sent under its name", async ({ baseURL }) => {
  const pretending = (i: number) =>
    raw(baseURL, "GET", "/api/health", undefined, { "x-odd-lead-remote": `somebody ${i}` }, "127.0.3.7");
  const statuses = new Set<number>();
  for (let i = 0; i < 20 && !statuses.has(429); i++) {
    const answers = await Promise.all(Array.from({ length: 40 }, (_, k) => pretending(40 * i + k)));
    for (const { status } of answers) statuses.add(status);
  }
  expect([...statuses].sort()).toEqual([200, 429]);
  expect((await raw(baseURL, "GET", "/api/health", undefined, {}, "127.0.3.8")).status).toBe(200);
});

test("of some hundred hostile requests none ends in a fault of ours", async ({ baseURL }) => {
  test.setTimeout(240_000);
  const random = seededRandom(20_261_128);
  const faults: string[] = [];
  for (let i = 0; i < 400; i++) {
    const asked = hostileRequest(random);
    const { status, text } = await raw(baseURL, asked.method, asked.path, asked.body, asked.headers);
    if (status >= 500 || saysTooMuch(text))
      faults.push(
        `${asked.method} ${asked.path} ${String(asked.body).slice(0, 200)}: ${status} ${text.slice(0, 200)}`,
      );
    // The rate limit would answer for the rest.
    if (status === 429) await new Promise((resolve) => setTimeout(resolve, 2000));
  }
  expect(faults).toEqual([]);
});

test("who asks for much to be worked out holds up nobody else", async ({ baseURL }) => {
  test.setTimeout(240_000);
  const leads = Array.from({ length: 12 }, (_, i) => ({ id: `l${i}` }));
  const random = seededRandom(5);
  const readings = leads.flatMap(({ id: a }, i) =>
    leads
      .slice(i + 1)
      .filter(() => random() < 0.6)
      .map(({ id: b }) => ({
        between: [a, b],
        ...(random() < 0.5 ? { open: true } : { ohms: 1 + Math.round(40 * random()) }),
      })),
  );
  const sheet = JSON.stringify({ format: "odd-lead/reading-sheet@1", leads, readings });
  let answered = 0;
  const heavy = Array.from({ length: 16 }, () =>
    raw(baseURL, "POST", "/api/v1/identify", sheet).then(({ status }) => {
      answered += 1;
      return status;
    }),
  );
  for (let i = 0; i < 5; i++) expect((await raw(baseURL, "GET", "/api/health")).status).toBe(200);
  expect(answered).toBeLessThan(16);
  expect(new Set(await Promise.all(heavy))).toEqual(new Set([200]));
});
