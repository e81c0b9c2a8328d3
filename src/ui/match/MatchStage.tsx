"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import NextLink from "next/link";
import { useState } from "react";
import { readPlate } from "@/core";
import { differences, type Offer, RETROFIT_STEPS, type RuledOut, retrofitSize } from "@/core/replacement";
import { needOf } from "@/core/stock";
import { TakeButton } from "../cap/TakeButton";
import { useShelf } from "../cap/useShelf";
import { useJob } from "../job/JobContext";
import { UndoButtons } from "../job/UndoButtons";
import { brought } from "../parts/brought";
import { Coming } from "../parts/Coming";
import { Fold } from "../parts/Fold";
import { WholePlateEntry } from "../plate/WholePlateEntry";
import { OfferLine } from "./OfferLine";
import { useMatches } from "./useMatches";

const Mounting = dynamic(() => brought(import("./Mounting").then((made) => made.Mounting)), {
  loading: Coming,
});
const RunPlanView = dynamic(() => brought(import("../cap/RunPlanView").then((made) => made.RunPlanView)), {
  loading: Coming,
});

const SHOWN_FIRST = 6;

/** Match: what of the stock could take the old motor's place, ranked, with the reasons; then the chosen one in full. */
export function MatchStage() {
  const { id, job, add } = useJob("plates", "place", "used", "chosen");
  const matches = useMatches(job);
  const [all, setAll] = useState(false);
  const known = Object.keys(job.plates.old).length > 0;
  const choose = (offer: Offer) => {
    const { candidate } = offer;
    const plate = matches.data?.typed[candidate.id];
    if (!plate) return;
    add({
      kind: "chosen",
      motor: job.chosen?.item === candidate.id ? null : { item: candidate.id, name: candidate.name, plate },
    });
  };
  const data = matches.data;
  const offers = data?.offers ?? [];
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,7fr) minmax(0,5fr)" },
        gap: { xs: 6, md: 10 },
      }}
    >
      <Box sx={{ minWidth: 0 }}>
        <Box
          component="section"
          aria-label="Candidates"
          sx={{ borderTop: "3px solid", borderColor: "primary.main", pt: 3 }}
        >
          <Typography variant="h2">What could take its place</Typography>
          {!known ? (
            <Box sx={{ mt: 2 }}>
              <WholePlateEntry motor="old" focused />
              <Typography sx={{ color: "text.secondary" }}>
                One figure is enough to begin; field by field it is typed in{" "}
                <Link component={NextLink} href={`/jobs/${id}/plate`}>
                  Plate
                </Link>
                .
              </Typography>
            </Box>
          ) : matches.isError ? (
            <Typography role="alert" sx={{ mt: 2, color: "warning.main", fontWeight: 600 }}>
              The stock cannot be had from the server just now. What you typed is kept; it is asked again when
              you come back to this page.
            </Typography>
          ) : !data ? (
            <Typography role="status" sx={{ mt: 2 }}>
              Going through the stock …
            </Typography>
          ) : (
            <>
              <Typography role="status" sx={{ mt: 1, color: "text.secondary" }}>
                {data.offered} of {data.offered + data.refused} motors serve; best first.
              </Typography>
              {offers.length === 0 ? (
                <Typography sx={{ mt: 2 }}>
                  None of the stock serves. The reasons are below; add motors in{" "}
                  <Link component={NextLink} href="/stock">
                    Stock
                  </Link>
                  .
                </Typography>
              ) : null}
              <Box component="ol" sx={{ listStyle: "none", m: 0, mt: 2, p: 0 }}>
                {(all ? offers : offers.slice(0, SHOWN_FIRST)).map((offer, i) => (
                  <OfferLine
                    key={offer.candidate.id}
                    offer={offer}
                    rank={i + 1}
                    chosen={job.chosen?.item === offer.candidate.id}
                    onChoose={() => choose(offer)}
                  />
                ))}
              </Box>
              {!all && offers.length > SHOWN_FIRST ? (
                <Button color="inherit" onClick={() => setAll(true)} sx={{ minHeight: 48, mt: 2 }}>
                  {offers.length - SHOWN_FIRST} more
                </Button>
              ) : null}
              <Fold title="Ruled out" summary={`${data.refused}, each with its reason`}>
                <RuledOutList list={data.ruledOut} total={data.refused} />
              </Fold>
            </>
          )}
        </Box>
        <Box sx={{ mt: 4 }}>
          <UndoButtons />
        </Box>
      </Box>
      <Chosen />
    </Box>
  );
}

