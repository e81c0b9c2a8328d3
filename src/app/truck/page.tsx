import type { Metadata } from "next";
import { TruckPage } from "@/ui/truck/TruckPage";

export const metadata: Metadata = { title: "Truck plan" };

/** Rendered for each request: the page's scripts carry the request's nonce. */
export const dynamic = "force-dynamic";

export default function Page() {
  return <TruckPage />;
}
