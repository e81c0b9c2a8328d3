"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { type CapacitorLabel, type KeptCapacitorTest, parseCapacitor } from "@/core";
import { type CapacitorVerdict, judgeMeasured, microfaradsUnderLoad } from "@/core/capacitor";
import { useJob } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { useEntry } from "../parts/form/useEntry";
import { PlainEntry } from "../parts/PlainEntry";
import { Verdict } from "../parts/Verdict";
import { LABEL_HEIGHT, TOUCH } from "../theme/measures";
import { blankTest, isDual, testForm } from "./testForm";

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
  const { typed, change, field, entered } = useEntry(testForm, blankTest(job.capacitor.present));
  const keep = entered((test) => {
    add({ kind: "capacitor-test", test });
    change({ microfarads: "", amps: "", volts: "" });
  });
  return (
    <Box
      component="form"
      aria-label="A test"
      onSubmit={keep}
      noValidate
      sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 3, alignItems: "start" }}
    >
      <PlainEntry {...field("label")} label="Its label" placeholder="35+5 440" />
      {isDual(typed.label) ? (
        <Choice {...field("half")} label="Which half">
          <option value="fan">C to FAN</option>
          <option value="herm">C to HERM</option>
        </Choice>
      ) : (
        <span />
      )}
      <Choice {...field("way")} label="How">
        <option value="meter">meter, discharged, one side lifted</option>
        <option value="under-load">under load, running</option>
      </Choice>
      {typed.way === "meter" ? (
        <PlainEntry {...field("microfarads")} label="Measured, µF" placeholder="4.9" />
      ) : (
        <>
          <Choice {...field("hertz")} label="Mains">
            <option value="60">60 Hz</option>
            <option value="50">50 Hz</option>
          </Choice>
          <PlainEntry {...field("amps")} label="Amps in its lead" placeholder="0.71" />
          <PlainEntry {...field("volts")} label="Volts across it" placeholder="368" />
        </>
      )}
      <Button type="submit" variant="contained" sx={{ minHeight: TOUCH, mt: LABEL_HEIGHT }}>
        Judge it
      </Button>
      {typed.way === "under-load" ? (
        <Typography sx={{ gridColumn: "1 / -1", fontSize: "0.875rem", color: "text.secondary" }}>
          Live work: clamp and probes set with the power off, hands away while it runs. A clamp of 2 % and
          three counts is taken; it decides how sure the answer is.
        </Typography>
      ) : null}
    </Box>
  );
}
