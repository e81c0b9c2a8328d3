"use client";

import { dequal } from "dequal/lite";
import NextLink from "next/link";
import { memo } from "react";
import type { JobLine } from "@/contract/routes/jobs";
import { WirePiece } from "../parts/LeadTag";
import { STATUS_WORDS } from "../parts/statusWords";
import { useLocalDay } from "../parts/useLocalDay";
import { Verdict } from "../parts/Verdict";
import look from "./JobRow.module.css";
import { RowMenu } from "./RowMenu";
import type { RowAction } from "./rowAction";

interface Props {
  readonly job: JobLine;
  /** What it is there to show; "" for a job of one's own. */
  readonly shows: string;
  /** The same from one drawing to the next. */
  readonly onAction: (job: JobLine, action: RowAction) => void;
}

/**
 * A job in the list: its name and unit, its wires, how it stands, its day, and what else can be done with it. Drawn anew
 * where something of it changed, and not with every letter of a search.
 */
export const JobRow = memo(DrawnRow, dequal);

function DrawnRow({ job, shows, onAction }: Props) {
  const { weight, word } = job.signed ? PROVED : STATUS_WORDS[job.status];
  const day = useLocalDay(job.at);
  return (
    <div className={look.row}>
      <NextLink href={`/jobs/${job.id}/probe`} prefetch={false} className={look.job}>
        <span className={look.name}>
          <span className={look.title}>{job.title}</span>
          <span className={look.under}>{shows === "" ? underTitle(job) : shows}</span>
        </span>
        <span className={look.leads} title={job.leads.map((l) => l.name).join(" ")}>
          {job.leads.length === 0 ? <span className={look.none}>no leads yet</span> : null}
          {job.leads.map((lead) => (
            <WirePiece key={lead.id} lead={lead} width={26} height={10} />
          ))}
        </span>
        <Verdict weight={weight} word={word} />
        <time dateTime={job.at} className={look.day}>
          {day}
        </time>
      </NextLink>
      <RowMenu job={job} onAction={(action) => onAction(job, action)} />
    </div>
  );
}

const PROVED = { weight: "good", word: "Proved" } as const;

/** The unit where the name does not say it, and what was found. */
function underTitle({ title, unit, cause }: JobLine): string {
  const parts = unit ? [unit.customer, unit.site, unit.name, unit.position] : [];
  const said = parts.filter((part) => part !== "" && !title.includes(part));
  return [said.join(" · "), cause === "" ? "" : `found: ${cause.replaceAll("-", " ")}`]
    .filter((part) => part !== "")
    .join(" · ");
}
