"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Typography from "@mui/material/Typography";
import { useEffect, useRef, useState } from "react";
import { v7 as uuid } from "uuid";
import { call } from "@/contract/call";
import { dropImport, importStock } from "@/contract/routes/stock";
import type { Fault, StockItem } from "@/core";
import { type MappedColumn, MOST_FILE_BYTES, STOCK_COLUMNS } from "@/core/stock";
import { type ImportAnswer, startStockImport } from "@/workers/stockImport";
import { MONO, TOUCH } from "../theme/theme";
import { saysOf } from "./stockClient";

/** The server takes so many rows and bytes at a time, with room for the rest of the request. */
const MOST_ROWS_A_WRITE = 400;
const MOST_BYTES_A_WRITE = 400_000;
const MOST_FAULTS_SHOWN = 100;

type State =
  | { readonly at: "file"; readonly says: string | null }
  | { readonly at: "working"; readonly what: string; readonly share: number | null }
  | {
      readonly at: "mapping";
      readonly table: Extract<ImportAnswer, { answer: "table" }>;
      readonly mapping: readonly (MappedColumn | null)[];
      readonly says: string | null;
    }
  | { readonly at: "ready"; readonly items: readonly StockItem[]; readonly faults: readonly Fault[] }
  | { readonly at: "finishing" }
  | { readonly at: "done"; readonly added: number; readonly changed: number };

/** Import of a CSV: choose the file, say which column is what, see what is wrong, then all of it at once. */
export function ImportPanel({ onDone, onClose }: { onDone: () => void; onClose: () => void }) {
  const [state, setState] = useState<State>({ at: "file", says: null });
  const worker = useRef<Worker | null>(null);
  const cancelled = useRef(false);
  useEffect(
    () => () => {
      cancelled.current = true;
      worker.current?.terminate();
    },
    [],
  );

  const listen = () => {
    worker.current?.terminate();
    const next = startStockImport();
    worker.current = next;
    next.onmessage = ({ data }: MessageEvent<ImportAnswer>) => setState((now) => after(now, data));
    next.onerror = () =>
      setState({ at: "file", says: "The file could not be read here. Nothing was imported." });
    return next;
  };
  const choose = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_FILE_BYTES) {
      setState({
        at: "file",
        says: `“${file.name}” has ${Math.round(file.size / 1e6)} MB; up to ${MOST_FILE_BYTES / 1e6} MB are read. Nothing was imported. Split it, or export the stock alone.`,
      });
      return;
    }
    setState({ at: "working", what: `Reading ${file.name}`, share: null });
    const bytes = await file.arrayBuffer();
    listen().postMessage({ ask: "read", bytes }, [bytes]);
  };
  const check = (mapping: readonly (MappedColumn | null)[]) =>
    worker.current?.postMessage({ ask: "rows", mapping });
  const bring = async (items: readonly StockItem[]) => {
    const id = uuid();
    cancelled.current = false;
    const params = { import: id };
    let first = 0;
    for (const piece of pieces(items)) {
      setState({ at: "working", what: "Sending rows", share: first / items.length });
      const staged = await call(importStock, { params, body: { firstRow: first, items: piece } });
      first += piece.length;
      if (!staged.ok || cancelled.current) {
        void call(dropImport, { params });
        setState({
          at: "file",
          says: staged.ok ? "Given up. Nothing was imported." : `${saysOf(staged)} Nothing was imported.`,
        });
        return;
      }
    }
    // From here on it is the server's: whether it was done can be asked, but not taken back.
    setState({ at: "finishing" });
    const done = await call(importStock, { params, body: { finish: { rows: items.length } } });
    if (!done.ok || !("added" in done.value)) {
      const unknown =
        "The server does not answer. Whether the rows went in is not known: look for them in the list first.";
      setState({ at: "file", says: done.ok || done.status === null ? unknown : done.says });
      return;
    }
    const { added, changed } = done.value;
    setState({ at: "done", added, changed });
    onDone();
  };

  return (
    <Box
      component="section"
      aria-label="Import CSV"
      sx={{ borderTop: "3px solid", borderColor: "primary.main", pt: 3, pb: 4, mb: 5 }}
    >
      <Typography variant="h2">Import CSV</Typography>
      {state.at === "file" ? <FileChoice says={state.says} onChoose={choose} /> : null}
      {state.at === "working" ? (
        <Box role="status" sx={{ mt: 2 }}>
          <Typography>
            {state.what}
            {state.share === null ? " …" : `: ${Math.round(100 * state.share)} %`}
          </Typography>
          <LinearProgress
            aria-label={state.what}
            variant={state.share === null ? "indeterminate" : "determinate"}
            value={100 * (state.share ?? 0)}
            sx={{ mt: 1, maxWidth: 480 }}
          />
          <Button
            color="inherit"
            onClick={() => {
              cancelled.current = true;
              worker.current?.terminate();
              setState({ at: "file", says: "Given up. Nothing was imported." });
            }}
            sx={{ mt: 2, minHeight: TOUCH }}
          >
            Cancel
          </Button>
        </Box>
      ) : null}
      {state.at === "finishing" ? (
        <Typography role="status" sx={{ mt: 2 }}>
          Putting them in, all at once …
        </Typography>
      ) : null}
      {state.at === "mapping" ? (
        <Mapping
          state={state}
          onMap={(mapping) => setState({ ...state, mapping, says: null })}
          onCheck={() => check(state.mapping)}
        />
      ) : null}
      {state.at === "ready" ? <Ready state={state} onImport={() => void bring(state.items)} /> : null}
      {state.at === "done" ? (
        <Typography role="status" sx={{ mt: 2 }}>
          {state.added} added, {state.changed} changed by their part code.
        </Typography>
      ) : null}
      {state.at === "working" || state.at === "finishing" ? null : (
        <Button color="inherit" onClick={onClose} sx={{ mt: 3, ml: 2, minHeight: TOUCH }}>
          Close
        </Button>
      )}
    </Box>
  );
}

