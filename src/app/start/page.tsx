import { redirect } from "next/navigation";
import { v7 as uuid } from "uuid";

export const dynamic = "force-dynamic";

/** A new job, for who asks before the first page's scripts have come. */
export default function Page(): never {
  redirect(`/jobs/${uuid()}/probe`);
}
