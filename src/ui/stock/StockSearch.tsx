import Box from "@mui/material/Box";
import InputBase from "@mui/material/InputBase";
import { Choice } from "../parts/Choice";
import { FieldLabel } from "../parts/FieldLabel";
import { MOST_SEARCHED, type StockAsked } from "./stockClient";

const FIND = "stock-find";

interface Props {
  readonly asked: StockAsked;
  readonly onAsk: (change: Partial<StockAsked>) => void;
}

/** Which lines of the stock are shown. */
export function StockSearch({ asked, onAsk }: Props) {
  return (
    <Box
      component="search"
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr 1fr", md: "2fr 1fr 1fr" },
        gap: 3,
        mb: 3,
        alignItems: "end",
      }}
    >
      <Box sx={{ gridColumn: { xs: "1 / -1", md: "auto" } }}>
        <FieldLabel of={FIND}>Find</FieldLabel>
        <InputBase
          id={FIND}
          type="text"
          value={asked.search}
          placeholder="larkhull 1/3 1075"
          onChange={(event) => onAsk({ search: event.target.value })}
          inputProps={{ maxLength: MOST_SEARCHED, autoComplete: "off", inputMode: "search" }}
          sx={{ width: "100%" }}
        />
      </Box>
      <Choice
        label="What"
        value={asked.kind}
        onChange={(kind) => onAsk({ kind: kind === "motor" || kind === "capacitor" ? kind : "" })}
      >
        <option value="">motors and capacitors</option>
        <option value="motor">motors</option>
        <option value="capacitor">capacitors</option>
      </Choice>
      <Choice
        label="Which"
        value={asked.only}
        onChange={(only) => onAsk({ only: only === "on-hand" || only === "short" ? only : "" })}
      >
        <option value="">all</option>
        <option value="on-hand">on hand</option>
        <option value="short">under the minimum</option>
      </Choice>
    </Box>
  );
}
