import { describe, expect, it } from "vitest";
import { placeOf } from "./place";

const JOB = "019c6ade-eb00-7241-85af-9da521a8da87";

describe("an address of ours", () => {
  it.each([
    ["/", "home"],
    ["/kept", "home"],
    ["/practice", "practice"],
    ["/practice/wiring/", "practice-wiring"],
    ["/stock", "stock"],
    ["/truck", "truck"],
    ["/start", "start"],
    ["/jobs", "nowhere"],
    [`/jobs/${JOB}/nothing`, "nowhere"],
    ["/jobs/1/probe", "nowhere"],
  ])("%s leads %s", (path, at) => {
    expect(placeOf(path).at).toBe(at);
  });

  it("of a job leads to its stage", () => {
    expect(placeOf(`/jobs/${JOB.toUpperCase()}/land`)).toEqual({ at: "job", job: JOB, stage: "land" });
  });
});
