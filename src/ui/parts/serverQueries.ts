"use client";

import { QueryClient } from "@tanstack/react-query";

let client: QueryClient | null = null;

/**
 * What this page has asked the server for, handed to each query by itself: stages that ask for nothing need not bring it.
 * On the server every rendering has one of its own.
 */
export function serverQueries(): QueryClient {
  if (typeof window === "undefined") return new QueryClient();
  client ??= new QueryClient();
  return client;
}
