"use client";

import { useEffect, useRef, useState } from "react";
import { type Meter, type OhmsShown, settledValue } from "@/core";
import type { MeterAddress } from "./meterAddress";
import { moveProbes } from "./simulatedHand";
import type { Target } from "./target";

/** The meter that is read: the stand-in on a virtual motor, or a real one at its address. */
export type MeterSource =
  | { readonly kind: "stand-in"; readonly leads: readonly string[]; readonly seed: number }
  | { readonly kind: "address"; readonly address: MeterAddress };

/** How the meter stands with this page. */
export type LiveReading =
  | { readonly state: "attaching" }
  | { readonly state: "lost"; readonly says: string }
  | {
      readonly state: "live";
      readonly identity: string;
      /** What the display shows now; null before the first value. A new object with every value. */
      readonly shown: OhmsShown | null;
      /** The value it has come to rest on, to be held; null while it moves. */
      readonly steady: OhmsShown | null;
    };

const JSON_TYPE = { "content-type": "application/json" };
/** Readings looked at to see whether the display has come to rest. */
const KEPT = 5;

/**
 * Attaches a meter and follows its display. The stand-in's probes go wherever the target is; a real one's are in
 * somebody's hands, and what it shows counts for the target of that moment. Attached again whenever `attempt` changes.
 *
 * @param lifts the stand-in's probes are lifted before they touch, and sign for an open pair, as a hand does.
 */
export function useMeter(
  from: MeterSource,
  meter: Meter,
  target: Target | null,
  attempt: number,
  lifts: boolean,
): LiveReading {
  const [id, setId] = useState<string | null>(null);
  const [reading, setReading] = useState<PlacedReading>({ state: "attaching" });
  /** Where the probes were put with each touch: a value is of its own touch and of no other. */
  const touches = useRef<string[]>([]);
  const { resolutionOhms } = meter;
  const key = JSON.stringify(
    from.kind === "address" ? { address: from.address } : { leads: from.leads, seed: from.seed, meter },
  );
  const place = target ? JSON.stringify(probesOf(target)) : LIFTED;

  useEffect(() => {
    // A new attempt attaches anew with the same words.
    if (attempt < 0) return;
    let gone = false;
    let opened: string | null = null;
    let source: EventSource | null = null;
    setReading({ state: "attaching" });
    const attach = async () => {
      const response = await fetch("/api/v1/meter", { method: "POST", headers: JSON_TYPE, body: key });
      const made: { meter: string; identity: string; title?: string } = await response.json();
      if (!response.ok) throw new Refused(made.title ?? "The meter was refused.");
      if (gone) {
        void fetch(`/api/v1/meter/${made.meter}`, { method: "DELETE" });
        return;
      }
      opened = made.meter;
      setId(made.meter);
      source = follow(made.meter, made.identity, resolutionOhms, touches.current, setReading);
    };
    attach().catch((error) => {
      if (gone) return;
      const says =
        error instanceof Refused
          ? error.message
          : "The meter cannot be attached: the server does not answer.";
      setReading({ state: "lost", says });
    });
    return () => {
      gone = true;
      source?.close();
      setId(null);
      if (opened) void fetch(`/api/v1/meter/${opened}`, { method: "DELETE", keepalive: true });
    };
  }, [key, attempt, resolutionOhms]);

  useEffect(() => {
    if (!id) return;
    return moveProbes(place, lifts, (probes) => {
      const touch = touches.current.push(place) - 1;
      const body = JSON.stringify({ ...JSON.parse(probes), touch });
      fetch(`/api/v1/meter/${id}/probes`, { method: "POST", headers: JSON_TYPE, body }).catch(() =>
        setReading({ state: "lost", says: "The meter is out of reach." }),
      );
    });
  }, [id, place, lifts]);

  // What was read before the probes moved says nothing of where they are now.
  return reading.state === "live" && reading.place !== place
    ? { ...reading, shown: null, steady: null }
    : reading;
}

/** The server says why. */
class Refused extends Error {}

const LIFTED = JSON.stringify({ lifted: true });

/** A reading with the place it was taken at. */
type PlacedReading = LiveReading & { readonly place?: string };

function probesOf(target: Target): object {
  return target.kind === "pair" ? { between: target.between } : { shell: target.lead };
}

function follow(
  id: string,
  identity: string,
  resolutionOhms: number,
  touches: readonly string[],
  set: (reading: PlacedReading) => void,
): EventSource {
  const source = new EventSource(`/api/v1/meter/${id}/stream`);
  let latest: OhmsShown[] = [];
  let last = -1;
  set({ state: "live", identity, shown: null, steady: null });
  source.onmessage = (event: MessageEvent<string>) => {
    const { touch, shown }: { touch: number; shown: OhmsShown } = JSON.parse(event.data);
    if (touch !== last) latest = [];
    last = touch;
    latest = [...latest, shown].slice(-KEPT);
    const steady = settledValue(latest, resolutionOhms);
    set({ state: "live", identity, shown, steady, place: touches[touch] });
  };
  source.onerror = () => {
    if (source.readyState === EventSource.CLOSED)
      set({ state: "lost", says: "The meter is no longer attached." });
  };
  return source;
}
