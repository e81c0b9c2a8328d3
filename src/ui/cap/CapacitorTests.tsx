"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { type FormEvent, useState } from "react";
import { type CapacitorLabel, type KeptCapacitorTest, parseCapacitor, parseNumber } from "@/core";
import { type CapacitorVerdict, judgeMeasured, microfaradsUnderLoad } from "@/core/capacitor";
import { useJob } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { PlainEntry } from "../parts/PlainEntry";
import { Verdict } from "../parts/Verdict";
import { TOUCH } from "../theme/theme";

/** What a kept test says: the label's value of the half that was tested, against what was measured. */
function verdictOf(test: KeptCapacitorTest): CapacitorVerdict | null {
  const read = parseCapacitor(test.label);
  const wanted = read.ok ? labelled(read.label, test.half) : null;
  if (!read.ok || wanted === null) return null;
  const tolerance = read.label.tolerancePercent;
  if (test.by.way === "meter") return judgeMeasured(test.by.microfarads, wanted, tolerance);
  const { microfarads, uncertaintyMicrofarads } = microfaradsUnderLoad(test.by);
  return judgeMeasured(microfarads, wanted, tolerance, uncertaintyMicrofarads);
}

function labelled(label: CapacitorLabel, half: KeptCapacitorTest["half"]): number | null {
  if (label.kind === "single") return label.microfarads;
  if (label.kind === "dual") return half === "herm" ? label.hermMicrofarads : label.fanMicrofarads;
  return Math.sqrt(label.lowMicrofarads * label.highMicrofarads);
}

const HALF_WORDS = { single: "", herm: "C to HERM", fan: "C to FAN" } as const;

/** Tests of a capacitor: meter against label, or under load, running, with the verdict and how sure it is. */
export function CapacitorTests() {
  const { job, add } = useJob("capacitorTests");
  const tests = job.capacitorTests;
  return (
    <>
      <TestEntry />
      {tests.length > 0 ? (
        <Box component="ul" aria-label="Tests so far" sx={{ listStyle: "none", m: 0, mt: 3, p: 0 }}>
          {tests.map((test) => {
            const verdict = verdictOf(test);
            return (
              <Box
                component="li"
                key={test.fact}
                sx={{
                  display: "flex",
                  gap: 3,
                  alignItems: "center",
                  borderTop: "1px solid",
                  borderColor: "divider",
                  py: 1.5,
                }}
              >
                <Box sx={{ flex: 1, minWidth: 0 }}>
                  {verdict ? <Verdict weight={verdict.weight} /> : null}{" "}
                  {HALF_WORDS[test.half] ? `${HALF_WORDS[test.half]}: ` : ""}
                  {verdict?.says}
                </Box>
                <Button
                  size="small"
                  color="inherit"
                  onClick={() => add({ kind: "undone", fact: test.fact })}
                  aria-label={`Remove the test of ${test.label}`}
                >
                  Remove
                </Button>
              </Box>
            );
          })}
        </Box>
      ) : null}
    </>
  );
}

function TestEntry() {
  const { job, add } = useJob("capacitor");
  const [label, setLabel] = useState(job.capacitor.present);
  const [half, setHalf] = useState<KeptCapacitorTest["half"]>("fan");
  const [way, setWay] = useState<"meter" | "under-load">("meter");
  const [microfarads, setMicrofarads] = useState("");
  const [amps, setAmps] = useState("");
  const [volts, setVolts] = useState("");
  const [hertz, setHertz] = useState<"60" | "50">("60");
  const [faults, setFaults] = useState<Record<string, string>>({});
  const read = parseCapacitor(label);
  const isDual = read.ok && read.label.kind === "dual";
  const keep = (event: FormEvent) => {
    event.preventDefault();
    const wrong: Record<string, string> = {};
    if (!read.ok) wrong.label = read.faults[0]?.says ?? "That is no label.";
    const number = (key: string, text: string, least: number, most: number) => {
      const value = parseNumber(text);
      if (value === null || value < least || value > most)
        wrong[key] = `Give a number from ${least} to ${most}.`;
      return value ?? 0;
    };
    const by =
      way === "meter"
        ? { way, microfarads: number("microfarads", microfarads, 0, 3000) }
        : {
            way,
            amps: number("amps", amps, 0.01, 200),
            volts: number("volts", volts, 1, 2000),
            hertz: hertz === "60" ? (60 as const) : (50 as const),
          };
    setFaults(wrong);
    if (Object.keys(wrong).length > 0) return;
    add({ kind: "capacitor-test", test: { label: label.trim(), half: isDual ? half : "single", by } });
    setMicrofarads("");
    setAmps("");
    setVolts("");
  };
  return (
    <Box
      component="form"
      aria-label="A test"
      onSubmit={keep}
      noValidate
      sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 3, alignItems: "start" }}
    >
      <PlainEntry
        label="Its label"
        value={label}
        onChange={setLabel}
        placeholder="35+5 440"
        fault={faults.label}
      />
      {isDual ? (
        <Choice
          label="Which half"
          value={half}
          onChange={(value) => setHalf(value === "herm" ? "herm" : "fan")}
        >
          <option value="fan">C to FAN</option>
          <option value="herm">C to HERM</option>
        </Choice>
      ) : (
        <span />
      )}
      <Choice
        label="How"
        value={way}
        onChange={(value) => setWay(value === "meter" ? "meter" : "under-load")}
      >
        <option value="meter">meter, discharged, one side lifted</option>
        <option value="under-load">under load, running</option>
      </Choice>
      {way === "meter" ? (
        <PlainEntry
          label="Measured, µF"
          value={microfarads}
          onChange={setMicrofarads}
          placeholder="4.9"
          fault={faults.microfarads}
        />
      ) : (
        <>
          <Choice label="Mains" value={hertz} onChange={(value) => setHertz(value === "50" ? "50" : "60")}>
            <option value="60">60 Hz</option>
            <option value="50">50 Hz</option>
          </Choice>
          <PlainEntry
            label="Amps in its lead"
            value={amps}
            onChange={setAmps}
            placeholder="0.71"
            fault={faults.amps}
          />
          <PlainEntry
            label="Volts across it"
            value={volts}
            onChange={setVolts}
            placeholder="368"
            fault={faults.volts}
          />
        </>
      )}
      <Button type="submit" variant="contained" sx={{ minHeight: TOUCH, mt: "1.3rem" }}>
        Judge it
      </Button>
      {way === "under-load" ? (
        <Typography sx={{ gridColumn: "1 / -1", fontSize: "0.875rem", color: "text.secondary" }}>
          Live work: clamp and probes set with the power off, hands away while it runs. A clamp of 2 % and
          three counts is taken; it decides how sure the answer is.
        </Typography>
      ) : null}
    </Box>
  );
}
