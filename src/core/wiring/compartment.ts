import * as z from "zod/mini";
import { text } from "../quantity/text";
import { unforeseen } from "../quantity/unforeseen";
import { readPlace } from "./place";

/**
 * Equipment as data: what the motor is landed on. Devices have terminals and parts inside; wires join terminals; calls
 * move contacts; `offers` says which terminal gives a motor what. All of it can be edited, and a job keeps its own copy.
 */

const id = z
  .string()
  .check(z.regex(/^[A-Za-z0-9_./-]{1,40}$/), z.meta({ description: "Of letters, digits and _ . / -" }));
const name = text(60).check(z.minLength(1));

/** A terminal, a joint, or another place that a lead can be on, as it is written in facts. */
export const placeId = z.string().check(z.minLength(1), z.maxLength(60));

/** What a terminal is for; a landing is judged by its circuit, the kind only tells lines, frame and control apart. */
export const TERMINAL_KINDS = [
  "line",
  "neutral",
  "load",
  "call",
  "park",
  "capacitor",
  "control",
  "ground",
  "start",
] as const;

const terminal = z.object({
  id,
  name,
  kind: z.enum(TERMINAL_KINDS),
  /** Wires it takes. */
  places: z.int().check(z.gte(1), z.lte(12)),
  /** A screw holds solid or stranded wire, never both under one head; a blade takes a crimped spade. */
  grip: z.enum(["screw", "blade", "stud"]),
});

const between = { id, from: id, to: id };
/** Who stated a part's figures: its own label, read, or a person. Left out, they are a usual part's, and nobody did. */
const stated = z.optional(z.enum(["label", "told"]));
const part = z.discriminatedUnion("kind", [
  /** Closed while one of `closedOn` calls, or always, unless one of `opensOn` calls, a guard opened it or the dial is elsewhere. */
  z.object({
    kind: z.literal("contact"),
    ...between,
    closedOn: z.union([z.array(id).check(z.maxLength(8)), z.literal("always")]),
    opensOn: z.optional(z.array(id).check(z.maxLength(8))),
    /** What no call moves and what must stop the motor: "the door is open", "the overload has tripped". */
    openedBy: z.optional(name),
    /** Positions of the device's dial or plug in which it can close. */
    closedAt: z.optional(z.array(id).check(z.maxLength(6))),
  }),
  z.object({
    kind: z.literal("capacitor"),
    ...between,
    microfarads: z.number().check(z.positive(), z.lte(2000)),
    volts: z.number().check(z.positive(), z.lte(1000)),
    start: z.optional(z.boolean()),
    stated,
  }),
  /** A potential relay: its contact is closed at rest, its coil's volts pull it open. */
  z.object({
    kind: z.literal("potential-relay"),
    ...between,
    coilFrom: id,
    coilTo: id,
    coilOhms: z.number().check(z.positive(), z.lte(100_000)),
    pickUpVolts: z.number().check(z.positive(), z.lte(1000)),
    dropOutVolts: z.number().check(z.positive(), z.lte(1000)),
    /** Volts its coil stands for good. */
    coilVolts: z.optional(z.number().check(z.positive(), z.lte(1000))),
    stated,
  }),
  /** A compressor: run winding from its joint (`from`) to R (`to`), start winding from the joint to S (`start`). */
  z.object({
    kind: z.literal("compressor"),
    ...between,
    start: id,
    runOhms: z.number().check(z.positive(), z.lte(100)),
    startOhms: z.number().check(z.positive(), z.lte(500)),
  }),
  z.object({ kind: z.literal("resistor"), ...between, ohms: z.number().check(z.positive(), z.lte(1e6)) }),
]);

const device = z.object({
  id,
  name,
  terminals: z.array(terminal).check(z.minLength(1), z.maxLength(16)),
  parts: z.array(part).check(z.maxLength(16)),
  /** A dial or a plug that is set by hand and stays so. */
  dial: z.optional(
    z.object({ positions: z.array(z.object({ id, name })).check(z.minLength(2), z.maxLength(6)), at: id }),
  ),
});

const wire = z.object({
  id,
  from: id,
  to: id,
  /** What else hangs on it, such as the compressor: taking it off leaves that without. */
  serves: z.optional(name),
  /** Solid copper; else stranded. */
  solid: z.optional(z.boolean()),
});

const supply = z.object({
  kind: z.enum(["line-and-neutral", "two-lines", "three-lines"]),
  /** Between the lines, or line and neutral. */
  volts: z.number().check(z.gte(20), z.lte(700)),
  hertz: z.union([z.literal(50), z.literal(60)]),
  terminals: z.array(id).check(z.minLength(2), z.maxLength(4)),
  ground: id,
  /** A transformer for the control side: volts between these two. */
  control: z.optional(z.object({ volts: z.number().check(z.gte(5), z.lte(60)), hot: id, common: id })),
});

const feed = z.object({
  call: id,
  hot: id,
  /** What the call is for, to choose a speed by. */
  want: z.enum(["fastest", "slowest", "middle", "forward", "reverse"]),
});

