"use client";

import Box from "@mui/material/Box";
import Table from "@mui/material/Table";
import Typography from "@mui/material/Typography";
import { PLATE_FIELDS, readPlate } from "@/core";
import { useJob } from "../job/JobContext";
import { useWords } from "../words/UsageProvider";

/** Old and new side by side, where both exist: what both plates tell. */
export function OldAndNew() {
  const words = useWords();
  const { job } = useJob("plates");
  const [old, made] = [readPlate(job.plates.old), readPlate(job.plates.new)];
  const rows = PLATE_FIELDS.flatMap((field) => {
    const [was, is] = [field.say(old.plate), field.say(made.plate)];
    return was === null && is === null ? [] : [{ field, was, is }];
  });
  return (
    <Box component="section" aria-label="Old and new" sx={{ mt: 5 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Old and new
      </Typography>
      <Table>
        <thead>
          <tr>
            <th scope="col">Field</th>
            <th scope="col">Old</th>
            <th scope="col">New</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ field, was, is }) => (
            <tr key={field.id}>
              <th scope="row">{words(field.title)}</th>
              <td>{was ?? "—"}</td>
              <td>{is ?? "—"}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Box>
  );
}
