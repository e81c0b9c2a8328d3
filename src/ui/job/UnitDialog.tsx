"use client";

import { zodResolver } from "@hookform/resolvers/zod";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { dequal } from "dequal";
import { useId, useState } from "react";
import { useForm, useWatch } from "react-hook-form";
import { v7 as uuid } from "uuid";
import * as z from "zod/mini";
import { asked } from "@/contract/call";
import { listUnits, type UnitLine } from "@/contract/routes/jobs";
import { FormEntry } from "../parts/form/FormEntry";
import { PlainLink } from "../parts/PlainLink";
import { serverQueries } from "../parts/serverQueries";
import { TOUCH } from "../theme/measures";
import { useJob } from "./JobContext";

const short = (most: number) =>
  z.string().check(z.trim(), z.maxLength(most, { error: `At most ${most} letters are kept.` }));

const unitForm = z.object({ name: short(80), position: short(60), site: short(80), customer: short(80) });

/** Names the unit that the job is a visit of: one that the shop has been to, found as it is typed, or a new one. */
export function UnitDialog({ onClose }: { onClose: () => void }) {
  const { job, add } = useJob("unit");
  const title = useId();
  const { control, handleSubmit, setValue } = useForm({
    resolver: zodResolver(unitForm),
    defaultValues: {
      name: job.unit?.name ?? "",
      position: job.unit?.position ?? "",
      site: job.unit?.site ?? "",
      customer: job.unit?.customer ?? "",
    },
  });
  const name = useWatch({ control, name: "name" }).trim();
  const [chosen, setChosen] = useState<UnitLine | null>(job.unit);
  // Another name is another unit; the one it was is offered again as its name is typed.
  const known = chosen !== null && (chosen.id === job.unit?.id || chosen.name === name) ? chosen.id : null;
  const found = useQuery(
    {
      queryKey: ["units", name],
      enabled: name !== "" && known === null,
      staleTime: 10_000,
      retry: 0,
      queryFn: async ({ signal }) =>
        (await asked(listUnits, { query: { search: name, most: 6 }, signal })).units,
    },
    serverQueries(),
  );
  const take = (unit: UnitLine) => {
    setChosen(unit);
    for (const field of ["name", "site", "customer"] as const) setValue(field, unit[field]);
  };
  const submit = handleSubmit((typed) => {
    const unit = typed.name === "" ? null : { id: known ?? uuid(), ...typed };
    if (!dequal(unit, job.unit)) add({ kind: "unit", unit });
    onClose();
  });
  const units = known === null && name !== "" ? (found.data ?? []) : [];
  return (
    <Dialog open onClose={onClose} aria-labelledby={title} fullWidth maxWidth="sm">
      <Box component="form" onSubmit={submit} sx={{ display: "grid", gap: 4, p: 5 }}>
        <Typography id={title} variant="h2">
          Which unit is this?
        </Typography>
        <FormEntry control={control} name="name" label="Unit" placeholder="Rooftop 3" maxLength={80} />
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
        {name !== "" && known === null && found.isSuccess && units.length === 0 ? (
          <Typography role="status" sx={{ color: "text.secondary" }}>
            A new unit: the shop has none of this name.
          </Typography>
        ) : null}
        <FormEntry
          control={control}
          name="position"
          label="Which of its motors"
          placeholder="condenser fan"
        />
        <FormEntry
          control={control}
          name="site"
          label="Site"
          placeholder="Ice house, Fish Quay 7"
          maxLength={80}
        />
        <FormEntry control={control} name="customer" label="Customer" maxLength={80} />
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
