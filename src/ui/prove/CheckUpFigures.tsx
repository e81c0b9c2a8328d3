import Box from "@mui/material/Box";
import { turnedBy } from "@/core";
import { CHECK_UP, type ProvingObservation } from "@/core/proving";
import { useJob, useJobWiring, useLatestJob } from "../job/JobContext";
import { KeptEntry } from "../parts/KeptEntry";
import { FigureEntry } from "./FigureEntry";
import { Labelled } from "./Labelled";
import { PressureEntry } from "./PressureEntry";
import { PumpSwitch } from "./PumpSwitch";

const { call, lead } = CHECK_UP;

/** What is read of a motor that runs where it is: volts, amps, a pump's pressure, the capacitor. */
export function CheckUpFigures({ onSeen }: { onSeen: (seen: ProvingObservation) => void }) {
  const { job, add } = useJob("plates", "capacitor", "proof", "leads");
  const latest = useLatestJob();
  const wiring = useJobWiring();
  return (
    <Box sx={{ display: "grid", gap: 3, mt: 3 }}>
      <Labelled words="Volts under load">
        <FigureEntry
          label="Volts under load"
          unit="V"
          onFigure={(volts) =>
            volts === "open"
              ? undefined
              : onSeen({ what: "supply-volts", call, between: ["L1", "L2"], volts })
          }
        />
      </Labelled>
      <Labelled words="Amps on a line">
        <FigureEntry
          label="Amps on a line"
          unit="A"
          onFigure={(amps) => (amps === "open" ? undefined : onSeen({ what: "line-amps", call, lead, amps }))}
        />
      </Labelled>
      {turnedBy(job).kind === "pump" ? (
        <>
          <PumpSwitch />
          <PressureEntry
            check={{ what: "pressure", call, at: "running", because: "", power: "on" }}
            label="Pressure"
            onSeen={onSeen}
          />
        </>
      ) : null}
      {wiring.kind === "retrofit" ? null : (
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "1fr", sm: "1fr 2fr" },
            gap: 3,
            alignItems: "end",
          }}
        >
          <KeptEntry
            label="Capacitor, its label"
            value={job.capacitor.present}
            placeholder="35+5 440"
            maxLength={60}
            onKeep={(text) => {
              add({ kind: "capacitor", choice: { ...latest().capacitor, present: text.trim() } });
              return null;
            }}
          />
          <Labelled words="µF measured, power off">
            <FigureEntry
              label="µF measured"
              unit="µF"
              onFigure={(microfarads) =>
                microfarads === "open"
                  ? undefined
                  : onSeen({ what: "capacitor-microfarads", at: "fan", microfarads })
              }
            />
          </Labelled>
        </Box>
      )}
    </Box>
  );
}
