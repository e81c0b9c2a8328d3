"use client";

import Box from "@mui/material/Box";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { MAIN } from "../parts/SkipLink";
import { TopBar } from "../parts/TopBar";
import { MAIN_FIELD } from "../theme/fields";
import { ENTRIES, type WordEntry } from "./entries";
import { UsageChoice } from "./UsageChoice";
import { useWords } from "./UsageProvider";
import { WordSketch } from "./WordSketch";

const IN_ORDER = ENTRIES.toSorted((a, b) => a.word.localeCompare(b.word, "en"));

/** The trade's words as these pages use them, drawn; what others call a thing leads to it. */
export function WordsPage() {
  const [search, setSearch] = useState("");
  const shown = IN_ORDER.filter((entry) => isMeant(entry, search));
  return (
    <>
      <TopBar />
      <Box
        component="main"
        id={MAIN}
        sx={{ maxWidth: 920, mx: "auto", px: { xs: 3, md: 6 }, py: { xs: 5, md: 8 } }}
      >
        <Typography variant="h1">Words</Typography>
        <Typography sx={{ color: "text.secondary", mt: 1, mb: 4 }}>
          What is meant here where one word is used for two things, and what others call it.
        </Typography>
        <UsageChoice />
        <InputBase
          type="search"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
          placeholder="COM, joint, CWLE …"
          inputProps={{ "aria-label": "Find a word", maxLength: 60, autoComplete: "off" }}
          sx={{ ...MAIN_FIELD, width: "100%", px: 3, mb: 5 }}
        />
        {shown.length === 0 ? (
          <Typography role="status">No word here is called that.</Typography>
        ) : (
          <Box>
            {shown.map((entry) => (
              <Word key={entry.id} entry={entry} />
            ))}
          </Box>
        )}
      </Box>
    </>
  );
}

function Word({ entry: { id, word, also, says, sketch } }: { entry: WordEntry }) {
  const words = useWords();
  return (
    <Box
      id={id}
      component="section"
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", sm: "minmax(0,1fr) 168px" },
        columnGap: 6,
        rowGap: 2,
        py: 4,
        borderTop: "1px solid",
        borderColor: "divider",
        scrollMarginTop: 16,
        "&:target": { borderTop: "3px solid", borderColor: "primary.main" },
      }}
    >
      <Box sx={{ minWidth: 0 }}>
        <Typography component="h2" sx={{ fontWeight: 700, fontSize: "1.125rem" }}>
          {words(word)}
        </Typography>
        <Box>
          <Typography>{words(says)}</Typography>
          {also.length === 0 ? null : (
            <Typography sx={{ color: "text.secondary", mt: 1 }}>
              Also: {[...new Set(also.map(words))].join(" · ")}
            </Typography>
          )}
        </Box>
      </Box>
      {sketch ? <WordSketch sketch={sketch} word={words(word)} /> : null}
    </Box>
  );
}

function isMeant({ word, also, says }: WordEntry, search: string): boolean {
  const said = [word, ...also, says].join(" ").toLowerCase();
  return search
    .toLowerCase()
    .split(/\s+/)
    .every((one) => said.includes(one));
}
