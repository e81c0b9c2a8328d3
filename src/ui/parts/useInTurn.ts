import { useCallback, useRef } from "react";

/**
 * Asks one thing after the other: of two requests that are on their way together the second may arrive first, and what it
 * set be undone by the first.
 */
export function useInTurn(): <T>(ask: () => Promise<T>) => Promise<T> {
  const last = useRef<Promise<unknown>>(Promise.resolve());
  return useCallback(<T>(ask: () => Promise<T>) => {
    const own = last.current.then(ask, ask);
    last.current = own;
    return own;
  }, []);
}
