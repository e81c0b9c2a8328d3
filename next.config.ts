import type { NextConfig } from "next";

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  experimental: { optimizePackageImports: ["@mui/material"] },
};

export default config;
