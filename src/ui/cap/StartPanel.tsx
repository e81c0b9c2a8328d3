"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import type { Plate } from "@/core";
import { parseCapacitor } from "@/core";
import {
  judgeStart,
  type ShelfCapacitor,
  START_DEVICES,
  START_RULES,
  startsOnShelf,
  startVoltsFor,
  typicalStart,
} from "@/core/capacitor";
import { Choice } from "../parts/Choice";
import { PlainEntry } from "../parts/PlainEntry";
import { Verdict } from "../parts/Verdict";
import { TakeButton } from "./TakeButton";

/** Start capacitor: its band and volts, what takes it out and what that must meet. */
export function StartPanel({
  plate,
  old,
  shelf,
}: {
  plate: Plate;
  old: Plate;
  shelf: readonly ShelfCapacitor[];
}) {
  const wanted = plate.startCapacitor ?? old.startCapacitor;
  const [device, setDevice] = useState<(typeof START_DEVICES)[number]["id"]>("centrifugal-switch");
  const [other, setOther] = useState("");
  const shown = START_DEVICES.find(({ id }) => id === device);
  const read = parseCapacitor(other);
  const judged =
    wanted && read.ok && read.label.kind === "start" && read.label.volts !== undefined
      ? judgeStart(wanted, { ...read.label, volts: read.label.volts })
      : null;
  const parts = wanted ? startsOnShelf(wanted, shelf) : [];
  const watts = plate.powerWatts ?? old.powerWatts;
  const volts = (plate.volts ?? old.volts)?.[0]?.high;
  const typical = watts && volts !== undefined ? typicalStart(Math.max(...watts), volts) : null;
  return (
    <Box sx={{ display: "grid", gap: 3 }}>
      {wanted ? (
        <Typography>
          Wanted: {wanted.lowMicrofarads}–{wanted.highMicrofarads} µF
          {wanted.volts === undefined
            ? ", volts not said"
            : `, ${wanted.volts} V or higher (sold from ${startVoltsFor(wanted.volts) ?? wanted.volts} V)`}
          . The same band only.
        </Typography>
      ) : (
        <Typography sx={{ color: "text.secondary" }}>
          No start capacitor is on either plate. Type its band in Plate where there is one.
          {typical ? ` ${typical.says}` : ""}
        </Typography>
      )}
      {wanted ? (
        parts.length > 0 ? (
          <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
            {parts.map(({ id, name, count }) => (
              <Box
                component="li"
                key={id}
                sx={{
                  display: "flex",
                  justifyContent: "space-between",
                  alignItems: "center",
                  gap: 3,
                  borderTop: "1px solid",
                  borderColor: "divider",
                  py: 1,
                }}
              >
                <span>
                  {name}, {count} on the truck
                </span>
                <TakeButton item={id} name={name} />
              </Box>
            ))}
          </Box>
        ) : (
          <Typography sx={{ color: "warning.main", fontWeight: 600 }}>
            None on the truck: to be ordered.
          </Typography>
        )
      ) : null}
      {wanted ? (
        <Box>
          <PlainEntry
            label="Would this one do?"
            value={other}
            onChange={setOther}
            placeholder="88-108 165"
            fault={
              other.trim() !== "" && !judged ? "Write a band with its volts, such as 88-108 165." : undefined
            }
          />
          {judged ? (
            <Box role="status" sx={{ mt: 1 }}>
              <Verdict weight={judged.fits ? "good" : "stop"} word={judged.fits ? "It does" : "No"} />{" "}
              {judged.says}
            </Box>
          ) : null}
        </Box>
      ) : null}
      <Choice
        label="What takes it out"
        value={device}
        onChange={(value) =>
          setDevice(START_DEVICES.find(({ id }) => id === value)?.id ?? "centrifugal-switch")
        }
      >
        {START_DEVICES.map(({ id, title }) => (
          <option key={id} value={id}>
            {title}
          </option>
        ))}
      </Choice>
      {shown ? (
        <Box>
          <Typography>{shown.howItWorks}</Typography>
          <Typography sx={{ mt: 2, fontWeight: 700 }}>It must meet</Typography>
          <Box component="ul" sx={{ m: 0, pl: 5 }}>
            {shown.mustMeet.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </Box>
          <Typography sx={{ mt: 2, fontWeight: 700 }}>How it fails</Typography>
          <Box component="ul" sx={{ m: 0, pl: 5 }}>
            {shown.howItFails.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </Box>
        </Box>
      ) : null}
      <Box component="ul" sx={{ m: 0, pl: 5, color: "text.secondary" }}>
        {START_RULES.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </Box>
    </Box>
  );
}
