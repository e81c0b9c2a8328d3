import type { Metadata } from "next";
import { KeptApplication } from "@/ui/kept/KeptApplication";

export const metadata: Metadata = { title: "Odd Lead" };

/** Rendered for each request: the page's scripts carry the request's nonce. */
export const dynamic = "force-dynamic";

/** The page that stands for every page while the server is away. */
export default function Page() {
  return <KeptApplication />;
}
