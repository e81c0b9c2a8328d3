import { defineConfig } from "@playwright/test";

export default defineConfig({
  testDir: ".",
  outputDir: "../../test-results",
  fullyParallel: true,
  workers: 2,
  // Speed is measured by the benchmarks: here a machine that shares its cores may take its time.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  // A browser on a busy machine may lose a race that no technician would: such a test is run once more, and shown as flaky.
  retries: 1,
  reporter: [["list"], ["json"]],
  use: {
    baseURL: process.env.ODD_LEAD_BASE_URL,
    viewport: { width: 1280, height: 800 },
    // What a test holds up or changes on the line must pass by it; what the worker does has a file of its own.
    serviceWorkers: "block",
    launchOptions: {
      executablePath: process.env.ODD_LEAD_CHROMIUM,
      args: process.env.ODD_LEAD_CHROMIUM_ARGUMENTS?.split(" "),
    },
  },
});
