"use client";

import Box from "@mui/material/Box";
import NextLink from "next/link";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import type { ServerHistory } from "@/contract/serverHistory";
import { anythingWaiting } from "@/store/anythingWaiting";
import { isSetBack, noteHistory } from "@/store/history";
import type { WaitingJob } from "@/store/outbox";
import { deviceName } from "../job/deviceName";
import { Verdict } from "../parts/Verdict";

const RETRY_MS = 4000;

/**
 * Jobs whose entries this browser still keeps: they are sent from here, and can be opened meanwhile.
 * @param history of the server that the page came from; null where it came from none.
 */
export function Waiting({ history }: { history: ServerHistory | null }) {
  const router = useRouter();
  const [jobs, setJobs] = useState<readonly WaitingJob[]>([]);
  useEffect(() => {
    const send = async () => {
      if (history && isSetBack(history)) await (await import("@/store/outbox")).waitAgain(history);
      else if (history) noteHistory(history);
      if (!(await anythingWaiting())) {
        setJobs([]);
        return;
      }
      const { jobsWaiting, sendAll } = await import("@/store/outbox");
      const waiting = await jobsWaiting();
      setJobs(waiting);
      if (waiting.length === 0) return;
      await sendAll(deviceName());
      const left = await jobsWaiting();
      setJobs(left);
      if (left.length < waiting.length) router.refresh();
    };
    void send();
    const timer = setInterval(send, RETRY_MS);
    return () => clearInterval(timer);
  }, [router, history]);
  if (jobs.length === 0) return null;
  return (
    <Box role="status" sx={{ border: "1.5px solid", borderColor: "warning.main", p: 4, mb: 8 }}>
      <Verdict weight="again" word="Kept in this browser, not sent yet." />
      <Box component="ul" sx={{ m: 0, mt: 2, pl: 5 }}>
        {jobs.map(({ job, title }) => (
          <li key={job}>
            <Box
              component={NextLink}
              href={`/jobs/${job}/probe`}
              prefetch={false}
              sx={{ color: "primary.main" }}
            >
              {title}
            </Box>
          </li>
        ))}
      </Box>
    </Box>
  );
}
