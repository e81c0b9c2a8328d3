"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { familyById, leadNames } from "@/core";
import { type Grade, practiceTask, roleChoices } from "@/core/practice";
import { LeadTag } from "../parts/LeadTag";
import { Verdict } from "../parts/Verdict";
import { useWords } from "../words/UsageProvider";
import type { PracticeWork } from "./practiceState";
import { FAULT_WORDS } from "./words";

interface Props {
  readonly work: PracticeWork;
  readonly grade: Grade;
  readonly onAgain: () => void;
  readonly onOther: () => void;
}

/** What the bench says: what was right, how many readings it took and needed, where it went astray. */
export function GradeView({ work, grade, onAgain, onOther }: Props) {
  const say = useWords();
  const { leads } = practiceTask(work.seed, work.wish).motor;
  const names = leadNames(leads);
  const words = new Map(roleChoices(grade.truth.family, leads.length).map(({ key, words: w }) => [key, w]));
  const roleWords = (lead: string) => {
    const role = grade.truth.roles[lead];
    return role ? (words.get(`${role.role}/${role.rank ?? ""}/${role.group ?? ""}`) ?? role.role) : "";
  };
  const more = grade.readingsTaken - grade.readingsNeeded;
  return (
    <Box
      component="section"
      aria-label="Result"
      sx={{ borderTop: "3px solid", borderColor: grade.right ? "success.main" : "warning.main", pt: 4 }}
    >
      <Box role="status">
        <Verdict weight={grade.right ? "good" : "again"} word={grade.right ? "Right" : "Not yet right"} />
        <Typography sx={{ mt: 1, fontSize: "1.125rem" }}>
          {grade.truth.fault === "none"
            ? `${grade.leadsRight.length} of ${leads.length} leads named as they are.`
            : `The fault: ${FAULT_WORDS[grade.truth.fault]}. You said: ${FAULT_WORDS[work.naming.fault]}.`}{" "}
          {grade.readingsTaken} readings taken, {grade.readingsNeeded} needed
          {more > 0 ? `, ${more} more than the bench` : more < 0 ? `, ${-more} fewer than the bench` : ""}.
        </Typography>
      </Box>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "1fr", md: "1fr 1fr" },
          gap: { xs: 5, md: 10 },
          mt: 5,
        }}
      >
        <Box>
          <Typography variant="h2">The motor: {say(familyById(grade.truth.family)?.title ?? "")}</Typography>
          <Box component="ul" sx={{ listStyle: "none", m: 0, mt: 2, p: 0 }}>
            {leads.map((lead) => (
              <Box
                component="li"
                key={lead.id}
                sx={{
                  display: "grid",
                  gridTemplateColumns: "96px minmax(0,1fr) auto",
                  gap: 3,
                  py: 1.5,
                  borderBottom: "1px solid",
                  borderColor: "divider",
                }}
              >
                <LeadTag lead={lead} name={names.get(lead.id)?.short ?? lead.id} />
                <span>{roleWords(lead.id)}</span>
                {grade.truth.fault === "none" ? (
                  <Verdict
                    weight={grade.leadsRight.includes(lead.id) ? "good" : "again"}
                    word={grade.leadsRight.includes(lead.id) ? "right" : "other"}
                  />
                ) : null}
              </Box>
            ))}
          </Box>
        </Box>
        <Box>
          {grade.astray.length > 0 ? (
            <>
              <Typography variant="h2">To learn from</Typography>
              <Box component="ul" sx={{ pl: 5, mt: 2 }}>
                {grade.astray.map((line) => (
                  <li key={line}>{say(line)}</li>
                ))}
              </Box>
            </>
          ) : null}
          {grade.reasoning.length > 0 ? (
            <>
              <Typography variant="h2" sx={{ mt: 4 }}>
                How your readings read
              </Typography>
              <Box component="ol" sx={{ pl: 5, mt: 2 }}>
                {grade.reasoning.map((line) => (
                  <li key={line}>{say(line)}</li>
                ))}
              </Box>
            </>
          ) : null}
        </Box>
      </Box>
      <Box sx={{ display: "flex", gap: 3, mt: 5, flexWrap: "wrap" }}>
        <Button variant="contained" onClick={onAgain} sx={{ minHeight: 56, px: 8 }}>
          Another like it
        </Button>
        <Button color="inherit" onClick={onOther} sx={{ minHeight: 56 }}>
          Choose another kind
        </Button>
      </Box>
    </Box>
  );
}
