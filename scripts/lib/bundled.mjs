/** Makes one plain JavaScript file of TypeScript sources and the packages they use, for Node. */
export async function bundled(entry, outfile, format) {
  const { build, stop } = await import("esbuild");
  try {
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
  } finally {
    // It would stay beside a server for as long as that runs.
    await stop();
  }
}
