"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Table from "@mui/material/Table";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import { comparableMegohms, judgeInsulation, type KeptInsulationTest } from "@/core";
import { useJob } from "../job/JobContext";
import { Verdict } from "../parts/Verdict";
import { MONO } from "../theme/faces";
import { InsulationEntry } from "./InsulationEntry";

const InsulationTrend = dynamic(() => import("./InsulationTrend").then((m) => m.InsulationTrend), {
  ssr: false,
  loading: () => <Typography sx={{ color: "text.secondary" }}>Drawing the trend …</Typography>,
});

/** Entry of a test, the verdict on the latest, and how they have gone over the visits. */
export function InsulationTests() {
  const { job, add } = useJob("insulation");
  const tests = job.insulation;
  const latest = tests.at(-1);
  const verdict = latest ? judgeInsulation(latest.megohms, latest.windingC, latest.inWell) : null;
  return (
    <>
      <Typography sx={{ color: "text.secondary", fontSize: "0.875rem", mb: 2 }}>
        500 V DC between winding and shell, the value after a minute. Never with electronics, boards or
        capacitors connected; discharge the winding after it.
      </Typography>
      <InsulationEntry />
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
      {tests.length > 1 ? (
        <Box sx={{ mt: 4 }}>
          <InsulationTrend tests={tests} />
        </Box>
      ) : null}
      {tests.length > 0 ? (
        <TestTable tests={tests} onRemove={(fact) => add({ kind: "undone", fact })} />
      ) : null}
    </>
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
    <Table
      aria-label="Insulation tests"
      sx={{ mt: 3, "& td": { whiteSpace: { xs: "normal", sm: "nowrap" } } }}
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
    </Table>
  );
}
