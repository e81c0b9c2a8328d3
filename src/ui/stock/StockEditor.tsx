"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useWatch } from "react-hook-form";
import type { StockItem } from "@/core";
import { FormChoice } from "../parts/form/FormChoice";
import { FormEntry } from "../parts/form/FormEntry";
import { Trouble } from "../parts/Trouble";
import { TOUCH } from "../theme/measures";
import { MeanwhileNotice } from "./MeanwhileNotice";
import { StockMotorFields } from "./StockMotorFields";
import { type SeenLine, useStockForm } from "./useStockForm";
import { WhereUsed } from "./WhereUsed";

interface Props {
  readonly line: SeenLine;
  readonly onKept: () => void;
  readonly onRemoved: (item: StockItem) => void;
  readonly onClose: () => void;
}

/** One line of the stock, to add or to change. */
export function StockEditor({ line, onKept, onRemoved, onClose }: Props) {
  const form = useStockForm(line, onKept, onRemoved);
  const { control } = form.fields;
  const kind = useWatch({ control, name: "kind" });
  const { item } = line;
  const isNew = line.version === 0;
  return (
    <Box
      component="form"
      aria-label={isNew ? "A new line" : `Change ${item.name}`}
      onSubmit={form.onSubmit}
      noValidate
      sx={{ borderTop: "3px solid", borderColor: "primary.main", pt: 3, pb: 4, mb: 5 }}
    >
      <Typography variant="h2" sx={{ mb: 2 }}>
        {isNew ? "A new line" : item.name}
      </Typography>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "1fr 1fr", md: "repeat(4, 1fr)" },
          gap: 3,
          alignItems: "start",
        }}
      >
        <FormChoice control={control} name="kind" label="It is a">
          <option value="motor">motor</option>
          <option value="capacitor">capacitor</option>
        </FormChoice>
        <FormEntry control={control} name="name" label="Name" />
        <FormEntry control={control} name="part" label="Part code" />
        <FormEntry control={control} name="place" label="Place" placeholder="van 1" />
        <FormEntry control={control} name="count" label="Counted" />
        <FormEntry control={control} name="minimum" label="Minimum" />
        <FormEntry control={control} name="cost" label="Cost" />
        {kind === "capacitor" ? (
          <FormEntry control={control} name="label" label="Label" placeholder="5 MFD 370" />
        ) : null}
      </Box>
      {kind === "motor" ? <StockMotorFields form={form} /> : null}
      {isNew ? null : <WhereUsed item={item.id} />}
      <MeanwhileNotice form={form} />
      {form.says ? <Trouble sx={{ mt: 3 }}>{form.says}</Trouble> : null}
      <Box sx={{ display: "flex", gap: 3, mt: 3, flexWrap: "wrap" }}>
        <Button type="submit" variant="contained" sx={{ minHeight: TOUCH, px: 6 }}>
          Keep it
        </Button>
        <Button color="inherit" onClick={onClose} sx={{ minHeight: TOUCH }}>
          Close
        </Button>
        {isNew ? null : (
          <Button color="inherit" onClick={() => void form.remove()} sx={{ minHeight: TOUCH, ml: "auto" }}>
            Take it out of the stock
          </Button>
        )}
      </Box>
    </Box>
  );
}
