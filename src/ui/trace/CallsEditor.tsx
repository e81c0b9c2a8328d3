"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { Compartment } from "@/core/wiring";
import { AddEntry } from "../parts/AddEntry";
import { Choice } from "../parts/Choice";
import { KeptEntry } from "../parts/KeptEntry";
import { Tick } from "../parts/Tick";
import { TOUCH } from "../theme/measures";
import { useWords } from "../words/UsageProvider";
import { additions } from "./additions";
import { TerminalOptions } from "./TerminalOptions";

interface Props {
  readonly made: Compartment;
  readonly onKeep: (made: Compartment) => string | null;
}

type Feed = Compartment["offers"]["feeds"][number];

const WANTS: Readonly<Record<Feed["want"], string>> = {
  fastest: "the fastest speed",
  middle: "a middle speed",
  slowest: "the slowest speed",
  forward: "one way",
  reverse: "the other way",
};

/** The calls of a compartment, where each is hot and what it is for; and where current returns. */
export function CallsEditor({ made, onKeep }: Props) {
  const words = useWords();
  const { offers, calls } = made;
  const feed = (call: string, change: Partial<Feed>) =>
    onKeep({
      ...made,
      offers: {
        ...offers,
        feeds: offers.feeds.map((one) => (one.call === call ? { ...one, ...change } : one)),
      },
    });
  return (
    <Box sx={{ display: "grid", gap: 4 }}>
      {calls.map(({ id, name }) => {
        const own = offers.feeds.find(({ call }) => call === id);
        return (
          <Box key={id} sx={{ display: "grid", gap: 2 }}>
            <KeptEntry
              label="Call"
              value={name}
              maxLength={60}
              onKeep={(to) =>
                onKeep({ ...made, calls: calls.map((one) => (one.id === id ? { ...one, name: to } : one)) })
              }
            />
            {own ? (
              <>
                <Choice
                  label={`${name} ${words("is hot at")}`}
                  value={own.hot}
                  onChange={(hot) => feed(id, { hot })}
                >
                  <TerminalOptions made={made} />
                </Choice>
                <Choice
                  label={`${name} wants`}
                  value={own.want}
                  onChange={(want) => (want in WANTS ? feed(id, { want: want as Feed["want"] }) : null)}
                >
                  {Object.entries(WANTS).map(([want, words]) => (
                    <option key={want} value={want}>
                      {words}
                    </option>
                  ))}
                </Choice>
              </>
            ) : null}
            {calls.length > 1 ? (
              <Button
                color="inherit"
                sx={{ justifySelf: "start" }}
                onClick={() => onKeep(additions.withoutCall(made, id))}
              >
                Take this call away
              </Button>
            ) : null}
          </Box>
        );
      })}
      {calls.length > 1 ? <MeetingCalls made={made} onKeep={onKeep} /> : null}
      <AddEntry
        label="Add a call, by name"
        maxLength={60}
        onAdd={(name) => onKeep(additions.call(made, name))}
      />
      <Choice
        label="Current returns at"
        value={offers.back}
        onChange={(back) => onKeep({ ...made, offers: { ...offers, back } })}
      >
        <TerminalOptions made={made} />
      </Choice>
    </Box>
  );
}

/** Which two calls can stand at once: each pair by itself, or that none can. */
function MeetingCalls({ made, onKeep }: Props) {
  const { calls, together } = made;
  const pairs = calls.flatMap((one, i) => calls.slice(i + 1).map((other) => [one, other] as const));
  const meet = (one: string, other: string) =>
    together?.some((set) => set.includes(one) && set.includes(other)) ?? false;
  return (
    <Box component="fieldset" sx={{ border: 0, m: 0, p: 0, minWidth: 0, display: "grid", gap: 1 }}>
      <Box component="legend" sx={{ p: 0, fontWeight: 600 }}>
        Calls that can stand at once
      </Box>
      {together === undefined ? (
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "center" }}>
          <span>Nobody has said yet.</span>
          <Button sx={{ minHeight: TOUCH }} onClick={() => onKeep({ ...made, together: [] })}>
            No two can
          </Button>
        </Box>
      ) : null}
      {pairs.map(([one, other]) => (
        <Tick
          key={`${one.id}+${other.id}`}
          checked={meet(one.id, other.id)}
          onTick={(can) => onKeep(additions.meeting(made, [one.id, other.id], can))}
        >
          <span>
            {one.name} with {other.name}
          </span>
        </Tick>
      ))}
      {together !== undefined && together.length === 0 ? (
        <span>No two of them can, as it stands.</span>
      ) : null}
    </Box>
  );
}
