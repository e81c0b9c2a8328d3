import { describe, expect, it } from "vitest";
import { askedAt, type Catching, caught, type MeterEvent } from "./handsFree";

const METER = { resolutionOhms: 0.1, probeOhms: 0.2 };

/** A stream of five readings a second from "OL 400", "12.4 800", or "sign"; what is caught, and after how many ms. */
function stream(...parts: string[]) {
  let state: Catching = askedAt(0);
  let at = 0;
  const taken: { value: string; atMs: number }[] = [];
  const feed = (event: MeterEvent) => {
    const { now, value } = caught(state, event, METER);
    state = now;
    if (!value) return;
    taken.push({ value: "open" in value ? "OL" : value.ohms.toFixed(1), atMs: at });
    state = askedAt(at);
  };
  for (const part of parts) {
    const [shown = "", ms = "0"] = part.split(" ");
    if (shown === "sign") {
      feed({ kind: "sign", atMs: at });
      continue;
    }
    for (let left = Number(ms); left > 0; left -= 200) {
      at += 200;
      feed({ kind: "shown", shown: shown === "OL" ? { open: true } : { ohms: Number(shown) }, atMs: at });
    }
  }
  return taken.map(({ value }) => value);
}

describe("hands free", () => {
  it("takes a value once it stands, after the probes were lifted, and once only", () => {
    expect(stream("12.4 1600")).toEqual([]);
    expect(stream("OL 800", "12.4 1000")).toEqual(["12.4"]);
    expect(stream("OL 800", "12.4 4000")).toEqual(["12.4"]);
    expect(stream("OL 800", "12.4 1000", "OL 800", "7.1 1000")).toEqual(["12.4", "7.1"]);
  });

  it("waits while the display comes to rest", () => {
    expect(stream("OL 800", "14.0 200", "13.1 200", "12.6 200")).toEqual([]);
    expect(stream("OL 800", "14.0 200", "13.1 200", "12.4 800")).toEqual(["12.4"]);
  });

  it("a probe that slips for a moment is no lift: the old pair is not read for the new one", () => {
    expect(stream("12.4 400", "OL 200", "12.4 2000")).toEqual([]);
  });

  it("open alone says nothing, however long: the probes may be in the air", () => {
    expect(stream("OL 30000")).toEqual([]);
  });

  it("open is taken two seconds after a key", () => {
    expect(stream("OL 800", "sign", "OL 1600")).toEqual([]);
    expect(stream("OL 800", "sign", "OL 2400")).toEqual(["OL"]);
  });

  it("or after the tips were touched together for a moment", () => {
    expect(stream("OL 3000", "0.2 600", "OL 1600")).toEqual([]);
    expect(stream("OL 3000", "0.2 600", "OL 2600")).toEqual(["OL"]);
  });

  it("a winding read takes the sign back", () => {
    expect(stream("OL 800", "sign", "OL 600", "12.4 1000", "OL 4000")).toEqual(["12.4"]);
    expect(stream("OL 800", "sign", "OL 600", "12.4 200", "OL 4000")).toEqual([]);
  });

  it("leads that are one conductor are held longer than a touch of the tips", () => {
    expect(stream("OL 800", "0.2 2000")).toEqual(["0.2"]);
    // Neither a touch of the tips nor held long enough: nothing is taken.
    expect(stream("OL 800", "0.2 1200", "OL 3000")).toEqual([]);
  });
});