function RuledOutList({ list, total }: { list: readonly RuledOut[]; total: number }) {
  return (
    <>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {list.map(({ candidate, because }) => (
          <Box
            component="li"
            key={candidate.id}
            sx={{ borderTop: "1px solid", borderColor: "divider", py: 1 }}
          >
            <b>{candidate.name}</b>: {because.map(({ says }) => says).join(" ")}
          </Box>
        ))}
      </Box>
      {total > list.length ? (
        <Typography sx={{ mt: 1, color: "text.secondary" }}>
          {total - list.length} more are further off than these.
        </Typography>
      ) : null}
    </>
  );
}

/** The chosen motor: what differs, its capacitor, how it is mounted. All on one page. */
function Chosen() {
  const { job } = useJob("chosen", "used", "plates", "place", "capacitor");
  const { chosen } = job;
  const shelf = useShelf(JSON.stringify(job.used));
  const plates = { old: readPlate(job.plates.old).plate, new: readPlate(job.plates.new).plate };
  const need = needOf({ old: job.plates.old, place: job.place });
  const size = plates.new.kind === "retrofit" ? retrofitSize(need) : null;
  if (!chosen)
    return (
      <Box component="section" aria-label="Chosen motor">
        <Typography variant="h2">Chosen</Typography>
        <Typography sx={{ mt: 2, color: "text.secondary" }}>
          None yet. Choosing one fills the new motor’s plate, its capacitor and the checklist for mounting.
        </Typography>
      </Box>
    );
  const all = differences(plates.old, plates.new);
  const differ = all.filter(({ old, candidate }) => old !== null && candidate !== null);
  const unknown = all.filter(({ old }) => old === null);
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
      <Box>
        <Typography variant="h3" sx={{ fontSize: "1rem", fontWeight: 700 }}>
          What differs
        </Typography>
        {differ.length === 0 ? (
          <Typography sx={{ mt: 1 }}>Nothing that both plates tell.</Typography>
        ) : (
          <Box
            component="table"
            sx={{
              borderCollapse: "collapse",
              width: "100%",
              mt: 1,
              "& th, & td": {
                textAlign: "left",
                verticalAlign: "top",
                py: 1,
                pr: 2,
                borderBottom: "1px solid",
                borderColor: "divider",
                fontSize: "0.9375rem",
              },
              "& thead th": { fontSize: "0.875rem", color: "text.secondary" },
            }}
          >
            <thead>
              <tr>
                <th scope="col">field</th>
                <th scope="col">old</th>
                <th scope="col">new</th>
              </tr>
            </thead>
            <tbody>
              {differ.map(({ field, title, old, candidate }) => (
                <tr key={field}>
                  <th scope="row">{title}</th>
                  <td>{old}</td>
                  <td>{candidate}</td>
                </tr>
              ))}
            </tbody>
          </Box>
        )}
        {unknown.length > 0 ? (
          <Typography sx={{ mt: 1, color: "text.secondary", fontSize: "0.875rem" }}>
            Not known of the old one: {unknown.map(({ title }) => title.toLowerCase()).join(", ")}.
          </Typography>
        ) : null}
      </Box>
      <Box>
        <Typography variant="h3" sx={{ fontSize: "1rem", fontWeight: 700, mb: 1 }}>
          Its capacitor
        </Typography>
        {plates.new.kind === "retrofit" ? (
          <Typography>An electronic motor has no run capacitor: the old one goes.</Typography>
        ) : (
          <RunPlanView
            plate={plates.new}
            old={plates.old}
            choice={{
              ...job.capacitor,
              present:
                job.capacitor.present ||
                (plates.old.runCapacitor
                  ? `${plates.old.runCapacitor.microfarads} ${plates.old.runCapacitor.volts ?? ""}`.trim()
                  : ""),
            }}
            shelf={shelf.data ?? []}
            short
          />
        )}
      </Box>
      {plates.new.kind === "retrofit" ? (
        <Box>
          <Typography variant="h3" sx={{ fontSize: "1rem", fontWeight: 700 }}>
            The retrofit
          </Typography>
          {size ? <Typography sx={{ mt: 1 }}>{size.says}</Typography> : null}
          <Box component="ol" sx={{ m: 0, mt: 1, pl: 5 }}>
            {RETROFIT_STEPS.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </Box>
        </Box>
      ) : null}
      <Mounting need={need} name={chosen.name} plate={plates.new} />
    </Box>
  );
}
