"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { useWatch } from "react-hook-form";
import { PLATE_FIELDS, readPlate, readPlateLine, type TypedPlate } from "@/core";
import { Choice } from "../parts/Choice";
import { Fold } from "../parts/Fold";
import { FormEntry } from "../parts/form/FormEntry";
import { PlainEntry } from "../parts/PlainEntry";
import { TOUCH } from "../theme/measures";
import type { StockForm } from "./useStockForm";

/** What a motor of the stock has beside what any line has: its plate, in one line or by field, and its ohms. */
export function StockMotorFields({ form }: { form: StockForm }) {
  const { control, setValue } = form.fields;
  const plate = useWatch({ control, name: "plate" });
  const setPlate = (next: TypedPlate) => setValue("plate", { ...next }, { shouldDirty: true });
  const [line, setLine] = useState("");
  const reading = readPlate(plate);
  const takeLine = () => {
    const read = readPlateLine(line);
    setPlate({ ...plate, ...read.typed });
    setLine(read.left);
    form.setSays(read.asked.map((fault) => `Not taken: ${fault.says}`).join(" ") || null);
  };
  return (
    <Box sx={{ mt: 3 }}>
      <Box sx={{ display: "flex", gap: 2, alignItems: "end" }}>
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <PlainEntry
            label="Its plate in one line"
            value={line}
            onChange={setLine}
            maxLength={200}
            placeholder="1/3 HP 1075/3SPD 208-230V 60HZ 1PH 2.6A 5MFD 370V REV"
          />
        </Box>
        <Button color="inherit" disabled={line.trim() === ""} onClick={takeLine} sx={{ minHeight: TOUCH }}>
          Read it
        </Button>
      </Box>
      <Typography
        sx={{
          mt: 1,
          color: reading.echo.length > 0 ? "success.main" : "text.secondary",
          fontSize: "0.875rem",
        }}
      >
        {reading.echo.length > 0
          ? reading.echo.map(({ says: text }) => text).join("; ")
          : "Nothing of its plate yet."}
      </Typography>
      <Box sx={{ mt: 3 }}>
        <FormEntry
          control={control}
          name="ohms"
          label="Ohms between its leads: known again by them"
          maxLength={400}
          placeholder="BK–WH 8.2, BN–WH 12.4, BK–BN 20.6 at 25 °C"
        />
      </Box>
      <Fold title="Every plate field" open={Object.keys(reading.faults).length > 0}>
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "1fr 1fr", md: "repeat(4, 1fr)" },
            gap: 3,
            alignItems: "start",
          }}
        >
          {PLATE_FIELDS.map((field) =>
            field.choices ? (
              <Choice
                key={field.id}
                label={field.title}
                value={plate[field.id] ?? ""}
                onChange={(value) => setPlate({ ...plate, [field.id]: value })}
              >
                <option value="">not known</option>
                {Object.entries(field.choices).map(([key, word]) => (
                  <option key={key} value={key}>
                    {word}
                  </option>
                ))}
              </Choice>
            ) : (
              <PlainEntry
                key={field.id}
                label={field.title}
                value={plate[field.id] ?? ""}
                placeholder={field.example}
                onChange={(value) => setPlate({ ...plate, [field.id]: value })}
                fault={reading.faults[field.id]?.says}
              />
            ),
          )}
        </Box>
      </Fold>
    </Box>
  );
}
