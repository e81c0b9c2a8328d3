"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import type { StockItem } from "@/core";
import { Choice } from "../parts/Choice";
import { PlainEntry } from "../parts/PlainEntry";
import { TOUCH } from "../theme/theme";
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
  const { kind, typed, set, faults } = form;
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
        <Choice
          label="It is a"
          value={kind}
          onChange={(value) => form.setKind(value === "capacitor" ? "capacitor" : "motor")}
        >
          <option value="motor">motor</option>
          <option value="capacitor">capacitor</option>
        </Choice>
        <PlainEntry label="Name" value={typed.name} onChange={set("name")} fault={faults.name} />
        <PlainEntry label="Part code" value={typed.part} onChange={set("part")} fault={faults.part} />
        <PlainEntry
          label="Place"
          value={typed.place}
          onChange={set("place")}
          placeholder="van 1"
          fault={faults.place}
        />
        <PlainEntry label="Counted" value={typed.count} onChange={set("count")} fault={faults.count} />
        <PlainEntry label="Minimum" value={typed.minimum} onChange={set("minimum")} fault={faults.minimum} />
        <PlainEntry label="Cost" value={typed.cost} onChange={set("cost")} fault={faults.cost} />
        {kind === "capacitor" ? (
          <PlainEntry
            label="Label"
            value={typed.label}
            onChange={set("label")}
            placeholder="5 MFD 370"
            fault={faults.label}
          />
        ) : null}
      </Box>
      {kind === "motor" ? <StockMotorFields form={form} /> : null}
      {isNew ? null : <WhereUsed item={item.id} />}
      <MeanwhileNotice form={form} />
      {form.says ? (
        <Typography role="alert" sx={{ mt: 3, color: "warning.main", fontWeight: 600 }}>
          {form.says}
        </Typography>
      ) : null}
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
