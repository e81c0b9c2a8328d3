"use client";

import { type FormEvent, useState } from "react";
import { type Called, call } from "@/contract/call";
import { deleteStock, putStock, stockUses } from "@/contract/routes/stock";
import { type PlateFieldId, parseNumber, type StockItem, stockItem, type TypedPlate } from "@/core";
import { itemFaults } from "@/core/stock";
import { saysOf } from "./stockClient";

/** A line that is being changed: what was seen of it, and the version that was. */
export interface SeenLine {
  readonly item: StockItem;
  /** 0 of a line that is new. */
  readonly version: number;
}

/** What somebody else did to the line meanwhile: its form now, or null where it was taken out. */
export interface Meanwhile {
  readonly now: SeenLine | null;
}

/** The fields of a line as they are typed. */
interface Typed {
  readonly name: string;
  readonly part: string;
  readonly count: string;
  readonly minimum: string;
  readonly cost: string;
  readonly place: string;
  readonly label: string;
  readonly ohms: string;
}

/**
 * The form of a stock line: what is typed, its faults, and keeping it without writing over what somebody else changed
 * since it was seen.
 */
export function useStockForm(first: SeenLine, onKept: () => void, onRemoved: (item: StockItem) => void) {
  const [seen, setSeen] = useState(first);
  const [kind, setKind] = useState(first.item.kind);
  const [typed, setTyped] = useState(() => typedOf(first.item));
  const [plate, setPlate] = useState(() => plateOf(first.item));
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({});
  const [says, setSays] = useState<string | null>(null);
  const [meanwhile, setMeanwhile] = useState<Meanwhile | null>(null);

  const answered = async (called: Called<unknown>, done: () => void) => {
    setMeanwhile(null);
    if (called.ok) {
      setSays(null);
      done();
      return;
    }
    const looked =
      called.status === 409 ? await call(stockUses, { params: { item: seen.item.id } }) : undefined;
    if (looked?.ok) {
      setSays(null);
      setMeanwhile({ now: looked.value.line });
    } else setSays(saysOf(called));
  };
  const keep = async (from: number) => {
    const { item, wrong } = lineFrom(seen.item.id, kind, typed, plate);
    setFaults(wrong);
    if (!item || Object.keys(wrong).length > 0) {
      setSays("Something is not understood yet: see the marked fields.");
      return;
    }
    const called = await call(putStock, {
      params: { item: item.id },
      query: { from: String(from) },
      body: item,
    });
    await answered(called, onKept);
  };
  return {
    kind,
    setKind,
    typed,
    set: (key: keyof Typed) => (value: string) => setTyped({ ...typed, [key]: value }),
    plate,
    setPlate,
    faults,
    says,
    setSays,
    seen,
    meanwhile,
    onSubmit: (event: FormEvent) => {
      event.preventDefault();
      void keep(seen.version);
    },
    /** Keeps what is typed here in place of what somebody else made of the line. */
    keepAllTheSame: () => void keep(meanwhile?.now?.version ?? 0),
    /** Takes over what somebody else made of the line; what was typed here is gone. */
    takeTheirs: () => {
      const now = meanwhile?.now;
      if (!now) return;
      setSeen(now);
      setKind(now.item.kind);
      setTyped(typedOf(now.item));
      setPlate(plateOf(now.item));
      setFaults({});
      setMeanwhile(null);
    },
    remove: async () => {
      const query = { from: String(seen.version) };
      const called = await call(deleteStock, { params: { item: seen.item.id }, query });
      await answered(called, () => onRemoved(seen.item));
    },
  };
}
export type StockForm = ReturnType<typeof useStockForm>;

function typedOf(item: StockItem): Typed {
  return {
    name: item.name,
    part: item.part,
    count: String(item.count),
    minimum: String(item.minimum),
    cost: item.cost === null ? "" : String(item.cost),
    place: item.place,
    label: item.kind === "capacitor" ? item.label : "",
    ohms: item.kind === "motor" ? item.ohms : "",
  };
}

function plateOf(item: StockItem): TypedPlate {
  return item.kind === "motor" ? item.plate : {};
}

/** The line that is typed, or what is wrong with it, by field. */
function lineFrom(
  id: string,
  kind: StockItem["kind"],
  typed: Typed,
  plate: Readonly<Partial<Record<PlateFieldId, string>>>,
): { item: StockItem | null; wrong: Record<string, string> } {
  const wrong: Record<string, string> = {};
  const whole = (key: "count" | "minimum") => {
    const value = parseNumber(typed[key]);
    if (value === null || !Number.isInteger(value)) wrong[key] = "Give a whole number.";
    return value ?? 0;
  };
  const cost = typed.cost.trim() === "" ? null : parseNumber(typed.cost);
  if (typed.cost.trim() !== "" && cost === null) wrong.cost = "Give an amount, or leave it blank.";
  if (typed.name.trim() === "") wrong.name = "Give it a name.";
  const { name, part, place, label, ohms } = typed;
  const own = kind === "motor" ? { kind, plate, ohms } : { kind, label };
  const given = { id, name, part, place, count: whole("count"), minimum: whole("minimum"), cost, ...own };
  const parsed = stockItem.safeParse(given);
  for (const issue of parsed.success ? [] : parsed.error.issues) {
    const key = String(issue.path[0] ?? "");
    wrong[key] ??= key === "label" ? "Give its label, such as 5 MFD 370." : issue.message;
  }
  for (const fault of parsed.success ? itemFaults(parsed.data) : [])
    wrong[String(fault.path[0] === "plate" ? fault.path[1] : fault.path[0])] = fault.says;
  return { item: parsed.success ? parsed.data : null, wrong };
}
