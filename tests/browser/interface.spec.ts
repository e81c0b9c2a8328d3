import { expect, test } from "@playwright/test";

const sheet = {
  format: "odd-lead/reading-sheet@1",
  leads: [{ id: "a", colour: "white" }, { id: "b" }, { id: "c" }],
  readings: [
    { between: ["a", "b"], ohms: 8.2 },
    { between: ["b", "c"], ohms: 13.9 },
    { between: ["a", "c"], ohms: 22 },
  ],
  frame: [{ lead: "a", open: true }],
};

test("POST /api/v1/identify answers as the function does", async ({ request }) => {
  const response = await request.post("/api/v1/identify", { data: sheet });
  expect(response.status()).toBe(200);
  const body = await response.json();
  expect(body).toMatchObject({
    format: "odd-lead/identification@1",
    status: "settled",
    family: "two-winding",
    roles: { a: { role: "run-end" }, b: { role: "speed", rank: 1 }, c: { role: "start-end" } },
  });
});

test("a sheet that does not hold together is refused with every fault by its path", async ({ request }) => {
  const bad = {
    ...sheet,
    readings: [
      { between: ["a", "z"], ohms: 1 },
      { between: ["b", "b"], ohms: -4 },
    ],
  };
  const response = await request.post("/api/v1/identify", { data: bad });
  expect(response.status()).toBe(422);
  expect(response.headers()["content-type"]).toContain("application/problem+json");
  const body = await response.json();
  const paths = body.faults.map((fault: { path: unknown[] }) => fault.path.join("."));
  expect(paths).toContain("readings.1.ohms");
});

for (const [what, options, status] of [
  [
    "what is not JSON",
    { data: Buffer.from("{ not json"), headers: { "content-type": "application/json" } },
    400,
  ],
  ["another content type", { data: "a=1", headers: { "content-type": "text/plain" } }, 415],
  [
    "a body over the limit",
    { data: JSON.stringify({ x: "y".repeat(600_000) }), headers: { "content-type": "application/json" } },
    413,
  ],
] as const) {
  test(`${what} is refused with ${status}`, async ({ request }) => {
    const response = await request.post("/api/v1/identify", options);
    expect(response.status()).toBe(status);
    expect((await response.json()).title).toBeTruthy();
  });
}

test("facts that do not hold together are refused whole", async ({ request }) => {
  const job = "019a0000-0000-7000-8000-00000000abcd";
  const good = {
    id: "019a0000-0000-7000-8000-000000000001",
    at: "2026-05-05T05:05:05.000Z",
    by: "",
    body: { kind: "title", title: "x" },
  };
  const response = await request.post(`/api/v1/jobs/${job}/facts`, {
    data: { facts: [good, { ...good, id: "no" }] },
  });
  expect(response.status()).toBe(422);
  expect((await response.json()).faults[0].path.join(".")).toBe("facts.1.id");
  expect((await (await request.get(`/api/v1/jobs/${job}/facts`)).json()).facts).toEqual([]);
  expect((await request.get("/api/v1/jobs/not-a-job/facts")).status()).toBe(404);
});

test("the OpenAPI document describes it, and health tells version and database", async ({ request }) => {
  const api = await (await request.get("/api/v1/openapi.json")).json();
  expect(api.openapi).toBe("3.1.0");
  expect(Object.keys(api.paths)).toContain("/api/v1/identify");
  expect(api.components.schemas.ReadingSheet.properties.leads.maxItems).toBe(12);
  const health = await (await request.get("/api/health")).json();
  expect(health).toMatchObject({ status: "ok", database: "ok" });
  expect(health.version).toMatch(/^\d+\.\d+\.\d+$/);
});

test("whatever figure of the theme a style asks for, the theme has it", async ({ page }) => {
  await page.goto("/", { waitUntil: "networkidle" });
  const job =
    (await page
      .getByRole("link", { name: /condenser fan/i })
      .first()
      .getAttribute("href")) ?? "";
  const pages = ["/", "/stock", "/truck", "/practice", "/words", "/files"];
  for (const stage of ["safe", "plate", "match", "probe", "cap", "land", "prove", "record"])
    pages.push(job.replace(/\w+$/, stage));
  for (const path of pages) {
    await page.goto(path, { waitUntil: "networkidle" });
    const missing = await page.evaluate(() => {
      const root = getComputedStyle(document.documentElement);
      const asked = [...document.styleSheets].flatMap(({ cssRules }) =>
        [...cssRules].flatMap(({ cssText }) =>
          [...cssText.matchAll(/var\((--mui-[\w-]+)\)/g)].map(([, name]) => name),
        ),
      );
      return [...new Set(asked)].filter((name) => name && root.getPropertyValue(name) === "");
    });
    expect(missing, path).toEqual([]);
  }
});
