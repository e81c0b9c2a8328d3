import { notFound } from "next/navigation";
import type { ReactNode } from "react";
import { z } from "zod";
import { database } from "@/server/database";
import { jobStore } from "@/server/jobStore";
import { shopOf } from "@/server/shop";
import { JobProvider } from "@/ui/job/JobContext";

const jobId = z.uuid();

export const dynamic = "force-dynamic";

/** Opens the job once for all its stages. With the database away the page still opens, on what the browser keeps. */
export default async function Layout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ job: string }>;
}) {
  const id = jobId.safeParse((await params).job);
  if (!id.success) notFound();
  const first = await jobStore(database(), shopOf())
    .factsOf(id.data)
    .catch(() => null);
  return (
    <JobProvider id={id.data} first={first}>
      {children}
    </JobProvider>
  );
}
