"use client";

import { useEffect, useRef, useState } from "react";
import { v7 as uuid } from "uuid";
import { call } from "@/contract/call";
import { dropImport, importStock } from "@/contract/routes/stock";
import type { Fault, StockItem } from "@/core";
import { type MappedColumn, MOST_FILE_BYTES } from "@/core/stock";
import { type ImportAnswer, startStockImport } from "@/workers/stockImport";
import { saysOf } from "./stockClient";

/** The server takes so many rows and bytes at a time, with room for the rest of the request. */
const MOST_ROWS_A_WRITE = 400;
const MOST_BYTES_A_WRITE = 400_000;

/** How far an import has come. */
export type ImportState =
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
  /** All rows are with the server, whose answer to the last step was lost. */
  | { readonly at: "unanswered"; readonly importId: string; readonly rows: number }
  | { readonly at: "done"; readonly added: number; readonly changed: number };

/** The way of an import: the file read in a worker, its columns named, its rows checked, sent, and made stock at once. */
export function useImport(onDone: () => void) {
  const [state, setState] = useState<ImportState>({ at: "file", says: null });
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
    await finish(id, items.length);
  };
  // From here on it is the server's: what it did can be asked again and again, but not taken back.
  const finish = async (importId: string, rows: number) => {
    setState({ at: "finishing" });
    const done = await call(importStock, { params: { import: importId }, body: { finish: { rows } } });
    if (!done.ok && done.status === null) {
      setState({ at: "unanswered", importId, rows });
      return;
    }
    if (!done.ok || !("added" in done.value)) {
      setState({
        at: "file",
        says: done.ok ? "The rows are not all there. Import the file again." : done.says,
      });
      return;
    }
    const { added, changed } = done.value;
    setState({ at: "done", added, changed });
    onDone();
  };
  const cancel = () => {
    cancelled.current = true;
    worker.current?.terminate();
    setState({ at: "file", says: "Given up. Nothing was imported." });
  };
  return {
    state,
    choose,
    map: (mapping: readonly (MappedColumn | null)[]) =>
      setState((now) => (now.at === "mapping" ? { ...now, mapping, says: null } : now)),
    check,
    bring: (items: readonly StockItem[]) => void bring(items),
    askAgain: (importId: string, rows: number) => void finish(importId, rows),
    cancel,
  };
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

function after(now: ImportState, answer: ImportAnswer): ImportState {
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
