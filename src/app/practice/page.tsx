import type { Metadata } from "next";
import { PracticePage } from "@/ui/practice/PracticePage";

export const metadata: Metadata = { title: "Practice" };

/** Rendered for each request: the page's scripts carry the request's nonce. */
export const dynamic = "force-dynamic";

export default function Page() {
  return <PracticePage />;
}
