import { redirect } from "next/navigation";

/** A job's own address opens where the hands are: at the probe. */
export default async function Page({ params }: { params: Promise<{ job: string }> }) {
  redirect(`/jobs/${(await params).job}/probe`);
}
