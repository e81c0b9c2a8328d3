import type { Metadata } from "next";
import { FilesPage } from "@/ui/files/FilesPage";

export const metadata: Metadata = { title: "Files" };

/** Rendered for each request: the page's scripts carry the request's nonce. */
export const dynamic = "force-dynamic";

export default function Page() {
  return <FilesPage />;
}
