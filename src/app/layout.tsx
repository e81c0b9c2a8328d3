import "@fontsource-variable/atkinson-hyperlegible-next/wght.css";
import "@fontsource-variable/atkinson-hyperlegible-mono/wght.css";
import "./print.css";
import InitColorSchemeScript from "@mui/material/InitColorSchemeScript";
import { AppRouterCacheProvider } from "@mui/material-nextjs/v16-appRouter";
import type { Metadata, Viewport } from "next";
import { headers } from "next/headers";
import type { ReactNode } from "react";
import { KeepApplication } from "@/ui/kept/KeepApplication";
import { EarlyTouches } from "@/ui/parts/EarlyTouches";
import { EARLY_SCRIPT } from "@/ui/parts/earlyTouches";
import { Theme } from "@/ui/theme/Theme";

export const metadata: Metadata = {
  title: { default: "Odd Lead", template: "%s · Odd Lead" },
  description: "Which motor lead is which, from winding resistance, and where each goes.",
};

export const viewport: Viewport = { width: "device-width", initialScale: 1 };

export default async function Layout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get("x-nonce") ?? undefined;
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <script nonce={nonce} suppressHydrationWarning>
          {EARLY_SCRIPT}
        </script>
        <InitColorSchemeScript attribute="data-scheme" defaultMode="light" nonce={nonce} />
        <AppRouterCacheProvider options={{ nonce, enableCssLayer: true }}>
          <Theme>{children}</Theme>
          <KeepApplication />
          <EarlyTouches />
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
