import { notFound } from "next/navigation";
import type { ReactNode } from "react";
import * as z from "zod/mini";
import { database } from "@/server/database";
import { jobStore } from "@/server/jobStore";
import { openingOf } from "@/server/opening";
import { shopOf } from "@/server/shop";
import { type JobServed, ServedJob } from "@/ui/job/ServedJob";

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
  return (
    <ServedJob id={id.data} served={served(id.data)}>
      {children}
    </ServedJob>
  );
}

async function served(id: string): Promise<JobServed> {
  const shop = shopOf();
  const first = await jobStore(database(), shop)
    .factsOf(id)
    .catch(() => null);
  return { first, opening: first && (await openingOf(shop, id, first)) };
}
