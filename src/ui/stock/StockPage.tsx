"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import {
  keepPreviousData,
  QueryClient,
  QueryClientProvider,
  useQuery,
  useQueryClient,
} from "@tanstack/react-query";
import NextLink from "next/link";
import { useState } from "react";
import { v7 as uuid } from "uuid";
import { call } from "@/contract/call";
import { putStock } from "@/contract/routes/stock";
import type { StockItem } from "@/core";
import { Choice } from "../parts/Choice";
import { MAIN } from "../parts/SkipLink";
import { TopBar } from "../parts/TopBar";
import { TOUCH } from "../theme/theme";
import { ImportPanel } from "./ImportPanel";
import { StockEditor } from "./StockEditor";
import { StockTable } from "./StockTable";
import { fetchStock, type StockAsked } from "./stockClient";
import type { SeenLine } from "./useStockForm";

const PAGE = 60;
const MOST_SEARCHED = 120;
const FIRST: StockAsked = { search: "", kind: "", only: "", sort: "name", descending: false, most: PAGE };

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
  const list = useQuery({
    queryKey: ["stock", asked],
    queryFn: ({ signal }) => fetchStock(asked, signal),
    placeholderData: keepPreviousData,
    retry: 1,
  });
  const ask = (change: Partial<StockAsked>) => setAsked({ ...asked, most: PAGE, ...change });
  const changed = () => {
    setPanel({ open: "none" });
    void queries.invalidateQueries({ queryKey: ["stock"] });
  };
  const lines = list.data?.lines ?? [];
  const total = list.data?.total ?? 0;
  return (
    <>
      <Box sx={{ display: "flex", alignItems: "center", gap: 3, flexWrap: "wrap", mb: 4 }}>
        <Typography variant="h1" sx={{ flex: "1 1 160px" }}>
          Stock
        </Typography>
        <Button
          variant="contained"
          onClick={() => setPanel({ open: "edit", line: { item: newMotor(), version: 0 } })}
          sx={{ minHeight: TOUCH }}
        >
          Add a line
        </Button>
        <Button color="inherit" onClick={() => setPanel({ open: "import" })} sx={{ minHeight: TOUCH }}>
          Import CSV
        </Button>
        <Button color="inherit" component="a" href="/api/v1/stock/export" download sx={{ minHeight: TOUCH }}>
          Export CSV
        </Button>
        <Button color="inherit" component={NextLink} href="/truck" prefetch={false} sx={{ minHeight: TOUCH }}>
          Truck plan
        </Button>
      </Box>
      {panel.open === "import" ? (
        <ImportPanel
          onDone={() => void queries.invalidateQueries({ queryKey: ["stock"] })}
          onClose={() => setPanel({ open: "none" })}
        />
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
        <Box
          role="status"
          sx={{
            border: "1.5px solid",
            p: 3,
            mb: 4,
            display: "flex",
            gap: 3,
            alignItems: "center",
            flexWrap: "wrap",
          }}
        >
          <span>“{removed.name}” is out of the stock.</span>
          <Button
            color="inherit"
            onClick={async () => {
              const called = await call(putStock, {
                params: { item: removed.id },
                query: { from: "0" },
                body: removed,
              });
              if (called.ok) {
                setRemoved(null);
                changed();
              }
            }}
          >
            Put it back
          </Button>
        </Box>
      ) : null}
      <Box
        component="search"
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "1fr 1fr", md: "2fr 1fr 1fr" },
          gap: 3,
          mb: 3,
          alignItems: "end",
        }}
      >
        <Box component="label" sx={{ gridColumn: { xs: "1 / -1", md: "auto" } }}>
          <Box component="span" sx={{ display: "block", fontSize: "0.875rem", color: "text.secondary" }}>
            Find
          </Box>
          <InputBase
            type="text"
            value={asked.search}
            placeholder="larkhull 1/3 1075"
            onChange={(event) => ask({ search: event.target.value })}
            inputProps={{ maxLength: MOST_SEARCHED, autoComplete: "off", inputMode: "search" }}
            sx={{
              width: "100%",
              minHeight: TOUCH,
              px: 2,
              bgcolor: "background.paper",
              border: "1px solid",
              borderColor: "divider",
            }}
          />
        </Box>
        <Choice
          label="What"
          value={asked.kind}
          onChange={(kind) => ask({ kind: kind === "motor" || kind === "capacitor" ? kind : "" })}
        >
          <option value="">motors and capacitors</option>
          <option value="motor">motors</option>
          <option value="capacitor">capacitors</option>
        </Choice>
        <Choice
          label="Which"
          value={asked.only}
          onChange={(only) => ask({ only: only === "on-hand" || only === "short" ? only : "" })}
        >
          <option value="">all</option>
          <option value="on-hand">on hand</option>
          <option value="short">under the minimum</option>
        </Choice>
      </Box>
      {list.isError ? (
        <Typography role="alert" sx={{ color: "warning.main", fontWeight: 600 }}>
          The stock cannot be had from the server just now.
        </Typography>
      ) : list.isPending ? (
        <Typography role="status">Fetching the stock …</Typography>
      ) : (
        <>
          <Typography role="status" sx={{ color: "text.secondary", mb: 1 }}>
            {total === 0 ? "No line" : total === 1 ? "1 line" : `${total} lines`}
            {asked.search || asked.kind || asked.only ? " found" : ""}.
          </Typography>
          {total === 0 && !asked.search && !asked.kind && !asked.only ? (
            <Typography>
              Nothing in the stock yet. Add a line, or import a CSV of what is on the truck.
            </Typography>
          ) : (
            <StockTable
              lines={lines}
              sort={asked.sort}
              descending={asked.descending}
              onSort={(sort) => ask({ sort, descending: asked.sort === sort ? !asked.descending : false })}
              onOpen={(line) => setPanel({ open: "edit", line })}
            />
          )}
          {lines.length < total ? (
            <Button
              color="inherit"
              disabled={lines.length >= 200}
              onClick={() => setAsked({ ...asked, most: Math.min(200, asked.most + PAGE) })}
              sx={{ minHeight: TOUCH, mt: 3 }}
            >
              {lines.length >= 200 ? "Find narrows it further" : "Show more"}
            </Button>
          ) : null}
        </>
      )}
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
