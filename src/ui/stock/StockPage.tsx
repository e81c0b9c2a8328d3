"use client";

import Box from "@mui/material/Box";
import { QueryClient, QueryClientProvider, useQueryClient } from "@tanstack/react-query";
import { useCallback, useState } from "react";
import { v7 as uuid } from "uuid";
import type { StockItem } from "@/core";
import { MAIN } from "../parts/SkipLink";
import { TopBar } from "../parts/TopBar";
import { ImportPanel } from "./ImportPanel";
import { RemovedLine } from "./RemovedLine";
import { StockEditor } from "./StockEditor";
import { StockHead } from "./StockHead";
import { StockList } from "./StockList";
import { StockSearch } from "./StockSearch";
import { MOST_SEARCHED, type StockAsked } from "./stockClient";
import type { SeenLine } from "./useStockForm";

const FIRST: StockAsked = {
  search: "",
  kind: "",
  only: "",
  sort: "name",
  descending: false,
};

/**
 * Stock: motors and capacitors on the truck, in the shop and in the catalogue.
 * @param search what it begins by looking for.
 */
export function StockPage({ search = "" }: { search?: string }) {
  const [client] = useState(() => new QueryClient());
  return (
    <QueryClientProvider client={client}>
      <TopBar />
      <Box
        component="main"
        id={MAIN}
        sx={{ maxWidth: 1400, mx: "auto", px: { xs: 3, md: 6 }, py: { xs: 4, md: 6 } }}
      >
        <Stock search={search} />
      </Box>
    </QueryClientProvider>
  );
}

function Stock({ search }: { search: string }) {
  const queries = useQueryClient();
  const [asked, setAsked] = useState({ ...FIRST, search: search.slice(0, MOST_SEARCHED) });
  const [panel, setPanel] = useState<{ open: "none" | "import" } | { open: "edit"; line: SeenLine }>({
    open: "none",
  });
  const [removed, setRemoved] = useState<StockItem | null>(null);
  const ask = useCallback(
    (change: Partial<StockAsked>) => setAsked((before) => ({ ...before, ...change })),
    [],
  );
  const open = useCallback((line: SeenLine) => setPanel({ open: "edit", line }), []);
  const add = useCallback(() => open({ item: newMotor(), version: 0 }), [open]);
  const bring = useCallback(() => setPanel({ open: "import" }), []);
  const askAnew = async () => {
    // A first answer that is on its way may be of before the change, and would stand as one of after it.
    await queries.cancelQueries({ queryKey: ["stock"] });
    await queries.invalidateQueries({ queryKey: ["stock"] });
  };
  const changed = () => {
    setPanel({ open: "none" });
    void askAnew();
  };
  return (
    <>
      <StockHead onAdd={add} onImport={bring} />
      {panel.open === "import" ? (
        <ImportPanel onDone={() => void askAnew()} onClose={() => setPanel({ open: "none" })} />
      ) : null}
      {panel.open === "edit" ? (
        <StockEditor
          key={panel.line.item.id}
          line={panel.line}
          onKept={changed}
          onRemoved={(item) => {
            setRemoved(item);
            changed();
          }}
          onClose={() => setPanel({ open: "none" })}
        />
      ) : null}
      {removed ? (
        <RemovedLine
          key={removed.id}
          item={removed}
          onBack={() => {
            setRemoved(null);
            changed();
          }}
        />
      ) : null}
      <StockSearch asked={asked} onAsk={ask} />
      <StockList asked={asked} onAsk={ask} onOpen={open} />
    </>
  );
}

function newMotor(): StockItem {
  return {
    kind: "motor",
    id: uuid(),
    name: "",
    part: "",
    count: 1,
    minimum: 0,
    cost: null,
    place: "",
    plate: {},
    ohms: "",
  };
}
