"use client";

import { type RefObject, useEffect, useEffectEvent, useRef } from "react";
import { takeOver } from "./earlyEntries";

/**
 * A form that loses nothing entered before the scripts came; put the result on it as `ref`, with {@link HELD}.
 *
 * @param enter takes an entry as if it were entered now.
 * @param type puts what was typed and not entered into the field.
 */
export function useEarlyEntries(
  enter: (typed: string) => void,
  type: (typed: string) => void,
): RefObject<HTMLFormElement | null> {
  const form = useRef<HTMLFormElement>(null);
  const take = useEffectEvent((found: HTMLFormElement) => {
    const { entered, typed } = takeOver(found);
    for (const one of entered) enter(one);
    if (typed !== "") type(typed);
  });
  useEffect(() => {
    if (form.current) take(form.current);
  }, []);
  return form;
}
