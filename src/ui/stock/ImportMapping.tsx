"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Table from "@mui/material/Table";
import Typography from "@mui/material/Typography";
import { type MappedColumn, STOCK_COLUMNS } from "@/core/stock";
import { PlainChoice } from "../parts/PlainChoice";
import { Trouble } from "../parts/Trouble";
import { MONO } from "../theme/faces";
import { TOUCH } from "../theme/measures";
import { placed } from "./placed";
import type { ImportState } from "./useImport";

/** Which column of the file is what, over its first rows. */
export function ImportMapping({
  state: { table, mapping, says },
  onMap,
  onCheck,
}: {
  state: Extract<ImportState, { at: "mapping" }>;
  onMap: (mapping: readonly (MappedColumn | null)[]) => void;
  onCheck: () => void;
}) {
  return (
    <>
      <Typography sx={{ mt: 1 }}>
        {table.rowCount} rows. Say which column is what; the first rows are shown as they were read.
      </Typography>
      {table.doubt ? <Trouble sx={{ mt: 1 }}>{table.doubt}</Trouble> : null}
      <Box sx={{ overflowX: "auto", mt: 2 }} tabIndex={0} role="region" aria-label="Columns of the file">
        <Table
          sx={{
            width: "auto",
            "& th, & td": { whiteSpace: "nowrap" },
            "& td": { fontFamily: MONO, fontSize: "0.875rem" },
          }}
        >
          <thead>
            <tr>
              {placed(table.headings).map(({ value: heading, place }) => (
                <th key={place} scope="col">
                  {heading || `column ${place + 1}`}
                  <PlainChoice
                    name={`Column ${heading || place + 1} is`}
                    value={mapping[place] ?? ""}
                    onChange={(chosen) =>
                      onMap(
                        mapping.map((column, k) =>
                          k === place ? (STOCK_COLUMNS.find(({ id }) => id === chosen)?.id ?? null) : column,
                        ),
                      )
                    }
                    sx={{ display: "flex" }}
                  >
                    <option value="">leave it out</option>
                    {STOCK_COLUMNS.map(({ id, title }) => (
                      <option key={id} value={id}>
                        {title.toLowerCase()}
                      </option>
                    ))}
                  </PlainChoice>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {placed(table.preview).map(({ value: cells, place: row }) => (
              <tr key={row}>
                {placed(cells).map(({ value: cell, place }) => (
                  <td key={place}>{cell}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </Table>
      </Box>
      {says ? <Trouble sx={{ mt: 2 }}>{says}</Trouble> : null}
      <Button variant="contained" onClick={onCheck} sx={{ mt: 3, minHeight: TOUCH }}>
        Check the rows
      </Button>
    </>
  );
}
