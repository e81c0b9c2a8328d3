import { useCallback, useLayoutEffect, useRef } from "react";

/** The same function from one drawing to the next, which does what the latest would do: for parts that are seldom drawn. */
export function useSteady<Given extends readonly unknown[]>(
  does: (...given: Given) => void,
): (...given: Given) => void {
  const latest = useRef(does);
  useLayoutEffect(() => {
    latest.current = does;
  });
  return useCallback((...given: Given) => latest.current(...given), []);
}
