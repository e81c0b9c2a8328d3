import { memo } from "react";
import { useAnswer, useJob, useLeadNames, useWorking } from "../job/JobContext";
import { LeadTag } from "../parts/LeadTag";
import slow from "../parts/slow.module.css";
import text from "../theme/text.module.css";
import { useWords } from "../words/UsageProvider";
import look from "./TargetLine.module.css";
import type { Target } from "./target";

/** What to touch now and why; or that nothing more is to be read, and what is still missing. */
export const TargetLine = memo(function TargetLine({
  target,
  isChosen,
  because,
}: {
  target: Target | null;
  isChosen: boolean;
  because: string | null;
}) {
  const words = useWords();
  const { job } = useJob("shellReadings");
  const answer = useAnswer();
  const { leadOf, short } = useLeadNames();
  const working = useWorking();
  if (!target && working) {
    return <h2 className={`${text.h2} ${look.heading} ${slow.appears}`}>Working out what to touch next</h2>;
  }
  if (!target) {
    const stop = answer?.status === "fault";
    const untested = !job.shellReadings.some((reading) => reading.standing);
    return (
      <>
        <h2 className={`${text.h2} ${look.heading}`}>
          {stop
            ? "Nothing more to read"
            : answer?.status === "tied"
              ? "Ohms have said all they can"
              : "Nothing more is needed"}
        </h2>
        <p className={`${text.text} ${text.faint} ${look.why}`}>
          {stop
            ? "The finding stands. A reading taken again replaces the old one."
            : "Any pair may still be read again to check: touch its cell, or type its leads."}
        </p>
        {untested ? (
          <p className={`${text.text} ${look.untested}`}>
            No lead has been tested to the shell yet; it must read open before this motor runs.
          </p>
        ) : null}
      </>
    );
  }
  const leads = target.kind === "pair" ? target.between : [target.lead];
  return (
    <>
      <div className={look.touch}>
        <b>Touch</b>
        {leads.map((lead, i) => (
          <span key={lead} className={look.lead}>
            {i > 0 ? "and" : null}
            <LeadTag lead={leadOf(lead)} name={short(lead)} large />
          </span>
        ))}
        {target.kind === "shell" ? <span>and bare metal of the shell</span> : null}
      </div>
      <p className={`${text.text} ${text.faint} ${look.why}`}>
        {isChosen ? "Your pick." : words(because ?? "")}
      </p>
    </>
  );
});