/** Values with their places: what tells apart the cells, columns and rows of a file, which may all be alike. */
function placed<T>(values: readonly T[]): { value: T; place: number }[] {
  return values.map((value, place) => ({ value, place }));
}

/** The rows in pieces that a request can carry. */
function pieces(items: readonly StockItem[]): StockItem[][] {
  const list: StockItem[][] = [];
  let bytes = Number.POSITIVE_INFINITY;
  for (const item of items) {
    const size = new Blob([JSON.stringify(item)]).size + 1;
    const last = list.at(-1);
    if (last && last.length < MOST_ROWS_A_WRITE && bytes + size <= MOST_BYTES_A_WRITE) {
      last.push(item);
      bytes += size;
      continue;
    }
    list.push([item]);
    bytes = size;
  }
  return list;
}

function after(now: State, answer: ImportAnswer): State {
  switch (answer.answer) {
    case "refused":
      return { at: "file", says: answer.says };
    case "table":
      return { at: "mapping", table: answer, mapping: answer.mapping, says: null };
    case "mapping-wrong":
      return now.at === "mapping" ? { ...now, says: answer.says } : now;
    case "progress":
      return { at: "working", what: "Checking rows", share: answer.done / answer.of };
    case "rows":
      return { at: "ready", items: answer.items, faults: answer.faults };
  }
}

function FileChoice({ says, onChoose }: { says: string | null; onChoose: (file: File | undefined) => void }) {
  return (
    <>
      <Typography sx={{ mt: 1, color: "text.secondary" }}>
        A table with headings: name, count, power, speed, volts, or a capacitor’s label. Comma, semicolon or
        tab. You see it before anything is imported.
      </Typography>
      {says ? (
        <Typography role="alert" sx={{ mt: 2, color: "warning.main", fontWeight: 600 }}>
          {says}
        </Typography>
      ) : null}
      <Box component="label" sx={{ display: "inline-block", mt: 2 }}>
        <Box component="span" sx={{ display: "block", fontSize: "0.875rem", color: "text.secondary" }}>
          File
        </Box>
        <Box
          component="input"
          type="file"
          accept=".csv,.txt,.tsv,text/csv"
          onChange={(event) => onChoose(event.target.files?.[0])}
          sx={{ minHeight: TOUCH, font: "inherit", maxWidth: "100%" }}
        />
      </Box>
    </>
  );
}

