import type { CheckFinding, Compartment } from "@/core/wiring";
import { Mark } from "../parts/Verdict";
import { useWords } from "../words/UsageProvider";
import { usePlaceName } from "../words/usePlaceName";
import look from "./FindingList.module.css";

interface Props {
  readonly findings: readonly CheckFinding[];
  readonly label: string;
  readonly name: (lead: string) => string;
  readonly compartment: Pick<Compartment, "devices">;
}

/** Findings of a check, one under the other: mark, place, what would happen, how to mend it. */
export function FindingList({ findings, label, name, compartment }: Props) {
  const placeName = usePlaceName();
  const words = useWords();
  if (findings.length === 0) return null;
  return (
    <ul aria-label={label} className={look.findings}>
      {findings.map(({ code, weight, state, leads, places, says, mend }) => (
        <li key={`${code} ${state} ${leads.join()} ${says}`}>
          <div className={look.mark}>
            <Mark weight={weight} />
          </div>
          <div className={look.said}>
            {leads.length + places.length > 0 && weight !== "good" ? (
              <div className={look.place}>
                {[...leads.map(name), ...places.map((place) => placeName(compartment, place))].join(" · ")}
              </div>
            ) : null}
            <span>
              {code === "capped-volts"
                ? `${leads.map(name).join()}: ${words(says.charAt(0).toLowerCase() + says.slice(1))}`
                : words(says)}
            </span>
            {mend ? <div className={look.mend}>{words(mend)}</div> : null}
          </div>
        </li>
      ))}
    </ul>
  );
}
