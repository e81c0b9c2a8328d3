import type { Metadata } from "next";
import { notFound } from "next/navigation";
import * as z from "zod/mini";
import { database } from "@/server/database";
import { jobList } from "@/server/jobList";
import { shopOf } from "@/server/shop";
import { UnitPage } from "@/ui/unit/UnitPage";

const unitId = z.uuid();

interface Props {
  params: Promise<{ unit: string }>;
}

export const dynamic = "force-dynamic";

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const id = unitId.safeParse((await params).unit);
  const unit = id.success
    ? await jobList(database(), shopOf())
        .unit(id.data)
        .catch(() => undefined)
    : undefined;
  return { title: unit?.name ?? "Unit" };
}

export default async function Page({ params }: Props) {
  const id = unitId.safeParse((await params).unit);
  if (!id.success) notFound();
  return <UnitPage id={id.data} />;
}
