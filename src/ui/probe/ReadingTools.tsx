import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { memo, type ReactNode } from "react";
import { useJob } from "../job/JobContext";
import { useInstrumentAddress } from "../parts/instrumentAddress";
import { simulatedMeter } from "./simulatedMeter";
import type { MeterSource } from "./useMeter";

interface Props {
  readonly keypad: boolean;
  readonly onKeypad: (shown: boolean) => void;
  readonly pasting: boolean;
  readonly onPasting: (pasting: boolean) => void;
  readonly live: MeterSource | null;
  readonly onLive: (source: MeterSource | null) => void;
}

/** Other ways to bring a reading in: keypad, a pasted table, a meter. */
export const ReadingTools = memo(function ReadingTools(props: Props) {
  const { keypad, onKeypad, pasting, onPasting, live, onLive } = props;
  const { id, job } = useJob("leads");
  const [address] = useInstrumentAddress("ohms");
  const leads = job.leads.map((lead) => lead.id);
  return (
    <Box sx={{ display: "flex", gap: 2, mt: 2 }}>
      <Tool aria-pressed={keypad} onClick={() => onKeypad(!keypad)}>
        {keypad ? "Hide keypad" : "Keypad"}
      </Tool>
      <Tool aria-expanded={pasting} onClick={() => onPasting(!pasting)}>
        Paste a table
      </Tool>
      {live ? (
        <Tool onClick={() => onLive(null)}>Detach the meter</Tool>
      ) : (
        <>
          {address ? (
            <Tool onClick={() => onLive({ kind: "address", address })}>Attach the meter</Tool>
          ) : null}
          <Tool onClick={() => onLive(simulatedMeter(id, leads))}>Simulated meter</Tool>
        </>
      )}
    </Box>
  );
});

interface ToolProps {
  readonly onClick: () => void;
  readonly children: ReactNode;
  readonly "aria-pressed"?: boolean;
  readonly "aria-expanded"?: boolean;
}

function Tool(props: ToolProps) {
  return <Button color="inherit" size="small" sx={{ minHeight: 44 }} {...props} />;
}
