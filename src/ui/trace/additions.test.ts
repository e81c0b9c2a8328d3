import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { COMPARTMENTS, type Compartment, compartment, type Device } from "@/core/wiring";
import { additions } from "./additions";

const faults = (made: Compartment): string[] => {
  const read = compartment.safeParse(made);
  return read.success ? [] : read.error.issues.map(({ message }) => message);
};
const everyCompartment = COMPARTMENTS.map((made) => [made.id, made] as const);

describe.each(everyCompartment)("editing %s", (_, made) => {
  it("a call added is hot somewhere, and taken away again leaves what was there", () => {
    const more = additions.call(made, "Purge");
    expect(faults(more)).toEqual([]);
    const added = more.calls.at(-1);
    expect(added).toEqual({ id: "purge", name: "Purge" });
    expect(more.offers.feeds.at(-1)).toMatchObject({ call: "purge" });
    expect(additions.withoutCall(more, "purge")).toEqual(made);
  });

  it("a call added meets every other until it is said that it does not", () => {
    if (!made.together) return;
    const more = additions.call(made, "Purge");
    const mine = more.together?.filter((set) => set.includes("purge")).map(([other]) => other);
    expect(mine).toEqual(made.calls.map(({ id }) => id));
    const [first] = made.calls;
    if (!first) return;
    const less = additions.meeting(more, [first.id, "purge"], false);
    expect(less.together).not.toContainEqual([first.id, "purge"]);
    expect(additions.meeting(less, [first.id, "purge"], true).together).toContainEqual([first.id, "purge"]);
  });

  it("a call taken away is waited for by no contact", () => {
    for (const { id } of made.calls) {
      const less = additions.withoutCall(made, id);
      expect(faults(less)).toEqual([]);
      const waited = less.devices.flatMap(({ parts }) =>
        parts.flatMap((part) =>
          part.kind === "contact"
            ? [...(part.closedOn === "always" ? [] : part.closedOn), ...(part.opensOn ?? [])]
            : [],
        ),
      );
      expect([...waited, ...less.offers.feeds.map(({ call }) => call)]).not.toContain(id);
    }
  });

  it("a device taken away takes its wires and offers with it, or is said to be needed", () => {
    for (const { id, terminals } of made.devices) {
      const less = additions.withoutDevice(made, id);
      const own = new Set(terminals.map((t) => t.id));
      expect(less.wires.some(({ from, to }) => own.has(from) || own.has(to))).toBe(false);
      expect(less.offers.park.some((park) => own.has(park))).toBe(false);
      expect(own.has(less.offers.capacitor?.startSide ?? "")).toBe(false);
      // What is left over is told by name: a supply or a return that others still count on.
      for (const says of faults(less)) expect(says).toMatch(/^There is no terminal “.+”\.$/);
    }
  });

  it("capacitors, parking and ground wires of other devices stay", () => {
    const [first] = made.devices.filter(({ id }) => id !== "supply" && id !== "ground");
    if (!first) return;
    const less = additions.withoutDevice(made, first.id);
    expect(less.devices).toEqual(made.devices.filter(({ id }) => id !== first.id));
  });
});

describe("what is added by name", () => {
  const name = fc.string({ minLength: 1, maxLength: 20 }).filter((text) => text.trim() !== "");

  it("a terminal gets an id the form takes, whatever is typed", () => {
    const device = COMPARTMENTS[0]?.devices[1] as Device;
    fc.assert(
      fc.property(name, (typed) => {
        const more = additions.terminal(device, typed.trim());
        expect(more.terminals).toHaveLength(device.terminals.length + 1);
        expect(more.terminals.at(-1)?.id).toMatch(/^[A-Za-z0-9_./-]{1,40}$/);
      }),
    );
  });

  it("calls and wires never share an id, however often they are added", () => {
    const made = COMPARTMENTS[0] as Compartment;
    let more = made;
    for (let n = 0; n < 5; n++) {
      more = additions.call(more, "Fan");
      more = { ...more, wires: [...more.wires, additions.wire(more, "contactor.T1", "contactor.T2")] };
    }
    for (const list of [more.calls, more.wires])
      expect(new Set(list.map(({ id }) => id)).size).toBe(list.length);
    expect(faults(more)).toEqual([]);
  });
});
