/**
 * How PostgreSQL goes about what the pages ask of a hundred thousand jobs and as many motors: the server's own statements,
 * with the plans they were run by. Writes docs/plans.md.
 */
import { readFileSync, statSync, writeFileSync } from "node:fs";
import { query } from "../scripts/lib/databases.mjs";
import { Remedy } from "../scripts/lib/say.mjs";
import { ASKED, filled } from "./madeRecord.mjs";
import { served } from "./served.mjs";

const DATABASE = "odd_lead_bench";
const SIZE = 100_000;
/** PostgreSQL chooses a plan for any values after five runs of a prepared statement. */
const TIMES_BEFORE = 6;
const MOST_STATEMENT = 600;
const MOST_LINE = 500;
/** Statements of the server's own keeping are the same for every page. */
const OF_THE_PAGE = /"(?:jobs|units|stock_items|stock_counts|facts)"/;

async function main() {
  const sections = await served(DATABASE, async ({ base, url, log }) => {
    if (log === null)
      throw new Remedy("Plans are read in the log of a database of our own; unset DATABASE_URL.");
    await filled(url, SIZE);
    const explained = {
      session_preload_libraries: "auto_explain",
      "auto_explain.log_min_duration": 0,
      "auto_explain.log_analyze": "on",
    };
    for (const [name, value] of Object.entries(explained))
      await query(url, `alter database ${DATABASE} set ${name} = '${value}'`);
    // The server's connections are made anew, with these settings.
    await query(
      url,
      `select pg_terminate_backend(pid) from pg_stat_activity where datname = '${DATABASE}' and pid <> pg_backend_pid()`,
    );
    await pause(1000);
    const all = [];
    for (const [what, ask] of ASKED) {
      for (let i = 0; i < TIMES_BEFORE; i++) await ask(base, SIZE).catch(() => undefined);
      await pause(300);
      const from = statSync(log).size;
      await ask(base, SIZE);
      await pause(300);
      const plans = plansIn(readFileSync(log).subarray(from).toString());
      if (plans.length === 0) throw new Error(`the log tells no plan of ${what}`);
      all.push([what, plans]);
    }
    return all;
  });
  writeFileSync("docs/plans.md", text(sections));
  console.log("written to docs/plans.md");
}

/** The statements of a piece of the log, each once, with its plan. */
function plansIn(log) {
  const plans = new Map();
  for (const entry of log.split(/^(?=\d{4}-\d\d-\d\d )/m)) {
    const found =
      /duration: ([\d.]+) ms {2}plan:\n\tQuery Text: ([\s\S]*?)\n\t((?:[A-Z][\w ]*?)(?: on | using | {2}\()[\s\S]*)$/.exec(
        entry,
      );
    if (!found) continue;
    const [, ms, statement, plan] = found;
    if (!OF_THE_PAGE.test(statement)) continue;
    plans.set(statement, { ms, plan: plan.replaceAll("\n\t", "\n").trimEnd() });
  }
  return [...plans];
}

function text(sections) {
  return [
    "# Plans",
    "",
    `Made by \`npm run plans\`: what each page asks of ${SIZE.toLocaleString("en-US")} made-up jobs and as many motors of the stock, as PostgreSQL's auto_explain tells it, after the statements have been run a few times.`,
    "",
    ...sections.flatMap(([what, plans]) => [
      `## ${what[0].toUpperCase()}${what.slice(1)}`,
      "",
      ...plans.flatMap(([statement, { ms, plan }]) => [
        `${ms} ms:`,
        "",
        "```sql",
        shortened(statement, MOST_STATEMENT),
        "```",
        "",
        "```text",
        ...plan.split("\n").map((line) => shortened(line, MOST_LINE)),
        "```",
        "",
      ]),
    ]),
  ].join("\n");
}

/** Long lists of columns and of ids say nothing of the way. */
function shortened(text, most) {
  return text.length <= most ? text : `${text.slice(0, most)} …`;
}

function pause(ms) {
  return new Promise((resolve) => setTimeout(resolve, ms));
}

await main();
