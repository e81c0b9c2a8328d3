/** Makes one plain JavaScript file of TypeScript sources and the packages they use, for Node. */
export async function bundled(entry, outfile, format) {
  const { build } = await import("esbuild");
  await build({
    entryPoints: [entry],
    outfile,
    bundle: true,
    platform: "node",
    format,
    // The driver asks for its native form where somebody installed it.
    external: ["pg-native"],
    logLevel: "warning",
  });
}
