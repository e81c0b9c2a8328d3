"use client";

import { type RefObject, useEffect, useLayoutEffect, useRef, useState } from "react";
import { addressOf, call } from "@/contract/call";
import {
  attachMeter,
  detachMeter,
  type MeterAddress,
  meterValue,
  moveProbes as probesMoved,
  streamMeter,
} from "@/contract/routes/meter";
import { type Meter, type OhmsShown, settledValue } from "@/core";
import { useInTurn } from "../parts/useInTurn";
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

/** Readings looked at to see whether the display has come to rest. */
const KEPT = 5;

/**
 * Attaches a meter and follows its display. The stand-in's probes go wherever the target is; a real one's are in
 * somebody's hands, and what it shows counts for the target of that moment. Attached again whenever `attempt` changes.
 *
 * @param lifts the stand-in's probes are lifted before they touch, and sign for an open pair, as a hand does.
 * @param each told of every value at the target as it arrives, also of those that come too fast to be drawn.
 */
export function useMeter(
  from: MeterSource,
  meter: Meter,
  target: Target | null,
  attempt: number,
  lifts: boolean,
  each: RefObject<(shown: OhmsShown) => void>,
): LiveReading {
  const [id, setId] = useState<string | null>(null);
  const [reading, setReading] = useState<PlacedReading>({ state: "attaching" });
  /** Where the probes were put with each touch: a value is of its own touch and of no other. */
  const touches = useRef<string[]>([]);
  const latest = useRef<Told | null>(null);
  const inTurn = useInTurn();
  const { resolutionOhms } = meter;
  const key = JSON.stringify(
    from.kind === "address" ? { address: from.address } : { leads: from.leads, seed: from.seed, meter },
  );
  const place = target ? JSON.stringify(probesOf(target)) : LIFTED;
  const wanted = useRef(place);
  useLayoutEffect(() => {
    wanted.current = place;
  }, [place]);

  useEffect(() => {
    // A new attempt attaches anew with the same words.
    if (attempt < 0) return;
    let gone = false;
    let opened: string | null = null;
    let source: EventSource | null = null;
    setReading({ state: "attaching" });
    const attach = async () => {
      const called = await call(attachMeter, { body: JSON.parse(key) });
      if (!called.ok) {
        const says =
          called.status === null ? "The meter cannot be attached: the server does not answer." : called.says;
        if (!gone) setReading({ state: "lost", says });
        return;
      }
      const { meter: made, identity } = called.value;
      if (gone) {
        void call(detachMeter, { params: { meter: made } });
        return;
      }
      opened = made;
      setId(made);
      source = follow(made, identity, resolutionOhms, (next, told) => {
        if (!told) {
          setReading(next);
          return;
        }
        latest.current = told;
        const at = touches.current[told.touch];
        setReading({ ...next, place: at });
        if (at === wanted.current) each.current(told.shown);
      });
    };
    void attach();
    return () => {
      gone = true;
      source?.close();
      setId(null);
      if (opened) void call(detachMeter, { params: { meter: opened }, keepalive: true });
    };
  }, [key, attempt, resolutionOhms, each]);

  useEffect(() => {
    if (!id) return;
    return moveProbes(place, lifts, {
      put: async (probes) => {
        const touch = touches.current.push(place) - 1;
        const params = { meter: id };
        const called = await inTurn(() => call(probesMoved, { params, body: { ...probes, touch } }));
        if (!called.ok && called.status === null)
          setReading({ state: "lost", says: "The meter is out of reach." });
      },
      shows: () => (latest.current?.touch === touches.current.length - 1 ? latest.current.shown : null),
    });
  }, [id, place, lifts, inTurn]);

  // What was read before the probes moved says nothing of where they are now.
  return reading.state === "live" && reading.place !== place
    ? { ...reading, shown: null, steady: null }
    : reading;
}

const LIFTED = JSON.stringify({ lifted: true });

/** A reading with the place it was taken at. */
type PlacedReading = LiveReading & { readonly place?: string };

function probesOf(target: Target): object {
  return target.kind === "pair" ? { between: target.between } : { shell: target.lead };
}

/** What the stream told last, and the touch it is of. */
interface Told {
  readonly touch: number;
  readonly shown: OhmsShown;
}

function follow(
  id: string,
  identity: string,
  resolutionOhms: number,
  set: (reading: LiveReading, told?: Told) => void,
): EventSource {
  const source = new EventSource(addressOf(streamMeter.path, { meter: id }));
  let latest: OhmsShown[] = [];
  let last = -1;
  set({ state: "live", identity, shown: null, steady: null });
  source.onmessage = (event: MessageEvent<string>) => {
    const read = meterValue.safeParse(JSON.parse(event.data));
    if (!read.success) return;
    const { touch, shown } = read.data;
    if ("figure" in shown) return;
    if (touch !== last) latest = [];
    last = touch;
    latest = [...latest, shown].slice(-KEPT);
    const steady = settledValue(latest, resolutionOhms);
    set({ state: "live", identity, shown, steady }, { touch, shown });
  };
  source.onerror = () => {
    if (source.readyState === EventSource.CLOSED)
      set({ state: "lost", says: "The meter is no longer attached." });
  };
  return source;
}
