import { memo } from "react";
import { useWords } from "../words/UsageProvider";
import { PlainLink } from "./PlainLink";
import look from "./WordLinks.module.css";

interface Props {
  readonly words: readonly (readonly [id: string, word: string])[];
}

/** Words of a page that mean one thing here, each leading to what it means. */
export const WordLinks = memo(function WordLinks({ words }: Props) {
  const say = useWords();
  return (
    <nav aria-label="What the words mean" className={`no-print ${look.words}`}>
      {words.map(([id, word]) => (
        <PlainLink key={id} href={`/words#${id}`}>
          {say(word)}
        </PlainLink>
      ))}
    </nav>
  );
});
