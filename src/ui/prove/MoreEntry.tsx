"use client";

import Box from "@mui/material/Box";
import { useState } from "react";
import { type NextCheck, namedCapacitors, type ProvingObservation } from "@/core/proving";
import type { Compartment } from "@/core/wiring";
import { useJob, useJobWiring } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { Fold } from "../parts/Fold";
import { AIR_WORDS, SIGN_WORDS, WHAT_WORDS } from "./checkWords";
import { SeenEntry } from "./SeenEntry";
import { Touches } from "./Touches";
import { useNames } from "./useNames";

type What = ProvingObservation["what"];

/** Anything else that was seen: chosen by what it is, entered in any order. */
export function MoreEntry({ onSeen }: { onSeen: (seen: ProvingObservation) => void }) {
  const { job } = useJob("leads");
  const wiring = useJobWiring();
  const names = useNames();
  const [what, setWhat] = useState<What>("line-amps");
  const [call, setCall] = useState("");
  const [place, setPlace] = useState("");
  const [other, setOther] = useState("");
  if (wiring.kind !== "plan") return null;
  const { plan } = wiring;
  const calls = plan.compartment.calls.filter(({ id }) =>
    plan.wanted.some((want) => want.call === id && want.speed),
  );
  const at = calls.find(({ id }) => id === call)?.id ?? calls[0]?.id ?? "";
  const places = placesOf(
    what,
    plan.compartment,
    job.leads.map(({ id }) => id),
  );
  const chosen = places.includes(place) ? place : (places[0] ?? "");
  const second =
    places.includes(other) && other !== chosen ? other : (places.find((one) => one !== chosen) ?? "");
  const check = checkOf(what, at, chosen, second);
  return (
    <Fold title="Something else" summary="any reading, a smell, a trip, blocked air">
      <Box sx={{ display: "grid", gap: 3 }}>
        <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr 1fr", sm: "repeat(4, 1fr)" }, gap: 2 }}>
          <Choice label="What" value={what} onChange={(value) => setWhat(value as What)}>
            {(Object.keys(WHAT_WORDS) as What[]).map((one) => (
              <option key={one} value={one}>
                {WHAT_WORDS[one]}
              </option>
            ))}
          </Choice>
          {what === "ohms" || what === "capacitor-microfarads" || what === "insulation" ? null : (
            <Choice label="On which call" value={at} onChange={setCall}>
              {calls.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </Choice>
          )}
          {places.length > 0 ? (
            <Choice label="Where" value={chosen} onChange={setPlace}>
              {places.map((one) => (
                <option key={one} value={one}>
                  {what.startsWith("capacitor") ? one.toUpperCase() : names.lead(one)}
                </option>
              ))}
            </Choice>
          ) : null}
          {what === "ohms" || what === "supply-volts" ? (
            <Choice label="To" value={second} onChange={setOther}>
              {places
                .filter((one) => one !== chosen)
                .map((one) => (
                  <option key={one} value={one}>
                    {names.lead(one)}
                  </option>
                ))}
            </Choice>
          ) : null}
        </Box>
        {what === "air" ? (
          <Touches
            label="Air"
            words={AIR_WORDS}
            onTouch={(state) => onSeen({ what: "air", call: at, state })}
          />
        ) : what === "sign" ? (
          <Touches
            label="Sign"
            words={SIGN_WORDS}
            onTouch={(sign) => onSeen({ what: "sign", call: at, sign })}
          />
        ) : check ? (
          <SeenEntry check={check} onSeen={onSeen} />
        ) : null}
      </Box>
    </Fold>
  );
}

function placesOf(what: What, made: Compartment, leads: readonly string[]): readonly string[] {
  switch (what) {
    case "line-amps":
    case "start-amps":
    case "insulation":
      return leads;
    case "ohms":
      return leads;
    case "supply-volts":
      return made.supply.terminals;
    case "capacitor-amps":
    case "capacitor-volts":
    case "capacitor-microfarads":
      return namedCapacitors(made).map(({ at }) => at);
    default:
      return [];
  }
}

function checkOf(what: What, call: string, place: string, other: string): NextCheck | null {
  const because = "";
  switch (what) {
    case "starts":
    case "turn":
    case "rpm":
      return { what, call, because, power: "on" };
    case "line-amps":
    case "start-amps":
      return { what, call, lead: place, because, power: "on" };
    case "capacitor-amps":
    case "capacitor-volts":
      return { what, call, at: place, because, power: "on" };
    case "supply-volts":
      return { what, call, between: [place, other], because, power: "on" };
    case "ohms":
      return { what, between: [place, other], because, power: "off" };
    case "capacitor-microfarads":
      return { what, at: place, because, power: "off" };
    case "insulation":
      return { what, lead: place, because, power: "off" };
    case "pressure":
      return { what, call, at: "running", because, power: "on" };
    default:
      return null;
  }
}
