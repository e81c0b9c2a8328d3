import { randomBytes } from "node:crypto";
import type { NextConfig } from "next";
import { FEW_SCRIPTS, NEVER_DRAWN } from "./scripts/lib/fewScripts";

/** Names this build: the page and the worker that keeps it must be of one. */
const build = randomBytes(9).toString("base64url");

const config: NextConfig = {
  poweredByHeader: false,
  // The server in front of the framework packs more tightly (scripts/lib/serve.mjs).
  compress: false,
  reactStrictMode: true,
  devIndicators: false,
  generateBuildId: () => build,
  // Without the tests, whose packages a server that only runs does not have.
  typescript: {
    tsconfigPath: "tsconfig.build.json",
    // `npm test` checks the types of all sources before it builds; whoever else builds has them checked here.
    ignoreBuildErrors: process.env.ODD_LEAD_ARE_TYPED === "yes",
  },
  // The server runs where it was built: nobody asks which files each page would need elsewhere.
  outputFileTracingExcludes: { "*": ["**/*"] },
  env: { ODD_LEAD_BUILD: build },
  experimental: { optimizePackageImports: ["@mui/material"] },
  // `next dev` keeps Next's own bundler as it stands, which has a page in half the time.
  turbopack: {},
  webpack: (bundler, { isServer, webpack }) => {
    const { which, instead } = NEVER_DRAWN;
    bundler.plugins.push(new webpack.NormalModuleReplacementPlugin(which, instead));
    if (!isServer) bundler.optimization.splitChunks = FEW_SCRIPTS;
    return bundler;
  },
};

export default config;
