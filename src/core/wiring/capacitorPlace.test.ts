import { describe, expect, it } from "vitest";
import { type AskedCapacitor, capacitorPlaces } from "./capacitorPlace";
import type { Compartment } from "./compartment";
import { compartmentById } from "./equipment";

const at = (id: string): Compartment => {
  const made = compartmentById(id);
  if (!made) throw new Error(id);
  return made;
};
const asked: AskedCapacitor = { microfarads: 6, volts: 370, known: true };
const capacitorsOf = ({ devices }: Compartment) =>
  devices.flatMap(({ parts }) => parts.flatMap((part) => (part.kind === "capacitor" ? [part] : [])));
/** Every capacitor of the equipment as somebody read it off its label. */
const stated = (made: Compartment, microfarads: number, volts: number): Compartment => ({
  ...made,
  devices: made.devices.map((device) => ({
    ...device,
    parts: device.parts.map((part) =>
      part.kind === "capacitor" && !part.start
        ? { ...part, microfarads, volts, stated: "told" as const }
        : part,
    ),
  })),
});

describe("where the run capacitor of the new motor goes", () => {
  it("a dual: kept with the fan side as the plate says, or a capacitor of its own and FAN left empty", () => {
    const places = capacitorPlaces(at("condenser-dual"), asked, false);
    expect(places.map(({ id }) => id)).toEqual(["keep-one-dual", "own-capacitor"]);
    const [kept, own] = places;
    const herm = capacitorsOf(at("condenser-dual")).find(({ id }) => id.includes("herm"));
    expect(capacitorsOf(kept?.compartment as Compartment).find(({ id }) => id.includes("herm"))).toEqual(
      herm,
    );
    expect(own?.work.map(({ change }) => change)).toEqual(["added", "left-empty"]);
    expect(capacitorsOf(own?.compartment as Compartment)).toHaveLength(3);
  });

  it("what nobody stated does not stay: it is to be fitted", () => {
    const [place] = capacitorPlaces(at("condenser-single"), asked, false);
    expect(place?.work).toMatchObject([{ change: "fit", microfarads: 6, volts: 370 }]);
  });

  it.each([
    ["the same value and enough volts stays", 6, 440, { change: "kept", microfarads: 6, volts: 440 }],
    ["another value is replaced", 4, 440, { change: "replaced", microfarads: 6, volts: 440 }],
    ["fewer volts are replaced", 6, 250, { change: "replaced", microfarads: 6, volts: 370 }],
  ])("stated: %s", (_, microfarads, volts, work) => {
    const [place] = capacitorPlaces(stated(at("condenser-single"), microfarads, volts), asked, false);
    expect(place?.work).toMatchObject([work]);
  });

  it("an estimate stays one all the way to the work", () => {
    for (const place of capacitorPlaces(at("condenser-dual"), { ...asked, known: false }, false))
      expect(place.work[0]?.known).toBe(false);
  });

  it("a motor that takes none: nothing is placed; a box's own comes out of the circuit, wires first", () => {
    expect(capacitorPlaces(at("condenser-single"), null, false)).toMatchObject([
      { id: "as-it-is", work: [] },
    ]);
    const [out] = capacitorPlaces(at("submersible-box"), null, false);
    expect(out?.work).toMatchObject([{ change: "removed" }]);
    const ends = new Set(["run.1", "run.2"]);
    expect(out?.removed.length).toBeGreaterThan(0);
    expect(out?.compartment.wires.some(({ from, to }) => ends.has(from) || ends.has(to))).toBe(false);
  });

  it("equipment without one: a capacitor of its own, on no line yet", () => {
    const [own] = capacitorPlaces(at("pump-pressure-switch"), asked, false);
    expect(own).toMatchObject({ id: "own-capacitor", work: [{ change: "added" }] });
    expect(own?.compartment.offers.capacitor).toMatchObject({ tied: false, dual: false });
  });
});
