import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";

const alias = { "@": fileURLToPath(new URL("./src", import.meta.url)) };

export default defineConfig({
  test: {
    // A worker for each core: nothing else runs beside them, and of two cores one would idle.
    maxWorkers: "100%",
    projects: [
      {
        resolve: { alias },
        test: {
          name: "unit",
          env: { LOG_LEVEL: "silent" },
          include: ["src/**/*.test.ts", "src/**/*.test.tsx", "tests/recipes/*.test.ts"],
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
