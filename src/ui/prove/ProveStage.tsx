"use client";

import Box from "@mui/material/Box";
import dynamic from "next/dynamic";
import { useJobWiring } from "../job/JobContext";
import { brought } from "../parts/brought";
import { Coming } from "../parts/Coming";
import { useWakeLock } from "../parts/useWakeLock";
import { Verdict } from "../parts/Verdict";
import { ReadInstruments } from "./Instruments";

const Proof = dynamic(() => brought(import("./Proof").then((made) => made.Proof)), { loading: Coming });
const CheckUp = dynamic(() => brought(import("./CheckUp").then((made) => made.CheckUp)), { loading: Coming });

/** Prove: the first power of what was landed here, or a check-up of what runs; each is brought where it is wanted. */
export function ProveStage() {
  useWakeLock();
  const { kind } = useJobWiring();
  return (
    <ReadInstruments>
      {kind === "plan" ? (
        <Proof />
      ) : kind === "on-its-way" ? (
        <Box role="status" aria-busy>
          <Verdict weight="open" word="The wiring is being worked out …" />
        </Box>
      ) : (
        <CheckUp />
      )}
    </ReadInstruments>
  );
}
