"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { lazy, Suspense } from "react";
import { useJob } from "../job/JobContext";
import { UndoButtons } from "../job/UndoButtons";
import { Fold } from "../parts/Fold";
import { Verdict } from "../parts/Verdict";
import { TOUCH } from "../theme/theme";
import { EquipmentChoice } from "../trace/EquipmentChoice";
import { CheckPanel } from "./CheckPanel";
import { DrawingPanel } from "./DrawingPanel";
import { KickPanel } from "./KickPanel";
import { MarksPanel } from "./MarksPanel";
import { SettingPanel } from "./SettingPanel";
import { SetVolts } from "./SetVolts";
import { StepList } from "./StepList";
import { SupplyPanel } from "./SupplyPanel";
import { useSteps } from "./useSteps";
import { useWiringCheck } from "./useWiringCheck";
import { VoltagePanel } from "./VoltagePanel";
import { Wishes } from "./Wishes";

/** Its charts are heavy: brought when somebody unfolds them. */
const RunPanel = lazy(() => import("./RunPanel").then((made) => ({ default: made.RunPanel })));

/** Land: the plan to follow one wire at a time beside its drawing, and the check that runs it before power. */
export function LandStage() {
  const { wiring, job } = useJob();
  const check = useWiringCheck();
  const work = useSteps();
  // Nothing of the motor's leads or its machine yet: what is asked then is its voltage.
  const begun = job.leads.length > 0 || job.compartment !== null || wiring.kind === "retrofit";
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr)", gap: { xs: 5, md: 6 } }}>
      {work ? null : begun ? <NotYet /> : <SetVolts />}
      <LandedOn planned={work !== null} />
      {work && check ? (
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,1fr) minmax(0,1fr)" },
            gap: { xs: 6, md: 8 },
          }}
        >
          <Box sx={{ minWidth: 0 }}>
            <StepList work={work} check={check} />
          </Box>
          <Box
            sx={{
              minWidth: 0,
              alignSelf: "start",
              position: { md: "sticky" },
              top: 8,
              maxHeight: { md: "calc(100vh - 80px)" },
              overflowY: { md: "auto" },
              "@media print": { position: "static", maxHeight: "none", overflow: "visible" },
            }}
          >
            <DrawingPanel work={work} check={check} />
          </Box>
        </Box>
      ) : null}
      {wiring.kind === "unproved" ? <Ends open /> : null}
      {work && check ? (
        <>
          <CheckPanel check={check} />
          <More />
        </>
      ) : null}
      <UndoButtons />
    </Box>
  );
}

/** The equipment, and what a person chooses of the plan: one line once it is planned. */
function LandedOn({ planned }: { planned: boolean }) {
  const { wiring } = useJob();
  const inside = (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "repeat(2, minmax(0,1fr))" },
        gap: 4,
        maxWidth: 900,
        alignItems: "start",
      }}
    >
      <EquipmentChoice />
      {planned ? <Wishes /> : null}
    </Box>
  );
  if (wiring.kind !== "plan" && wiring.kind !== "retrofit")
    return (
      <Box component="section" aria-label="What it is landed on" className="no-print">
        <Typography variant="h2" sx={{ mb: 2 }}>
          Landed on
        </Typography>
        {inside}
      </Box>
    );
  const { compartment, school } = wiring.plan;
  return (
    <Box className="no-print">
      <Fold
        title="Landed on"
        summary={[compartment.title, `${Math.round(compartment.supply.volts)} V`, school]
          .filter((part) => part !== "")
          .join(" · ")}
      >
        {inside}
      </Fold>
    </Box>
  );
}

/** What is seldom needed beside the steps: ends, settings, the supply, the plan run on screen. */
function More() {
  const { wiring } = useJob();
  if (wiring.kind !== "plan" && wiring.kind !== "retrofit") return null;
  return (
    <Box className="no-print">
      {wiring.kind === "plan" && wiring.motor.feeding.endsMatter.length > 0 ? <Ends /> : null}
      <InsideSetting />
      <Fold
        title="Which supply it is"
        summary={`${Math.round(wiring.compartment.supply.volts)} V, ${wiring.compartment.supply.hertz} Hz`}
      >
        <SupplyPanel />
      </Fold>
      {wiring.kind === "plan" && wiring.motor.feeding.twoVoltages ? (
        <Fold title="Voltage setting" summary={`set for the ${wiring.plan.setting} volts by this plan`}>
          <VoltagePanel />
        </Fold>
      ) : null}
      {wiring.kind === "plan" ? (
        <Fold title="Run it on screen" summary="choose a call, change something, see the difference">
          <Suspense fallback={<Typography role="status">Coming …</Typography>}>
            <RunPanel />
          </Suspense>
        </Fold>
      ) : null}
    </Box>
  );
}

