import { describe, expect, it } from "vitest";
import { type Compartment, compartment } from "./compartment";
import { DEVICE_LIBRARY } from "./deviceLibrary";
import { COMPARTMENTS, compartmentById } from "./equipment";

function withDevice(made: Compartment, id: string): Compartment {
  const entry = DEVICE_LIBRARY.find((one) => one.id === id);
  if (!entry) throw new Error(id);
  const { device, wires } = entry.make(made);
  return { ...made, devices: [...made.devices, device], wires: [...made.wires, ...wires] };
}

describe.each(DEVICE_LIBRARY.map(({ id, title }) => [title, id] as const))("%s", (_, id) => {
  it("can be added to every compartment, and to each twice", () => {
    for (const made of COMPARTMENTS) {
      const twice = withDevice(withDevice(made, id), id);
      const read = compartment.safeParse(twice);
      expect(read.success ? [] : read.error.issues, made.id).toEqual([]);
      expect(twice.devices).toHaveLength(made.devices.length + 2);
    }
  });
});

describe("the library of devices", () => {
  it("has every terminal and board of the trade's usual ones", () => {
    const named = DEVICE_LIBRARY.map(({ title }) => title).join("; ");
    for (const word of [
      "disconnect",
      "contactor, one pole",
      "contactor, two",
      "contactor, three",
      "dual",
      "run capacitor",
      "start capacitor",
      "potential relay",
      "one stage",
      "two stages",
      "fan relay",
      "door switch",
      "thermostat strip",
      "starter with overload",
      "pressure switch",
      "float switch",
      "terminal board",
      "plug or dial for volts",
      "plug for rotation",
      "ground stud",
    ])
      expect(named).toContain(word);
  });

  it("a board's relays move on the calls that the compartment has by those words", () => {
    const made = compartmentById("furnace-board") as Compartment;
    const { device } = DEVICE_LIBRARY.find(({ id }) => id === "board")?.make(made) ?? {};
    const contacts = device?.parts.flatMap((part) => (part.kind === "contact" ? [part.closedOn] : []));
    expect(contacts).toEqual([["cool"], ["heat"], ["fan"]]);
  });
});