function Mapping({
  state: { table, mapping, says },
  onMap,
  onCheck,
}: {
  state: Extract<State, { at: "mapping" }>;
  onMap: (mapping: readonly (MappedColumn | null)[]) => void;
  onCheck: () => void;
}) {
  return (
    <>
      <Typography sx={{ mt: 1 }}>
        {table.rowCount} rows. Say which column is what; the first rows are shown as they were read.
      </Typography>
      {table.doubt ? (
        <Typography role="alert" sx={{ mt: 1, color: "warning.main", fontWeight: 600 }}>
          {table.doubt}
        </Typography>
      ) : null}
      <Box sx={{ overflowX: "auto", mt: 2 }} tabIndex={0} role="region" aria-label="Columns of the file">
        <Box
          component="table"
          sx={{
            borderCollapse: "collapse",
            "& th, & td": {
              textAlign: "left",
              py: 0.5,
              px: 2,
              borderBottom: "1px solid",
              borderColor: "divider",
              whiteSpace: "nowrap",
            },
            "& td": { fontFamily: MONO, fontSize: "0.875rem" },
          }}
        >
          <thead>
            <tr>
              {placed(table.headings).map(({ value: heading, place }) => (
                <th key={place} scope="col">
                  {heading || `column ${place + 1}`}
                  <Box
                    component="select"
                    aria-label={`Column ${heading || place + 1} is`}
                    value={mapping[place] ?? ""}
                    onChange={(event) =>
                      onMap(
                        mapping.map((column, k) =>
                          k === place
                            ? (STOCK_COLUMNS.find(({ id }) => id === event.target.value)?.id ?? null)
                            : column,
                        ),
                      )
                    }
                    sx={{
                      display: "block",
                      minHeight: 44,
                      font: "inherit",
                      color: "text.primary",
                      bgcolor: "background.paper",
                      border: "1px solid",
                      borderColor: "divider",
                    }}
                  >
                    <option value="">leave it out</option>
                    {STOCK_COLUMNS.map(({ id, title }) => (
                      <option key={id} value={id}>
                        {title.toLowerCase()}
                      </option>
                    ))}
                  </Box>
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
        </Box>
      </Box>
      {says ? (
        <Typography role="alert" sx={{ mt: 2, color: "warning.main", fontWeight: 600 }}>
          {says}
        </Typography>
      ) : null}
      <Button variant="contained" onClick={onCheck} sx={{ mt: 3, minHeight: TOUCH }}>
        Check the rows
      </Button>
    </>
  );
}

function Ready({
  state: { items, faults },
  onImport,
}: {
  state: Extract<State, { at: "ready" }>;
  onImport: () => void;
}) {
  const bad = new Set(faults.map(({ path }) => path[0])).size;
  return (
    <>
      <Typography role="status" sx={{ mt: 1 }}>
        {items.length} rows can be imported{bad > 0 ? `; ${bad} cannot and are left out` : ""}.
      </Typography>
      {faults.length > 0 ? (
        <Box
          component="ul"
          aria-label="Faults"
          sx={{ mt: 2, pl: 5, maxHeight: 260, overflowY: "auto" }}
          tabIndex={0}
        >
          {placed(faults.slice(0, MOST_FAULTS_SHOWN)).map(({ value: { path, says }, place }) => (
            <li key={place}>{says.startsWith("Line ") ? says : `Line ${path[0]}: ${says}`}</li>
          ))}
          {faults.length > MOST_FAULTS_SHOWN ? <li>{faults.length - MOST_FAULTS_SHOWN} more.</li> : null}
        </Box>
      ) : null}
      <Button
        variant="contained"
        disabled={items.length === 0}
        onClick={onImport}
        sx={{ mt: 3, minHeight: TOUCH }}
      >
        Import {items.length} rows
      </Button>
    </>
  );
}
