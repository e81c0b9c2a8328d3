import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";
import { LongestFirst } from "./tests/longestFirst";

const alias = { "@": fileURLToPath(new URL("./src", import.meta.url)) };

export default defineConfig({
  test: {
    // A worker for each core: nothing else runs beside them, and of two cores one would idle.
    maxWorkers: "100%",
    sequence: { sequencer: LongestFirst },
    projects: [
      {
        resolve: { alias },
        test: {
          name: "core",
          // It keeps nothing between calls, so that its files may share what they import: most of a file's time else.
          isolate: false,
          include: ["src/core/**/*.test.ts"],
          testTimeout: 60_000,
        },
      },
      {
        resolve: { alias },
        test: {
          name: "unit",
          env: { LOG_LEVEL: "silent" },
          include: ["src/**/*.test.ts", "src/**/*.test.tsx", "tests/{commands,recipes}/*.test.ts"],
          exclude: ["src/core/**"],
          testTimeout: 60_000,
        },
      },
      {
        resolve: { alias },
        test: { name: "database", include: ["tests/database/**/*.test.ts"], testTimeout: 60_000 },
      },
    ],
  },
});
