/**
 * Makes one plain JavaScript file of TypeScript sources and the packages they use, for Node.
 *
 * @param entry a file, or text that stands in one: `{ text, folder }`, its imports seen from the folder.
 */
export async function bundled(entry, outfile, format) {
  const { build, stop } = await import("esbuild");
  const source =
    typeof entry === "string"
      ? { entryPoints: [entry] }
      : { stdin: { contents: entry.text, resolveDir: entry.folder, loader: "ts" } };
  try {
    await build({
      ...source,
      outfile,
      bundle: true,
      platform: "node",
      format,
      // What is native stays where it was installed; the driver asks for its own where somebody installed it.
      external: ["pg-native", "sharp"],
      ...(format === "cjs" ? HERE : {}),
      logLevel: "warning",
    });
  } finally {
    // It would stay beside a server for as long as that runs.
    await stop();
  }
}

/** CommonJS has no `import.meta.url`. */
const HERE = {
  banner: { js: 'const importedFrom = require("node:url").pathToFileURL(__filename).href;' },
  define: { "import.meta.url": "importedFrom" },
};
