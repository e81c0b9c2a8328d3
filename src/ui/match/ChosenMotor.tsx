"use client";

import Box from "@mui/material/Box";
import Table from "@mui/material/Table";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import type { ReactNode } from "react";
import { type Plate, readPlate } from "@/core";
import { differences, RETROFIT_STEPS, retrofitSize } from "@/core/replacement";
import { needOf } from "@/core/stock";
import { TakeButton } from "../cap/TakeButton";
import { useShelf } from "../cap/useShelf";
import { useJob } from "../job/JobContext";
import { brought } from "../parts/brought";
import { Coming } from "../parts/Coming";
import { useWords } from "../words/UsageProvider";

const Mounting = dynamic(() => brought(import("./Mounting").then((made) => made.Mounting)), {
  loading: Coming,
});
const RunPlanView = dynamic(() => brought(import("../cap/RunPlanView").then((made) => made.RunPlanView)), {
  loading: Coming,
});

/** The chosen motor: what differs, its capacitor, how it is mounted. All on one page. */
export function ChosenMotor() {
  const words = useWords();
  const { job } = useJob("chosen", "used", "plates", "place", "capacitor");
  const { chosen } = job;
  const shelf = useShelf(JSON.stringify(job.used));
  if (!chosen)
    return (
      <Box component="section" aria-label="Chosen motor">
        <Typography variant="h2">Chosen</Typography>
        <Typography sx={{ mt: 2, color: "text.secondary" }}>
          None yet. Choosing one fills the new motor’s plate, its capacitor and the checklist for mounting.
        </Typography>
      </Box>
    );
  const plates = { old: readPlate(job.plates.old).plate, new: readPlate(job.plates.new).plate };
  const need = needOf({ old: job.plates.old, place: job.place });
  const isRetrofit = plates.new.kind === "retrofit";
  const size = isRetrofit ? retrofitSize(need) : null;
  return (
    <Box
      component="section"
      aria-label="Chosen motor"
      sx={{ display: "grid", gap: 5, alignContent: "start", minWidth: 0 }}
    >
      <Box sx={{ display: "flex", gap: 3, alignItems: "center", flexWrap: "wrap" }}>
        <Typography variant="h2" sx={{ flex: "1 1 200px" }}>
          Chosen: {chosen.name}
        </Typography>
        {chosen.item ? <TakeButton item={chosen.item} name={chosen.name} /> : null}
      </Box>
      <WhatDiffers {...plates} />
      <Part title="Its capacitor">
        {isRetrofit ? (
          <Typography>An electronic motor has no run capacitor: the old one goes.</Typography>
        ) : (
          <RunPlanView
            plate={plates.new}
            old={plates.old}
            choice={{ ...job.capacitor, present: job.capacitor.present || inPlaceBy(plates.old) }}
            shelf={shelf.isPending ? null : (shelf.data ?? [])}
            short
          />
        )}
      </Part>
      {isRetrofit ? (
        <Part title="The retrofit">
          {size ? <Typography>{words(size.says)}</Typography> : null}
          <Box component="ol" sx={{ m: 0, mt: 1, pl: 5 }}>
            {RETROFIT_STEPS.map((step) => (
              <li key={step}>{words(step)}</li>
            ))}
          </Box>
        </Part>
      ) : null}
      {/* It would jump when the truck's parts come above it. */}
      {isRetrofit || !shelf.isPending ? <Mounting need={need} name={chosen.name} plate={plates.new} /> : null}
    </Box>
  );
}

/** The old motor's capacitor as its plate tells it, for where nobody typed what is in place. */
function inPlaceBy({ runCapacitor }: Plate): string {
  return runCapacitor ? `${runCapacitor.microfarads} ${runCapacitor.volts ?? ""}`.trim() : "";
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box>
      <Typography variant="h3" sx={{ fontSize: "1rem", fontWeight: 700, mb: 1 }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}

function WhatDiffers({ old, new: other }: Record<"old" | "new", Plate>) {
  const all = differences(old, other);
  const differ = all.filter((one) => one.old !== null && one.candidate !== null);
  const unknown = all.filter((one) => one.old === null);
  return (
    <Part title="What differs">
      {differ.length === 0 ? (
        <Typography>Nothing that both plates tell.</Typography>
      ) : (
        <Table sx={{ fontSize: "0.9375rem" }}>
          <thead>
            <tr>
              <th scope="col">field</th>
              <th scope="col">old</th>
              <th scope="col">new</th>
            </tr>
          </thead>
          <tbody>
            {differ.map((one) => (
              <tr key={one.field}>
                <th scope="row">{one.title}</th>
                <td>{one.old}</td>
                <td>{one.candidate}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      {unknown.length > 0 ? (
        <Typography sx={{ mt: 1, color: "text.secondary", fontSize: "0.875rem" }}>
          Not known of the old one: {unknown.map(({ title }) => title.toLowerCase()).join(", ")}.
        </Typography>
      ) : null}
    </Part>
  );
}
