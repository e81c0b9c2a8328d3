/**
 * npm run meter: the stand-in for a bench ohmmeter as a program of its own, on a virtual motor, for trying software
 * that reads one. SCPI over TCP on loopback. Usage: npm run meter -- [--leads a,b,c] [--seed 7] [--port 5025]
 */
import { parseArgs } from "node:util";
import { LEAD_LIMITS, USUAL_METER } from "../src/core";
import { motorForLeads, scpiMeter, seededRandom } from "../src/core/bench";
import { serveInstrument } from "../src/server/instrument/standIn";

const { values } = parseArgs({
  options: {
    leads: { type: "string", default: "WH,BK,BN" },
    seed: { type: "string", default: "7" },
    port: { type: "string", default: "5025" },
  },
});

const leads = values.leads.split(",").map((lead) => lead.trim());
const [seed, port] = [Number(values.seed), Number(values.port)];
const fault =
  leads.length < LEAD_LIMITS.fewest || leads.length > LEAD_LIMITS.most || leads.includes("")
    ? `Give ${LEAD_LIMITS.fewest} to ${LEAD_LIMITS.most} leads, such as --leads WH,BK,BN.`
    : new Set(leads).size < leads.length
      ? "Two leads have one name."
      : !Number.isInteger(seed) || seed < 0
        ? "The seed is a whole number from 0."
        : !Number.isInteger(port) || port < 0 || port > 65_535
          ? "The port is a number up to 65535."
          : null;
if (fault) {
  console.error(fault);
  process.exit(1);
}

const random = seededRandom(seed);
serveInstrument(scpiMeter(motorForLeads(random, leads), USUAL_METER, random), port)
  .then((meter) => {
    console.log(`A meter answers on 127.0.0.1:${meter.port}, on a motor with the leads ${leads.join(", ")}.`);
    console.log(`*IDN?   ROUT:TOUC "${leads[0]}","${leads[1]}"   READ?   Ctrl-C ends it.`);
  })
  .catch((error: NodeJS.ErrnoException) => {
    console.error(
      error.code === "EADDRINUSE" ? `Port ${port} is taken; pick another with --port.` : error.message,
    );
    process.exit(1);
  });
