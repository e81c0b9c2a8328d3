import type { Metadata } from "next";
import { StockPage } from "@/ui/stock/StockPage";
import { preloadMono } from "../letters/preloadMono";

export const metadata: Metadata = { title: "Stock" };

/** Rendered for each request: the page's scripts carry the request's nonce. */
export const dynamic = "force-dynamic";

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<{ search?: string | string[] }>;
}) {
  preloadMono();
  const { search } = await searchParams;
  return <StockPage search={typeof search === "string" ? search : ""} />;
}
