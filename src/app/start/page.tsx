import { redirect } from "next/navigation";
import { v7 as uuid } from "uuid";
import { isStage } from "@/ui/job/stages";

export const dynamic = "force-dynamic";

/** A new job at the stage that is asked for, for who asks before the first page's scripts have come. */
export default async function Page({
  searchParams,
}: {
  searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}): Promise<never> {
  const { at } = await searchParams;
  redirect(`/jobs/${uuid()}/${typeof at === "string" && isStage(at) ? at : "probe"}`);
}
