"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import type { KickSeen } from "@/core";
import type { KickAsked } from "@/core/wiring";
import { useJob, useJobWiring, useLeadNames } from "../job/JobContext";
import { LeadTag } from "../parts/LeadTag";
import { Notice } from "../parts/Notice";
import { Tick } from "../parts/Tick";
import { Verdict } from "../parts/Verdict";
import { TOUCH } from "../theme/measures";

const SHOWN: readonly { readonly shows: KickSeen["shows"]; readonly words: string }[] = [
  { shows: "up", words: "kicks up" },
  { shows: "down", words: "kicks down" },
  { shows: "still", words: "stays still" },
];

/** Which end of each coil is which, by a battery touched to one and a meter on another: the next test, and what was seen. */
export function KickPanel() {
  const { job, add } = useJob("kicks");
  const wiring = useJobWiring();
  if (wiring.kind !== "plan" && wiring.kind !== "unproved") return null;
  if (wiring.polarity.kind === "none" && job.kicks.length === 0) return null;
  const { polarity } = wiring;
  return (
    <Box component="section" aria-label="Battery kicks" sx={{ display: "grid", gap: 3, maxWidth: 760 }}>
      <Typography>
        Power off, leads apart. A battery of 6 to 9 volts, and a meter with a needle (or one that holds the
        peak) on millivolts DC. Touch the battery on for a moment and look at the first kick at the touch; the
        kick when it comes off is the other way round. Keep your fingers off the metal: it throws volts on
        every coil.
      </Typography>
      {polarity.kind === "proved" ? (
        <Verdict weight="good" word="The ends are proved: the plan stands on them now." />
      ) : null}
      {polarity.kind === "contradiction" ? (
        <Notice word="No motor of this kind kicks like that">
          <Typography>
            One of the tests was seen the wrong way round: take the last one back, or begin anew.
          </Typography>
        </Notice>
      ) : null}
      {polarity.kind === "open" ? (
        <NextKick
          key={[...polarity.next.battery, ...polarity.next.meter].join()}
          asked={polarity.next}
          left={polarity.left}
        />
      ) : null}
      {job.kicks.length > 0 ? (
        <Box component="ul" aria-label="Kicks seen" sx={{ m: 0, pl: 5 }}>
          {job.kicks.map((kick) => (
            <li key={[...kick.battery, ...kick.meter].join()}>
              <Said kick={kick} />
            </li>
          ))}
        </Box>
      ) : null}
      {job.kicks.length > 0 ? (
        <Button color="inherit" sx={{ justifySelf: "start" }} onClick={() => add({ kind: "kicks-anew" })}>
          Begin the tests anew
        </Button>
      ) : null}
    </Box>
  );
}

function NextKick({ asked, left }: { asked: KickAsked; left: number }) {
  const { add } = useJob();
  const [hardest, setHardest] = useState(false);
  const { battery, meter, strengthTells } = asked;
  const enter = (shows: KickSeen["shows"]) =>
    add({
      kind: "kick",
      kick: {
        battery: [battery[0], battery[1]],
        meter: [meter[0], meter[1]],
        shows,
        ...(strengthTells && shows !== "still" ? { hardest } : {}),
      },
    });
  return (
    <Box sx={{ border: "2px solid", borderColor: "primary.main", p: 4, display: "grid", gap: 3 }}>
      <Typography sx={{ color: "text.secondary" }}>
        {left} orders of the leads are left. The test that tells most:
      </Typography>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: "auto 1fr",
          columnGap: 4,
          rowGap: 2,
          alignItems: "center",
        }}
      >
        <strong>Battery</strong>
        <Ends pair={battery} />
        <strong>Meter</strong>
        <Ends pair={meter} />
      </Box>
      {strengthTells ? (
        <Tick checked={hardest} onTick={setHardest}>
          It kicks clearly harder here than on every other coil, the battery where it is
        </Tick>
      ) : null}
      <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap" }}>
        {SHOWN.map(({ shows, words }) => (
          <Button
            key={shows}
            variant="contained"
            sx={{ minHeight: TOUCH, flex: "1 1 120px" }}
            onClick={() => enter(shows)}
          >
            {words}
          </Button>
        ))}
      </Box>
    </Box>
  );
}

function Ends({ pair }: { pair: readonly [string, string] }) {
  const { leadOf, short } = useLeadNames();
  return (
    <Box component="span" sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap" }}>
      plus on <LeadTag lead={leadOf(pair[0])} name={short(pair[0])} /> minus on{" "}
      <LeadTag lead={leadOf(pair[1])} name={short(pair[1])} />
    </Box>
  );
}

function Said({ kick }: { kick: KickSeen }) {
  const { short } = useLeadNames();
  const [bp, bm] = kick.battery.map(short);
  const [mp, mm] = kick.meter.map(short);
  const words = SHOWN.find(({ shows }) => shows === kick.shows)?.words ?? kick.shows;
  return (
    <span>
      Battery {bp} plus, {bm} minus; meter {mp} plus, {mm} minus: {words}
      {kick.hardest ? ", hardest of all" : ""}.
    </span>
  );
}
