"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { familyById, type WiringWish } from "@/core";
import {
  canHavePlug,
  NO_CHANGES,
  type SpeedForecast,
  speedsOf,
  tapName,
  tapSlot,
  turnOfPlan,
} from "@/core/wiring";
import { useAnswer, useJob, useJobWiring, useLatestJob } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { TurnPicture } from "../parts/TurnPicture";
import { rememberSchool } from "./rememberedSchool";

/** What a person chooses of the plan: its school, the speed of each call, the way it turns. */
export function Wishes({ forecast }: { forecast: readonly SpeedForecast[] }) {
  const { job, add } = useJob("wish", "changes");
  const answer = useAnswer();
  const wiring = useJobWiring();
  const latest = useLatestJob();
  if (wiring.kind !== "plan" && wiring.kind !== "retrofit") return null;
  const { plans, asMade, compartment } = wiring;
  const turn = wiring.kind === "plan" ? turnOfPlan(wiring.plan) : null;
  const choose = (change: Partial<WiringWish>) =>
    add({ kind: "wiring-wish", wish: { ...latest().wish, ...change } });
  const speeds = wiring.kind === "plan" ? speedsOf(wiring.motor) : 1;
  const family = familyById(answer?.family ?? null);
  const words = (rank: number) => {
    const expected = forecast.find(({ speed }) => speed === rank);
    if (wiring.kind === "plan" && wiring.fitted.rating.powers)
      return `${tapName(wiring, tapSlot(rank))}${expected ? ` — about ${Math.round(expected.rpm)} rpm, ${Number(expected.amps.toPrecision(2))} A` : ""}`;
    const place = rank === 1 ? ", the fastest" : rank === speeds ? ", the slowest" : "";
    return `${rank}${place}${expected ? ` — about ${Math.round(expected.rpm)} rpm, ${Number(expected.amps.toPrecision(2))} A` : ""}`;
  };
  return (
    <>
      {plans.length > 1 ? (
        <Choice
          label={
            plans.some(({ id }) => id === "keep-one-dual")
              ? "Keep the dual, or a separate capacitor"
              : "How the capacitor is wired"
          }
          value={asMade.id}
          onChange={(plan) => {
            rememberSchool(plan);
            choose({ plan });
          }}
        >
          {plans.map(({ id, school }) => (
            <option key={id} value={id}>
              {school}
            </option>
          ))}
        </Choice>
      ) : null}
      {speeds > 1
        ? asMade.wanted.map(({ call, speed }) => (
            <Choice
              key={call}
              label={`${wiring.kind === "plan" && wiring.fitted.rating.powers ? "Power lead" : "Speed"} for ${compartment.calls.find(({ id }) => id === call)?.name.toLowerCase() ?? call}`}
              value={String(speed)}
              onChange={(value) => choose({ speeds: { ...latest().wish.speeds, [call]: Number(value) } })}
            >
              {Array.from({ length: speeds }, (_, i) => i + 1).map((rank) => (
                <option key={rank} value={rank}>
                  {words(rank)}
                </option>
              ))}
            </Choice>
          ))
        : null}
      {wiring.kind === "plan" ? (
        <Box>
          <Choice
            label="Turns"
            value={job.wish.reversed ? (job.wish.turnBy ?? "leads") : "plate"}
            onChange={(value) =>
              choose({ reversed: value !== "plate", turnBy: value === "plug" ? "plug" : "leads" })
            }
          >
            <option value="plate">as the plate’s drawing has it</option>
            <option value="leads">the other way, by its leads</option>
            {canHavePlug(wiring.motor) ? (
              <option value="plug">the other way, by the plug of its start winding</option>
            ) : null}
          </Choice>
          {turn ? <TurnPicture rotation={turn} /> : null}
          <Box sx={{ color: "text.secondary", fontSize: "0.875rem", mt: 1 }}>
            Reversed by {family?.reverseBy ?? "the plate’s drawing"}. Never by turning the blade over.
          </Box>
        </Box>
      ) : null}
      {job.changes === NO_CHANGES ? null : (
        <Button color="inherit" onClick={() => add({ kind: "as-planned" })}>
          Take back every change by hand
        </Button>
      )}
    </>
  );
}