const offers = z.object({
  feeds: z.array(feed).check(z.maxLength(8)),
  /** Where current returns: the neutral, or the other line. */
  back: id,
  /** Lines of a three-phase load side. */
  lines: z.optional(z.array(id).check(z.maxLength(3))),
  park: z.array(id).check(z.maxLength(8)),
  ground: id,
  /** A capacitor for the motor's start end: `lineSide` is wired to the return already where `tied`. */
  capacitor: z.optional(
    z.object({ device: id, startSide: id, lineSide: id, tied: z.boolean(), dual: z.boolean() }),
  ),
  /** What the start winding starts through, where that is not on the motor. */
  start: z.optional(id),
  /** The terminal that feeds what the start winding starts through; the first feed's hot where left out. */
  startFed: z.optional(id),
  /** Something of the equipment takes the start winding out again, so that the motor has no switch of its own. */
  takesStartOut: z.optional(z.boolean()),
});

/** The form of a compartment. */
export const compartment = z
  .object({
    id,
    title: name,
    supply,
    devices: z.array(device).check(z.minLength(1), z.maxLength(16)),
    wires: z.array(wire).check(z.maxLength(40)),
    calls: z.array(z.object({ id, name })).check(z.maxLength(8)),
    /** Calls that can stand at once: each a set of two or more. Contacts that bar one another say so themselves. */
    together: z.optional(z.array(z.array(id).check(z.minLength(2), z.maxLength(4))).check(z.maxLength(40))),
    offers,
    cautions: z.array(z.string().check(z.trim(), z.minLength(1), z.maxLength(240))).check(z.maxLength(6)),
  })
  .check(
    z.superRefine((made, context) => {
      const known = new Set(made.devices.flatMap(({ terminals }) => terminals.map((t) => t.id)));
      const calls = new Set(made.calls.map((call) => call.id));
      const need = (terminalId: string, path: (string | number)[]) => {
        if (!known.has(terminalId))
          context.addIssue({ code: "custom", path, message: `There is no terminal “${terminalId}”.` });
      };
      made.devices.forEach((one, d) => {
        one.parts.forEach((p, i) => {
          need(p.from, ["devices", d, "parts", i, "from"]);
          need(p.to, ["devices", d, "parts", i, "to"]);
          if (p.kind === "compressor") need(p.start, ["devices", d, "parts", i, "start"]);
          if (p.kind === "potential-relay") {
            need(p.coilFrom, ["devices", d, "parts", i, "coilFrom"]);
            need(p.coilTo, ["devices", d, "parts", i, "coilTo"]);
          }
          if (p.kind !== "contact") return;
          for (const on of ["closedOn", "opensOn"] as const)
            for (const call of p[on] === "always" ? [] : (p[on] ?? []))
              if (!calls.has(call))
                context.addIssue({
                  code: "custom",
                  path: ["devices", d, "parts", i, on],
                  message: `There is no call “${call}”.`,
                });
          for (const at of p.closedAt ?? [])
            if (!one.dial?.positions.some((position) => position.id === at))
              context.addIssue({
                code: "custom",
                path: ["devices", d, "parts", i, "closedAt"],
                message: `There is no position “${at}” on this device.`,
              });
        });
        if (one.dial && !one.dial.positions.some((position) => position.id === one.dial?.at))
          context.addIssue({
            code: "custom",
            path: ["devices", d, "dial", "at"],
            message: `There is no position “${one.dial.at}” on this device.`,
          });
      });
      made.wires.forEach(({ from, to }, i) => {
        need(from, ["wires", i, "from"]);
        need(to, ["wires", i, "to"]);
      });
      for (const t of made.supply.terminals) need(t, ["supply", "terminals"]);
      need(made.supply.ground, ["supply", "ground"]);
      made.offers.feeds.forEach(({ hot, call }, i) => {
        need(hot, ["offers", "feeds", i, "hot"]);
        if (!calls.has(call))
          context.addIssue({
            code: "custom",
            path: ["offers", "feeds", i, "call"],
            message: `There is no call “${call}”.`,
          });
      });
      (made.together ?? []).forEach((set, i) => {
        for (const call of set)
          if (!calls.has(call))
            context.addIssue({
              code: "custom",
              path: ["together", i],
              message: `There is no call “${call}”.`,
            });
      });
      need(made.offers.back, ["offers", "back"]);
      need(made.offers.ground, ["offers", "ground"]);
      const all = made.devices.flatMap(({ terminals }) => terminals.map((t) => t.id));
      if (all.length !== known.size)
        context.addIssue({ code: "custom", path: ["devices"], message: "Two terminals have the same id." });
    }),
  );

export type Compartment = z.output<typeof compartment>;
export type Device = Compartment["devices"][number];
export type Terminal = Device["terminals"][number];
export type Part = Device["parts"][number];
export type Contact = Extract<Part, { kind: "contact" }>;

/** A terminal with the device it is on. */
export function terminalOf(
  { devices }: Pick<Compartment, "devices">,
  terminalId: string,
): { device: Device; terminal: Terminal } | null {
  for (const one of devices) {
    const found = one.terminals.find((t) => t.id === terminalId);
    if (found) return { device: one, terminal: found };
  }
  return null;
}

/** "T1 of the contactor", "capped on its own", "joint 1". */
export function placeName(made: Pick<Compartment, "devices">, place: string): string {
  const read = readPlace(place);
  switch (read.kind) {
    case "capped":
      return "capped on its own";
    case "joint":
      return `joint ${read.number}`;
    case "terminal": {
      const found = terminalOf(made, read.id);
      if (!found) return read.id;
      const { device: on, terminal: at } = found;
      return on.terminals.length === 1 ? on.name : `${at.name}, ${on.name}`;
    }
    default:
      return unforeseen(read);
  }
}
