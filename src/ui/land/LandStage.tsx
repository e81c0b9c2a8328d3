"use client";

import dynamic from "next/dynamic";
import { feedingOf } from "@/core/wiring";
import { useJob, useJobWiring } from "../job/JobContext";
import { UndoButtons } from "../job/UndoButtons";
import { brought } from "../parts/brought";
import { Coming } from "../parts/Coming";
import { Fold } from "../parts/Fold";
import { useAtFirst } from "../parts/useAtFirst";
import { CheckPanel } from "./CheckPanel";
import { DrawingPanel } from "./DrawingPanel";
import { LandedOn } from "./LandedOn";
import look from "./LandStage.module.css";
import { MarksPanel } from "./MarksPanel";
import { NotYet } from "./NotYet";
import { SetVolts } from "./SetVolts";
import { StepList } from "./StepList";
import { useSteps } from "./useSteps";
import { useWiringCheck } from "./useWiringCheck";

const KickPanel = dynamic(() => brought(import("./KickPanel").then((made) => made.KickPanel)), {
  loading: Coming,
});
const SettingPanel = dynamic(() => brought(import("./SettingPanel").then((made) => made.SettingPanel)), {
  loading: Coming,
});
const VoltagePanel = dynamic(() => brought(import("./VoltagePanel").then((made) => made.VoltagePanel)), {
  loading: Coming,
});
const SupplyPanel = dynamic(() => brought(import("./SupplyPanel").then((made) => made.SupplyPanel)), {
  loading: Coming,
});

/** Its charts are heavy: brought when somebody unfolds them. */
const RunPanel = dynamic(() => brought(import("./RunPanel").then((made) => made.RunPanel)), {
  loading: Coming,
});

/** Land: the plan to follow one wire at a time beside its drawing, and the check that runs it before power. */
export function LandStage() {
  const { job } = useJob("leads", "compartment");
  const wiring = useJobWiring();
  const check = useWiringCheck();
  const work = useSteps();
  const awaits = useAtFirst(wiring.kind === "on-its-way");
  // Nothing of the motor's leads or its machine yet: what is asked then is its voltage.
  const begun = job.leads.length > 0 || job.compartment !== null || wiring.kind === "retrofit";
  return (
    <div className={look.stage}>
      {work ? null : begun ? <NotYet /> : <SetVolts />}
      {awaits ? null : <LandedOn check={work ? check : null} />}
      {work && check ? (
        <div className={look.work}>
          <div className={look.list}>
            <StepList work={work} check={check} />
          </div>
          <div className={look.drawing}>
            <DrawingPanel work={work} check={check} />
          </div>
        </div>
      ) : null}
      {wiring.kind === "unproved" ? <Ends open /> : null}
      {work && check ? (
        <>
          <CheckPanel check={check} />
          <More />
        </>
      ) : null}
      {awaits ? null : <UndoButtons />}
    </div>
  );
}

/** What is seldom needed beside the steps: ends, settings, the supply, the plan run on screen. */
function More() {
  const wiring = useJobWiring();
  if (wiring.kind !== "plan" && wiring.kind !== "retrofit") return null;
  return (
    <div className="no-print">
      {wiring.kind === "plan" && feedingOf(wiring.motor).endsMatter.length > 0 ? <Ends /> : null}
      <InsideSetting />
      <Fold
        title="Which supply it is"
        summary={`${Math.round(wiring.compartment.supply.volts)} V, ${wiring.compartment.supply.hertz} Hz`}
      >
        <SupplyPanel />
      </Fold>
      {wiring.kind === "plan" && feedingOf(wiring.motor).twoVoltages ? (
        <Fold title="Voltage setting" summary={`set for the ${wiring.plan.lands.setting} volts by this plan`}>
          <VoltagePanel />
        </Fold>
      ) : null}
      {wiring.kind === "plan" ? (
        <Fold title="Run it on screen" summary="choose a call, change something, see the difference">
          <RunPanel />
        </Fold>
      ) : null}
    </div>
  );
}

/** Which end of each coil is which: by battery kicks, or by the numbers on the leads. */
function Ends({ open = false }: { open?: boolean }) {
  const wiring = useJobWiring();
  if (wiring.kind !== "plan" && wiring.kind !== "unproved") return null;
  const proved = wiring.motor.unproved.length === 0;
  return (
    <Fold
      title="Numbers on the leads"
      open={open}
      summary={proved ? "every end is proved" : "which end is which is not proved"}
    >
      <div className={look.ends}>
        <KickPanel />
        <MarksPanel />
      </div>
    </Fold>
  );
}

/** How a motor of two voltages, or a module, is set inside; nothing for any other. */
function InsideSetting() {
  const wiring = useJobWiring();
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
      open={wiring.plan.lands.setFor === null}
      summary={wiring.plan.lands.setFor ? `for ${wiring.plan.lands.setFor} V` : "nobody has looked"}
    >
      <SettingPanel low={low.high} high={high.high} module />
    </Fold>
  ) : null;
}
