import { microfaradsUnderLoad } from "../capacitor/capacitorTest";
import { leadNames } from "../motor/lead";
import { comparableMegohms } from "../ohms/insulation";
import { ohmsAtTemperature } from "../ohms/windingTemperature";
import { type CapacitorLabel, parseCapacitor } from "../quantity/capacitance";
import { type DayOf, utcDay } from "../quantity/day";
import { motorOhms } from "./comparison";
import type { Job } from "./job";
import type { CapacitorTest } from "./nouns/capacitorTest";

/** A visit of a unit: a job, with what its facts come to. */
export interface Visit {
  readonly id: string;
  readonly job: Job;
}

/** A figure of one visit. */
export interface HistoryPoint {
  readonly on: string;
  readonly visit: string;
  readonly value: number;
  /** Its temperature was not told: the figure is as read. */
  readonly asRead: boolean;
}

/** One figure over the visits, with the lines that alarm. */
export interface HistorySeries {
  /** What it is of: "RD to BK", "FAN", "Cooling, BK". */
  readonly of: string;
  readonly points: readonly HistoryPoint[];
  /** Values outside of these alarm; null where one side does not. */
  readonly low: number | null;
  readonly high: number | null;
  /** What the last step alarms with, in words; "" where it does not. */
  readonly alarm: string;
}

/** What is followed over the years, by what is charted together. */
export interface UnitHistory {
  /** Ohms at 20 °C by pair of leads. */
  readonly ohms: readonly HistorySeries[];
  /** Megohms at 40 °C; in the well as read. */
  readonly insulation: readonly HistorySeries[];
  /** µF in per cent of the label. */
  readonly capacitors: readonly HistorySeries[];
  /** Amps by call and lead. */
  readonly amps: readonly HistorySeries[];
}

/** Ohms are compared at this temperature. */
export const HISTORY_C = 20;
/** Trade practice without a standard behind it: more than this off the first is looked into. */
const OHMS_ALARM = 0.05;
const MICROFARADS_ALARM_PERCENT = 5;
const HALVED = 0.5;
/** Charts show at most so many pairs; those read most often come first. */
const MOST_PAIRS = 6;

/**
 * What a unit's visits tell over time, the earliest first; visits of the same motor position.
 * @param dayOf the day of a moment where the figures are read.
 */
export function unitHistory(visits: readonly Visit[], dayOf: DayOf = utcDay): UnitHistory {
  const seriesOf = (figuresOf: FiguresOf) => pointsByName(visits, figuresOf, dayOf);
  return {
    ohms: mostRead(seriesOf(ohmsOf), ohmsAlarm),
    insulation: everyRead(seriesOf(insulationOf), insulationAlarm),
    capacitors: everyRead(seriesOf(capacitorsOf), capacitorAlarm),
    amps: everyRead(seriesOf(ampsOf), () => NO_ALARM),
  };
}

type Figure = { readonly of: string } & Omit<HistoryPoint, "visit">;
type FiguresOf = (job: Job, dayOf: DayOf) => Figure[];
type Alarm = Pick<HistorySeries, "low" | "high" | "alarm">;
const NO_ALARM: Alarm = { low: null, high: null, alarm: "" };

function pointsByName(
  visits: readonly Visit[],
  figuresOf: FiguresOf,
  dayOf: DayOf,
): Map<string, HistoryPoint[]> {
  const byName = new Map<string, HistoryPoint[]>();
  for (const { id, job } of visits)
    for (const { of, ...point } of figuresOf(job, dayOf))
      byName.set(of, [...(byName.get(of) ?? []), { ...point, visit: id }]);
  for (const points of byName.values()) points.sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
  return byName;
}

function everyRead(
  byName: ReadonlyMap<string, readonly HistoryPoint[]>,
  alarmOf: (points: readonly HistoryPoint[]) => Alarm,
): HistorySeries[] {
  return [...byName].map(([of, points]) => ({ of, points, ...alarmOf(points) }));
}

function mostRead(
  byName: ReadonlyMap<string, readonly HistoryPoint[]>,
  alarmOf: (points: readonly HistoryPoint[]) => Alarm,
): HistorySeries[] {
  const visitsOf = ({ points }: HistorySeries) => new Set(points.map(({ visit }) => visit)).size;
  return everyRead(byName, alarmOf)
    .sort((a, b) => visitsOf(b) - visitsOf(a) || Number(b.alarm !== "") - Number(a.alarm !== ""))
    .slice(0, MOST_PAIRS);
}

