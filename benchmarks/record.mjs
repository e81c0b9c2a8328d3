/**
 * Lists, search, a unit, motors met before, the stock and its ranking, asked of the production server over HTTP with a
 * hundred, ten thousand and a hundred thousand jobs, and as many motors in the stock. Prints a section of docs/benchmarks.md.
 */
import { ASKED, filled } from "./madeRecord.mjs";
import { served } from "./served.mjs";

const DATABASE = "odd_lead_bench";
const SIZES = [100, 10_000, 100_000];
const TIMES = 100;
/** Between two questions, so that the limit of one caller is kept. */
const PAUSE_MS = 25;

async function main() {
  const columns = await served(DATABASE, async ({ base, url }) => {
    const sizes = [];
    for (const size of SIZES) {
      await filled(url, size);
      sizes.push(await measured(base, size));
    }
    return sizes;
  });
  console.log(section(columns));
}

async function measured(base, size) {
  const medians = [];
  for (const [, ask] of ASKED) {
    const times = [];
    for (let i = 0; i < TIMES; i++) {
      const started = performance.now();
      await ask(base, size);
      times.push(performance.now() - started);
      await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
    }
    times.sort((a, b) => a - b);
    medians.push({ median: times[TIMES / 2], p95: times[Math.floor(TIMES * 0.95)] });
  }
  return medians;
}

function section(columns) {
  const cell = ({ median, p95 }) => `${median.toFixed(1)} / ${p95.toFixed(1)}`;
  return [
    "## The record",
    "",
    `Asked of the production server over HTTP, one question at a time, ${TIMES} times each: milliseconds in the median and at p95.`,
    "",
    `| what | ${SIZES.map((size) => `${size} jobs, as many motors`).join(" | ")} | median, last to first |`,
    "| --- | --- | --- | --- | --- |",
    ...ASKED.map(([what], i) => {
      const all = columns.map((column) => column[i]);
      return `| ${what} | ${all.map(cell).join(" | ")} | ${(all.at(-1).median / all[0].median).toFixed(2)} |`;
    }),
    "",
  ].join("\n");
}

await main();
