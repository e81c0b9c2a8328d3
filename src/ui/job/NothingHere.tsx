"use client";

import Box from "@mui/material/Box";
import { useEffect, useState } from "react";
import { PlainLink } from "../parts/PlainLink";
import { bornAt } from "./bornAt";
import { useJob, useJobFacts, useSaving } from "./JobContext";

/** An address made longer ago than this with nothing under it was not made by a touch just now. */
const JUST_NOW_MS = 15 * 60 * 1000;

/** An address under which nothing was ever entered is said to be none: mistyped, or of another shop. */
export function NothingHere() {
  const { id } = useJob();
  const facts = useJobFacts();
  const { saving } = useSaving();
  const [old, setOld] = useState(false);
  useEffect(() => {
    const born = bornAt(id);
    setOld(born === null || Date.now() - born > JUST_NOW_MS);
  }, [id]);
  if (!old || facts.length > 0 || saving.away) return null;
  return (
    <Box
      role="status"
      className="no-print"
      sx={{ borderLeft: "4px solid", borderColor: "warning.main", mx: { xs: 3, md: 6 }, my: 2, pl: 3, py: 1 }}
    >
      <strong>No job is kept under this address.</strong> The shop’s jobs are on the{" "}
      <PlainLink href="/">first page</PlainLink>; what you enter here begins a new one.
    </Box>
  );
}
