/** The walls of the house: see docs/decisions/0002-the-house.md. */
const inside = (room) => `^src/core/${room}/`;
/** Rooms of the core from the ground up: a room may import those before it, none after. */
const rooms = [
  "words",
  "quantity",
  "motor",
  "ohms",
  "identify",
  "machine",
  "capacitor",
  "replacement",
  "wiring",
  "proving",
  "stock",
  "record",
  "bench",
  "practice",
];

const roomRules = rooms
  .map((room, i) => ({
    name: `core-${room}-looks-down-only`,
    severity: "error",
    from: { path: inside(room), pathNot: "\\.test\\.ts$" },
    to: { path: rooms.slice(i + 1).map(inside) },
  }))
  .filter((rule) => rule.to.path.length > 0);

module.exports = {
  forbidden: [
    { name: "no-circles", severity: "error", from: {}, to: { circular: true } },
    {
      name: "core-stands-alone",
      severity: "error",
      from: { path: "^src/core/", pathNot: "\\.test\\.ts$" },
      to: {
        pathNot: [
          "^src/core/",
          "^node_modules/(zod|ml-matrix|ml-levenberg-marquardt|papaparse|@types/papaparse|@noble/hashes|dequal|uqr)/",
          "^node_modules/(zod|ml-matrix|ml-levenberg-marquardt|papaparse|@noble/hashes|dequal|uqr)$",
        ],
      },
    },
    {
      name: "core-has-one-door",
      severity: "error",
      // What tests are made of is made of the rooms' own parts.
      from: {
        path: "^(src/(app|ui|server|store|workers|contract)|tests|benchmarks|scripts)/",
        pathNot: "^tests/material/",
      },
      to: {
        path: "^src/core/",
        pathNot:
          "^src/core/(index|(words|bench|practice|machine|capacitor|replacement|wiring|proving|stock)/index)\\.ts$",
      },
    },
    {
      name: "product-knows-no-test",
      severity: "error",
      from: { path: "^(src|scripts)/", pathNot: "\\.test\\.tsx?$" },
      to: { path: "^tests/" },
    },
    {
      name: "contract-knows-core-alone",
      severity: "error",
      from: { path: "^src/contract/", pathNot: "\\.test\\.ts$" },
      to: { path: "^src/(ui|server|store|app|workers)/" },
    },
    {
      name: "store-knows-no-framework",
      severity: "error",
      from: { path: "^src/store/", pathNot: "\\.test\\.ts$" },
      to: { path: ["^src/(ui|server|app|workers)/", "^node_modules/(react|next|@mui|@tanstack)/"] },
    },
    {
      name: "ui-knows-no-server",
      severity: "error",
      from: { path: "^src/ui/" },
      to: { path: "^src/(server|app)/" },
    },
    {
      name: "server-knows-no-page",
      severity: "error",
      from: { path: "^src/server/" },
      to: { path: "^src/(ui|app)/" },
    },
    ...roomRules,
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsConfig: { fileName: "tsconfig.json" },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types"],
    },
  },
};
