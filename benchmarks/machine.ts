import { type Branch, type Machine, operatingPoint, sweep } from "../src/core/machine";

const TIMES = 60;

/** A four-speed blower on its run capacitor: the sweep and the operating point, in milliseconds; as Markdown. */
export function machine(say: (line: string) => void): string {
  const blower = fourSpeedBlower();
  const rows = [
    `| sweep of 200 slips, four-speed blower | ${median(() => sweep(blower)).toFixed(1)} |`,
    `| operating point on a fan from standstill | ${median(() => operatingPoint(blower, { kind: "fan", newtonMetres: 1.2, atRpm: 1075 })).toFixed(1)} |`,
  ];
  for (const row of rows) say(row);
  return ["## The machine", "", "| what | milliseconds, median |", "| --- | --- |", ...rows, ""].join("\n");
}

function fourSpeedBlower(): Machine {
  const winding = (
    id: string,
    from: string,
    to: string,
    ohms: number,
    axisDegrees: number,
    turns: number,
  ): Branch => ({
    kind: "winding",
    id,
    from,
    to,
    ohms,
    leakageOhms: 0.8 * ohms,
    field: 0,
    place: { axisDegrees, turns },
  });
  return {
    hertz: 60,
    fields: [{ poles: 6, magnetisingOhms: 120, rotorOhms: 22, rotorReactanceOhms: 14 }],
    branches: [
      {
        kind: "source",
        id: "line",
        from: "L1",
        to: "L2",
        volts: { re: 230, im: 0 },
        seriesOhms: { re: 0.2, im: 0.1 },
      },
      winding("main", "high", "L2", 18, 0, 1),
      winding("second", "medium", "high", 4, 0, 0.2),
      winding("third", "low", "medium", 4.5, 0, 0.2),
      winding("fourth", "slow", "low", 5, 0, 0.2),
      winding("start", "cap", "slow", 40, -90, 1.3),
      { kind: "capacitor", id: "can", from: "L2", to: "cap", microfarads: 7.5, seriesOhms: 5 },
      { kind: "switch", id: "call", from: "L1", to: "high", closed: true },
    ],
  };
}

function median(run: () => unknown): number {
  const ms = Array.from({ length: TIMES }, () => {
    const start = performance.now();
    run();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return ms[Math.floor(TIMES / 2)] ?? 0;
}
