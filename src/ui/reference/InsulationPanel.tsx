"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import { type FormEvent, useEffect, useState } from "react";
import {
  comparableMegohms,
  judgeInsulation,
  type KeptInsulationTest,
  parseMegohms,
  parseTemperature,
} from "@/core";
import { useJob } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { Fold } from "../parts/Fold";
import { PlainEntry } from "../parts/PlainEntry";
import { Verdict } from "../parts/Verdict";
import { MONO, TOUCH } from "../theme/theme";

const InsulationTrend = dynamic(() => import("./InsulationTrend").then((m) => m.InsulationTrend), {
  ssr: false,
  loading: () => <Typography sx={{ color: "text.secondary" }}>Drawing the trend …</Typography>,
});

/** Insulation tests of this visit and earlier ones: entry, verdict at 40 °C, and how they have gone over the visits. */
export function InsulationPanel() {
  const { job, add } = useJob("insulation");
  const tests = job.insulation;
  const latest = tests.at(-1);
  const verdict = latest ? judgeInsulation(latest.megohms, latest.windingC, latest.inWell) : null;
  return (
    <Fold
      title="Insulation test"
      summary={verdict ? <Verdict weight={verdict.weight} /> : "none entered"}
      open={tests.length > 0}
    >
      <Typography sx={{ color: "text.secondary", fontSize: "0.875rem", mb: 2 }}>
        500 V DC between winding and shell, the value after a minute. Never with electronics, boards or
        capacitors connected; discharge the winding after it.
      </Typography>
      <TestEntry />
      {latest && verdict ? (
        <Box role="status" sx={{ mt: 3 }}>
          <Verdict weight={verdict.weight} />
          <Typography sx={{ mt: 1 }}>{verdict.says}</Typography>
          {latest.windingC === undefined ? (
            <Typography sx={{ color: "text.secondary", fontSize: "0.875rem" }}>
              The winding’s temperature was not told: taken as it is, for 40 °C.
            </Typography>
          ) : null}
        </Box>
      ) : null}
      {tests.length > 1 ? <InsulationTrend tests={tests} /> : null}
      {tests.length > 0 ? (
        <TestTable tests={tests} onRemove={(fact) => add({ kind: "undone", fact })} />
      ) : null}
    </Fold>
  );
}

function TestEntry() {
  const { job, add } = useJob("conditions");
  const [value, setValue] = useState("");
  const [temperature, setTemperature] = useState("");
  const [on, setOn] = useState("");
  const [inWell, setInWell] = useState("no");
  const [testVolts, setTestVolts] = useState("500");
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({});
  // The day is the browser's own: known only once the page is drawn there.
  useEffect(() => setOn(today()), []);
  const known = job.conditions.windingC;
  const keep = (event: FormEvent) => {
    event.preventDefault();
    const megohms = parseMegohms(value);
    const winding = temperature.trim() === "" ? null : parseTemperature(temperature);
    const wrong: Record<string, string> = {};
    if (!megohms.ok) wrong.value = megohms.faults[0]?.says ?? "That is no insulation reading.";
    if (winding && !winding.ok) wrong.temperature = winding.faults[0]?.says ?? "That is no temperature.";
    if (!/^\d{4}-\d{2}-\d{2}$/.test(on)) wrong.on = "Give the day of the test.";
    else if (on > today()) wrong.on = "That day is still to come.";
    setFaults(wrong);
    if (!megohms.ok || Object.keys(wrong).length > 0) return;
    const windingC = winding?.ok ? winding.celsius : known;
    add({
      kind: "insulation",
      test: {
        on,
        typed: value.trim(),
        megohms: megohms.megohms,
        orMore: megohms.orMore,
        testVolts: Number(testVolts),
        ...(windingC === undefined ? {} : { windingC }),
        inWell: inWell === "yes",
      },
    });
    setValue("");
    setOn(today());
  };
  return (
    <Box
      component="form"
      onSubmit={keep}
      noValidate
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr 1fr", sm: "repeat(3, 1fr)" },
        gap: 3,
        alignItems: "start",
      }}
    >
      <PlainEntry
        label="Megohms"
        value={value}
        onChange={setValue}
        placeholder="12, or >1000"
        fault={faults.value}
      />
      <PlainEntry
        label="Winding temperature"
        value={temperature}
        onChange={setTemperature}
        placeholder={known === undefined ? "40 C, or 104 F" : `${known} C`}
        fault={faults.temperature}
      />
      <PlainEntry label="Day" type="date" value={on} onChange={setOn} fault={faults.on} />
      <Choice label="Test volts, DC" value={testVolts} onChange={setTestVolts}>
        {["100", "250", "500", "1000"].map((volts) => (
          <option key={volts}>{volts}</option>
        ))}
      </Choice>
      <Choice label="Motor down a well" value={inWell} onChange={setInWell}>
        <option value="no">no</option>
        <option value="yes">yes, cable included</option>
      </Choice>
      <Button
        type="submit"
        variant="contained"
        disabled={value.trim() === ""}
        sx={{ minHeight: TOUCH, mt: "1.3rem" }}
      >
        Enter test
      </Button>
    </Box>
  );
}

function TestTable({
  tests,
  onRemove,
}: {
  tests: readonly KeptInsulationTest[];
  onRemove: (fact: string) => void;
}) {
  return (
    <Box
      component="table"
      aria-label="Insulation tests"
      sx={{
        borderCollapse: "collapse",
        width: "100%",
        mt: 3,
        "& th, & td": {
          textAlign: "left",
          py: 1,
          pr: 2,
          borderBottom: "1px solid",
          borderColor: "divider",
        },
        "& td": { whiteSpace: { xs: "normal", sm: "nowrap" } },
        "& th": { fontSize: "0.875rem", color: "text.secondary", fontWeight: 600, verticalAlign: "bottom" },
      }}
    >
      <thead>
        <tr>
          <th scope="col">day</th>
          <th scope="col">MΩ read</th>
          <th scope="col">at</th>
          <th scope="col">MΩ at 40 °C; in the well as read</th>
          <Box component="th" scope="col" sx={{ width: "1%" }}>
            undo
          </Box>
        </tr>
      </thead>
      <tbody>
        {tests.map((test) => (
          <tr key={test.fact}>
            <td>{test.on}</td>
            <Box component="td" sx={{ fontFamily: MONO }}>
              {test.orMore ? "> " : ""}
              {test.megohms}
            </Box>
            <td>{test.windingC === undefined ? "not told" : `${test.windingC} °C`}</td>
            <Box component="td" sx={{ fontFamily: MONO }}>
              {Number(comparableMegohms(test).toPrecision(2))}
            </Box>
            <td>
              <Button
                size="small"
                color="inherit"
                onClick={() => onRemove(test.fact)}
                aria-label={`Take away the test of ${test.on}, ${test.megohms} megohms`}
              >
                Remove
              </Button>
            </td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

function today(): string {
  const now = new Date();
  const two = (n: number) => String(n).padStart(2, "0");
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
