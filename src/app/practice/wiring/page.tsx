import type { Metadata } from "next";
import { WiringPracticePage } from "@/ui/practice/WiringPracticePage";

export const metadata: Metadata = { title: "Practice wiring" };

/** Rendered for each request: the page's scripts carry the request's nonce. */
export const dynamic = "force-dynamic";

export default function Page() {
  return <WiringPracticePage />;
}
