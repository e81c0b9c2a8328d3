import type { Metadata } from "next";
import { FaultPracticePage } from "@/ui/practice/FaultPracticePage";

export const metadata: Metadata = { title: "Practice fault finding" };

/** Rendered for each request: the page's scripts carry the request's nonce. */
export const dynamic = "force-dynamic";

export default function Page() {
  return <FaultPracticePage />;
}
