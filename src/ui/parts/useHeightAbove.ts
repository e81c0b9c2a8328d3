"use client";

import { type RefObject, useLayoutEffect, useState } from "react";

/** Pixels of the page above an element: other as soon as something opens there. */
export function useHeightAbove(element: RefObject<HTMLElement | null>): number {
  const [above, setAbove] = useState(0);
  useLayoutEffect(() => {
    const measure = () => {
      const top = element.current?.getBoundingClientRect().top;
      if (top !== undefined) setAbove(Math.round(top + window.scrollY));
    };
    measure();
    const changes = new ResizeObserver(measure);
    changes.observe(document.body);
    return () => changes.disconnect();
  }, [element]);
  return above;
}
