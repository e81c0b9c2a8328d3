"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { createContext, type ReactNode, useContext, useMemo, useState } from "react";
import { provingSheetOf } from "@/core";
import { INSTRUMENT_KINDS, instrumentFor, type NextCheck } from "@/core/proving";
import { useAnswer, useJob, useJobWiring } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { Fold } from "../parts/Fold";
import { InstrumentAddress } from "../parts/InstrumentAddress";
import { useInstrumentAddress } from "../parts/instrumentAddress";
import type { InstrumentSource } from "./useInstrument";

/** Where figures come from beside the keys. */
type Bench = "none" | "sound" | "surprise";

interface Chosen {
  readonly bench: Bench;
  readonly choose: (bench: Bench) => void;
  readonly seed: number;
}
const ChosenBench = createContext<Chosen>({ bench: "none", choose: () => undefined, seed: 0 });

/** Keeps which instruments are read while Prove is open. */
export function ReadInstruments({ children }: { children: ReactNode }) {
  const [bench, setBench] = useState<Bench>("none");
  const [seed, setSeed] = useState(0);
  const value = useMemo(
    () => ({
      bench,
      seed,
      choose: (next: Bench) => {
        setBench(next);
        setSeed(Math.floor(Math.random() * 0xffffffff));
      },
    }),
    [bench, seed],
  );
  return <ChosenBench value={value}>{children}</ChosenBench>;
}

/** What the figure of a check can be read off; null where nothing is attached for it. */
export function useSourceFor(check: NextCheck): InstrumentSource | null {
  const { bench, seed } = useContext(ChosenBench);
  const { job } = useJob("leads", "plates", "setInside", "proof", "capacitorTests");
  const answer = useAnswer();
  const wiring = useJobWiring();
  const measures = instrumentFor(check.what);
  const [address] = useInstrumentAddress(measures ?? "amps");
  const sheet = useMemo(
    () => (bench === "none" ? null : provingSheetOf(job, answer, wiring)),
    [bench, job, answer, wiring],
  );
  if (sheet) {
    const { motor, wiring: wired, load } = sheet;
    const fault = bench === "surprise" ? "surprise" : "none";
    return { kind: "bench", bench: { motor, wiring: wired, load }, seed, fault };
  }
  return measures && address ? { kind: "address", address, measures } : null;
}

const LABELS = {
  amps: "Clamp meter",
  volts: "Voltmeter",
  rpm: "Tachometer",
  microfarads: "Capacitance tester",
  ohms: "Ohmmeter",
  megohms: "Insulation tester",
} as const;

/** Which instruments are read: simulated ones to practise on, or real ones by their addresses. */
export function InstrumentsFold() {
  const { bench, choose } = useContext(ChosenBench);
  return (
    <Fold title="Instruments that are read" summary={SUMMARY[bench]}>
      <Box sx={{ display: "grid", gap: 4 }}>
        <Box sx={{ maxWidth: 420 }}>
          <Choice label="Simulated bench" value={bench} onChange={(to) => choose(to as Bench)}>
            <option value="none">not attached</option>
            <option value="sound">a sound machine on this wiring</option>
            <option value="surprise">a machine with one fault, not told which</option>
          </Choice>
        </Box>
        <Typography sx={{ color: "text.secondary", fontSize: "0.875rem" }}>
          Its values are made up: practice here, not on a customer’s record. Real instruments that speak SCPI
          on this network are read by their addresses.
        </Typography>
        {INSTRUMENT_KINDS.map((kind) => (
          <InstrumentAddress key={kind} kind={kind} label={LABELS[kind]} />
        ))}
      </Box>
    </Fold>
  );
}

const SUMMARY: Readonly<Record<Bench, string>> = {
  none: "typed by hand, or by their addresses",
  sound: "simulated bench, a sound machine",
  surprise: "simulated bench, one fault",
};