/** Which end of each coil is which: by battery kicks, or by the numbers on the leads. */
function Ends({ open = false }: { open?: boolean }) {
  const { wiring } = useJob();
  if (wiring.kind !== "plan" && wiring.kind !== "unproved") return null;
  const proved = wiring.motor.unproved.length === 0;
  return (
    <Fold
      title="Numbers on the leads"
      open={open}
      summary={proved ? "every end is proved" : "which end is which is not proved"}
    >
      <Box sx={{ display: "grid", gap: 6 }}>
        <KickPanel />
        <MarksPanel />
      </Box>
    </Fold>
  );
}

/** How a motor of two voltages, or a module, is set inside; nothing for any other. */
function InsideSetting() {
  const { wiring } = useJob();
  if (wiring.kind === "plan") {
    const set = wiring.fitted.rating.insideSetting;
    return set ? (
      <Fold
        title="Set inside"
        open={set.now === null}
        summary={set.now ? `for ${Math.round(set.volts[set.now])} V` : "nobody has looked"}
      >
        <SettingPanel low={set.volts.low} high={set.volts.high} />
      </Fold>
    ) : null;
  }
  if (wiring.kind !== "retrofit" || wiring.plated.length < 2) return null;
  const [low, high] = [wiring.plated[0], wiring.plated.at(-1)];
  return low && high ? (
    <Fold
      title="The module’s jumper"
      open={wiring.plan.moduleVolts === undefined}
      summary={wiring.plan.moduleVolts ? `for ${wiring.plan.moduleVolts} V` : "nobody has looked"}
    >
      <SettingPanel low={low.high} high={high.high} module />
    </Fold>
  ) : null;
}

/** Why there is nothing to land yet, and what to do about it. */
function NotYet() {
  const { wiring, job, add } = useJob();
  if (wiring.kind === "plan" || wiring.kind === "retrofit") return null;
  const stop = wiring.kind === "unproved" || (wiring.kind === "not-settled" && wiring.stop);
  const says =
    wiring.kind === "no-equipment"
      ? [
          "Say first what it is landed on: choose the equipment here, or in Trace with the old wiring.",
          ...(job.leads.length === 0 ? ["Then enter the leads and their readings in Probe."] : []),
        ]
      : wiring.kind === "refused"
        ? wiring.faults.map((fault) => fault.says)
        : wiring.kind === "unproved"
          ? wiring.says
          : [wiring.says];
  return (
    <Box
      role="status"
      sx={{ borderLeft: "4px solid", borderColor: stop ? "error.main" : "warning.main", pl: 4, py: 2 }}
    >
      <Verdict weight={stop ? "stop" : "again"} word={stop ? "Stop" : "Not yet"} />
      {says.map((line) => (
        <Typography key={line} sx={{ mt: 1 }}>
          {line}
        </Typography>
      ))}
      {wiring.kind === "refused" && job.wish.reversed && wiring.plug ? (
        <Button
          sx={{ mt: 2, mr: 2, minHeight: TOUCH }}
          onClick={() => add({ kind: "wiring-wish", wish: { ...job.wish, turnBy: "plug" } })}
        >
          It has a plug for rotation: turn that
        </Button>
      ) : null}
      {wiring.kind === "refused" && (job.wish.reversed || Object.keys(job.wish.speeds).length > 0) ? (
        <Button
          sx={{ mt: 2, minHeight: TOUCH }}
          onClick={() => add({ kind: "wiring-wish", wish: { ...job.wish, speeds: {}, reversed: false } })}
        >
          Back to the usual speeds and turn
        </Button>
      ) : null}
    </Box>
  );
}
