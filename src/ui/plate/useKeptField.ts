"use client";

import { useEffect, useState } from "react";
import type { PlateField } from "@/core";
import { useJob } from "../job/JobContext";

/** A field of a plate as it is typed: kept as typed once it is left, the same text twice is no fact. */
export function useKeptField(field: PlateField, motor: "old" | "new") {
  const { job, add } = useJob("plates");
  const kept = job.plates[motor][field.id] ?? "";
  const [text, setText] = useState(kept);
  useEffect(() => setText(kept), [kept]);
  const keep = (typed: string) => {
    if (typed.trim() !== kept) add({ kind: "plate", motor, field: field.id, typed: typed.trim() });
  };
  return { kept, text, setText, keep };
}
