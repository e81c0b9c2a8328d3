import { resolve } from "node:path";

/**
 * How the scripts of the pages are cut. A script of its own for each shared handful of modules is packed by itself and
 * starts from nothing: in few large ones Brotli finds a tenth more to leave out. And what is left out of them.
 */

/** What every page has beside its own: whatever one of these uses. */
const EVERY_PAGE = new Set(["main-app", "app/layout", "app/error", "app/global-error", "app/not-found"]);
/** The pages that show an open job or a part of one. */
const OPEN_JOB = /^app\/(jobs|kept|start|practice|units|files)\//;
/** Smaller than so many bytes, before they are packed, modules are rather sent twice than in a script of their own. */
const SMALLEST_BYTES = 30_000;
/** More scripts than so many at once wait for each other on a phone's line. */
const MOST_AT_ONCE = 6;

/** Of the bundler's scripts and modules what is looked at here. */
interface Script {
  readonly name?: string | null;
  readonly runtime?: unknown;
}
interface Source {
  /** The path of its file, where it has one. */
  readonly nameForCondition?: () => string | null;
}
interface Cutting {
  readonly chunkGraph: { getModuleChunksIterable(module: Source): Iterable<Script> };
}

/** Whether a script is of a page: a worker loads its own and nothing of theirs. */
const isOfPage = ({ runtime }: Script) => runtime === "webpack";
const isOfWorker = (script: Script) => !isOfPage(script);

/** The entries that use a module. */
const entriesOf = (module: Source, { chunkGraph }: Cutting) =>
  [...chunkGraph.getModuleChunksIterable(module)].flatMap(({ name }) => (name ? [name] : []));

/** The group of what every page has from files of these paths, in one script. */
const ofEveryPage = (path: RegExp, priority: number, name: string) => ({
  name,
  enforce: true,
  priority,
  test: (module: Source, cutting: Cutting) =>
    path.test(module.nameForCondition?.() ?? "") &&
    entriesOf(module, cutting).some((entry) => EVERY_PAGE.has(entry)),
});

/** What the bundler's splitChunks is set to. */
export const FEW_SCRIPTS = {
  chunks: isOfPage,
  minSize: SMALLEST_BYTES,
  maxInitialRequests: MOST_AT_ONCE,
  maxAsyncRequests: MOST_AT_ONCE,
  cacheGroups: {
    default: { minChunks: 2, reuseExistingChunk: true, priority: 0 },
    defaultVendors: false,
    // In three of the same weight, not one: they are there before the page's own, which comes while they begin.
    drawing: ofEveryPage(/[\\/]next[\\/]dist[\\/]compiled[\\/]react-dom[\\/]/, 22, "drawing"),
    router: ofEveryPage(/[\\/]next[\\/]dist[\\/]/, 21, "router"),
    shell: ofEveryPage(/./, 20, "shell"),
    job: {
      name: "job",
      enforce: true,
      priority: 10,
      test: (module: Source, cutting: Cutting) => {
        const pages = entriesOf(module, cutting).filter((name) => name.startsWith("app/"));
        return (
          pages.some((name) => name.startsWith("app/jobs/")) && pages.every((name) => OPEN_JOB.test(name))
        );
      },
    },
    // A worker fetches its own, and shares with other workers what it has in common with them.
    workers: { chunks: isOfWorker, minSize: SMALLEST_BYTES, priority: 30 },
  },
};

/**
 * Parts that MUI's buttons bring and no page draws: the theme turns the ripple off, and no button of ours is told that it
 * loads (a test looks). A fortieth of the first page's scripts.
 */
export const NEVER_DRAWN = {
  which: /[\\/]@mui[\\/]material[\\/](?:ButtonBase[\\/]TouchRipple|CircularProgress[\\/]index)\.mjs$/,
  instead: resolve("scripts/lib/neverDrawn.mjs"),
};
