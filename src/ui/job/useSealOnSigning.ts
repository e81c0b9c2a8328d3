"use client";

import { useEffect, useRef } from "react";
import { useJob, useJobFacts } from "./JobContext";

/** Seals the record once the signature that was asked for here is among its facts; gives the way to ask. */
export function useSealOnSigning(): (signature: string) => void {
  const { add } = useJob();
  const facts = useJobFacts();
  const awaited = useRef<string | null>(null);
  useEffect(() => {
    if (awaited.current === null || !facts.some(({ id }) => id === awaited.current)) return;
    awaited.current = null;
    void import("./sealing").then(({ sealOf }) => {
      const seal = sealOf(facts);
      if (seal) add(seal);
    });
  }, [facts, add]);
  return (signature) => {
    awaited.current = signature;
  };
}
