"use client";

import { useQuery } from "@tanstack/react-query";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { v7 as uuid } from "uuid";
import { type FactsSince, factsOfJob } from "@/contract/routes/jobs";
import type { Fact, FactBody } from "@/core";
import { call, NotAnswered } from "../parts/api";
import { deviceName } from "./deviceName";
import { putFact, waitingFacts } from "./outbox";
import { sendFacts } from "./sendFacts";

/** How the job stands with the server. */
export type Saving =
  | { readonly state: "saved" }
  | { readonly state: "sending"; readonly waiting: number }
  | { readonly state: "away"; readonly waiting: number }
  | { readonly state: "refused"; readonly says: string };

const RETRY_MS = 2500;
const FOLLOW_MS = 4000;

/**
 * The facts of a job: what the server has, what arrives there from elsewhere, and what was entered here. A fact is
 * shown and kept in this browser at once, then sent until the server confirms it; sending twice is harmless.
 */
export function useFacts(jobId: string, first: FactsSince) {
  const [known, setKnown] = useState<readonly Fact[]>(first.facts);
  const [waiting, setWaiting] = useState<readonly Fact[]>([]);
  const [away, setAway] = useState(false);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [unreadable, setUnreadable] = useState(first.unreadable);
  const arrival = useRef(first.arrival);
  const sending = useRef(false);

  const learn = useCallback((news: readonly Fact[]) => {
    if (news.length === 0) return;
    setKnown((before) => [...new Map([...before, ...news].map((f) => [f.id, f])).values()]);
  }, []);

  const send = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    const sent = await sendFacts(jobId, (confirmed) => {
      learn(confirmed);
      setWaiting(waitingFacts(jobId));
    });
    sending.current = false;
    setAway(sent.state === "away");
    if (sent.state === "refused") setRefusal(sent.says);
  }, [jobId, learn]);

  useEffect(() => {
    setWaiting(waitingFacts(jobId));
    void send();
    window.addEventListener("online", send);
    return () => window.removeEventListener("online", send);
  }, [jobId, send]);

  useEffect(() => {
    if (!away) return;
    const timer = setInterval(send, RETRY_MS);
    return () => clearInterval(timer);
  }, [away, send]);

  useQuery({
    queryKey: ["facts", jobId],
    refetchInterval: FOLLOW_MS,
    retry: false,
    queryFn: async ({ signal }) => {
      const query = { after: arrival.current };
      const called = await call(factsOfJob, { params: { job: jobId }, query, signal });
      if (!called.ok) {
        setAway(true);
        throw new NotAnswered(called.says);
      }
      const news = called.value;
      arrival.current = news.arrival;
      if (news.unreadable > 0) setUnreadable((before) => before + news.unreadable);
      learn(news.facts);
      if (waitingFacts(jobId).length > 0) void send();
      else setAway(false);
      return news.arrival;
    },
  });

  const add = useCallback(
    (body: FactBody): string => {
      const made: Fact = { id: uuid(), at: new Date().toISOString(), by: deviceName(), body };
      if (!putFact(jobId, made)) {
        setRefusal(
          "this browser keeps nothing (storage is full or switched off); what you see is not stored",
        );
      }
      setWaiting((before) => [...before, made]);
      void send();
      return made.id;
    },
    [jobId, send],
  );

  const facts = useMemo(
    () => [...new Map([...known, ...waiting].map((f) => [f.id, f])).values()],
    [known, waiting],
  );
  const saving: Saving = refusal
    ? { state: "refused", says: refusal }
    : away
      ? { state: "away", waiting: waiting.length }
      : waiting.length > 0
        ? { state: "sending", waiting: waiting.length }
        : { state: "saved" };
  return { facts, add, saving, unreadable };
}
