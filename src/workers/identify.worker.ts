import { identify } from "@/core";
import type { IdentifyAnswer, IdentifyRequest } from "./identify";

/** Identifies away from the page, so that a key press is answered while a large sheet is weighed. */

self.onmessage = ({ data: { sheet } }: MessageEvent<IdentifyRequest>) => {
  const result = identify(JSON.parse(sheet));
  const answer: IdentifyAnswer = { sheet, identification: result.ok ? result : null };
  self.postMessage(answer);
};
