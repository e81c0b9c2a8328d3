"use client";

import Box from "@mui/material/Box";
import Table from "@mui/material/Table";
import Typography from "@mui/material/Typography";
import type { BoardNow } from "@/core";
import { boardAsSet, boardPlaces, HELD, netsOfSetting, voltageChange } from "@/core/wiring";
import { useJob, useJobWiring, useLeadNames } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { Verdict } from "../parts/Verdict";
import { useWords } from "../words/UsageProvider";

/** How the motor's own leads are joined now, the moves to the setting that the supply wants, and the reading that proves it. */
export function VoltagePanel() {
  const words = useWords();
  const { job, add } = useJob("board");
  const wiring = useJobWiring();
  const { short } = useLeadNames();
  if (wiring.kind !== "plan") return null;
  const { motor, plan } = wiring;
  const { setting } = plan.lands;
  const reversed = plan.wanted[0]?.reversed ?? false;
  const wanted = netsOfSetting(motor, setting, reversed);
  const other = setting === "low" ? "high" : "low";
  if (!wanted)
    return <Typography>This motor cannot be joined for the {setting} volts by the leads it has.</Typography>;
  const by = job.board?.by ?? "leads";
  const fromOther = boardAsSet(netsOfSetting(motor, other) ?? wanted);
  const now = job.board && Object.keys(job.board.joined).length > 0 ? job.board.joined : fromOther;
  const change = voltageChange(motor, now, setting, reversed);
  const places = boardPlaces(now, wanted).map(({ id }) => id);
  const wires = [...new Set(wanted.flat())];
  const name = (wire: string) => (/^L\d$/.test(wire) ? wire : short(wire));
  const keep = (board: BoardNow) => add({ kind: "board-now", board });
  const volts = wiring.fitted.rating.volts[setting];
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,1fr) minmax(0,1fr)" },
        gap: { xs: 5, md: 8 },
      }}
    >
      <Box>
        <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr) minmax(0,1fr)", gap: 3, mb: 3 }}>
          <Choice
            label="Set by"
            value={by}
            onChange={(value) =>
              keep({ by: value === "plug" || value === "dial" ? value : "leads", joined: now })
            }
          >
            <option value="leads">its own leads or links</option>
            <option value="plug">a plug</option>
            <option value="dial">a dial</option>
          </Choice>
          {by === "leads" ? (
            <Choice
              label="As it is joined now"
              value=""
              onChange={(value) => {
                const nets = value === "low" || value === "high" ? netsOfSetting(motor, value) : null;
                if (nets) keep({ by, joined: boardAsSet(nets) });
              }}
            >
              <option value="">as below</option>
              <option value="low">all as for the low volts</option>
              <option value="high">all as for the high volts</option>
            </Choice>
          ) : null}
        </Box>
        {by === "leads" ? (
          <Table>
            <thead>
              <tr>
                <th scope="col">Wire</th>
                <th scope="col">On post or connector now</th>
              </tr>
            </thead>
            <tbody>
              {wires.map((wire) => (
                <tr key={wire}>
                  <td>
                    <strong>{name(wire)}</strong>
                  </td>
                  <td>
                    <Choice
                      label={`${name(wire)} is on`}
                      value={now[wire] ?? ""}
                      onChange={(place) => {
                        const { [wire]: _, ...rest } = now;
                        keep({ by, joined: place === "" ? rest : { ...rest, [wire]: place } });
                      }}
                    >
                      <option value="">on none</option>
                      {places.map((place) => (
                        <option key={place} value={place}>
                          {place}
                        </option>
                      ))}
                    </Choice>
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        ) : null}
      </Box>
      <Box>
        <Typography variant="h3" sx={{ mb: 1 }}>
          To the {setting} setting, {Math.round(volts)} V
        </Typography>
        {by === "leads" && job.board === null ? (
          <Typography sx={{ mb: 1 }}>
            Nobody said how it is joined now: shown as if it stood for the {other} volts.
          </Typography>
        ) : null}
        {by !== "leads" ? (
          <Typography>
            One move: the {by} to {Math.round(volts)} V, with the power off.
          </Typography>
        ) : change === null ? (
          <Verdict weight="again" word="No place on the board for one of the joints: add a connector." />
        ) : change.moves.length === 0 ? (
          <Verdict weight="good" word="It is joined so already." />
        ) : (
          <Box component="ol" aria-label="Moves" sx={{ m: 0, pl: 5, "& li": { py: 0.75 } }}>
            {change.moves.map(({ wire, from, to }) => (
              <li key={`${wire} ${from} ${to}`}>
                <strong>{name(wire)}</strong>{" "}
                {to === HELD
                  ? `off ${from}, held free`
                  : from === HELD
                    ? `to ${to}`
                    : `from ${from} to ${to}`}
              </li>
            ))}
          </Box>
        )}
        {change?.proof ? <Typography sx={{ mt: 2 }}>{words(change.proof.says)}</Typography> : null}
        <Typography sx={{ mt: 2, color: "text.secondary", fontSize: "0.9375rem" }}>
          Then mark the motor with the volts it is joined for.
        </Typography>
      </Box>
    </Box>
  );
}
