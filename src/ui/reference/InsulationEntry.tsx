"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useEffect, useEffectEvent } from "react";
import { useJob } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { useEntry } from "../parts/form/useEntry";
import { PlainEntry } from "../parts/PlainEntry";
import { LABEL_HEIGHT, TOUCH } from "../theme/measures";
import { insulationForm, TEST_VOLTS, type TypedInsulation } from "./insulationForm";

const BLANK: TypedInsulation = { megohms: "", temperature: "", on: "", testVolts: "500", inWell: "no" };

/** An insulation test to be entered, of this visit or an earlier one. */
export function InsulationEntry() {
  const { job, add } = useJob("conditions");
  const known = job.conditions.windingC;
  const { typed, change, field, entered } = useEntry(insulationForm(today, known), BLANK);
  // The day is the browser's own: known only once the page is drawn there.
  const set = useEffectEvent((on: string) => change({ on }));
  useEffect(() => set(today()), []);
  const keep = entered((test) => {
    add({ kind: "insulation", test });
    change({ megohms: "", on: today() });
  });
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
      <PlainEntry {...field("megohms")} label="Megohms" placeholder="12, or >1000" />
      <PlainEntry
        {...field("temperature")}
        label="Winding temperature"
        placeholder={known === undefined ? "40 C, or 104 F" : `${known} C`}
      />
      <PlainEntry {...field("on")} label="Day" type="date" />
      <Choice {...field("testVolts")} label="Test volts, DC">
        {TEST_VOLTS.map((volts) => (
          <option key={volts}>{volts}</option>
        ))}
      </Choice>
      <Choice {...field("inWell")} label="Motor down a well">
        <option value="no">no</option>
        <option value="yes">yes, cable included</option>
      </Choice>
      <Button
        type="submit"
        variant="contained"
        disabled={typed.megohms.trim() === ""}
        sx={{ minHeight: TOUCH, mt: LABEL_HEIGHT }}
      >
        Enter test
      </Button>
    </Box>
  );
}

function today(): string {
  const now = new Date();
  const two = (n: number) => String(n).padStart(2, "0");
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
