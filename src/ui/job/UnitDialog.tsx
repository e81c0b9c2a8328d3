"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { type FormEvent, useId, useState } from "react";
import { v7 as uuid } from "uuid";
import { asked } from "@/contract/call";
import { listUnits, type UnitLine } from "@/contract/routes/jobs";
import { PlainEntry } from "../parts/PlainEntry";
import { PlainLink } from "../parts/PlainLink";
import { serverQueries } from "../parts/serverQueries";
import { TOUCH } from "../theme/theme";
import { useJob } from "./JobContext";

/** Names the unit that the job is a visit of: one that the shop has been to, found as it is typed, or a new one. */
export function UnitDialog({ onClose }: { onClose: () => void }) {
  const { job, add } = useJob("unit");
  const title = useId();
  const [draft, setDraft] = useState({
    name: job.unit?.name ?? "",
    position: job.unit?.position ?? "",
    site: job.unit?.site ?? "",
    customer: job.unit?.customer ?? "",
  });
  const [chosen, setChosen] = useState<string | null>(job.unit?.id ?? null);
  const name = draft.name.trim();
  const found = useQuery(
    {
      queryKey: ["units", name],
      enabled: name !== "" && chosen === null,
      staleTime: 10_000,
      retry: 0,
      queryFn: async ({ signal }) =>
        (await asked(listUnits, { query: { search: name, most: 6 }, signal })).units,
    },
    serverQueries(),
  );
  const set = (change: Partial<typeof draft>) => setDraft({ ...draft, ...change });
  const take = (unit: UnitLine) => {
    setChosen(unit.id);
    set({ name: unit.name, site: unit.site, customer: unit.customer });
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (name === "") {
      if (job.unit) add({ kind: "unit", unit: null });
    } else {
      const unit = {
        id: chosen ?? uuid(),
        name,
        position: draft.position.trim(),
        site: draft.site.trim(),
        customer: draft.customer.trim(),
      };
      if (JSON.stringify(unit) !== JSON.stringify(job.unit)) add({ kind: "unit", unit });
    }
    onClose();
  };
  const units = chosen === null && name !== "" ? (found.data ?? []) : [];
  return (
    <Dialog open onClose={onClose} aria-labelledby={title} fullWidth maxWidth="sm">
      <Box component="form" onSubmit={submit} sx={{ display: "grid", gap: 4, p: 5 }}>
        <Typography id={title} variant="h2">
          Which unit is this?
        </Typography>
        <PlainEntry
          label="Unit"
          value={draft.name}
          placeholder="Rooftop 3"
          maxLength={80}
          onChange={(text) => {
            // Another name is another unit; the one it was is offered again as its name is typed.
            if (chosen !== null && chosen !== job.unit?.id) setChosen(null);
            set({ name: text });
          }}
        />
        {units.length > 0 ? (
          <Box component="ul" aria-label="Units of the shop" sx={{ listStyle: "none", m: 0, p: 0 }}>
            {units.map((unit) => (
              <li key={unit.id}>
                <Button
                  color="inherit"
                  fullWidth
                  onClick={() => take(unit)}
                  sx={{ minHeight: TOUCH, justifyContent: "start", textAlign: "left", borderRadius: 0 }}
                >
                  {[unit.name, unit.site, unit.customer].filter((part) => part !== "").join(" · ")}
                </Button>
              </li>
            ))}
          </Box>
        ) : null}
        {name !== "" && chosen === null && found.isSuccess && units.length === 0 ? (
          <Typography role="status" sx={{ color: "text.secondary" }}>
            A new unit: the shop has none of this name.
          </Typography>
        ) : null}
        <PlainEntry
          label="Which of its motors"
          value={draft.position}
          placeholder="condenser fan"
          onChange={(position) => set({ position })}
        />
        <PlainEntry
          label="Site"
          value={draft.site}
          placeholder="Ice house, Fish Quay 7"
          maxLength={80}
          onChange={(site) => set({ site })}
        />
        <PlainEntry
          label="Customer"
          value={draft.customer}
          maxLength={80}
          onChange={(customer) => set({ customer })}
        />
        <Box sx={{ display: "flex", gap: 3, alignItems: "center", flexWrap: "wrap" }}>
          <Button type="submit" variant="contained" sx={{ minHeight: TOUCH, px: 6 }}>
            Keep
          </Button>
          <Button color="inherit" onClick={onClose} sx={{ minHeight: TOUCH }}>
            Cancel
          </Button>
          {job.unit ? <PlainLink href={`/units/${job.unit.id}`}>All visits of this unit</PlainLink> : null}
        </Box>
      </Box>
    </Dialog>
  );
}