function ohmsOf(job: Job, dayOf: DayOf): Figure[] {
  // When a visit was: the day its last fact was made.
  const on = job.lastAt === null ? "" : dayOf(job.lastAt);
  const names = leadNames(job.leads);
  const short = (id: string) => names.get(id)?.short ?? id;
  const { windingC, conductor } = job.conditions;
  return motorOhms(job).flatMap(({ between, ohms }) =>
    ohms === null || ohms <= 0
      ? []
      : [
          {
            of: between.map(short).sort().join(" to "),
            on,
            value: windingC === undefined ? ohms : ohmsAtTemperature(ohms, windingC, HISTORY_C, conductor),
            asRead: windingC === undefined,
          },
        ],
  );
}

function insulationOf(job: Job): Figure[] {
  return job.insulation.map((test) => ({
    of: test.inWell ? "in the well, as read" : "to the shell",
    on: test.on,
    value: comparableMegohms(test),
    asRead: !test.inWell && test.windingC === undefined,
  }));
}

function capacitorsOf(job: Job, dayOf: DayOf): Figure[] {
  return job.capacitorTests.flatMap(({ label, half, by, at }) => {
    const read = parseCapacitor(label);
    if (!read.ok) return [];
    const rated = ratedOf(read.label, half);
    if (rated === null) return [];
    const measured = by.way === "meter" ? by.microfarads : microfaradsUnderLoad(by).microfarads;
    return [
      {
        of: half === "single" ? "capacitor" : half.toUpperCase(),
        on: dayOf(at),
        value: (100 * measured) / rated,
        asRead: false,
      },
    ];
  });
}

/** What the label says of the side that was measured; null of a start capacitor's band. */
function ratedOf(label: CapacitorLabel, half: CapacitorTest["half"]): number | null {
  if (label.kind === "single") return label.microfarads;
  if (label.kind === "start") return null;
  return half === "fan" ? label.fanMicrofarads : label.hermMicrofarads;
}

function ampsOf(job: Job, dayOf: DayOf): Figure[] {
  const names = leadNames(job.leads);
  const calls = new Map(job.compartment?.calls.map(({ id, name }) => [id, name]) ?? []);
  const last = new Map<string, Figure>();
  for (const { seen, at } of job.proof.seen) {
    if (seen.what !== "line-amps") continue;
    const of = `${calls.get(seen.call) ?? seen.call}, ${names.get(seen.lead)?.short ?? seen.lead}`;
    last.set(of, { of, on: dayOf(at), value: seen.amps, asRead: false });
  }
  return [...last.values()];
}

/** Ohms off the first by more than a part in twenty: a winding that changes, or another motor. */
function ohmsAlarm(points: readonly HistoryPoint[]): Alarm {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) return NO_ALARM;
  const [low, high] = [first.value * (1 - OHMS_ALARM), first.value * (1 + OHMS_ALARM)];
  const off = last.value / first.value - 1;
  const outside = last.value < low || last.value > high;
  return {
    low,
    high,
    alarm: outside
      ? `${percent(Math.abs(off))} ${off < 0 ? "under" : "over"} its first reading: the winding changed, or it is another motor.`
      : "",
  };
}

/** Half of what it was the time before. */
function insulationAlarm(points: readonly HistoryPoint[]): Alarm {
  const [before, last] = points.slice(-2);
  if (!before || !last) return NO_ALARM;
  const low = before.value * HALVED;
  return { low, high: null, alarm: last.value <= low ? "Halved or less since the test before." : "" };
}

/** Five points of the label less than the time before, or outside of its ten per cent. */
function capacitorAlarm(points: readonly HistoryPoint[]): Alarm {
  const [before, last] = points.length > 1 ? points.slice(-2) : [undefined, points[0]];
  if (!last) return NO_ALARM;
  const low = before ? before.value - MICROFARADS_ALARM_PERCENT : null;
  const fallen = low !== null && last.value <= low;
  return {
    low,
    high: null,
    alarm:
      fallen && before
        ? `${(before.value - last.value).toFixed(0)} % of its label lost since the visit before.`
        : "",
  };
}

function percent(share: number): string {
  return `${(100 * share).toFixed(share < 0.1 ? 1 : 0)} %`;
}
