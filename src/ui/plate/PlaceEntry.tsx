"use client";

import Box from "@mui/material/Box";
import { formatLength, type MachinePlace, parseLength, parseNumber } from "@/core";
import { useJob, useLatestJob } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { KeptEntry } from "../parts/KeptEntry";

/** The place the new motor goes to: what of it bears on the choice. */
export function PlaceEntry() {
  const { job, add } = useJob("place");
  const latest = useLatestJob();
  const { place } = job;
  const set = (change: Partial<MachinePlace>) => {
    const next = { ...latest().place, ...change };
    add({
      kind: "place",
      place: Object.fromEntries(
        Object.entries(next).filter(([, value]) => value !== undefined),
      ) as MachinePlace,
    });
  };
  const number =
    (key: keyof MachinePlace, least: number, most: number, whole = false) =>
    (text: string) => {
      if (text.trim() === "") {
        set({ [key]: undefined });
        return null;
      }
      const value = parseNumber(text.replace(/\s*(?:v|volts?|tons?|kw)\s*$/i, ""));
      if (value === null || value < least || value > most || (whole && !Number.isInteger(value)))
        return `Give ${whole ? "a whole number" : "a number"} from ${least} to ${most}.`;
      set({ [key]: value });
      return null;
    };
  const length = (key: "roomMm" | "airOpeningMm") => (text: string) => {
    if (text.trim() === "") {
      set({ [key]: undefined });
      return null;
    }
    const read = parseLength(text.replace(/\(.*\)/, "").trim());
    if (!read.ok) return read.faults[0]?.says ?? "That is no length.";
    set({ [key]: Math.round(read.mm * 10) / 10 });
    return null;
  };
  const shown = (value: number | undefined) => (value === undefined ? "" : String(value));
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 3 }}>
      <KeptEntry
        label="Supply, volts measured"
        value={shown(place.supplyVolts)}
        placeholder="236"
        numeric
        onKeep={number("supplyVolts", 5, 1000)}
      />
      <KeptEntry
        label="Speeds in use"
        value={shown(place.speedsInUse)}
        placeholder="2"
        numeric
        onKeep={number("speedsInUse", 1, 10, true)}
      />
      <Choice
        label="In the air that is moved"
        value={place.inAirStream === undefined ? "" : place.inAirStream ? "yes" : "no"}
        onChange={(value) => set({ inAirStream: value === "" ? undefined : value === "yes" })}
      >
        <option value="">not known</option>
        <option value="yes">yes</option>
        <option value="no">no</option>
      </Choice>
      <KeptEntry
        label="Room for the body"
        value={place.roomMm === undefined ? "" : formatLength(place.roomMm)}
        placeholder="7 in, or 180 mm"
        onKeep={length("roomMm")}
      />
      <KeptEntry
        label="Air opening"
        value={place.airOpeningMm === undefined ? "" : formatLength(place.airOpeningMm)}
        placeholder="6-1/2 in"
        onKeep={length("airOpeningMm")}
      />
      <KeptEntry
        label="Cooling, tons"
        value={shown(place.coolingTons)}
        placeholder="3"
        numeric
        onKeep={number("coolingTons", 0.5, 50)}
      />
      <KeptEntry
        label="Heating output, kW"
        value={shown(place.heatingKilowatts)}
        placeholder="18"
        numeric
        onKeep={number("heatingKilowatts", 1, 200)}
      />
    </Box>
  );
}
