"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import NextLink from "next/link";
import { type FormEvent, useState } from "react";
import { asked, call } from "@/contract/call";
import { deleteStock, putStock, stockUses } from "@/contract/routes/stock";
import {
  PLATE_FIELDS,
  type PlateFieldId,
  parseNumber,
  readPlate,
  readPlateLine,
  type StockItem,
  stockItem,
} from "@/core";
import { itemFaults } from "@/core/stock";
import { Choice } from "../parts/Choice";
import { Fold } from "../parts/Fold";
import { PlainEntry } from "../parts/PlainEntry";
import { TOUCH } from "../theme/theme";
import { saysOf } from "./stockClient";

interface Props {
  readonly item: StockItem;
  readonly isNew: boolean;
  readonly onKept: () => void;
  readonly onRemoved: (item: StockItem) => void;
  readonly onClose: () => void;
}

/** One line of the stock, to add or to change. */
export function StockEditor({ item, isNew, onKept, onRemoved, onClose }: Props) {
  const [kind, setKind] = useState(item.kind);
  const [form, setForm] = useState({
    name: item.name,
    part: item.part,
    count: String(item.count),
    minimum: String(item.minimum),
    cost: item.cost === null ? "" : String(item.cost),
    place: item.place,
    label: item.kind === "capacitor" ? item.label : "",
    ohms: item.kind === "motor" ? item.ohms : "",
  });
  const [plate, setPlate] = useState<Partial<Record<PlateFieldId, string>>>(
    item.kind === "motor" ? item.plate : {},
  );
  const [line, setLine] = useState("");
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({});
  const [says, setSays] = useState<string | null>(null);
  const set = (key: keyof typeof form) => (value: string) => setForm({ ...form, [key]: value });
  const reading = readPlate(plate);

  const keep = async (event: FormEvent) => {
    event.preventDefault();
    const wrong: Record<string, string> = {};
    const whole = (key: "count" | "minimum") => {
      const value = parseNumber(form[key]);
      if (value === null || !Number.isInteger(value)) wrong[key] = "Give a whole number.";
      return value ?? 0;
    };
    const cost = form.cost.trim() === "" ? null : parseNumber(form.cost);
    if (form.cost.trim() !== "" && cost === null) wrong.cost = "Give an amount, or leave it blank.";
    if (form.name.trim() === "") wrong.name = "Give it a name.";
    const given = {
      id: item.id,
      name: form.name,
      part: form.part,
      count: whole("count"),
      minimum: whole("minimum"),
      cost,
      place: form.place,
      ...(kind === "motor" ? { kind, plate, ohms: form.ohms } : { kind, label: form.label }),
    };
    const parsed = stockItem.safeParse(given);
    for (const issue of parsed.success ? [] : parsed.error.issues) {
      const key = String(issue.path[0] ?? "");
      wrong[key] ??= key === "label" ? "Give its label, such as 5 MFD 370." : issue.message;
    }
    for (const fault of parsed.success ? itemFaults(parsed.data) : [])
      wrong[String(fault.path[0] === "plate" ? fault.path[1] : fault.path[0])] = fault.says;
    setFaults(wrong);
    if (!parsed.success || Object.keys(wrong).length > 0) {
      setSays("Something is not understood yet: see the marked fields.");
      return;
    }
    const called = await call(putStock, { params: { item: item.id }, body: parsed.data });
    setSays(called.ok ? null : saysOf(called));
    if (called.ok) onKept();
  };
  const remove = async () => {
    const called = await call(deleteStock, { params: { item: item.id } });
    setSays(called.ok ? null : saysOf(called));
    if (called.ok) onRemoved(item);
  };
  const takeLine = () => {
    const { typed, left, asked } = readPlateLine(line);
    setPlate({ ...plate, ...typed });
    setLine(left);
    setSays(asked.map((fault) => `Not taken: ${fault.says}`).join(" ") || null);
  };
  return (
    <Box
      component="form"
      aria-label={isNew ? "A new line" : `Change ${item.name}`}
      onSubmit={keep}
      noValidate
      sx={{ borderTop: "3px solid", borderColor: "primary.main", pt: 3, pb: 4, mb: 5 }}
    >
      <Typography variant="h2" sx={{ mb: 2 }}>
        {isNew ? "A new line" : item.name}
      </Typography>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "1fr 1fr", md: "repeat(4, 1fr)" },
          gap: 3,
          alignItems: "start",
        }}
      >
        <Choice
          label="It is a"
          value={kind}
          onChange={(value) => setKind(value === "capacitor" ? "capacitor" : "motor")}
        >
          <option value="motor">motor</option>
          <option value="capacitor">capacitor</option>
        </Choice>
        <PlainEntry label="Name" value={form.name} onChange={set("name")} fault={faults.name} />
        <PlainEntry label="Part code" value={form.part} onChange={set("part")} fault={faults.part} />
        <PlainEntry
          label="Place"
          value={form.place}
          onChange={set("place")}
          placeholder="van 1"
          fault={faults.place}
        />
        <PlainEntry label="Counted" value={form.count} onChange={set("count")} fault={faults.count} />
        <PlainEntry label="Minimum" value={form.minimum} onChange={set("minimum")} fault={faults.minimum} />
        <PlainEntry label="Cost" value={form.cost} onChange={set("cost")} fault={faults.cost} />
        {kind === "capacitor" ? (
          <PlainEntry
            label="Label"
            value={form.label}
            onChange={set("label")}
            placeholder="5 MFD 370"
            fault={faults.label}
          />
        ) : null}
      </Box>
      {kind === "motor" ? (
        <Box sx={{ mt: 3 }}>
          <Box sx={{ display: "flex", gap: 2, alignItems: "end" }}>
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <PlainEntry
                label="Its plate in one line"
                value={line}
                onChange={setLine}
                maxLength={200}
                placeholder="1/3 HP 1075/3SPD 208-230V 60HZ 1PH 2.6A 5MFD 370V REV"
              />
            </Box>
            <Button
              color="inherit"
              disabled={line.trim() === ""}
              onClick={takeLine}
              sx={{ minHeight: TOUCH }}
            >
              Read it
            </Button>
          </Box>
          <Typography
            sx={{
              mt: 1,
              color: reading.echo.length > 0 ? "success.main" : "text.secondary",
              fontSize: "0.875rem",
            }}
          >
            {reading.echo.length > 0
              ? reading.echo.map(({ says: text }) => text).join("; ")
              : "Nothing of its plate yet."}
          </Typography>
          <Box sx={{ mt: 3 }}>
            <PlainEntry
              label="Ohms between its leads: known again by them"
              value={form.ohms}
              onChange={set("ohms")}
              maxLength={400}
              placeholder="BK–WH 8.2, BN–WH 12.4, BK–BN 20.6 at 25 °C"
              fault={faults.ohms}
            />
          </Box>
          <Fold title="Every plate field" open={Object.keys(reading.faults).length > 0}>
            <Box
              sx={{
                display: "grid",
                gridTemplateColumns: { xs: "1fr 1fr", md: "repeat(4, 1fr)" },
                gap: 3,
                alignItems: "start",
              }}
            >
              {PLATE_FIELDS.map((field) =>
                field.choices ? (
                  <Choice
                    key={field.id}
                    label={field.title}
                    value={plate[field.id] ?? ""}
                    onChange={(value) => setPlate({ ...plate, [field.id]: value })}
                  >
                    <option value="">not known</option>
                    {Object.entries(field.choices).map(([key, word]) => (
                      <option key={key} value={key}>
                        {word}
                      </option>
                    ))}
                  </Choice>
                ) : (
                  <PlainEntry
                    key={field.id}
                    label={field.title}
                    value={plate[field.id] ?? ""}
                    placeholder={field.example}
                    onChange={(value) => setPlate({ ...plate, [field.id]: value })}
                    fault={reading.faults[field.id]?.says}
                  />
                ),
              )}
            </Box>
          </Fold>
        </Box>
      ) : null}
      {isNew ? null : <WhereUsed item={item.id} />}
      {says ? (
        <Typography role="alert" sx={{ mt: 3, color: "warning.main", fontWeight: 600 }}>
          {says}
        </Typography>
      ) : null}
      <Box sx={{ display: "flex", gap: 3, mt: 3, flexWrap: "wrap" }}>
        <Button type="submit" variant="contained" sx={{ minHeight: TOUCH, px: 6 }}>
          Keep it
        </Button>
        <Button color="inherit" onClick={onClose} sx={{ minHeight: TOUCH }}>
          Close
        </Button>
        {isNew ? null : (
          <Button color="inherit" onClick={remove} sx={{ minHeight: TOUCH, ml: "auto" }}>
            Take it out of the stock
          </Button>
        )}
      </Box>
    </Box>
  );
}

/** The jobs that have pieces of the line in use. */
function WhereUsed({ item }: { item: string }) {
  const uses = useQuery({
    queryKey: ["stock-uses", item],
    retry: 1,
    queryFn: async ({ signal }) => (await asked(stockUses, { params: { item }, signal })).uses,
  });
  const list = uses.data ?? [];
  if (list.length === 0) return null;
  return (
    <Typography sx={{ mt: 3 }}>
      In use on:{" "}
      {list.map(({ job, count, title }, i) => (
        <span key={job}>
          {i > 0 ? ", " : ""}
          <Link component={NextLink} href={`/jobs/${job}/cap`} prefetch={false}>
            {title || "a job without a name"}
          </Link>
          {count > 1 ? ` (${count})` : ""}
        </span>
      ))}
      .
    </Typography>
  );
}
