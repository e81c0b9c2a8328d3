"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import Typography from "@mui/material/Typography";
import NextLink from "next/link";
import { useState } from "react";
import type { Offer, RuledOut } from "@/core/replacement";
import { useJob } from "../job/JobContext";
import { UndoButtons } from "../job/UndoButtons";
import { afterPending } from "../parts/afterPending";
import { Fold } from "../parts/Fold";
import { Trouble } from "../parts/Trouble";
import { WholePlateEntry } from "../plate/WholePlateEntry";
import { ChosenMotor } from "./ChosenMotor";
import { OfferLine } from "./OfferLine";
import { useMatches } from "./useMatches";

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
            <Trouble sx={{ mt: 2 }}>
              The stock cannot be had from the server just now. What you typed is kept; it is asked again when
              you come back to this page.
            </Trouble>
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
        {matches.isLoading ? null : (
          <Box sx={{ mt: 4 }}>
            <UndoButtons />
          </Box>
        )}
      </Box>
      <Box sx={{ ...afterPending(matches.isLoading), alignContent: "start", minWidth: 0 }}>
        <ChosenMotor />
      </Box>
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
