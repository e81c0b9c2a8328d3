"use client";

import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { type Called, call } from "@/contract/call";
import { deleteStock, putStock, stockUses } from "@/contract/routes/stock";
import type { StockItem } from "@/core";
import { lineForm, type TypedLine, typedOf } from "./lineForm";
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

/**
 * The form of a stock line: what is typed, its faults, and keeping it without writing over what somebody else changed
 * since it was seen.
 */
export function useStockForm(first: SeenLine, onKept: () => void, onRemoved: (item: StockItem) => void) {
  const [seen, setSeen] = useState(first);
  const [resolver] = useState(() => zodResolver(lineForm(first.item.id)));
  const fields = useForm<TypedLine, unknown, StockItem>({ resolver, defaultValues: typedOf(first.item) });
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
  const keep = (from: number) =>
    fields.handleSubmit(
      async (item) =>
        answered(
          await call(putStock, { params: { item: item.id }, query: { from: String(from) }, body: item }),
          onKept,
        ),
      () => setSays("Something is not understood yet: see the marked fields."),
    );
  return {
    fields,
    says,
    setSays,
    seen,
    meanwhile,
    onSubmit: keep(seen.version),
    /** Keeps what is typed here in place of what somebody else made of the line. */
    keepAllTheSame: () => void keep(meanwhile?.now?.version ?? 0)(),
    /** Takes over what somebody else made of the line; what was typed here is gone. */
    takeTheirs: () => {
      const now = meanwhile?.now;
      if (!now) return;
      setSeen(now);
      fields.reset(typedOf(now.item));
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
