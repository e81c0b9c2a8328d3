import type { Metadata } from "next";
import { StockPage } from "@/ui/stock/StockPage";

export const metadata: Metadata = { title: "Stock" };

/** Rendered for each request: the page's scripts carry the request's nonce. */
export const dynamic = "force-dynamic";

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<{ search?: string | string[] }>;
}) {
  const { search } = await searchParams;
  return <StockPage search={typeof search === "string" ? search : ""} />;
}
