import { NextResponse } from "next/server";
import { describe, expect, it } from "vitest";
import { answer, MOST_BODY_BYTES, problem, readJson } from "./http";
import { openApi } from "./openApi";
import { allowed } from "./rateLimit";

const post = (body: BodyInit, type = "application/json") =>
  new Request("http://127.0.0.1/x", { method: "POST", body, headers: { "content-type": type } });

async function refusal(request: Request): Promise<number | null> {
  const read = await readJson(request);
  return read.ok ? null : read.answer.status;
}

describe("reading a body", () => {
  it("gives the JSON of a good one", async () => {
    expect(await readJson(post('{"a":1}'))).toEqual({ ok: true, json: { a: 1 } });
  });

  it("refuses another type, broken JSON, and more than the limit", async () => {
    expect(await refusal(post("{}", "text/plain"))).toBe(415);
    expect(await refusal(post("{"))).toBe(400);
    expect(await refusal(post(" ".repeat(MOST_BODY_BYTES + 1)))).toBe(413);
    expect(await refusal(post(`{"a":"${"x".repeat(MOST_BODY_BYTES - 10)}"}`))).toBeNull();
  });
});

describe("answering", () => {
  const request = () => new Request("http://127.0.0.1/x", { headers: { "x-odd-lead-remote": `${Math.PI}` } });

  it("stamps a request id and forbids storing", async () => {
    const response = await answer(request(), async () => NextResponse.json({}));
    expect(response.headers.get("x-request-id")).toMatch(/^[0-9a-f-]{36}$/);
    expect(response.headers.get("cache-control")).toBe("no-store");
  });

  it("tells nothing of its insides when it fails", async () => {
    process.env.LOG_LEVEL = "silent";
    const response = await answer(request(), async () => {
      throw new Error("connect ECONNREFUSED postgresql://secret");
    });
    expect(response.status).toBe(503);
    expect(await response.text()).not.toContain("secret");
  });

  it("names faults in problem details", async () => {
    const faults = [{ code: "x", path: ["readings", 0], says: "wrong" }];
    const body = await problem(422, "No.", { faults }).json();
    expect(body).toEqual({ type: "about:blank", title: "No.", status: 422, faults });
  });
});

describe("the rate limit", () => {
  it("lets a burst through, then holds back, then lets more through with time", () => {
    let now = 1_000_000;
    let through = 0;
    while (allowed("somebody", now)) through += 1;
    expect(through).toBeGreaterThan(100);
    expect(allowed("somebody", now)).toBe(false);
    expect(allowed("somebody else", now)).toBe(true);
    now += 1000;
    expect(allowed("somebody", now)).toBe(true);
  });
});

describe("the OpenAPI document", () => {
  it("refers only to schemas it holds", () => {
    const document = openApi();
    const text = JSON.stringify(document);
    for (const [, name] of text.matchAll(/#\/components\/schemas\/(\w+)/g)) {
      expect(Object.keys(document.components.schemas)).toContain(name);
    }
  });
});
