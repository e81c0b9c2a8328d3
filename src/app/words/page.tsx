import type { Metadata } from "next";
import { WordsPage } from "@/ui/words/WordsPage";

export const metadata: Metadata = { title: "Words" };

/** Rendered for each request: the page's scripts carry the request's nonce. */
export const dynamic = "force-dynamic";

export default function Page() {
  return <WordsPage />;
}
