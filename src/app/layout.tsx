import "./letters.css";
import "./fonts.css";
import "./print.css";
import InitColorSchemeScript from "@mui/material/InitColorSchemeScript";
import { AppRouterCacheProvider } from "@mui/material-nextjs/v16-appRouter";
import type { Metadata, Viewport } from "next";
import { cookies, headers } from "next/headers";
import type { ReactNode } from "react";
import { KeepApplication } from "@/ui/kept/KeepApplication";
import { EarlyTouches } from "@/ui/parts/EarlyTouches";
import { EARLY_SCRIPT } from "@/ui/parts/earlyTouches";
import { LETTERS_SCRIPT } from "@/ui/theme/faces";
import { Theme } from "@/ui/theme/Theme";
import { UsageProvider } from "@/ui/words/UsageProvider";
import { USAGE_COOKIE, usageOf } from "@/ui/words/usage";

export const metadata: Metadata = {
  title: { default: "Odd Lead", template: "%s · Odd Lead" },
  description: "Which motor lead is which, from winding resistance, and where each goes.",
};

export const viewport: Viewport = { width: "device-width", initialScale: 1 };

export default async function Layout({ children }: { children: ReactNode }) {
  const asked = await headers();
  const nonce = asked.get("x-nonce") ?? undefined;
  const usage = usageOf((await cookies()).get(USAGE_COOKIE)?.value, asked.get("accept-language"));
  return (
    <html lang={usage === "international" ? "en-GB" : "en-US"} suppressHydrationWarning>
      <body>
        <script nonce={nonce} suppressHydrationWarning>
          {LETTERS_SCRIPT}
        </script>
        <script nonce={nonce} suppressHydrationWarning>
          {EARLY_SCRIPT}
        </script>
        <InitColorSchemeScript attribute="data-scheme" defaultMode="light" nonce={nonce} />
        <AppRouterCacheProvider options={{ nonce }}>
          <UsageProvider usage={usage}>
            <Theme>{children}</Theme>
            <KeepApplication />
            <EarlyTouches />
          </UsageProvider>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
