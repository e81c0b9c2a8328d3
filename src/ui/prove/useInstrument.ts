"use client";

import { useEffect, useRef, useState } from "react";
import type * as z from "zod/mini";
import { addressOf, call } from "@/contract/call";
import {
  attachMeter,
  detachMeter,
  type MeterAddress,
  meterValue,
  moveProbes,
  streamMeter,
} from "@/contract/routes/meter";
import { settledValue } from "@/core";
import { type InstrumentKind, instrumentFor, type NextCheck, type ProvingSheetInput } from "@/core/proving";
import { useInTurn } from "../parts/useInTurn";

/** What is read at Prove: stand-ins beside a virtual machine on this wiring, or an instrument at its address. */
export type InstrumentSource =
  | {
      readonly kind: "bench";
      readonly bench: Pick<ProvingSheetInput, "motor" | "wiring" | "load">;
      readonly seed: number;
      readonly fault: "none" | "surprise";
    }
  | { readonly kind: "address"; readonly address: MeterAddress; readonly measures: InstrumentKind };

/** A figure off a display, in its kind's unit. */
export type ShownFigure = number | "open";

/** How the instrument stands with this page. */
export type LiveFigure =
  | { readonly state: "attaching" }
  | { readonly state: "lost"; readonly says: string }
  | {
      readonly state: "live";
      readonly identity: string;
      /** What it shows now of this check; null before the first value. */
      readonly shown: ShownFigure | null;
      /** What it has come to rest on; null while it moves. */
      readonly steady: ShownFigure | null;
      /** What an eye beside a virtual machine would see of this check; "" where an instrument shows it. */
      readonly seen: string;
    };

const KEPT = 5;
/** Last digits that a resting display plays by: of its range, and of the value. */
const PLAY: Readonly<Record<InstrumentKind, number>> = {
  amps: 0.01,
  volts: 0.1,
  microfarads: 0.01,
  rpm: 1,
  ohms: 0.1,
  megohms: 0.1,
};
const PLAY_SHARE = 0.002;

type Value = z.output<typeof meterValue>["shown"];

/**
 * Attaches an instrument and follows its display. A stand-in goes wherever the check wants it; a real one is in
 * somebody's hands, and what it shows counts for the check of that moment. Attached again whenever `attempt` changes.
 */
export function useInstrument(from: InstrumentSource, check: NextCheck | null, attempt: number): LiveFigure {
  const [id, setId] = useState<string | null>(null);
  const [identity, setIdentity] = useState("");
  const [lost, setLost] = useState("");
  const [latest, setLatest] = useState<{ readonly touch: number; readonly values: readonly Value[] }>();
  const [seen, setSeen] = useState({ place: "", words: "" });
  const touch = useRef(0);
  const inTurn = useInTurn();
  const [touched, setTouched] = useState(-1);
  const { kind, ...body } = from;
  const key = JSON.stringify(body);
  const place = check ? JSON.stringify({ ...check, because: "" }) : "";

  useEffect(() => {
    // A new attempt attaches anew with the same words.
    if (attempt < 0) return;
    let gone = false;
    let opened: string | null = null;
    let source: EventSource | null = null;
    setLost("");
    const attach = async () => {
      const called = await call(attachMeter, { body: JSON.parse(key) });
      if (!called.ok) {
        const says =
          called.status === null ? "It cannot be attached: the server does not answer." : called.says;
        if (!gone) setLost(says);
        return;
      }
      const made = called.value.meter;
      if (gone) {
        void call(detachMeter, { params: { meter: made } });
        return;
      }
      opened = made;
      setIdentity(called.value.identity);
      setId(made);
      source = new EventSource(addressOf(streamMeter.path, { meter: made }));
      source.onmessage = ({ data }: MessageEvent<string>) => {
        const read = meterValue.safeParse(JSON.parse(data));
        if (!read.success) return;
        const { touch: of, shown } = read.data;
        setLatest((before) => ({
          touch: of,
          values: [...(before?.touch === of ? before.values : []), shown].slice(-KEPT),
        }));
      };
      source.onerror = () => {
        if (source?.readyState === EventSource.CLOSED) setLost("It is no longer attached.");
      };
    };
    void attach();
    return () => {
      gone = true;
      source?.close();
      setId(null);
      if (opened) void call(detachMeter, { params: { meter: opened }, keepalive: true });
    };
  }, [key, attempt]);

  useEffect(() => {
    if (!id || place === "") return;
    touch.current += 1;
    const own = touch.current;
    setTouched(own);
    const body = { check: JSON.parse(place), touch: own };
    void inTurn(() => call(moveProbes, { params: { meter: id }, body })).then((called) => {
      if (!called.ok) setLost(called.status === null ? "It is out of reach." : called.says);
      else setSeen({ place, words: called.value.seen ?? "" });
    });
  }, [id, place, inTurn]);

  if (lost !== "") return { state: "lost", says: lost };
  if (!id) return { state: "attaching" };
  const measures = (check && instrumentFor(check.what)) ?? "amps";
  const values = latest?.touch === touched && check ? latest.values : [];
  const last = values.at(-1);
  return {
    state: "live",
    identity,
    shown: last ? figureOf(last) : null,
    steady: steadyOf(values, measures),
    seen: seen.place === place ? seen.words : "",
  };
}

function figureOf(value: Value): ShownFigure {
  if ("open" in value) return "open";
  return "ohms" in value ? value.ohms : value.figure;
}

function steadyOf(values: readonly Value[], kind: InstrumentKind): ShownFigure | null {
  const figures = values.map(figureOf);
  const last = figures.at(-1);
  const play = Math.max(PLAY[kind], typeof last === "number" ? PLAY_SHARE * last : 0);
  const settled = settledValue(
    figures.map((figure) => (figure === "open" ? { open: true } : { ohms: figure })),
    play,
  );
  if (!settled) return null;
  return "open" in settled ? "open" : Number(settled.ohms.toPrecision(4));
}
