import { connect } from "node:net";
import { afterEach, describe, expect, it } from "vitest";
import { shownOf } from "@/core/bench";
import { attachAt, attachedMeter, detach, openBench } from "./attachedMeters";
import { privateHost } from "./privateHost";
import { scpiClient } from "./scpiClient";

const open: string[] = [];
afterEach(() => {
  for (const id of open.splice(0)) detach(id);
});

async function bench(leads = ["a", "b", "c", "d"], seed = 7, client = "10.0.0.1") {
  const meter = await openBench(client, leads, seed);
  open.push(meter.id);
  return meter;
}

/** What the meter comes to rest on between two leads. */
async function rested(meter: Awaited<ReturnType<typeof bench>>, a: string, b: string) {
  meter.scpi.command(`ROUT:TOUC "${a}","${b}"`);
  await new Promise((resolve) => setTimeout(resolve, 1500));
  return shownOf(await meter.scpi.query("READ?"));
}

describe("the stand-in meter over TCP", () => {
  it("answers in order, many questions at once", async () => {
    const { scpi } = await bench();
    const answers = await Promise.all(["*IDN?", "READ?", "SYST:ERR?", "READ?"].map(scpi.query));
    expect(answers[0]).toContain("VIRTUAL OHMMETER");
    expect(answers[2]).toBe('0,"No error"');
    expect(answers.every((answer) => answer !== "")).toBe(true);
  });

  it("reads the same motor for the same leads and seed", async () => {
    const [one, other] = [await bench(), await bench()];
    const [first, second] = await Promise.all([rested(one, "a", "b"), rested(other, "a", "b")]);
    if (first && second && "ohms" in first && "ohms" in second)
      expect(Math.abs(first.ohms - second.ohms)).toBeLessThan(0.05 * first.ohms + 0.5);
    else expect(first).toEqual(second);
  });

  it("drops a caller who sends no line but a flood, and serves the next", async () => {
    const meter = await bench();
    await new Promise<void>((resolve) => {
      const rude = connect(meter.standIn?.port ?? 0, "127.0.0.1", () => rude.write("x".repeat(5000)));
      rude.on("close", () => resolve());
      rude.on("error", () => undefined);
    });
    expect(await meter.scpi.query("*IDN?")).toContain("VIRTUAL");
  });

  it("is gone after it is closed: who asks is told", async () => {
    const meter = await bench();
    detach(meter.id);
    expect(attachedMeter(meter.id)).toBeUndefined();
    await expect(meter.scpi.query("READ?")).rejects.toThrow();
    await expect(scpiClient(meter.standIn?.port ?? 0)).rejects.toThrow();
  });

  it("keeps only so many of one client, whose longest unused makes room, and leaves another’s alone", async () => {
    const other = await bench(["a", "b"], 1, "10.0.0.2");
    const first = await bench();
    const second = await bench();
    attachedMeter(first.id);
    await new Promise((resolve) => setTimeout(resolve, 5));
    attachedMeter(first.id);
    for (let i = 0; i < 5; i++) await bench(["a", "b"], i);
    expect(attachedMeter(second.id)).toBeUndefined();
    expect(attachedMeter(first.id)).toBeDefined();
    for (let i = 0; i < 8; i++) await bench(["a", "b"], i);
    expect(attachedMeter(first.id)).toBeUndefined();
    expect(attachedMeter(other.id)).toBeDefined();
  });

  it("keeps only so many of all", async () => {
    const first = await bench(["a", "b"], 1, "10.0.1.0");
    for (let i = 1; i < 26; i++) await bench(["a", "b"], i, `10.0.1.${i}`);
    expect(attachedMeter(first.id)).toBeUndefined();
  });
});

describe("a meter at its address", () => {
  it("is attached by its name, and read like the stand-in", async () => {
    const standIn = await bench();
    const real = await attachAt("10.0.0.1", { host: "127.0.0.1", port: standIn.standIn?.port ?? 0 }, "ohms");
    open.push(real.id);
    expect(real.identity).toContain("VIRTUAL OHMMETER");
    expect(shownOf(await real.scpi.query("READ?"))).toEqual({ open: true });
  });

  it("is refused where nothing answers, and outside the own network", async () => {
    await expect(attachAt("10.0.0.1", { host: "127.0.0.1", port: 1999 }, "ohms")).rejects.toMatchObject({
      why: "no-answer",
    });
    await expect(attachAt("10.0.0.1", { host: "203.0.113.5", port: 5025 }, "ohms")).rejects.toMatchObject({
      why: "not-private",
    });
  });

  it.each([
    ["192.168.1.40", true],
    ["10.0.0.9", true],
    ["172.31.2.2", true],
    ["169.254.7.7", true],
    ["::1", true],
    ["fe80::1", true],
    ["172.32.0.1", false],
    ["203.0.113.5", false],
    ["2001:db8::1", false],
    ["no-such-host.invalid", false],
  ])("%s: of the own network is %s", async (host, own) => {
    expect((await privateHost(host)) !== null).toBe(own);
  });
});
